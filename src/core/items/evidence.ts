import { isRecord, type Json, ownReader, ownValue, type Turns } from '../base';
import type { ResultType, ValueType } from '../values';
import { type Beyond, type Bin, binsOf } from './bins';
import type { Item } from './item';

/** A value at one end of all, and the first item that has it. */
export interface Extreme {
  readonly value: Json;
  readonly item: number;
}

/** Numbers, milliseconds of dates, lengths of texts and lists. */
export type Measure = 'number' | 'date' | 'chars' | 'elements';

/** What is known of a field's values, over all items that were looked at. */
export interface Evidence {
  readonly itemCount: number;
  readonly presentCount: number;
  /** `null`, as against not there at all. */
  readonly nullCount: number;
  /** Empty texts and empty lists: there, but with nothing in them. */
  readonly emptyCount: number;
  readonly firstMissing: number;
  readonly distinctCount: number;
  /** False where there were too many values to tell all of them apart. */
  readonly isDistinctExact: boolean;
  /** The most frequent values, if any stands more than once. */
  readonly frequent: readonly { readonly value: Json; readonly count: number }[];
  /** What the bins and extremes measure. */
  readonly measure: Measure | undefined;
  readonly smallest: Extreme | undefined;
  readonly largest: Extreme | undefined;
  readonly bins: readonly Bin[];
  readonly beyond: Beyond;
}

const itemsATurn = 5_000;
const maxDistinct = 120_000;
/** Records and lists are told apart by their JSON, which is slow: only so many of them. */
const maxNested = 20_000;
const mostFrequent = 8;

/** Walks all items for one field; `path` goes through records. `kept`: only items that it lets through. */
export function* gatherEvidence(
  items: readonly Item[],
  path: readonly string[],
  type: ValueType,
  kept: (position: number) => boolean = () => true,
): Turns<Evidence> {
  // Where a value is counted: one look-up for each that repeats.
  const places = new Map<Json, number>();
  const counts = new Uint32Array(Math.min(items.length, maxDistinct));
  const measures = new Float64Array(items.length);
  const measure = measureOf(type);
  const read = pathReader(path);
  let measuredCount = 0;
  let itemCount = 0;
  let presentCount = 0;
  let nullCount = 0;
  let emptyCount = 0;
  let firstMissing = -1;
  let [isDistinctExact, isWhole] = [true, true];
  // Numbers are told apart after they are sorted, which is several times quicker.
  const isOfNumbers = measure === 'number';
  let smallest: { at: number; extreme: Extreme } | undefined;
  let largest: { at: number; extreme: Extreme } | undefined;
  for (let position = 0; position < items.length; position += 1) {
    if (position % itemsATurn === itemsATurn - 1) yield position / items.length;
    const item = items[position];
    if (item === undefined || !kept(position)) continue;
    itemCount += 1;
    const value = read(item);
    if (value === undefined || value === null) {
      if (value === null) nullCount += 1;
      if (firstMissing < 0) firstMissing = position;
      continue;
    }
    presentCount += 1;
    if (value === '' || (Array.isArray(value) && value.length === 0)) emptyCount += 1;
    if (typeof value === 'object' && presentCount > maxNested) isDistinctExact = false;
    else if (!isOfNumbers || typeof value !== 'number') {
      const told = typeof value === 'object' ? JSON.stringify(value) : value;
      const place = places.get(told);
      if (place !== undefined) counts[place] = (counts[place] ?? 0) + 1;
      else if (places.size < maxDistinct) {
        counts[places.size] = 1;
        places.set(told, places.size);
      } else isDistinctExact = false;
    }
    const at = measure === undefined ? Number.NaN : measured(measure, value);
    if (Number.isNaN(at)) continue;
    measures[measuredCount] = at;
    if (isWhole && Math.floor(at) !== at) isWhole = false;
    measuredCount += 1;
    if (smallest === undefined || at < smallest.at)
      smallest = { at, extreme: { value, item: position } };
    if (largest === undefined || at > largest.at)
      largest = { at, extreme: { value, item: position } };
  }
  const all = measures.subarray(0, measuredCount);
  const ends = { from: smallest?.at ?? 0, to: largest?.at ?? 0 };
  const numbers = isOfNumbers ? countedNumbers(all, ends, isWhole, items.length) : noNumbers;
  return {
    itemCount,
    presentCount,
    nullCount,
    emptyCount,
    firstMissing,
    distinctCount: numbers.distinctCount + places.size,
    isDistinctExact,
    frequent: frequentOf(places, counts, numbers.repeated),
    measure,
    smallest: smallest?.extreme,
    largest: largest?.extreme,
    ...binsOf(all, isWhole),
  };
}

