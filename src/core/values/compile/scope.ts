import type { JsonRecord } from '../../base';
import type { Checked } from '../check/checked';
import type { RowContext } from '../context';
import type { Environment } from '../environment';
import type { Value } from '../value';

/** What one evaluation has besides its item. An expression has one, used again and again. */
export interface Scope {
  context: RowContext;
  /** Parameters of functions, each in its slot. */
  readonly locals: Value[];
  steps: number;
}

export type Run = (item: JsonRecord, scope: Scope) => Value;

/** A number; NaN stands for a missing one. */
export type RunNumber = (item: JsonRecord, scope: Scope) => number;

/** True, or not: a missing condition counts as false. */
export type RunTest = (item: JsonRecord, scope: Scope) => boolean | undefined;

/** Makes closures of nodes: the forms call each other through it. */
export interface Closures {
  readonly environment: Environment;
  run(checked: Checked): Run;
  number(checked: Checked): RunNumber;
  test(checked: Checked): RunTest;
}

/** So much may be done for one item: far more than a row needs, and over in a moment. */
export const maxSteps = 200_000;

export class OutOfSteps extends Error {}

export function spend(scope: Scope, steps: number): void {
  scope.steps += steps;
  if (scope.steps > maxSteps) throw new OutOfSteps();
}

/** What a call costs: long texts and lists take longer. */
export function costOf(args: readonly unknown[]): number {
  let steps = 1;
  for (const arg of args)
    if (typeof arg === 'string' || Array.isArray(arg)) steps += arg.length >> 6;
  return steps;
}

/** What it costs to have made a value: each element of a list is one more thing. */
export const costOfMaking = (value: unknown): number =>
  Array.isArray(value) ? value.length >> 2 : typeof value === 'string' ? value.length >> 6 : 0;
