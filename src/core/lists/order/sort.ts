import { type Compare, placesOfTexts } from './text-order';

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

/** Values as numbers in their order: texts in that of the locale, dates and times (`areTimes`) by when they are. */
export function placesOf(
  values: readonly unknown[],
  areTimes: boolean,
  compare: Compare,
): Float64Array {
  if (areTimes) return placesOfTexts(values.map(textOf), byLetters);
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
  const order = Int32Array.from({ length: itemCount }, (_, item) => item);
  return order.sort((one, other) => {
    for (const column of columns) {
      const difference = differenceIn(column, one, other);
      if (difference !== 0) return difference;
    }
    return one - other;
  });
}

function differenceIn(
  { places, isDescending, isMissingFirst }: SortColumn,
  one: number,
  other: number,
): number {
  const [a, b] = [places[one] ?? Number.NaN, places[other] ?? Number.NaN];
  if (Number.isNaN(a) || Number.isNaN(b)) {
    if (Number.isNaN(a) === Number.isNaN(b)) return 0;
    return Number.isNaN(a) === isMissingFirst ? -1 : 1;
  }
  return isDescending ? b - a : a - b;
}
