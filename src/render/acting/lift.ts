import { type DropPlace, type EntryAt, type Gap, gapBeside, gapUnder } from './gaps';

/** What a row is carried over. */
export interface LiftList {
  readonly host: HTMLElement;
  readonly sizer: HTMLElement;
  entryAt: EntryAt;
  /** Rows and headings in the page, by the places of their entries. */
  drawn(): Iterable<readonly [at: number, element: HTMLElement]>;
  /** Brings an entry into sight. */
  reveal(at: number): void;
  entryCount(): number;
  /** What a carried row is told to be, to those who don't see it. */
  say(words: string): void;
}

/** A gap by the key of its entry: that stays, wherever the entry is by then. */
interface Told extends Gap {
  readonly key: string;
}

interface Lifted {
  readonly row: HTMLElement;
  readonly key: string;
  /** Where it was. */
  readonly own: Told | undefined;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** Within so many px of an edge the list is scrolled beneath what is carried. */
const edgePx = 60;
const topSpeedPxPerMs = 2.4;
/** After so long at an edge it goes as fast as it can. */
const fastAfterMs = 1_500;
const startShare = 0.25;
const stepsAPage = 10;

/** A row that is taken up, by hand or by key, and the gap that it would be let go in. */
export class Lift {
  private lifted: Lifted | undefined;
  private gap: Told | undefined;
  private grabbed: Point = { x: 0, y: 0 };
  private moved: Point = { x: 0, y: 0 };
  private pointer: Point | undefined;
  private readonly mark = document.createElement('div');
  private scrolling: number | undefined;
  /** Another one for each question of where it is: an answer to a former one counts no more. */
  private asked = 0;
  private stepping: Promise<void> = Promise.resolve();

  constructor(private readonly list: LiftList) {
    this.mark.className = 'yc-gap';
    this.mark.setAttribute('aria-hidden', 'true');
  }

  get row(): HTMLElement | undefined {
    return this.lifted?.row;
  }

  /** Takes a row up; `from`: where the pointer has it, none for keys. */
  async take(row: HTMLElement, { at, key }: { at: number; key: string }, from?: Point) {
    this.putBack();
    const { left, top } = row.getBoundingClientRect();
    this.grabbed = from === undefined ? { x: 0, y: 0 } : { x: from.x - left, y: from.y - top };
    row.classList.add('yc-lifted');
    this.lifted = { row, key, own: undefined };
    const own = await this.ownGap(at);
    if (this.lifted?.row !== row) return;
    this.lifted = { row, key, own };
    this.gap ??= own;
    this.list.say(`${key} is taken up`);
  }

  /** The pointer has it elsewhere. */
  carry(pointer: Point): void {
    const { lifted } = this;
    if (lifted === undefined) return;
    this.pointer = pointer;
    const { left, top, height } = lifted.row.getBoundingClientRect();
    const isAcross = this.isAcross(lifted.row);
    // It stays in sight, wherever the pointer goes.
    const around = this.list.host.getBoundingClientRect();
    const lowest = Math.max(around.top, around.bottom - height);
    const y = Math.max(around.top, Math.min(lowest, pointer.y - this.grabbed.y));
    this.moved = {
      x: isAcross ? this.moved.x + pointer.x - this.grabbed.x - left : 0,
      y: this.moved.y + y - top,
    };
    lifted.row.style.translate = `${this.moved.x}px ${this.moved.y}px`;
    void this.lookUnder(pointer);
    this.scrollAtEdge();
  }

  /** By keys, one after the other: so many gaps on, or to the first or last. */
  step(key: string): Promise<void> {
    this.stepping = this.stepping.then(() => this.stepBy(key));
    return this.stepping;
  }