/** Whole numbers close together are counted where they stand; sorting takes five times as long. */
function countedNumbers(
  all: Float64Array,
  { from, to }: { readonly from: number; readonly to: number },
  isWhole: boolean,
  itemCount: number,
) {
  const span = to - from;
  return isWhole && span <= 4 * itemCount ? countDense(all, from, span) : countNumbers(all.sort());
}

function pathReader([first, ...rest]: readonly string[]): (item: Item) => Json | undefined {
  if (first === undefined) return (item) => item;
  if (rest.length === 0) return ownReader(first);
  const inner = pathReader(rest);
  return (item) => {
    const record = ownValue(item, first);
    return isRecord(record) ? inner(record) : undefined;
  };
}

export function measureOf({ type }: ResultType): Measure | undefined {
  switch (type) {
    case 'number':
    case 'integer':
      return 'number';
    case 'date':
    case 'datetime':
      return 'date';
    case 'list':
      return 'elements';
    case 'boolean':
    case 'record':
    case 'unknown':
      return undefined;
    default:
      return 'chars';
  }
}

/** NaN where there is nothing to measure. */
export function measured(measure: Measure, value: Json): number {
  if (measure === 'number') return typeof value === 'number' ? value : Number.NaN;
  if (measure === 'elements') return Array.isArray(value) ? value.length : Number.NaN;
  if (typeof value === 'object') return Number.NaN;
  if (typeof value !== 'string') return measure === 'chars' ? String(value).length : Number.NaN;
  return measure === 'chars' ? value.length : Date.parse(value);
}

interface NumbersCounted {
  readonly distinctCount: number;
  /** Those that stand more than once. */
  readonly repeated: readonly { readonly value: number; readonly count: number }[];
}

const noNumbers: NumbersCounted = { distinctCount: 0, repeated: [] };

function countDense(numbers: Float64Array, smallest: number, span: number): NumbersCounted {
  const counts = new Uint32Array(span + 1);
  for (let at = 0; at < numbers.length; at += 1) {
    const place = (numbers[at] ?? 0) - smallest;
    counts[place] = (counts[place] ?? 0) + 1;
  }
  const repeated: { value: number; count: number }[] = [];
  let distinctCount = 0;
  for (let place = 0; place < counts.length; place += 1) {
    const count = counts[place] ?? 0;
    if (count > 0) distinctCount += 1;
    if (count > 1) repeated.push({ value: smallest + place, count });
  }
  return { distinctCount, repeated };
}

function countNumbers(sorted: Float64Array): NumbersCounted {
  const repeated: { value: number; count: number }[] = [];
  let distinctCount = 0;
  for (let from = 0; from < sorted.length; ) {
    const value = sorted[from] ?? 0;
    let to = from + 1;
    while (to < sorted.length && sorted[to] === value) to += 1;
    if (to - from > 1) repeated.push({ value, count: to - from });
    distinctCount += 1;
    from = to;
  }
  return { distinctCount, repeated };
}

function frequentOf(
  places: ReadonlyMap<Json, number>,
  counts: Uint32Array,
  numbers: NumbersCounted['repeated'],
): Evidence['frequent'] {
  const max = new Frequent();
  for (const [value, place] of places) max.add(value, counts[place] ?? 0);
  for (const { value, count } of numbers) max.add(value, count);
  return max.sorted();
}

/** Keeps the most frequent values without sorting all of them. */
class Frequent {
  private max: { readonly value: Json; readonly count: number }[] = [];
  private min = 1;

  add(value: Json, count: number): void {
    if (count <= this.min) return;
    this.max.push({ value, count });
    if (this.max.length < 4 * mostFrequent) return;
    this.max = [...this.sorted()];
    this.min = this.max.at(-1)?.count ?? 1;
  }

  sorted(): Evidence['frequent'] {
    return this.max.sort((a, b) => b.count - a.count).slice(0, mostFrequent);
  }
}
