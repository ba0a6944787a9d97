import { failed, ok, piecesOf, type Result, wordsOf } from '../../base';

/**
 * Unicode date patterns (UTS 35, part 4, date field symbols) read into texts: `d MMM yyyy`,
 * `yyyy-MM-dd'T'HH:mm:ss`. Times without a zone stay local; with one they become UTC.
 */

/** What was read of a date, as numbers; what the pattern does not name stays undefined. */
interface Parts {
  year?: number;
  month?: number;
  day?: number;
  hour?: number;
  hour12?: number;
  isAfternoon?: boolean;
  minute?: number;
  second?: number;
  milliseconds?: number;
  zoneMinutes?: number;
}

/** Reads one element of a pattern at an offset; the offset after it, or -1 where it does not stand. */
type Step = (text: string, at: number, parts: Parts) => number;

export interface DatePattern {
  /** What the pattern yields, by the fields that it names. */
  readonly gives: 'date' | 'time' | 'datetime';
  /** ISO 8601 text, or why the text is not of the pattern. */
  read(text: string): Result<string, string>;
}

/** Names of months and halves of the day, as people of a locale write them. */
export interface DateNames {
  readonly months: readonly (readonly string[])[];
  readonly halves: readonly [readonly string[], readonly string[]];
}

/** Makes a pattern ready; the error says which letter is no field that can be read. */
export function datePattern(pattern: string, names: DateNames): Result<DatePattern, string> {
  const steps: Step[] = [];
  const fields = new Set<string>();
  for (const piece of piecesOf(pattern)) {
    if ('literal' in piece) {
      steps.push(literal(piece.literal));
      continue;
    }
    const step = fieldStep(piece.letter, piece.length, names);
    if (step === undefined) return failed(`“${wordsOf(piece)}” is no field that can be read`);
    fields.add(piece.letter);
    steps.push(step);
  }
  const hasDate = fields.has('y') || fields.has('u');
  const hasTime = fields.has('H') || fields.has('h') || fields.has('K') || fields.has('k');
  if (!hasDate && !hasTime) return failed('The pattern names neither a year nor an hour');
  if (hasDate && !(fields.has('M') || fields.has('L')))
    return failed('The pattern names no month (M)');
  const gives = hasDate ? (hasTime ? 'datetime' : 'date') : 'time';
  return ok({ gives, read: (text) => readWith(steps, gives, text) });
}

function readWith(
  steps: readonly Step[],
  gives: DatePattern['gives'],
  text: string,
): Result<string, string> {
  const parts: Parts = {};
  const trimmed = text.trim();
  let at = 0;
  for (const step of steps) {
    const next = step(trimmed, at, parts);
    if (next < 0) return failed(notAt(trimmed, at));
    at = next;
  }
  if (at < trimmed.length) return failed(`“${trimmed.slice(at, at + 12)}” is left over`);
  return isoText(parts, gives);
}

const notAt = (text: string, at: number): string =>
  at >= text.length ? 'it ends too soon' : `“${text.slice(at, at + 12)}” does not fit there`;

function isoText(parts: Parts, gives: DatePattern['gives']): Result<string, string> {
  const { year = 1970, month = 1, day = 1, minute = 0, second = 0, milliseconds = 0 } = parts;
  if (month < 1 || month > 12) return failed(`there is no month ${month}`);
  if (day < 1 || day > daysIn(year, month)) return failed(`there is no day ${day} in that month`);
  const hour = parts.hour ?? (parts.hour12 ?? 0) + (parts.isAfternoon === true ? 12 : 0);
  if (hour > 23) return failed(`there is no hour ${hour}`);
  if (minute > 59) return failed(`there is no minute ${minute}`);
  if (second > 59) return failed(`there is no second ${second}`);
  const time = `${two(hour)}:${two(minute)}:${two(second)}${milliseconds > 0 ? `.${three(milliseconds)}` : ''}`;
  if (gives === 'time') return ok(time);
  const date = `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}`;
  if (gives === 'date') return ok(date);
  if (parts.zoneMinutes === undefined) return ok(`${date}T${time}`);
  const utc = Date.UTC(
    year,
    month - 1,
    day,
    hour,
    minute - parts.zoneMinutes,
    second,
    milliseconds,
  );
  return ok(isoOfEpoch(utc));
}