  private async stepBy(key: string): Promise<void> {
    const { gap } = this;
    if (this.lifted === undefined || gap === undefined) return;
    const onwards = this.isRtl ? 'ArrowLeft' : 'ArrowRight';
    const isDown = key === 'ArrowDown' || key === 'PageDown' || key === onwards;
    const steps = key.startsWith('Page') ? stepsAPage : 1;
    const asked = this.ask();
    let next: Gap | undefined = gap;
    if (key === 'Home') next = await this.first();
    else if (key === 'End')
      next = await this.beside({ at: this.list.entryCount(), side: 'in' }, -1);
    else
      for (let step = 0; step < steps; step += 1)
        next = (next && (await this.beside(next, isDown ? 1 : -1))) ?? next;
    const told = next && (await this.told(next));
    if (asked !== this.asked || told === undefined) return;
    this.gap = told;
    this.list.reveal(told.at);
    this.showMark();
    const where = told.side === 'in' ? `in section ${told.key}` : `${told.side} ${told.key}`;
    this.list.say(`${where}, ${told.at + 1} of ${this.list.entryCount()}`);
  }

  /** Other rows are drawn: what it stands beside may stand elsewhere now. */
  async follow(): Promise<void> {
    const { lifted, gap } = this;
    if (lifted === undefined || gap === undefined) return;
    const drawn = [...this.list.drawn()];
    const now = drawn.find(([, element]) => element === lifted.row)?.[0];
    const own = now === undefined ? lifted.own : await this.ownGap(now);
    const keys = await Promise.all(drawn.map(async ([at]) => (await this.list.entryAt(at))?.key));
    const at = drawn[keys.indexOf(gap.key)]?.[0];
    if (this.lifted !== lifted || this.gap !== gap) return;
    this.lifted = { ...lifted, own };
    if (this.pointer !== undefined) this.carry(this.pointer);
    else if (at !== undefined) this.gap = { ...gap, at };
    this.showMark();
  }

  /** Lets it go: where, if anywhere else than it was. */
  async drop(): Promise<{ readonly key: string; readonly to: DropPlace } | undefined> {
    await this.stepping;
    const { lifted, gap } = this;
    this.putBack();
    if (lifted === undefined || gap === undefined) return undefined;
    const { key, side } = gap;
    if (key === lifted.own?.key && side === lifted.own.side) return undefined;
    return { key: lifted.key, to: side === 'in' ? { section: key } : { key, side } };
  }

  /** It is where it was; whoever gets its element next finds nothing of it. */
  putBack(): void {
    this.lifted?.row.classList.remove('yc-lifted');
    this.lifted?.row.style.removeProperty('translate');
    this.mark.remove();
    if (this.scrolling !== undefined) cancelAnimationFrame(this.scrolling);
    this.scrolling = undefined;
    this.lifted = undefined;
    this.gap = undefined;
    this.pointer = undefined;
    this.moved = { x: 0, y: 0 };
    this.ask();
  }

  private ask(): number {
    this.asked += 1;
    return this.asked;
  }

  private beside(gap: Gap, by: 1 | -1): Promise<Gap | undefined> {
    const isMoved = (key: string) => key === this.lifted?.key;
    return gapBeside(gap, by, { entryAt: (at) => this.list.entryAt(at), isMoved });
  }

  private async first(): Promise<Gap | undefined> {
    const top = await this.beside({ at: -1, side: 'in' }, 1);
    return top?.side === 'after' ? ((await this.beside(top, -1)) ?? top) : top;
  }

  private async lookUnder(pointer: Point): Promise<void> {
    const asked = this.ask();
    const under = this.nearest(pointer);
    if (under === undefined) return;
    const [at, element] = under;
    const entry = await this.list.entryAt(at);
    const isPast = this.isPastHalf(element, pointer);
    const gap =
      entry?.kind === 'heading'
        ? isPast
          ? await gapUnder(at, (place) => this.list.entryAt(place))
          : await this.beside({ at, side: 'in' }, -1)
        : isPast
          ? ({ at, side: 'after' } as const)
          : await this.beside({ at, side: 'after' }, -1);
    const told = gap && (await this.told(gap));
    if (asked !== this.asked || told === undefined) return;
    this.gap = told;
    this.showMark();
  }

