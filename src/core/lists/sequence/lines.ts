import type { LineTable } from '../../layout';
import type { Arranged } from './arrange';
import { breadthAt, breadths } from './breadths';

/** How high entries are, in whole 1/64 px: by their plan, and by themselves where that hangs on their texts. */
export interface EntryHeights {
  readonly ofPlans: Int32Array;
  /** One for each entry; undefined: none hangs on its texts. */
  readonly ofEntries: Int32Array | undefined;
}

/** How rows stand beside each other. */
export interface Cells {
  readonly columnCount: number;
  /** How wide the rows of each plan stand; undefined: as cells. */
  readonly ofPlans?: Uint8Array | undefined;
  /** What a strip has above and below its cells, in whole 1/64 px. */
  readonly aroundStrips?: number | undefined;
}

/** In place of the number of its columns: a line that is scrolled sideways, up to where the next begins. */
export const stripColumns = 0;

/**
 * Entries in lines: rows in so many columns, those of a strip in one for as long as they follow each
 * other in a section, all others by themselves; a line is as high as its highest entry.
 */
export function linesOf(
  arranged: Arranged,
  { ofPlans, ofEntries }: EntryHeights,
  { columnCount, ofPlans: breadthOfPlans, aroundStrips = 0 }: Cells,
): LineTable {
  const { plans, sections } = arranged;
  const firsts = new Int32Array(plans.length);
  const columns = new Uint8Array(plans.length);
  const heights = new Int32Array(plans.length);
  let line = -1;
  let left = 0;
  for (let entry = 0; entry < plans.length; entry += 1) {
    const breadth = breadthAt(arranged, breadthOfPlans, entry);
    const isStrip = breadth === breadths.strip;
    const goesOn = isStrip
      ? line >= 0 && columns[line] === stripColumns && sections[entry] === sections[entry - 1]
      : breadth === breadths.cell && left > 0;
    if (!goesOn) {
      line += 1;
      firsts[line] = entry;
      columns[line] = isStrip ? stripColumns : breadth === breadths.cell ? columnCount : 1;
      left = breadth === breadths.cell ? columnCount : 0;
    }
    left = Math.max(0, left - 1);
    const own = ofEntries?.[entry] ?? ofPlans[plans[entry] ?? 0] ?? 0;
    const height = own + (isStrip ? aroundStrips : 0);
    if (height > (heights[line] ?? 0)) heights[line] = height;
  }
  const count = line + 1;
  return {
    firsts: firsts.slice(0, count),
    columns: columns.slice(0, count),
    heights: heights.slice(0, count),
  };
}
