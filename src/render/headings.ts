import type { Headings } from '../core/lists';

const none: Headings = { headings: new Int32Array(), ends: new Int32Array() };

/** Which heading is above an entry, and how far down what it heads reaches. */
export class HeadingPlaces {
  constructor(private readonly of: Headings = none) {}

  get count(): number {
    return this.of.headings.length;
  }

  /** The number of the heading whose section an entry is in, or that the entry is; -1: none. */
  over(entry: number): number {
    const { headings, ends } = this.of;
    let low = -1;
    let high = headings.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((headings[middle] ?? 0) <= entry) low = middle;
      else high = middle - 1;
    }
    return low >= 0 && entry < (ends[low] ?? 0) ? low : -1;
  }

  /** The entry that a heading is. */
  entryOf(heading: number): number {
    return this.of.headings[heading] ?? -1;
  }

  /** The entry that comes after all that a heading is over. */
  endOf(heading: number): number {
    return this.of.ends[heading] ?? 0;
  }
}
