import {
  durationOfSeconds,
  failed,
  type Json,
  keepsDigits,
  ok,
  type Result,
  secondsOfDuration,
} from '../../base';
import type { Decoding, ScalarName } from '../../values';
import { dateNames } from './names';
import { datePattern, isoOfEpoch } from './pattern';

/** A value as it was read, decoded; or why it can't be, in words that follow "is". */
export type Decode = (raw: Json) => Result<Json, string>;

/** A decoding made ready; the error says what is wrong with the decoding itself. */
export function decoder(decoding: Decoding): Result<Decode, string> {
  const { none = [] } = decoding;
  const made = plainDecoder(decoding);
  if (none.length === 0 || !made.ok) return made;
  const { value: decode } = made;
  return ok((raw) =>
    typeof raw === 'string' && none.includes(raw.trim()) ? ok(null) : decode(raw),
  );
}

function plainDecoder(decoding: Decoding): Result<Decode, string> {
  if ('pattern' in decoding) return byPattern(decoding.pattern, decoding.locale ?? 'en');
  if ('epoch' in decoding) return ok(byEpoch(decoding.epoch === 'seconds' ? 1_000 : 1));
  if ('duration' in decoding) return ok(byDuration(decoding.duration));
  if ('decimal' in decoding) return ok(byDecimalSign(decoding));
  return ok(byWords(decoding.yes, decoding.no));
}

/** Whether there is anything to decode: an empty text says that there is no value. */
export const isThere = (raw: Json | undefined): raw is NonNullable<Json> =>
  raw !== undefined && raw !== null && (typeof raw !== 'string' || raw.trim() !== '');

/** The type that a decoding gives; undefined: its pattern can't be read. */
export function typeDecoded(decoding: Decoding): ScalarName | undefined {
  if ('pattern' in decoding) {
    const pattern = datePattern(decoding.pattern, dateNames(decoding.locale ?? 'en'));
    return pattern.ok ? pattern.value.gives : undefined;
  }
  if ('epoch' in decoding) return 'datetime';
  if ('duration' in decoding) return 'duration';
  if (!('decimal' in decoding)) return 'boolean';
  return decoding.whole === true ? 'integer' : 'number';
}

/** A decoding as people read it: `yyyy-MM-dd`, `seconds since 1970`. */
export function decodingInWords(decoding: Decoding): string {
  const { none = [] } = decoding;
  const words = plainlyInWords(decoding);
  return none.length === 0 ? words : `${words}, ${none.join(' or ')} for none`;
}

function plainlyInWords(decoding: Decoding): string {
  if ('pattern' in decoding) {
    return decoding.locale === undefined
      ? decoding.pattern
      : `${decoding.pattern} (${decoding.locale})`;
  }
  if ('epoch' in decoding) return `${decoding.epoch} since 1970`;
  if ('duration' in decoding) return durationInWords[decoding.duration];
  if ('decimal' in decoding) {
    const { decimal, whole, unit } = decoding;
    const words = whole ? 'whole number' : `decimal ${decimal === ',' ? 'comma' : 'point'}`;
    return unit === undefined ? words : `${words} with ${unit}`;
  }
  return `${decoding.yes[0] ?? '?'} or ${decoding.no[0] ?? '?'}`;
}

function byPattern(pattern: string, locale: string): Result<Decode, string> {
  const made = datePattern(pattern, dateNames(locale));
  if (!made.ok) return made;
  const { read } = made.value;
  return ok((raw) =>
    typeof raw === 'string' || typeof raw === 'number' ? read(String(raw)) : notPlain,
  );
}

/** The years that `Date` can hold (ECMA-262, 21.4.1.1). */
const maxMilliseconds = 8.64e15;

function byEpoch(millisecondsEach: number): Decode {
  return (raw) => {
    const count = typeof raw === 'string' && /^-?\d+(?:\.\d+)?$/.test(raw) ? Number(raw) : raw;
    if (typeof count !== 'number') return failed('not a number');
    const milliseconds = count * millisecondsEach;
    return Math.abs(milliseconds) <= maxMilliseconds
      ? ok(isoOfEpoch(Math.round(milliseconds)))
      : failed('beyond the years that a date can have');
  };
}

type Durations = Extract<Decoding, { readonly duration: string }>['duration'];

