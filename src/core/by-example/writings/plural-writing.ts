import { numberText, pluralCategories, pluralCategory } from '../../formats';
import type { Field, Value } from '../../values';
import { otherNumber } from '../noun-number';
import { byFormat, openForm, type Writing } from './writing';

/** Stands for the number in a form. */
export const number = '\u0000';

const costs = { plural: 0.8, openPlural: 0.4 } as const;

/** A small number of a plural category, to ask for its words by; of none only if there is no other. */
export function numberOf(category: string, locale: string): number {
  for (let value = 1; value <= 200; value += 1)
    if (pluralCategory(locale, value) === category) return value;
  return 0;
}

/** Words as a pattern of a message: the value where its number stands, and no signs of messages. */
export const inPattern = (words: string, number: string): string =>
  words
    .split(number)
    .map((each) => each.replace(/[\\{}|]/g, '\\$&'))
    .join('{$value}');

/** A plural's message of the forms that were shown, and of those that can be guessed by them. */
export function pluralWriting(
  shown: ReadonlyMap<string, string>,
  locale: string,
  fields: readonly Field[],
): Writing {
  const unshown = pluralCategories(locale).filter((category) => !shown.has(category));
  const guesses = new Map(
    unshown.flatMap((category) => {
      const guess = guessed(shown, category, locale);
      return guess === undefined ? [] : [[category, guess] as const];
    }),
  );
  const forms = new Map([...shown, ...guesses]);
  const inMessage = (form: string) => `{{${inPattern(form, number)}}}`;
  const other =
    forms.get('other') ?? [...forms.values()].find((form) => form.includes(number)) ?? '';
  const variants = [...forms]
    .filter(([key]) => key !== 'other')
    .map(([key, form]) => `${key} ${inMessage(form)}`);
  const message = `.input {$value :number} .match $value ${[...variants, `* ${inMessage(other)}`].join(' ')}`;
  const whole = byFormat(
    { as: 'message', message },
    unshown.length > 0 && shown.size < 2 ? costs.openPlural : costs.plural,
    { locale, fields },
  );
  if (unshown.length === 0) return whole;
  const isIn = (of: ReadonlyMap<string, string>, value: number) =>
    of.has(String(value)) || of.has(pluralCategory(locale, value));
  return {
    ...whole,
    open: {
      forms: unshown,
      guesses: Object.fromEntries(
        [...guesses].map(([category, form]) => [category, asked(form, category, locale)]),
      ),
      isFor: (value: Value) => typeof value === 'number' && !isIn(shown, value),
    },
    write: (value, item, context) =>
      typeof value !== 'number' || isIn(forms, value)
        ? whole.write(value, item, context)
        : openForm,
  };
}

/** A form by one that was shown, where that is a number and a noun and nothing more. */
function guessed(
  shown: ReadonlyMap<string, string>,
  category: string,
  locale: string,
): string | undefined {
  const from = category === 'one' ? 'other' : 'one';
  const form = shown.get(from) ?? '';
  const [, space, noun] = /^(\s?)(\p{L}+)$/u.exec(form.slice(number.length)) ?? [];
  if (!form.startsWith(number) || noun === undefined) return undefined;
  if (category !== 'one' && category !== 'other') return undefined;
  const other = otherNumber(noun, category, locale);
  return other === undefined ? undefined : `${number}${space}${other}`;
}

const asked = (form: string, category: string, locale: string): string =>
  form.replace(number, numberText(locale, numberOf(category, locale)));
