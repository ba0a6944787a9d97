/**
 * The lines of a list, from the top: which entries each begins with, how many columns it has, and
 * how high it is. Heights are whole 1/64 px, as Chromium keeps lengths: they add up without error.
 */
export interface LineTable {
  /** Position of the first entry of each line. */
  readonly firsts: Int32Array<ArrayBuffer>;
  /** 0: its entries are scrolled sideways, up to where the next line begins. */
  readonly columns: Uint8Array<ArrayBuffer>;
  readonly heights: Int32Array<ArrayBuffer>;
}

const linesABlock = 256;
const unitsAPx = 64;

/** A length in whole 1/64 px. */
export const unitsOf = (px: number): number => Math.round(px * unitsAPx);

/** Where each line stands. Sums are kept by blocks of lines: little room, quick to make and to change. */
export class Lines {
  /** The top of the first line of each block, and last the bottom of all, in units. */
  private readonly blockTops: Float64Array;
  private readonly edge: number;
  private readonly gap: number;

  constructor(
    private readonly table: LineTable,
    edgePx: number,
    gapPx: number,
  ) {
    this.edge = unitsOf(edgePx);
    this.gap = unitsOf(gapPx);
    const { heights } = table;
    this.blockTops = new Float64Array(Math.ceil(heights.length / linesABlock) + 1);
    let top = this.edge;
    for (let line = 0; line < heights.length; line += 1) {
      if (line % linesABlock === 0) this.blockTops[line / linesABlock] = top;
      top += (heights[line] ?? 0) + this.gap;
    }
    this.blockTops[this.blockTops.length - 1] =
      heights.length === 0 ? 0 : top - this.gap + this.edge;
  }

  get count(): number {
    return this.table.heights.length;
  }

  /** The height of all lines with gaps and edges, in px. */
  get heightPx(): number {
    return (this.blockTops.at(-1) ?? 0) / unitsAPx;
  }

  topPx(line: number): number {
    if (line >= this.count) return this.heightPx;
    const block = Math.floor(line / linesABlock);
    let top = this.blockTops[block] ?? 0;
    for (let at = block * linesABlock; at < line; at += 1) top += this.heightOf(at) + this.gap;
    return top / unitsAPx;
  }

  heightPxOf(line: number): number {
    return this.heightOf(line) / unitsAPx;
  }

  /** The line at a height: the last whose top is at or above it. */
  at(yPx: number): number {
    const y = yPx * unitsAPx;
    let block = lastAtOrBelow(this.blockTops, this.blockTops.length - 2, y);
    if (block < 0) block = 0;
    let line = block * linesABlock;
    let next = (this.blockTops[block] ?? 0) + this.heightOf(line) + this.gap;
    const end = Math.min(this.count, line + linesABlock) - 1;
    while (line < end && next <= y) {
      line += 1;
      next += this.heightOf(line) + this.gap;
    }
    return line;
  }

  /** The line that an entry stands in. */
  of(entry: number): number {
    const { firsts } = this.table;
    return Math.max(0, lastAtOrBelow(firsts, firsts.length - 1, entry));
  }

  /** Position of a line's first entry. */
  firstOf(line: number): number {
    return this.table.firsts[line] ?? 0;
  }

  columnsOf(line: number): number {
    return this.table.columns[line] ?? 1;
  }

  /** Past its last entry, where there are so many in all. */
  endOf(line: number, entryCount: number): number {
    return line + 1 < this.count ? this.firstOf(line + 1) : entryCount;
  }

  private heightOf(line: number): number {
    return this.table.heights[line] ?? 0;
  }
}

/** Position of the last number, up to `last`, that is not greater; -1: all are. They ascend. */
function lastAtOrBelow(numbers: ArrayLike<number>, last: number, limit: number): number {
  let low = -1;
  let high = last;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((numbers[middle] ?? 0) <= limit) low = middle;
    else high = middle - 1;
  }
  return low;
}
