import { type Arrangement, columnsOf } from './list';

export interface Arranged {
  /** For each entry, the position of its item. */
  readonly items: Int32Array;
  /** For each entry, the position of its plan. */
  readonly plans: Uint16Array;
  readonly lineHeights: Float32Array<ArrayBuffer>;
}

/**
 * The sequence of entries in the order of the items. `types` has the position of each item's type,
 * `planOfType` the plan for each type, or -1 where it is left out. A line of a grid is as high as
 * its highest cell. Typed arrays and plain loops: this runs over all items after every edit.
 */
export function arrange(
  types: Uint16Array,
  planOfType: Int16Array,
  planHeights: Float32Array,
  arrangement: Arrangement,
): Arranged {
  const items = new Int32Array(types.length);
  const plans = new Uint16Array(types.length);
  let entryCount = 0;
  for (let item = 0; item < types.length; item += 1) {
    const plan = planOfType[types[item] ?? 0] ?? -1;
    if (plan < 0) continue;
    items[entryCount] = item;
    plans[entryCount] = plan;
    entryCount += 1;
  }
  return {
    items: items.subarray(0, entryCount),
    plans: plans.subarray(0, entryCount),
    lineHeights: lineHeights(plans.subarray(0, entryCount), planHeights, columnsOf(arrangement)),
  };
}

function lineHeights(
  plans: Uint16Array,
  planHeights: Float32Array,
  columns: number,
): Float32Array<ArrayBuffer> {
  const heights = new Float32Array(Math.ceil(plans.length / columns));
  let column = 0;
  let line = 0;
  for (let entry = 0; entry < plans.length; entry += 1) {
    const height = planHeights[plans[entry] ?? 0] ?? 0;
    if (height > (heights[line] ?? 0)) heights[line] = height;
    column += 1;
    if (column === columns) {
      column = 0;
      line += 1;
    }
  }
  return heights;
}
