import { isRecord, type Json } from '../../base';
import type { Item } from '../item';

export type ProfileKind = 'text' | 'number' | 'boolean' | 'record' | 'list';

interface Span {
  readonly min: number;
  readonly max: number;
}

/** What values in one place are like: enough to make more of them. */
export interface ValueProfile {
  readonly presentShare: number;
  readonly nullShare: number;
  readonly kinds: readonly { readonly kind: ProfileKind; readonly share: number }[];
  readonly trueShare: number;
  /** Few values that come again and again: they are taken as they are. */
  readonly isRepeating: boolean;
  readonly numbers: readonly number[];
  readonly range: Span;
  readonly decimals: number;
  readonly texts: readonly string[];
  readonly words: readonly string[];
  /** Codes and dates rather than words: their look is kept, a last digit changes. */
  readonly isMasked: boolean;
  /** The lengths of texts in characters, of lists in elements. */
  readonly lengths: Span;
  readonly record: RecordProfile;
  readonly element: ValueProfile | undefined;
}

export interface RecordProfile {
  readonly fields: readonly { readonly name: string; readonly value: ValueProfile }[];
}

const maxItems = 3_000;
const maxKept = 400;

export function profileOf(items: readonly Item[]): RecordProfile {
  const step = Math.max(1, Math.floor(items.length / maxItems));
  const sample = items.filter((_, index) => index % step === 0);
  const values = new Map<string, Json[]>();
  for (const item of sample) {
    for (const [name, value] of Object.entries(item)) {
      if (value === undefined) continue;
      const own = values.get(name);
      if (own === undefined) values.set(name, [value]);
      else own.push(value);
    }
  }
  return {
    fields: [...values].map(([name, own]) => ({ name, value: valueProfile(own, sample.length) })),
  };
}

function valueProfile(all: readonly Json[], itemCount: number): ValueProfile {
  const values = all.filter((value) => value !== null);
  const texts = values.filter((value) => typeof value === 'string');
  const numbers = values.filter((value) => typeof value === 'number');
  const lists = values.filter((value) => Array.isArray(value));
  const booleans = values.filter((value) => typeof value === 'boolean');
  const distinct = new Set<Json>([...texts, ...numbers]);
  const elements = lists.flat().slice(0, maxItems);
  const isMasked =
    texts.length > 0 && texts.filter((text) => /\d/.test(text)).length > texts.length / 2;
  return {
    presentShare: values.length / Math.max(1, itemCount),
    nullShare: (all.length - values.length) / Math.max(1, itemCount),
    kinds: kindShares(values),
    trueShare: booleans.filter(Boolean).length / Math.max(1, booleans.length),
    isRepeating: distinct.size <= 60 && distinct.size < 0.6 * (texts.length + numbers.length),
    numbers: numbers.slice(0, maxKept),
    range: spanOf(numbers),
    decimals: Math.max(0, ...numbers.slice(0, maxKept).map(decimalsOf)),
    texts: texts.slice(0, maxKept),
    words: isMasked ? [] : texts.slice(0, maxKept).flatMap((text) => text.match(/\S+/g) ?? []),
    isMasked,
    lengths: spanOf([...texts, ...lists].map((value) => value.length)),
    record: profileOf(values.filter(isRecord)),
    element: elements.length === 0 ? undefined : valueProfile(elements, elements.length),
  };
}

function kindShares(values: readonly Json[]): ValueProfile['kinds'] {
  const counts = new Map<ProfileKind, number>();
  for (const value of values) counts.set(kindOf(value), (counts.get(kindOf(value)) ?? 0) + 1);
  return [...counts].map(([kind, count]) => ({ kind, share: count / values.length }));
}

function kindOf(value: Json): ProfileKind {
  if (Array.isArray(value)) return 'list';
  if (typeof value === 'string') return 'text';
  if (typeof value === 'number') return 'number';
  return typeof value === 'boolean' ? 'boolean' : 'record';
}

function spanOf(numbers: readonly number[]): Span {
  let min = numbers[0] ?? 0;
  let max = min;
  for (const each of numbers) {
    if (each < min) min = each;
    if (each > max) max = each;
  }
  return { min, max };
}

const decimalsOf = (value: number): number =>
  Math.min(6, /\.(\d+)$/.exec(String(value))?.[1]?.length ?? 0);
