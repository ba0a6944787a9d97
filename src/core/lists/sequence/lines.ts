import type { LineTable } from '../../layout';
import type { Arranged } from './arrange';
import { spansLine } from './entry-kinds';

/** How high entries are, in whole 1/64 px: by their plan, and by themselves where that hangs on their texts. */
export interface EntryHeights {
  readonly ofPlans: Int32Array;
  /** One for each entry; undefined: none hangs on its texts. */
  readonly ofEntries: Int32Array | undefined;
}

/** How rows stand beside each other. */
export interface Cells {
  readonly columnCount: number;
  /** 1 for each plan whose rows have a line for themselves; undefined: those of none. */
  readonly spanning?: Uint8Array | undefined;
}

/** Entries in lines: rows in so many columns, all others by themselves; a line is as high as its highest entry. */
export function linesOf(
  { kinds, plans }: Arranged,
  { ofPlans, ofEntries }: EntryHeights,
  { columnCount, spanning }: Cells,
): LineTable {
  const firsts = new Int32Array(plans.length);
  const columns = new Uint8Array(plans.length);
  const heights = new Int32Array(plans.length);
  let line = -1;
  let left = 0;
  for (let entry = 0; entry < plans.length; entry += 1) {
    const spans = spansLine(kinds[entry] ?? 0) || spanning?.[plans[entry] ?? 0] === 1;
    if (spans || left === 0) {
      line += 1;
      firsts[line] = entry;
      columns[line] = spans ? 1 : columnCount;
      left = spans ? 0 : columnCount;
    }
    if (!spans) left -= 1;
    const height = ofEntries?.[entry] ?? ofPlans[plans[entry] ?? 0] ?? 0;
    if (height > (heights[line] ?? 0)) heights[line] = height;
  }
  const count = line + 1;
  return {
    firsts: firsts.slice(0, count),
    columns: columns.slice(0, count),
    heights: heights.slice(0, count),
  };
}
