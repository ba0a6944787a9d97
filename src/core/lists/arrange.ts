import type { LineTable } from '../layout';

/** What kinds of entry there are: what stands in a sequence. */
export const entryKinds = ['row'] as const;
export type EntryKind = (typeof entryKinds)[number];

/** The sequence of entries as columns: for each, its kind, its item and its plan. */
export interface Arranged {
  /** Positions among `entryKinds`. */
  readonly kinds: Uint8Array;
  /** Positions of items; -1: it has none. */
  readonly items: Int32Array;
  readonly plans: Uint16Array;
}

/**
 * The entries in the order of the items. `planOfItem`: the plan of each, or -1 where it is left out;
 * `order`: positions of items as they are sorted, undefined: as they came.
 * Typed arrays and plain loops: this runs over all items after every edit of choices.
 */
export function arrange(planOfItem: Int16Array, order?: Int32Array): Arranged {
  const items = new Int32Array(planOfItem.length);
  const plans = new Uint16Array(planOfItem.length);
  let count = 0;
  for (let at = 0; at < planOfItem.length; at += 1) {
    const item = order === undefined ? at : (order[at] ?? 0);
    const plan = planOfItem[item] ?? -1;
    if (plan < 0) continue;
    items[count] = item;
    plans[count] = plan;
    count += 1;
  }
  return {
    kinds: new Uint8Array(count),
    items: items.subarray(0, count),
    plans: plans.subarray(0, count),
  };
}

/** The plan of each item by the choice that takes it: `planOfChoice` has it for each, -1 where it is left out. */
export function plansByChoice(choices: Int16Array, planOfChoice: Int16Array): Int16Array {
  const plans = new Int16Array(choices.length);
  for (let item = 0; item < choices.length; item += 1)
    plans[item] = planOfChoice[choices[item] ?? 0] ?? -1;
  return plans;
}

/** How high entries are, in whole 1/64 px: by their plan, and by themselves where that hangs on their texts. */
export interface EntryHeights {
  readonly ofPlans: Int32Array;
  /** One for each entry; undefined: none hangs on its texts. */
  readonly ofEntries: Int32Array | undefined;
}

/** Entries in lines of so many columns; a line is as high as its highest entry. */
export function linesOf(
  { plans }: Arranged,
  { ofPlans, ofEntries }: EntryHeights,
  columnCount: number,
): LineTable {
  const lineCount = Math.ceil(plans.length / columnCount);
  const firsts = new Int32Array(lineCount);
  const columns = new Uint8Array(lineCount).fill(columnCount);
  const heights = new Int32Array(lineCount);
  let line = -1;
  let column = columnCount;
  for (let entry = 0; entry < plans.length; entry += 1) {
    if (column === columnCount) {
      column = 0;
      line += 1;
      firsts[line] = entry;
    }
    column += 1;
    const height = ofEntries?.[entry] ?? ofPlans[plans[entry] ?? 0] ?? 0;
    if (height > (heights[line] ?? 0)) heights[line] = height;
  }
  return { firsts, columns, heights };
}
