import type { JsonRecord } from '../../base';
import type { RowContext, Value } from '../../values';
import type { EntryValue } from '../parts/entry-value';
import { laidOut } from '../parts/long-text';
import { type FitTo, fitted } from './fitted';
import type { WordsOf } from './words';

/** What is drawn of a slot for an item; undefined: nothing. */
export type SlotValue = (item: JsonRecord, context?: RowContext) => EntryValue;

/** A text as it is laid out: a row is no book. */
export const laidWords =
  (words: WordsOf): SlotValue =>
  (item, context) => {
    const text = words(item, context);
    return text === undefined ? undefined : laidOut(text);
  };

export type ValueOf = (item: JsonRecord, context?: RowContext) => Value;

/** What is given within what the property takes. `names`: words that it knows; undefined: none, or any. */
export const typedValue =
  (given: ValueOf, declared: FitTo, names: readonly string[] | undefined): SlotValue =>
  (item, context) =>
    fitted(given(item, context), declared, names).value;

/** The first of two that is there. */
export const givenBy =
  (evaluate: ValueOf | undefined, instead: ValueOf | undefined): ValueOf =>
  (item, context) =>
    evaluate?.(item, context) ?? instead?.(item, context);
