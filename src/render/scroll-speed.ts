/** Faster than this, pictures wait: most of their rows are gone before they could be seen. */
const fastPxPerMs = 4;

/** How fast a list is scrolled, from one event to the next. */
export class ScrollSpeed {
  private last = { at: 0, offset: 0 };

  /** Told at each event how far it is scrolled. */
  isFast(offset: number): boolean {
    const now = { at: performance.now(), offset };
    const ms = Math.max(1, now.at - this.last.at);
    const isFast = Math.abs(now.offset - this.last.offset) / ms > fastPxPerMs;
    this.last = now;
    return isFast;
  }
}