  private async told(gap: Gap): Promise<Told | undefined> {
    const entry = await this.list.entryAt(gap.at);
    return entry && { ...gap, key: entry.key };
  }

  /** The gap that the row at a place leaves. */
  private async ownGap(at: number): Promise<Told | undefined> {
    const gap = await this.beside({ at, side: 'after' }, -1);
    return gap && this.told(gap);
  }

  /** What of the list is nearest to a point. */
  private nearest({ x, y }: Point): readonly [number, HTMLElement] | undefined {
    let found: readonly [number, HTMLElement] | undefined;
    let least = Number.POSITIVE_INFINITY;
    for (const [at, element] of this.list.drawn()) {
      if (element === this.lifted?.row) continue;
      const { left, right, top, bottom } = element.getBoundingClientRect();
      const far = Math.hypot(Math.max(left - x, 0, x - right), Math.max(top - y, 0, y - bottom));
      if (far >= least) continue;
      least = far;
      found = [at, element];
    }
    return found;
  }

  private isPastHalf(element: HTMLElement, { x, y }: Point): boolean {
    const { left, right, top, bottom } = element.getBoundingClientRect();
    if (!this.isAcross(element)) return y > (top + bottom) / 2;
    return x > (left + right) / 2 !== this.isRtl;
  }

  /** Cells stand beside each other, rows beneath. */
  private isAcross(element: HTMLElement): boolean {
    return element.offsetWidth < this.list.host.clientWidth * 0.7;
  }

  private get isRtl(): boolean {
    return getComputedStyle(this.list.host).direction === 'rtl';
  }

  private showMark(): void {
    const { gap, list } = this;
    const drawn = [...list.drawn()].find(([at]) => at === gap?.at);
    if (gap === undefined || drawn === undefined) {
      this.mark.remove();
      return;
    }
    const [, element] = drawn;
    const own = element.getBoundingClientRect();
    const around = list.sizer.getBoundingClientRect();
    const isAfter = gap.side !== 'before';
    const isAcross = this.isAcross(element) && gap.side !== 'in';
    const isAtRight = isAcross && isAfter !== this.isRtl;
    const x = (isAtRight ? own.right : own.left) - around.left;
    const y = (isAcross || !isAfter ? own.top : own.bottom) - around.top;
    this.mark.style.transform = `translate(${x - (isAcross ? 2 : 0)}px, ${y - (isAcross ? 0 : 2)}px)`;
    this.mark.style.width = `${isAcross ? 4 : own.width}px`;
    this.mark.style.height = `${isAcross ? own.height : 4}px`;
    if (this.mark.parentElement !== list.sizer) list.sizer.append(this.mark);
  }

  private scrollAtEdge(): void {
    if (this.scrolling !== undefined) return;
    const { host } = this.list;
    const begun = performance.now();
    let before = begun;
    const go = (now: number) => {
      const speed = this.edgeSpeed();
      this.scrolling = undefined;
      if (speed === 0 || this.pointer === undefined) return;
      const held = Math.min(1, (now - begun) / fastAfterMs);
      const share = startShare + (1 - startShare) * held;
      const from = host.scrollTop;
      host.scrollTop += speed * topSpeedPxPerMs * share * Math.max(0, now - before);
      before = now;
      this.scrolling = requestAnimationFrame(go);
      if (host.scrollTop !== from) this.carry(this.pointer);
    };
    if (this.edgeSpeed() !== 0) this.scrolling = requestAnimationFrame(go);
  }

  /** From −1 to 1: how deep in an edge the pointer is. */
  private edgeSpeed(): number {
    if (this.pointer === undefined) return 0;
    const { top, bottom } = this.list.host.getBoundingClientRect();
    const above = Math.max(0, Math.min(1, (top + edgePx - this.pointer.y) / edgePx));
    const below = Math.max(0, Math.min(1, (this.pointer.y - bottom + edgePx) / edgePx));
    return below * below - above * above;
  }
}
