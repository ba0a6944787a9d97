import type { JsonRecord } from '../../base';
import { type Format, makeFormatter, NoText } from '../../formats';
import { type Evaluate, plainText, type RowContext, type Value } from '../../values';

/** Finished words for an item; undefined: there is no value and no stand-in. */
export type WordsOf = (item: JsonRecord, context?: RowContext) => string | undefined;

/** How a value is written, or why it is not. */
export type WriteValue = (value: Value, item: JsonRecord, context?: RowContext) => string | NoText;

/** What the words of a property must become, or why they can't. */
export type Finish = (text: string) => string | NoText;

/** What gives the words of a property. */
export interface WordsFrom {
  readonly evaluate: Evaluate;
  /** Undefined: there is no format, a value is written as it is. */
  readonly write: WriteValue | undefined;
  readonly instead: WordsOf;
  /** What stands in does so for an empty text, too. */
  readonly emptyIsMissing: boolean;
}

export function wordsFrom({ evaluate, write, instead, emptyIsMissing }: WordsFrom): WordsOf {
  const counts = (text: string | undefined): text is string =>
    text !== undefined && !(emptyIsMissing && isBlank(text));
  if (write === undefined)
    return (item, context) => {
      const text = plainText(evaluate(item, context));
      return counts(text) ? text : instead(item, context);
    };
  return (item, context) => {
    const value = evaluate(item, context);
    if (value === undefined) return instead(item, context);
    const text = write(value, item, context);
    return text instanceof NoText || !counts(text) ? instead(item, context) : text;
  };
}

/** Nothing would be seen of it. */
export const isBlank = (text: string): boolean => text.trim() === '';

/** Another value stands in as the first one would be written, if its format can write it. */
export function insteadOf(evaluate: Evaluate | undefined, write: WriteValue | undefined): WordsOf {
  if (evaluate === undefined) return () => undefined;
  if (write === undefined) return (item, context) => plainText(evaluate(item, context));
  return (item, context) => {
    const value = evaluate(item, context);
    const text = value === undefined ? undefined : write(value, item, context);
    return text instanceof NoText ? undefined : text;
  };
}

export const finishedWords =
  (words: WordsOf, finish: Finish): WordsOf =>
  (item, context) => {
    const text = words(item, context);
    const made = text === undefined ? undefined : finish(text);
    return made instanceof NoText ? undefined : made;
  };

export const writePlain: WriteValue = (value) => plainText(value) ?? new NoText('it has no text');

/** Writes as a format says. `options`: those that follow from the item. */
export function formatWriter(
  format: Format,
  locale: string,
  options: readonly (readonly [name: string, evaluate: Evaluate | undefined])[],
): WriteValue {
  const formatter = makeFormatter(format, locale);
  return (value, item, context) =>
    formatter(value, { item, now: context?.now, options: optionsOf(options, item, context) });
}

const noOptions = {};

function optionsOf(
  read: readonly (readonly [string, Evaluate | undefined])[],
  item: JsonRecord,
  context: RowContext | undefined,
): Readonly<Record<string, string | undefined>> {
  if (read.length === 0) return noOptions;
  return Object.fromEntries(
    read.map(([name, evaluate]) => [name, plainText(evaluate?.(item, context))]),
  );
}
