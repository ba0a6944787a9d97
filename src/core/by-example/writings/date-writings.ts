import { datePattern, type Format } from '../../formats';
import { instantOf } from '../../values';
import { type Folded, folded, isBoundary, isDigit, typedOf } from '../fold';
import type { Wanted } from '../wanted';
import { byFormat, type Writing } from './writing';

const styles = ['medium', 'short', 'long', 'full'] as const;

/** Ways to write a date, a moment or a time that may stand in the typed text. */
export function dateWritings(value: string, wanted: Wanted): Writing[] {
  const { locale, fields, now } = wanted;
  const by = (format: Format, cost: number) => byFormat(format, cost, { locale, fields }, true);
  const isTime = /^\d\d:\d\d/.test(value);
  const hasTime = value.length > 10;
  const base = hasTime ? 0.5 : 0.2;
  const dates = isTime ? [] : styles.map((date, at) => by({ as: 'date', date }, base + at * 0.2));
  const times =
    isTime || hasTime
      ? (['short', 'medium'] as const).map((time, at) => by({ as: 'date', time }, 0.4 + at * 0.3))
      : [];
  const both =
    hasTime && !isTime
      ? styles.flatMap((date, at) =>
          (['short', 'medium'] as const).map((time, more) =>
            by({ as: 'date', date, time }, 0.4 + at * 0.2 + more * 0.3),
          ),
        )
      : [];
  const relative =
    now === undefined || isTime
      ? []
      : (['long', 'short', 'narrow'] as const).flatMap((width, at) => {
          const format = { as: 'relative', ...(width !== 'long' && { width }) } as const;
          return [by(format, 0.4 + at * 0.4), by({ ...format, unit: 'day' }, 0.8 + at * 0.4)];
        });
  const patterns = [...patternsIn(value, wanted)].map(({ pattern, cost }) =>
    by({ as: 'date', pattern }, cost + base),
  );
  return [...dates, ...times, ...both, ...relative, ...patterns];
}

/** Date fields (UTS 35) that patterns are made of; names before numbers, and long before short. */
const tokens: readonly (readonly [letters: string, kind: string])[] = [
  ['EEEE', 'weekday'],
  ['EEE', 'weekday'],
  ['MMMM', 'month'],
  ['LLLL', 'month'],
  ['MMM', 'month'],
  ['LLL', 'month'],
  ['MM', 'month'],
  ['M', 'month'],
  ['yyyy', 'year'],
  ['yy', 'year'],
  ['dd', 'day'],
  ['d', 'day'],
  ['HH', 'hour'],
  ['H', 'hour'],
  ['hh', 'hour'],
  ['h', 'hour'],
  ['mm', 'minute'],
  ['ss', 'second'],
  ['a', 'half'],
];

interface Pattern {
  readonly pattern: string;
  readonly cost: number;
}

const maxPatterns = 60;
const maxFields = 6;

/** Patterns that give a stretch of the typed text: field after field from each start of a word. */
function* patternsIn(
  value: string,
  { words: typed, text, locale }: Wanted,
): Generator<Pattern, void> {
  const isTime = /^\d\d:\d\d/.test(value);
  const at = isTime ? Date.parse(`1970-01-01T${value}Z`) : instantOf(value);
  if (Number.isNaN(at)) return;
  const hasTime = isTime || value.length > 10;
  const rendered = tokens.flatMap(([letters, kind]) => {
    const isOfTime = ['hour', 'minute', 'second', 'half'].includes(kind);
    if (isOfTime ? !hasTime : isTime) return [];
    const made = datePattern(letters, locale);
    return made.ok ? [{ letters, kind, words: folded(made.value.write(at, 'UTC')) }] : [];
  });
  const found = new Set<string>();
  function* from(
    place: number,
    pattern: string,
    kinds: readonly string[],
  ): Generator<Pattern, void> {
    if (
      kinds.length > 0 &&
      isPattern(kinds) &&
      ends(text, place) &&
      !found.has(pattern) &&
      found.size < maxPatterns
    ) {
      found.add(pattern);
      yield { pattern, cost: costOf(pattern, kinds) };
    }
    if (kinds.length >= maxFields) return;
    for (const { end, literal } of kinds.length === 0
      ? [{ end: place, literal: '' }]
      : separators(typed, place))
      for (const { letters, kind, words } of rendered) {
        if (words === '' || kinds.includes(kind) || !text.startsWith(words, end)) continue;
        if (isDigit(words[0]) && isDigit(text[end - 1])) continue;
        // Fields of one width only: 3 stands for d and for M, but 03 is not d.
        yield* from(end + words.length, `${pattern}${literal}${letters}`, [...kinds, kind]);
      }
  }
  for (let place = 0; place < text.length; place += 1)
    if (isBoundary(text, place) && !(isDigit(text[place]) && isDigit(text[place - 1])))
      yield* from(place, '', []);
}

const ends = (text: string, at: number): boolean =>
  isDigit(text[at - 1]) ? !isDigit(text[at]) : isBoundary(text, at);

/** One field alone is a year, a month or a day of the week, or the hour and minute. */
function isPattern(kinds: readonly string[]): boolean {
  if (kinds.includes('minute') || kinds.includes('half')) return kinds.includes('hour');
  return kinds.length > 1 || !['hour', 'second'].includes(kinds[0] ?? '');
}

function costOf(pattern: string, kinds: readonly string[]): number {
  const isAlone = kinds.length > 1 ? 0 : /^(?:MMM|LLL|EEE|yyyy)/.test(pattern) ? 0.5 : 2.5;
  // Whole dates are likelier than parts of them; odd orders and mixed widths less.
  const isWhole = ['year', 'month', 'day'].every((kind) => kinds.includes(kind));
  const isOdd = /LLL/.test(pattern) ? 0.4 : 0;
  return (
    (isWhole ? 1.4 : 1.2) + isAlone + isOdd + (/(?:^|[^d])d(?:[^d]|$)/.test(pattern) ? 0 : 0.05)
  );
}

/** What can stand between two fields: signs, spaces, and short words between spaces. */
function* separators(
  words: Folded,
  from: number,
): Generator<{ readonly end: number; readonly literal: string }, void> {
  const { text } = words;
  yield { end: from, literal: '' };
  const between = /^(?:[^\p{L}\p{N}]{1,3}|[^\p{L}\p{N}]{0,2}[\p{L}]{1,3}[^\p{L}\p{N}]{0,2})/u.exec(
    text.slice(from),
  );
  if (between === null) return;
  const [whole] = between;
  // A literal that goes on with a word belongs to it.
  if (!isBoundary(text, from)) return;
  for (let length = 1; length <= whole.length; length += 1) {
    const own = typedOf(words, { from, to: from + length });
    const literal = /[\p{L}']/u.test(own) ? `'${own.replaceAll("'", "''")}'` : own;
    yield { end: from + length, literal };
  }
}
