import { type Json, keepsDigits } from '../../base';
import type { Decoding, ScalarName } from '../../values';
import { datePatternsLike } from './date-shapes';
import { decoder, isThere } from './decode';

/** A decoding that fits the values, and how many of them. */
export interface Proposal {
  readonly decoding: Decoding;
  readonly fits: number;
  readonly of: number;
}

const yesAndNo: readonly (readonly [readonly string[], readonly string[]])[] = [
  [
    ['yes', 'y'],
    ['no', 'n'],
  ],
  [
    ['true', 't'],
    ['false', 'f'],
  ],
  [['on'], ['off']],
  [
    ['ja', 'j'],
    ['nein', 'nee', 'n'],
  ],
  [
    ['oui', 'o'],
    ['non', 'n'],
  ],
  [
    ['sí', 'si', 's'],
    ['no', 'n'],
  ],
];

/** The share of all values that must fit; the rest is then counted and listed. */
const minShare = 0.6;
const maxTried = 400;

/** Texts that people write where there is no value, in small letters. */
const noValue = new Set([
  ...['-', '–', '—', '--', '.', '..', '...', '?', '*', 'n/a', 'na', '#n/a', 'nan', 'null', 'none'],
  ...['nil', '\\n', 'unknown', 'missing'],
]);

/** Decodings that fit a field's values, the best first; several where the values do not settle it. */
export function proposeDecodings(
  name: string,
  values: readonly Json[],
  type?: ScalarName,
): Proposal[] {
  const there = values.filter(isThere);
  const every = Math.ceil(there.length / maxTried);
  const sample = there.filter((_, at) => at % every === 0);
  if (sample.length === 0) return [];
  if (sample.every((value) => typeof value === 'number')) {
    const otherwise = fromNumbers(name, sample);
    // Empty texts among numbers make a text of the field.
    return otherwise.length > 0 || type !== 'text' ? otherwise : [asNumbers(sample)];
  }
  if (!sample.every((value) => typeof value === 'string' || typeof value === 'number')) return [];
  const texts = sample.map(String);
  const isNone = (text: string) => noValue.has(text.trim().toLowerCase());
  const none = [...new Set(texts.filter(isNone).map((text) => text.trim()))];
  const said = texts.filter((text) => !isNone(text));
  if (said.length === 0) return [];
  const proposals = [...candidates(name, said)]
    .map((decoding) => (none.length === 0 ? decoding : { ...decoding, none }))
    .map((decoding) => tried(decoding, texts))
    .filter(({ fits, of }) => fits >= minShare * of);
  const max = Math.max(...proposals.map((each) => each.fits));
  return distinct(proposals.filter((each) => each.fits === max)).slice(0, 4);
}

/** Each once. */
const distinct = (proposals: readonly Proposal[]): Proposal[] => [
  ...new Map(proposals.map((each) => [JSON.stringify(each.decoding), each])).values(),
];

/** The proposals that read a value otherwise than the first: a person has to say what is meant. */
export function otherReadings(
  [first, ...others]: readonly Proposal[],
  values: readonly Json[],
): readonly Proposal[] {
  const own = first && decoder(first.decoding);
  if (own === undefined || !own.ok) return [];
  return others.filter(({ decoding }) => {
    const other = decoder(decoding);
    return values.some((raw) => {
      const value = own.value(raw);
      const read = other.ok ? other.value(raw) : other;
      return value.ok && read.ok && value.value !== read.value;
    });
  });
}

function* candidates(name: string, texts: readonly string[]): Generator<Decoding> {
  if (texts.some((text) => /\d/.test(text))) {
    const dates = [...datePatternsLike(texts)].filter(
      (decoding) => tried(decoding, texts).fits >= minShare * texts.length,
    );
    yield* dates;
    yield* epochs(name, texts.map(Number)).map((each) => each.decoding);
    // Eight digits that are all days of the calendar are no numbers.
    if (!dates.some(({ pattern }) => pattern.startsWith('yyyyMMdd'))) yield* numbers(texts);
  }
  yield* durations(name, texts);
  const words = new Set(texts.map((text) => text.trim().toLowerCase()));
  if (words.size > 4) return;
  for (const [yes, no] of yesAndNo) {
    const isOfBoth = yes.some((word) => words.has(word)) && no.some((word) => words.has(word));
    if (isOfBoth) yield { yes, no };
  }
}

