import type { Checked } from '../check/checked';
import { compile } from '../compile/compile';
import type { Value } from '../value';
import type { Columns } from './columns';

/**
 * What an expression gives for the block of items from `from` on; past the last item nothing that
 * counts. The array is good until the next call.
 */
export type Numbers = (from: number) => Float64Array;
export type Conditions = (from: number) => Uint8Array;

/** How conditions inside numbers and texts are passed over; these come in so that no file needs itself. */
export type ConditionsOver = (checked: Checked, columns: Columns) => Conditions;

export interface Texts {
  readonly table: readonly string[];
  /** Positions in the table; -1: there is none. */
  readonly codes: (from: number) => Int32Array;
}

/** What is in no column: each item is asked. */
export function rowReader(checked: Checked, columns: Columns): (at: number) => Value {
  const { items, contextAt, environment } = columns;
  const evaluate = compile(checked, environment);
  return (at) => {
    const item = items[at];
    return item === undefined ? undefined : evaluate(item, contextAt(at));
  };
}
