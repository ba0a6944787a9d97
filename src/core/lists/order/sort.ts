import { secondsOfDuration } from '../../base';
import type { Compare } from './letters';
import { placesOfTexts } from './text-order';

/** By what items are sorted: an expression, and which way. */
export interface SortKey {
  readonly by: string;
  readonly descending?: true;
  /** Where items without a value stand; usually last. */
  readonly missing?: 'first';
}

/** What items are sorted by, as numbers: one for each item, NaN where it has none. */
export interface SortColumn {
  readonly places: Float64Array;
  readonly isDescending: boolean;
  readonly isMissingFirst: boolean;
}

/** The values that one key of an order gives. `type`: the name of their type. */
export const sortColumn = (
  values: readonly unknown[],
  type: string | undefined,
  { descending, missing }: Pick<SortKey, 'descending' | 'missing'>,
  compare: Compare,
): SortColumn => ({
  places: placesOf(values, kindOf(type), compare),
  isDescending: descending === true,
  isMissingFirst: missing === 'first',
});

const kindOf = (type: string | undefined) =>
  type === 'duration' ? 'durations' : times.has(type ?? '') ? 'times' : 'other';

const times = new Set(['date', 'datetime', 'time']);

/** Values as numbers in their order: texts in that of the locale, dates and times by when they are, durations by how long. */
export function placesOf(
  values: readonly unknown[],
  kind: 'times' | 'durations' | 'other',
  compare: Compare,
): Float64Array {
  if (kind === 'times') return placesOfTexts(values.map(textOf), byLetters);
  if (kind === 'durations')
    return Float64Array.from(values, (value) => secondsOfDuration(textOf(value) ?? ''));
  const areTexts = values.some((value) => typeof value === 'string');
  return areTexts
    ? placesOfTexts(values.map(textOf), compare)
    : Float64Array.from(values, numberOf);
}

/** ISO 8601 sorts so. */
const byLetters: Compare = (one, other) => (one < other ? -1 : one > other ? 1 : 0);

const textOf = (value: unknown): string | undefined =>
  typeof value === 'string' ? value : typeof value === 'number' ? String(value) : undefined;

/** No before yes; lists by how many they hold. */
function numberOf(value: unknown): number {
  if (typeof value === 'number') return value;
  if (typeof value === 'boolean') return Number(value);
  return Array.isArray(value) ? value.length : Number.NaN;
}

/** Positions of items in order: by the first column, where that is the same by the next; last as they came. */
export function sortedBy(itemCount: number, columns: readonly SortColumn[]): Int32Array {
  // From the column that counts least to the one that counts most, each keeps what was before.
  const asTheyCame = new Int32Array(itemCount);
  for (let item = 0; item < itemCount; item += 1) asTheyCame[item] = item;
  return columns.reduceRight(sortedByOne, asTheyCame);
}

/** The same items sorted by one column, those at the same place as they stood: counted, not compared. */
function sortedByOne(before: Int32Array, column: SortColumn): Int32Array {
  const ranks = ranksOf(column);
  const starts = new Int32Array(ranks.count + 1);
  for (const item of before) {
    const next = (ranks.of[item] ?? 0) + 1;
    starts[next] = (starts[next] ?? 0) + 1;
  }
  for (let rank = 1; rank < starts.length; rank += 1)
    starts[rank] = (starts[rank] ?? 0) + (starts[rank - 1] ?? 0);
  const order = new Int32Array(before.length);
  for (const item of before) {
    const rank = ranks.of[item] ?? 0;
    const at = starts[rank] ?? 0;
    order[at] = item;
    starts[rank] = at + 1;
  }
  return order;
}

/** For each item which of the places it stands at, from 0, in the column's way. */
function ranksOf({ places, isDescending, isMissingFirst }: SortColumn) {
  const { rankOf, count } = places.every(isPlace) ? asTheyAre(places) : amongDistinct(places);
  const shift = isMissingFirst ? 1 : 0;
  const missing = isMissingFirst ? 0 : count;
  const of = new Int32Array(places.length);
  for (let item = 0; item < of.length; item += 1) {
    const place = places[item] ?? Number.NaN;
    of[item] = missing;
    if (Number.isNaN(place)) continue;
    const rank = rankOf(place);
    of[item] = (isDescending ? count - 1 - rank : rank) + shift;
  }
  return { of, count: count + 1 };
}

/** Small whole numbers, such as places of texts, count as they are. */
const isPlace = (place: number, _: number, { length }: Float64Array): boolean =>
  Number.isNaN(place) || (Number.isInteger(place) && place >= 0 && place < length);

const asTheyAre = ({ length }: Float64Array) => ({
  rankOf: (place: number) => place,
  count: length,
});

function amongDistinct(places: Float64Array) {
  const distinct = Float64Array.from(new Set(places.filter((place) => !Number.isNaN(place))));
  distinct.sort();
  const known = new Map(Array.from(distinct, (place, rank) => [place, rank]));
  return { rankOf: (place: number) => known.get(place) ?? 0, count: distinct.length };
}
