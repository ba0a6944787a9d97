import { type Arrangement, columnsOf } from './list';

export interface Arranged {
  /** For each entry, the position of its item. */
  readonly items: Int32Array;
  /** For each entry, the position of its plan. */
  readonly plans: Uint16Array;
  readonly lineHeights: Float32Array<ArrayBuffer>;
}

/**
 * The sequence of entries in the order of the items. `planOf` gives each item's plan, or -1 where
 * it is left out. A line of a grid is as high as its highest cell.
 */
export function arrange(
  itemCount: number,
  planOf: (item: number) => number,
  planHeights: readonly number[],
  arrangement: Arrangement,
): Arranged {
  const items = new Int32Array(itemCount);
  const plans = new Uint16Array(itemCount);
  let entryCount = 0;
  for (let item = 0; item < itemCount; item += 1) {
    const plan = planOf(item);
    if (plan < 0) continue;
    items[entryCount] = item;
    plans[entryCount] = plan;
    entryCount += 1;
  }
  const columns = columnsOf(arrangement);
  const lineHeights = new Float32Array(Math.ceil(entryCount / columns));
  for (let entry = 0; entry < entryCount; entry += 1) {
    const line = columns === 1 ? entry : Math.floor(entry / columns);
    const height = planHeights[plans[entry] ?? 0] ?? 0;
    if (height > (lineHeights[line] ?? 0)) lineHeights[line] = height;
  }
  return {
    items: items.subarray(0, entryCount),
    plans: plans.subarray(0, entryCount),
    lineHeights,
  };
}