/** How texts are numbers: with which decimal sign, with which sign beside them. */
function* numbers(texts: readonly string[]): Generator<Decoding> {
  const unit = unitOf(texts);
  const bare = unit === undefined ? texts : texts.map((text) => text.replace(unit, ''));
  // Where one of them would lose a digit, they are names made of digits.
  if (!bare.every((text) => keepsDigits(text.replace(/[^\d.]/g, '')))) return;
  // A zero in front makes a name of digits, unless a fraction follows.
  if (bare.some((text) => /^\s*[-+(]?0\d/.test(text))) return;
  const said = { ...(unit !== undefined && { unit }) };
  const mayBeComma = bare.some((text) => /\d?,\d/.test(text)) && !areGrouped(bare);
  const signs: readonly (',' | '.')[] = mayBeComma ? [',', '.'] : ['.'];
  for (const decimal of signs) {
    const whole = { decimal, whole: true, ...said } as const;
    const isWhole =
      unit !== '%' &&
      texts.every((text) => reads(whole, text) || !reads({ decimal, ...said }, text));
    yield isWhole ? whole : { decimal, ...said };
  }
}

/** Texts that say how long something takes; a clock's could be a time of day, unless it runs past one. */
function* durations(name: string, texts: readonly string[]): Generator<Decoding> {
  if (texts.every((text) => reads({ duration: 'iso' }, text))) {
    yield { duration: 'iso' };
    return;
  }
  const isLong = texts.some((text) => /^(?:2[4-9]|[3-9]\d|\d{3,}):\d\d/.test(text.trim()));
  if (isLong || /duration|length$|runtime|elapsed|took/i.test(name)) yield { duration: 'clock' };
}

const reads = (decoding: Decoding, text: string): boolean => {
  const made = decoder(decoding);
  return made.ok && made.value(text).ok;
};

/** Whether commas stand before three digits in all that have them, which would be odd for fractions. */
function areGrouped(texts: readonly string[]): boolean {
  const withComma = texts.filter((text) => text.includes(','));
  return (
    withComma.length > 1 &&
    withComma.every((text) => /^\D*[1-9]\d{0,2}(?:,\d{3})+(?:\.\d+)?\D*$/.test(text))
  );
}

/** A percent sign, the sign of a currency or its code, if it stands beside every number. */
function unitOf(texts: readonly string[]): string | undefined {
  const [first] = texts;
  const found = /%|\p{Sc}|^[A-Z]{3}(?=\s?[-\d(])|(?<=\d\)?\s?)[A-Z]{3}$/u.exec(
    first?.trim() ?? '',
  )?.[0];
  if (found === undefined) return undefined;
  if (/^[A-Z]{3}$/.test(found) && !currencies.has(found)) return undefined;
  return texts.every((text) => text.includes(found)) ? found : undefined;
}

/** ISO 4217, as far as this engine knows it. */
const currencies = new Set(Intl.supportedValuesOf('currency'));

const asNumbers = (values: readonly number[]): Proposal =>
  tried(values.every(Number.isInteger) ? { decimal: '.', whole: true } : { decimal: '.' }, values);

/** Numbers that are dates: counted since 1970, or written as eight digits. */
function fromNumbers(name: string, values: readonly number[]): Proposal[] {
  const days = tried({ pattern: 'yyyyMMdd' }, values);
  const isDay = /date|day|(?:^|[_ a-z])(?:on|since|until)$/i.test(name) && days.fits === days.of;
  return isDay ? [days] : epochs(name, values);
}

/** Whole numbers of a size that dates around now have, in a field whose name speaks of time. */
function epochs(name: string, values: readonly Json[]): Proposal[] {
  if (!/date|time|stamp|epoch|(?:^|[_ a-z])(?:at|on|since|until)$/i.test(name)) return [];
  const isWithin = (min: number, max: number) =>
    values.every((value) => typeof value === 'number' && value >= min && value <= max);
  const all = { fits: values.length, of: values.length };
  if (isWithin(3e8, 5e9)) return [{ decoding: { epoch: 'seconds' }, ...all }];
  return isWithin(3e11, 5e12) ? [{ decoding: { epoch: 'milliseconds' }, ...all }] : [];
}

function tried(decoding: Decoding, values: readonly Json[]): Proposal {
  const made = decoder(decoding);
  const fits = made.ok ? values.filter((value) => made.value(value).ok).length : 0;
  return { decoding, fits, of: values.length };
}
