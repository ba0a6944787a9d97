import type { Json, JsonRecord } from '../../base';
import type { ResultType } from '../result-type';
import type { Value } from '../value';

/** Why a function has no value for its arguments. */
export class Missing {
  constructor(readonly reason: string) {}
}

type Present = string | number | boolean | JsonRecord | readonly Json[];

/** What an argument is once it is taken: the checker sees to it that nothing else comes. */
interface Taken {
  readonly text: string;
  readonly number: number;
  readonly date: string;
  /** Of ISO 8601. */
  readonly duration: string;
  readonly list: readonly Json[];
  /** Any value like those in the list. */
  readonly element: Present;
  readonly any: Present;
  /** What can be put into a text as it is. */
  readonly plain: string | number | boolean;
  /** Functions of an element and its position. */
  readonly keep: (element: Json, index: number) => boolean;
  readonly make: (element: Json, index: number) => Value;
  /** A function of two elements; below zero: the first comes first. */
  readonly order: (a: Json, b: Json) => number;
}

export type Takes = keyof Taken;

export interface Param {
  readonly name: string;
  readonly takes: Takes;
  readonly optional?: true;
}

/** The types that a call is checked with. */
export interface Given {
  /** The type of the value that a method stands on, or of a function's first argument. */
  readonly of: ResultType;
  /** The type of the elements, where that is a list. */
  readonly element: ResultType;
  /** What the function given to it makes of an element, if one is given. */
  readonly made: ResultType | undefined;
}

/** One function or method: what it takes and gives, in words and by an example. */
export interface FunctionEntry {
  readonly name: string;
  /** What a method stands on; a function stands alone. */
  readonly on: 'text' | 'list' | undefined;
  readonly params: readonly Param[];
  /** The last parameter may be given again and again. */
  readonly repeats: boolean;
  /** Values that are missing are left out, from the second on, and the function still has one. */
  readonly skipsMissing: boolean;
  /** What the elements must be where no function is given that makes something of them. */
  readonly elements: 'number' | 'ordered' | 'text' | 'showable' | 'plain' | undefined;
  readonly gives: (given: Given) => ResultType;
  /** Whether it may have no value for arguments that are there. */
  readonly mayMiss: boolean;
  readonly summary: string;
  readonly example: readonly [expression: string, result: string];
  readonly run: (args: readonly unknown[]) => Value | Missing;
}

type Values<P extends readonly Param[]> = {
  readonly [K in keyof P]: P[K] extends { readonly optional: true }
    ? Taken[P[K]['takes']] | undefined
    : Taken[P[K]['takes']];
};

interface Definition<P extends readonly Param[], Own extends readonly unknown[]> {
  readonly name: string;
  readonly params: P;
  readonly repeats?: true;
  readonly skipsMissing?: true;
  readonly elements?: FunctionEntry['elements'];
  readonly gives: ResultType | ((given: Given) => ResultType);
  readonly mayMiss?: true;
  readonly summary: string;
  readonly example: readonly [expression: string, result: string];
  readonly run: (...args: [...Own, ...Values<P>]) => Value | Missing;
}

function entry<const P extends readonly Param[], Own extends readonly unknown[]>(
  on: FunctionEntry['on'],
  { params, repeats, skipsMissing, elements, gives, mayMiss, run, ...rest }: Definition<P, Own>,
): FunctionEntry {
  return {
    ...rest,
    on,
    params,
    repeats: repeats ?? false,
    skipsMissing: skipsMissing ?? false,
    elements,
    gives: typeof gives === 'function' ? gives : () => gives,
    mayMiss: mayMiss ?? false,
    // The checker has held the arguments against `params`, which is what `run` is typed by.
    run: (args) => run(...(args as [...Own, ...Values<P>])),
  };
}

export const textMethod = <const P extends readonly Param[]>(
  definition: Definition<P, readonly [string]>,
): FunctionEntry => entry('text', definition);

export const listMethod = <const P extends readonly Param[]>(
  definition: Definition<P, readonly [readonly Json[]]>,
): FunctionEntry => entry('list', definition);

export const standing = <const P extends readonly Param[]>(
  definition: Definition<P, readonly []>,
): FunctionEntry => entry(undefined, definition);

/** Longer texts and lists are no words for a label; making them could take for ever. */
export const maxChars = 1_000_000;
export const maxElements = 1_000_000;
export const tooLong = (): Missing => new Missing('the text would be too long');
