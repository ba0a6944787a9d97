import type { Entry } from '../core/lists';

interface EntryRange {
  readonly from: number;
  readonly to: number;
}

const keptAround = 1_500;

/** Finished entries near the window: what scrolling needs at once, and what to ask for next. */
export class EntryCache {
  private readonly entries = new Map<number, Entry>();
  private asked: EntryRange = { from: 0, to: 0 };

  get(index: number): Entry | undefined {
    return this.entries.get(index);
  }

  put(from: number, entries: readonly Entry[]): void {
    for (const [offset, entry] of entries.entries()) this.entries.set(from + offset, entry);
  }

  clear(): void {
    this.entries.clear();
    this.asked = { from: 0, to: 0 };
  }

  /** What of a range is neither there nor on its way; the answer counts as asked for. */
  ask(range: EntryRange): EntryRange | undefined {
    let { from, to } = range;
    while (from < to && this.isKnown(from)) from += 1;
    while (to > from && this.isKnown(to - 1)) to -= 1;
    if (from >= to) return undefined;
    this.asked = { from, to };
    return this.asked;
  }

  /** Lets go of what is far from the window. */
  trim(range: EntryRange): void {
    if (this.entries.size < 4 * keptAround) return;
    for (const index of this.entries.keys()) {
      if (index < range.from - keptAround || index > range.to + keptAround)
        this.entries.delete(index);
    }
  }

  private isKnown(index: number): boolean {
    return this.entries.has(index) || (index >= this.asked.from && index < this.asked.to);
  }
}
