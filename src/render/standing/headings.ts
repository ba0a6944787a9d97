import type { Lines } from '../../core/layout';
import type { Headings } from '../../core/lists';

const none: Headings = { headings: new Int32Array(), ends: new Int32Array() };

interface Among {
  readonly lines: Lines;
  /** They stay at the top while what they head is in sight. */
  readonly stick: boolean;
}

/** Which heading is above an entry, and how far down what it heads reaches. */
export class HeadingPlaces {
  constructor(
    private readonly of: Headings = none,
    private readonly among?: Among,
  ) {}

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

  /** Past the last entry of the section that a heading is over. */
  endOf(entry: number): number {
    return this.of.ends[this.over(entry)] ?? entry;
  }

  /** The heading that sticks over a range which it does not stand in; -1: none. */
  stuckOver(from: number): number {
    const heading = this.among?.stick === true ? this.over(from) : -1;
    const entry = heading < 0 ? -1 : this.entryOf(heading);
    return entry < from ? entry : -1;
  }

  /** How much of the top is covered where an entry is, by the heading that sticks over it, in px. */
  coveredPx(entry: number): number {
    const heading = this.stuckOver(entry);
    const lines = this.among?.lines;
    return heading < 0 || lines === undefined ? 0 : lines.heightPxOf(lines.of(heading));
  }

  /** The bottom of all that a heading is over, where it sticks; undefined: its own. */
  endPx(entry: number): number | undefined {
    const { lines, stick = false } = this.among ?? {};
    if (!stick || lines === undefined) return undefined;
    const line = lines.of((this.of.ends[this.over(entry)] ?? 0) - 1);
    return lines.topPx(line) + lines.heightPxOf(line);
  }
}
