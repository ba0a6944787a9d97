import type { Checked } from '../check/checked';
import { isLight } from '../compile/compile';
import { kindOf } from '../result-type';
import type { Value } from '../value';
import { type Conditions, type Numbers, rowReader, type Texts } from './blocks';
import type { Columns } from './columns';
import { conditions } from './conditions';
import { numbers } from './numbers';
import { texts } from './texts';

/** How an expression goes over all items: by columns, or item by item. */
export type Pass =
  | { readonly by: 'numbers'; readonly blocks: Numbers }
  | { readonly by: 'conditions'; readonly blocks: Conditions }
  | { readonly by: 'texts'; readonly texts: Texts }
  | { readonly by: 'items'; readonly valueAt: (at: number) => Value };

/**
 * The same values as `evaluate` gives for each item alone. What calls functions or puts texts together
 * goes by items: its steps are counted for each of them.
 */
export function passOver(checked: Checked, columns: Columns): Pass {
  if (isLight(checked)) {
    const kind = kindOf(checked.type);
    if (kind === 'number') return { by: 'numbers', blocks: numbers(checked, columns, conditions) };
    if (kind === 'boolean') return { by: 'conditions', blocks: conditions(checked, columns) };
    const own = texts(checked, columns, conditions);
    if (own !== undefined) return { by: 'texts', texts: own };
  }
  return { by: 'items', valueAt: rowReader(checked, columns) };
}
