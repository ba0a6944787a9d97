import type { Compare } from '../order/letters';

/** What of a value tells sections apart: all of it; the calendar part of a date; the first letter of a text. */
export const sectionParts = ['day', 'week', 'month', 'year', 'letter'] as const;
export type SectionPart = (typeof sectionParts)[number];

/** Where sections stand: by what they have in common, or where the first of their items does. */
export type SectionOrder = 'descending' | 'as they come';

/** Which section each item is of. */
export interface SectionTable {
  readonly sectionOfItem: Int32Array;
  /** One for each section, in order. */
  readonly keys: readonly string[];
  /** In words, as the reader has them; undefined: its items have no value. */
  readonly names: readonly (string | undefined)[];
}

export interface SectionTask {
  /** What each item is put together by; undefined: it has none. */
  readonly values: readonly unknown[];
  readonly part?: SectionPart | undefined;
  readonly order?: SectionOrder | undefined;
  /** Positions of items as they stand; undefined: as they came. */
  readonly items?: Int32Array | undefined;
  readonly locale: string;
}

/** Items by what they have in common. Those without a value are together, after all others. */
export function sectionTable({ values, part, order, items, locale }: SectionTask): SectionTable {
  const keyOf = keysBy(part, locale);
  const found = new Map<string, number>();
  const ofItems = new Int32Array(values.length);
  for (let at = 0; at < values.length; at += 1) {
    const item = items === undefined ? at : (items[at] ?? 0);
    const key = keyOf(values[item]);
    const known = found.get(key);
    if (known === undefined) found.set(key, found.size);
    ofItems[item] = known ?? found.size - 1;
  }
  const seen = [...found.keys()];
  const keys = order === 'as they come' ? missingLast(seen) : sorted(seen, part, order, locale);
  const places = new Map(keys.map((key, place) => [key, place]));
  const placeOf = Int32Array.from(seen, (key) => places.get(key) ?? 0);
  const nameOf = namesOf(part, locale);
  return {
    sectionOfItem: ofItems.map((section) => placeOf[section] ?? 0),
    keys,
    names: keys.map((key) => (key === '' ? undefined : nameOf(key))),
  };
}

/** The first of a source's items among those of all. */
export interface SourceStart {
  readonly id: string;
  readonly name: string;
  readonly start: number;
}

/** A section for each source, as they come; those without items, too. */
export function sectionsBySource(itemCount: number, starts: readonly SourceStart[]): SectionTable {
  const sectionOfItem = new Int32Array(itemCount);
  for (const [section, { start }] of starts.entries()) sectionOfItem.fill(section, start);
  return {
    sectionOfItem,
    keys: starts.map(({ id }) => id),
    names: starts.map(({ name }) => name),
  };
}

const missingLast = (keys: readonly string[]): readonly string[] =>
  keys.toSorted((one, other) => Number(one === '') - Number(other === ''));

function sorted(
  keys: readonly string[],
  part: SectionPart | undefined,
  order: SectionOrder | undefined,
  locale: string,
): readonly string[] {
  // Numbers and the days of a calendar stand as they count, texts as the reader has them.
  const { compare } = new Intl.Collator(locale, { numeric: true });
  const byValue: Compare = (one, other) => {
    const difference = part === undefined ? Number(one) - Number(other) : Number.NaN;
    return Number.isNaN(difference) ? compare(one, other) : difference;
  };
  // What is no letter comes after all letters.
  const isOther = (key: string) => part === 'letter' && key === noLetter;
  const way = order === 'descending' ? -1 : 1;
  return missingLast(
    keys.toSorted(
      (one, other) => Number(isOther(one)) - Number(isOther(other)) || way * byValue(one, other),
    ),
  );
}

const noLetter = '#';
/** A date, alone or before a time: its day as it is written, in whatever zone it says. */
const day = /^\d{4}-\d{2}-\d{2}/;

/** Gives the key of a value; '' where it has none. */
function keysBy(part: SectionPart | undefined, locale: string): (value: unknown) => string {
  if (part === undefined) return plainKey;
  if (part === 'letter') return letterKeys(locale);
  const weekStart = part === 'week' ? firstDayOfWeek(locale) : 0;
  return (value) => {
    const date = typeof value === 'string' ? day.exec(value)?.[0] : undefined;
    if (date === undefined) return '';
    if (part === 'week') return startOfWeek(date, weekStart);
    return date.slice(0, { day: 10, month: 7, year: 4 }[part]);
  };
}

const plainKey = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
    ? String(value)
    : '';

/** First letters as the reader's collation tells them apart: é is e in English, å is no a in Swedish. */
function letterKeys(locale: string): (value: unknown) => string {
  const { compare } = new Intl.Collator(locale, { sensitivity: 'base', usage: 'search' });
  const graphemes = new Intl.Segmenter(locale);
  const known = new Map<string, string>();
  const keys: string[] = [];
  const keyOf = (letter: string): string => {
    if (!/^\p{L}/u.test(letter)) return noLetter;
    const base = letter.normalize('NFD').replace(/\p{M}+/gu, '');
    const own = [base, letter].map((each) => each.toLocaleUpperCase(locale));
    const like = keys.find((key) => own.some((each) => compare(key, each) === 0));
    if (like !== undefined) return like;
    const [first = '', second = ''] = own;
    const made = compare(first, second) === 0 ? first : second;
    keys.push(made);
    return made;
  };
  return (value) => {
    if (typeof value !== 'string') return plainKey(value) === '' ? '' : noLetter;
    const text = value.trimStart();
    if (text === '') return '';
    const start = text.slice(0, 16);
    const [first] = graphemes.segment(start);
    const letter = first?.segment ?? start;
    const before = known.get(letter);
    if (before !== undefined) return before;
    const key = keyOf(letter);
    known.set(letter, key);
    return key;
  };
}

const msADay = 86_400_000;

/** The first day of the week that a date is in, as ISO 8601; `firstDay`: 1 for Monday, 7 for Sunday. */
function startOfWeek(date: string, firstDay: number): string {
  const at = Date.parse(`${date}T00:00:00Z`);
  if (Number.isNaN(at)) return '';
  const weekday = new Date(at).getUTCDay();
  const past = (weekday - (firstDay % 7) + 7) % 7;
  return new Date(at - past * msADay).toISOString().slice(0, 10);
}

/** CLDR's first day of the week for a locale's region; engines name it in one of two ways. */
function firstDayOfWeek(locale: string): number {
  const own: object = new Intl.Locale(locale);
  const info =
    'getWeekInfo' in own && typeof own.getWeekInfo === 'function'
      ? own.getWeekInfo()
      : 'weekInfo' in own && own.weekInfo;
  const firstDay =
    typeof info === 'object' && info !== null && 'firstDay' in info ? info.firstDay : undefined;
  return typeof firstDay === 'number' ? firstDay : 1;
}

/** Gives a key in the reader's words. */
function namesOf(part: SectionPart | undefined, locale: string): (key: string) => string {
  if (part === undefined || part === 'letter') return (key) => key;
  const format = new Intl.DateTimeFormat(locale, { ...dateParts[part], timeZone: 'UTC' });
  return (key) => {
    // A year and a month are dates, too: ISO 8601, of their first day.
    const at = new Date(key);
    if (Number.isNaN(at.getTime())) return key;
    return part === 'week'
      ? format.formatRange(at, new Date(at.getTime() + 6 * msADay))
      : format.format(at);
  };
}

const dateParts = {
  day: { dateStyle: 'full' },
  week: { day: 'numeric', month: 'short', year: 'numeric' },
  month: { month: 'long', year: 'numeric' },
  year: { year: 'numeric' },
} as const;