const durationInWords: Readonly<Record<Durations, string>> = {
  iso: 'P1DT2H3M',
  clock: 'hours:minutes:seconds',
  milliseconds: 'milliseconds it takes',
  seconds: 'seconds it takes',
  minutes: 'minutes it takes',
  hours: 'hours it takes',
};

const secondsEach = { milliseconds: 0.001, seconds: 1, minutes: 60, hours: 3_600 } as const;

function byDuration(of: Durations): Decode {
  return (raw) => {
    if (typeof raw === 'string' && !Number.isNaN(secondsOfDuration(raw))) return ok(raw);
    if (of === 'iso') return failed('no duration such as PT1H30M');
    if (of === 'clock') return clock(raw);
    const amount = typeof raw === 'string' && /^-?\d+(?:\.\d+)?$/.test(raw) ? Number(raw) : raw;
    return typeof amount === 'number' && Number.isFinite(amount)
      ? ok(durationOfSeconds(amount * secondsEach[of]))
      : failed('not a number');
  };
}

function clock(raw: Json): Result<Json, string> {
  const match = /^(-)?(?:(\d+):)?(\d+):([0-5]\d(?:\.\d+)?)$/.exec(String(raw).trim());
  if (match === null) return failed('not minutes and seconds with : between');
  const [, sign, hours = '0', minutes, seconds] = match;
  const total = Number(hours) * 3_600 + Number(minutes) * 60 + Number(seconds);
  return ok(durationOfSeconds(sign === undefined ? total : -total));
}

function byDecimalSign({ decimal, whole, unit }: NumbersDecoded): Decode {
  const point = decimal === '.' ? '\\.' : ',';
  const group = decimal === '.' ? "[,' \u00a0\u202f]" : "[.' \u00a0\u202f]";
  const digits = `(?:[1-9]\\d{0,2}(?:${group}\\d{3})+|\\d+)(?:${point}\\d+)?|${point}\\d+`;
  const number = new RegExp(`^[+-]?(?:${digits})$`);
  const groups = new RegExp(group, 'g');
  return (raw) => {
    if (typeof raw === 'number') return whole && !Number.isInteger(raw) ? notWhole : ok(raw);
    if (typeof raw !== 'string') return notPlain;
    const text = withoutUnit(raw, unit)?.replace('\u2212', '-');
    if (text === undefined) return failed(`without ${unit}`);
    const inside = /^\((.+)\)$/.exec(text)?.[1];
    const signed = inside === undefined ? text : `-${inside.trim()}`;
    if (!number.test(signed)) return failed('not a number');
    const plain = signed.replace(groups, '').replace(',', '.');
    const value = Number(plain);
    if (!Number.isFinite(value)) return failed('too large for a number');
    if (!keepsDigits(plain.replace(/^\+/, '').replace(/^(-?)\./, '$10.')))
      return failed('of more digits than a number can hold');
    if (whole && !Number.isInteger(value)) return notWhole;
    return ok(unit === '%' ? hundredth(value) : value);
  };
}

type NumbersDecoded = Extract<Decoding, { readonly decimal: string }>;

const notWhole = failed('not a whole number');

/** Without what dividing leaves behind. */
const hundredth = (value: number): number => Number((value / 100).toPrecision(15));

/** Undefined: the unit stands at neither end. */
function withoutUnit(raw: string, unit: string | undefined): string | undefined {
  const text = raw.trim();
  if (unit === undefined) return text;
  const at = text.indexOf(unit);
  if (at < 0) return undefined;
  return `${text.slice(0, at).trim()}${text.slice(at + unit.length).trim()}`;
}

function byWords(yes: readonly string[], no: readonly string[]): Decode {
  const meanings = new Map<string, boolean>([
    ...no.map((word) => [word.toLowerCase(), false] as const),
    ...yes.map((word) => [word.toLowerCase(), true] as const),
  ]);
  return (raw) => {
    if (typeof raw === 'boolean') return ok(raw);
    if (typeof raw !== 'string' && typeof raw !== 'number') return notPlain;
    const meaning = meanings.get(String(raw).trim().toLowerCase());
    return meaning === undefined ? failed('neither of the words') : ok(meaning);
  };
}

const notPlain = failed('not a plain value');
