/** So far a finger pulls before letting go asks for items anew, in px; what is seen of it is less. */
const enoughPx = 140;
const seenShare = 0.4;
/** A wheel that goes on past the top pulls, too: so far, with no longer rest than this. */
const wheelPx = 400;
const wheelRestMs = 300;

interface PullPorts {
  /** Whether it may be pulled now. */
  refreshes(): boolean;
  refresh(): Promise<void>;
}

/** A list that is pulled down at its top, to have its items asked for once more. */
export class Pull {
  private readonly sign = document.createElement('div');
  /** Where a finger went down at the top; undefined: it pulls nothing. */
  private fromY: number | undefined;
  private px = 0;
  private wheeled = { px: 0, at: 0 };
  private isBusy = false;

  constructor(
    private readonly host: HTMLElement,
    private readonly ports: PullPorts,
    signal: AbortSignal,
  ) {
    this.sign.className = 'yc-pull';
    this.sign.setAttribute('aria-hidden', 'true');
    const options = { signal, passive: true };
    // Pointers are taken away once a pan begins; touches go on.
    host.addEventListener('touchstart', this.onStart, options);
    host.addEventListener('touchmove', this.onMove, options);
    host.addEventListener('touchend', () => this.letGo(), options);
    host.addEventListener('touchcancel', () => this.end(), options);
    host.addEventListener('wheel', this.onWheel, options);
  }

  private readonly onStart = ({ touches: [first, second] }: TouchEvent): void => {
    const isAtTop = this.host.scrollTop <= 0 && second === undefined;
    this.fromY = isAtTop && !this.isBusy && this.ports.refreshes() ? first?.clientY : undefined;
  };

  private readonly onMove = ({ touches: [first] }: TouchEvent): void => {
    if (this.fromY === undefined || first === undefined) return;
    if (this.host.scrollTop > 0) {
      this.end();
      return;
    }
    this.px = Math.max(0, first.clientY - this.fromY);
    this.show(this.px * seenShare, this.px >= enoughPx ? 'let go to ask anew' : 'pull to ask anew');
  };

  private readonly onWheel = ({ deltaY, timeStamp }: WheelEvent): void => {
    const isPulling = deltaY < 0 && this.host.scrollTop <= 0 && this.ports.refreshes();
    if (!isPulling || this.isBusy) {
      this.wheeled = { px: 0, at: timeStamp };
      return;
    }
    const before = timeStamp - this.wheeled.at > wheelRestMs ? 0 : this.wheeled.px;
    this.wheeled = { px: before - deltaY, at: timeStamp };
    if (this.wheeled.px >= wheelPx) void this.ask();
  };

  private letGo(): void {
    const isEnough = this.fromY !== undefined && this.px >= enoughPx;
    this.fromY = undefined;
    this.px = 0;
    if (isEnough) void this.ask();
    else if (!this.isBusy) this.end();
  }

  private async ask(): Promise<void> {
    this.isBusy = true;
    this.wheeled = { px: 0, at: 0 };
    this.show(enoughPx * seenShare * 0.7, 'asking anew …');
    try {
      await this.ports.refresh();
    } finally {
      this.isBusy = false;
      this.end();
    }
  }

  private show(heightPx: number, words: string): void {
    if (heightPx <= 0) {
      this.sign.remove();
      return;
    }
    if (this.sign.parentElement === null) this.host.prepend(this.sign);
    this.sign.textContent = words;
    this.sign.style.height = `${heightPx}px`;
    this.sign.style.setProperty('--yc-pull', `${heightPx}px`);
  }

  private end(): void {
    this.fromY = undefined;
    this.px = 0;
    this.sign.remove();
  }
}
