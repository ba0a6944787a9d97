import { plainText } from '../values';
import type { ListFormat, TextFormat, YesNoFormat } from './format';
import { type Formatter, notA } from './formatter';
import { listFormat } from './intl';

export const yesNo =
  ({ yes, no }: YesNoFormat): Formatter =>
  (value) =>
    typeof value === 'boolean' ? (value ? yes : no) : notA('true or false', value);

const joins = { and: 'conjunction', or: 'disjunction', unit: 'unit' } as const;

export function list({ join = 'and', width = 'long' }: ListFormat, locale: string): Formatter {
  const intl = listFormat(locale, { type: joins[join], style: width });
  return (value) => {
    if (!Array.isArray(value)) return notA('a list', value);
    const texts = value.flatMap((element) => {
      const isPlain = element !== null && typeof element !== 'object';
      return (isPlain ? plainText(element) : undefined) ?? [];
    });
    return intl.format(texts);
  };
}

export function text({ change }: TextFormat, locale: string): Formatter {
  const make = changes[change];
  return (value) => {
    const own = plainText(value);
    return own === undefined ? notA('text', value) : make(own, locale);
  };
}

const changes: Readonly<Record<TextFormat['change'], (text: string, locale: string) => string>> = {
  upper: (own, locale) => own.toLocaleUpperCase(locale),
  lower: (own, locale) => own.toLocaleLowerCase(locale),
  trim: (own) => own.trim(),
  sentence: capital,
  title: (own, locale) => wordsIn(own, locale, (word) => capital(word, locale)),
  initials: (own, locale) =>
    [...segmenter(locale, 'word').segment(own)]
      .filter((each) => each.isWordLike)
      .map((each) => firstOf(each.segment, locale).toLocaleUpperCase(locale))
      .join(''),
};

function capital(own: string, locale: string): string {
  const first = firstOf(own, locale);
  return first.toLocaleUpperCase(locale) + own.slice(first.length);
}

const firstOf = (own: string, locale: string): string => {
  const [first] = segmenter(locale, 'grapheme').segment(own);
  return first?.segment ?? '';
};

const wordsIn = (own: string, locale: string, change: (word: string) => string): string =>
  [...segmenter(locale, 'word').segment(own)]
    .map((each) => (each.isWordLike ? change(each.segment) : each.segment))
    .join('');

const segmenters = new Map<string, Intl.Segmenter>();

function segmenter(locale: string, granularity: 'word' | 'grapheme'): Intl.Segmenter {
  const id = `${locale} ${granularity}`;
  const known = segmenters.get(id) ?? new Intl.Segmenter(locale, { granularity });
  segmenters.set(id, known);
  return known;
}
