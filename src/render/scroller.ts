/**
 * A scrolling box whose content may be higher than an element can be: past that the sizer is
 * lower than the content, small moves go one to one and large ones by ratio. Chromium keeps places
 * as float32: above 2^23 px a move is off, at this height each is exact.
 */
const highestSizerPx = 4_000_000;
/** A row that is kept far away must not stretch the sizer. */
const farPx = 100_000;

export class Scroller {
  private contentPx = 0;
  private lastTop = 0;
  private at = 0;
  private heightPx = 0;

  constructor(
    private readonly host: Pick<HTMLElement, 'scrollTop'>,
    private readonly sizer: { readonly style: Pick<CSSStyleDeclaration, 'height'> },
  ) {}

  setContent(heightPx: number): void {
    this.contentPx = heightPx;
    this.sizer.style.height = `${this.sizerPx}px`;
    this.at = Math.max(0, Math.min(this.at, this.maxAt()));
  }

  /** Sets the height of the box itself. */
  setHeight(heightPx: number): void {
    this.heightPx = heightPx;
  }

  get sizerPx(): number {
    return Math.min(this.contentPx, highestSizerPx);
  }

  /** How far the content is scrolled, in its own px. */
  get offset(): number {
    return this.at;
  }

  get isScaled(): boolean {
    return this.contentPx > highestSizerPx;
  }

  /** Where a thing at `y` of the content stands in the sizer; what is far away stands near its edge. */
  near(y: number): number {
    if (!this.isScaled) return y;
    const fromTop = Math.max(-farPx, Math.min(farPx, y - this.at));
    return Math.max(-farPx, Math.min(highestSizerPx - 1, fromTop + this.lastTop));
  }

  moved(): void {
    const top = this.host.scrollTop;
    if (!this.isScaled) this.at = top;
    else {
      const maxTop = highestSizerPx - this.heightPx;
      const delta = top - this.lastTop;
      if (top <= 0) this.at = 0;
      else if (top >= maxTop - 1) this.at = this.maxAt();
      else if (Math.abs(delta) < this.heightPx * 2) this.at += delta;
      else this.at = (top / maxTop) * this.maxAt();
      this.at = Math.max(0, Math.min(this.at, this.maxAt()));
    }
    this.lastTop = top;
  }

  scrollTo(y: number): void {
    this.at = Math.max(0, Math.min(y, this.maxAt()));
    this.centreThumb();
  }

  /** The box may have been moved since its last event: that counts. Whether it was. */
  catchUp(): boolean {
    const isMoved = this.host.scrollTop !== this.lastTop;
    if (isMoved) this.moved();
    return isMoved;
  }

  /** At rest the thumb goes where the content is, so that both ends can always be reached. */
  rest(): void {
    this.catchUp();
    this.centreThumb();
  }

  private centreThumb(): void {
    const maxTop = this.sizerPx - this.heightPx;
    const top = this.isScaled ? (this.at / this.maxAt()) * maxTop : this.at;
    this.lastTop = top;
    if (Math.abs(this.host.scrollTop - top) >= 1) this.host.scrollTop = top;
    this.lastTop = this.host.scrollTop;
  }

  private maxAt(): number {
    return Math.max(0, this.contentPx - this.heightPx);
  }
}
