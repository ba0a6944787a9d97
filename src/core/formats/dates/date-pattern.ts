import { failed, ok, piecesOf, type Result, wordsOf } from '../../base';
import { dateFormat, numberFormat } from '../intl';

/** Writes moments by Unicode date fields. Standard: UTS 35, part 4, date field symbols. */
export interface DatePattern {
  write(milliseconds: number, zone: string): string;
}

type Field = (parts: Parts) => string;

interface Parts {
  readonly year: number;
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
  readonly second: number;
  readonly millisecond: number;
  /** Sunday is 0. */
  readonly weekday: number;
  readonly zone: string;
  readonly milliseconds: number;
}

export function datePattern(pattern: string, locale: string): Result<DatePattern, string> {
  const fields: Field[] = [];
  for (const piece of piecesOf(pattern)) {
    const field =
      'literal' in piece ? () => piece.literal : fieldOf(piece.letter, piece.length, locale);
    if (field === undefined) return failed(`“${wordsOf(piece)}” is no field that can be written`);
    fields.push(field);
  }
  return ok({
    write: (milliseconds, zone) => {
      const parts = partsOf(milliseconds, zone);
      return fields.map((field) => field(parts)).join('');
    },
  });
}

function fieldOf(letter: string, length: number, locale: string): Field | undefined {
  const digits = digitsIn(locale);
  const number = (pick: (parts: Parts) => number): Field | undefined =>
    length > 2 ? undefined : (parts) => digits(pick(parts), length);
  const named =
    (options: Intl.DateTimeFormatOptions, type: Intl.DateTimeFormatPartTypes): Field =>
    (parts) =>
      partNamed(locale, options, type, parts);
  const width = nameWidth[length];
  switch (letter) {
    case 'y':
    case 'u':
      if (length === 2) return ({ year }) => digits(((year % 100) + 100) % 100, 2);
      return ({ year }) => (year < 0 ? '-' : '') + digits(Math.abs(year), length);
    case 'Q':
    case 'q':
      return number(({ month }) => Math.floor((month + 2) / 3));
    case 'M':
      if (length <= 2) return number(({ month }) => month);
      return width && named({ day: 'numeric', month: width }, 'month');
    case 'L':
      if (length <= 2) return number(({ month }) => month);
      return width && named({ month: width }, 'month');
    case 'd':
      return number(({ day }) => day);
    case 'D':
      return ({ year, month, day }) => {
        const from = Date.UTC(year, 0, 0);
        return digits(Math.round((Date.UTC(year, month - 1, day) - from) / 86_400_000), length);
      };
    case 'E':
      if (length > 5) return undefined;
      return named({ weekday: width ?? 'short' }, 'weekday');
    case 'c':
    case 'e':
      return width && named({ weekday: width }, 'weekday');
    case 'a':
      return named({ hour: 'numeric', hour12: true }, 'dayPeriod');
    case 'H':
      return number(({ hour }) => hour);
    case 'h':
      return number(({ hour }) => hour % 12 || 12);
    case 'K':
      return number(({ hour }) => hour % 12);
    case 'k':
      return number(({ hour }) => hour || 24);
    case 'm':
      return number(({ minute }) => minute);
    case 's':
      return number(({ second }) => second);
    case 'S':
      return ({ millisecond }) => digits(Math.floor((millisecond / 1_000) * 10 ** length), length);
    case 'z':
      return named(
        { hour: 'numeric', timeZoneName: length < 4 ? 'short' : 'long' },
        'timeZoneName',
      );
    case 'Z':
    case 'x':
    case 'X':
      return (parts) => offsetOf(parts, letter, length);
    default:
      return undefined;
  }
}

const nameWidth: Readonly<Record<number, 'short' | 'long' | 'narrow'>> = {
  3: 'short',
  4: 'long',
  5: 'narrow',
};

/** Digits as the locale writes them, filled up with its zero. */
function digitsIn(locale: string): (value: number, min: number) => string {
  return (value, min) =>
    numberFormat(locale, {
      useGrouping: false,
      minimumIntegerDigits: Math.min(21, Math.max(1, min)),
      maximumFractionDigits: 0,
    }).format(value);
}

function partNamed(
  locale: string,
  options: Intl.DateTimeFormatOptions,
  type: Intl.DateTimeFormatPartTypes,
  { milliseconds, zone }: Parts,
): string {
  const format = dateFormat(locale, { ...options, timeZone: zone });
  return format.formatToParts(milliseconds).find((part) => part.type === type)?.value ?? '';
}

function partsOf(milliseconds: number, zone: string): Parts {
  const shift = zone === 'UTC' ? 0 : offsetMs(milliseconds, zone);
  const date = new Date(milliseconds + shift);
  return {
    year: date.getUTCFullYear(),
    month: date.getUTCMonth() + 1,
    day: date.getUTCDate(),
    hour: date.getUTCHours(),
    minute: date.getUTCMinutes(),
    second: date.getUTCSeconds(),
    millisecond: date.getUTCMilliseconds(),
    weekday: date.getUTCDay(),
    zone,
    milliseconds,
  };
}

/** How far a zone's clocks are ahead of UTC at a moment. */
function offsetMs(milliseconds: number, zone: string): number {
  const fields = dateFormat('en-u-ca-gregory-nu-latn', {
    timeZone: zone,
    hourCycle: 'h23',
    era: 'short',
    year: 'numeric',
    month: 'numeric',
    day: 'numeric',
    hour: 'numeric',
    minute: 'numeric',
    second: 'numeric',
  }).formatToParts(milliseconds);
  const of = (type: string) => Number(fields.find((part) => part.type === type)?.value ?? 0);
  const isBefore = fields.some((part) => part.type === 'era' && part.value === 'BC');
  const date = new Date(0);
  date.setUTCFullYear(isBefore ? 1 - of('year') : of('year'), of('month') - 1, of('day'));
  date.setUTCHours(of('hour'), of('minute'), of('second'));
  return date.getTime() - Math.floor(milliseconds / 1_000) * 1_000;
}

function offsetOf({ milliseconds, zone }: Parts, letter: string, length: number): string {
  const minutes = Math.round((zone === 'UTC' ? 0 : offsetMs(milliseconds, zone)) / 60_000);
  const hasZ = letter === 'X' || (letter === 'Z' && length === 5);
  if (hasZ && minutes === 0) return 'Z';
  const size = Math.abs(minutes);
  const [hours, rest] = [Math.floor(size / 60), size % 60].map((each) =>
    String(each).padStart(2, '0'),
  );
  const sign = minutes < 0 ? '-' : '+';
  if (letter !== 'Z' && length === 1) return `${sign}${hours}${rest === '00' ? '' : rest}`;
  if (letter === 'Z' && length === 4) return minutes === 0 ? 'GMT' : `GMT${sign}${hours}:${rest}`;
  const hasColon = letter === 'Z' ? length === 5 : length === 3 || length === 5;
  return `${sign}${hours}${hasColon ? ':' : ''}${rest}`;
}