/** The instant in UTC, without milliseconds where there are none. */
export const isoOfEpoch = (milliseconds: number): string =>
  new Date(milliseconds).toISOString().replace('.000Z', 'Z');

const two = (n: number): string => (n < 10 ? `0${n}` : String(n));
const three = (n: number): string => String(n).padStart(3, '0');

function daysIn(year: number, month: number): number {
  if (month === 2) return year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 29 : 28;
  return month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31;
}

function literal(expected: string): Step {
  return (text, at) => (text.startsWith(expected, at) ? at + expected.length : -1);
}

/** A number of so many digits; `set` may refuse it. */
function digits(
  min: number,
  max: number,
  set: (parts: Parts, value: number, length: number) => void,
): Step {
  return (text, at, parts) => {
    let end = at;
    let value = 0;
    while (end < text.length && end - at < max) {
      const digit = text.charCodeAt(end) - 48;
      if (digit < 0 || digit > 9) break;
      value = value * 10 + digit;
      end += 1;
    }
    if (end - at < min) return -1;
    set(parts, value, end - at);
    return end;
  };
}

function oneOf(
  names: readonly (readonly string[])[],
  set: (parts: Parts, index: number) => void,
): Step {
  const all = names
    .flatMap((words, index) => words.map((word) => ({ word: word.toLowerCase(), index })))
    .sort((a, b) => b.word.length - a.word.length);
  return (text, at, parts) => {
    const rest = text.slice(at, at + 24).toLowerCase();
    const found = all.find(({ word }) => rest.startsWith(word));
    if (found === undefined) return -1;
    set(parts, found.index);
    return at + found.word.length;
  };
}

const zone: Step = (text, at, parts) => {
  const found = /^(?:Z|UTC|GMT|([+-])(\d\d):?(\d\d)?)/.exec(text.slice(at, at + 6));
  if (found === null) return -1;
  const minutes = Number(found[2] ?? 0) * 60 + Number(found[3] ?? 0);
  parts.zoneMinutes = found[1] === '-' ? -minutes : minutes;
  return at + found[0].length;
};

const weekday: Step = (text, at) => {
  const word = /^\p{L}+\.?/u.exec(text.slice(at, at + 24));
  return word === null ? -1 : at + word[0].length;
};

/** Two digits stand for the years from 1950 to 2049, as UTS 35 lets an implementation choose. */
const shortYear = (year: number): number => (year < 50 ? 2000 + year : 1900 + year);

function fieldStep(letter: string, length: number, names: DateNames): Step | undefined {
  switch (letter) {
    case 'y':
    case 'u':
      return length === 2
        ? digits(2, 2, (parts, value) => (parts.year = shortYear(value)))
        : digits(length === 1 ? 1 : length, Math.max(4, length), (parts, value) => {
            parts.year = value;
          });
    case 'M':
    case 'L':
      return length > 2
        ? oneOf(names.months, (parts, index) => (parts.month = index + 1))
        : digits(length, 2, (parts, value) => (parts.month = value));
    case 'd':
      return digits(length, 2, (parts, value) => (parts.day = value));
    case 'H':
      return digits(length, 2, (parts, value) => (parts.hour = value));
    case 'h':
      return digits(length, 2, (parts, value) => (parts.hour12 = value % 12));
    case 'k':
      return digits(length, 2, (parts, value) => (parts.hour = value % 24));
    case 'K':
      return digits(length, 2, (parts, value) => (parts.hour12 = value));
    case 'm':
      return digits(length, 2, (parts, value) => (parts.minute = value));
    case 's':
      return digits(length, 2, (parts, value) => (parts.second = value));
    case 'S':
      return digits(length, Math.max(9, length), (parts, value, count) => {
        parts.milliseconds = Math.floor(value / 10 ** (count - 3));
      });
    case 'a':
    case 'b':
      return oneOf(names.halves, (parts, index) => (parts.isAfternoon = index === 1));
    case 'E':
    case 'c':
      return weekday;
    case 'X':
    case 'x':
    case 'Z':
      return zone;
    default:
      return undefined;
  }
}
