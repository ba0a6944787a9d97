import type { Checked } from '../check/checked';
import { compile } from '../compile/compile';
import type { Value } from '../value';
import type { Columns } from './columns';

/** So many items at a time: what a step makes of them stays in the nearest cache. */
export const blockLength = 1_024;

/**
 * What an expression gives for `count` items from `from` on, at most `blockLength`. The array is
 * good until the next call, and may be longer than `count`.
 */
export type Numbers = (from: number, count: number) => Float64Array;
export type Conditions = (from: number, count: number) => Uint8Array;

export interface Texts {
  readonly table: readonly string[];
  /** Positions in the table; -1: there is none. */
  readonly codes: (from: number, count: number) => Int32Array;
}

/** What is in no column: each item is asked. */
export function rowReader(checked: Checked, columns: Columns): (at: number) => Value {
  const evaluate = compile(checked);
  const { items, contextAt } = columns;
  return (at) => evaluate(items[at] ?? {}, contextAt(at));
}
