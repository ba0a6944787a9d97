import { type Finding, type Json, ownValue } from '../base';
import { itemFindings } from './findings';
import { type Item, type Key, keyFields } from './item';

const mostRepeated = 100;

/** One text for each item that no other item has, and what is wrong with the key that gives them. */
export interface ItemKeys {
  at(item: number): string;
  /** Keys that several items have; not more of them than anybody reads. */
  readonly repeated: readonly string[];
  readonly findings: readonly Finding[];
}

/**
 * Keys by any field, by several or by none: with `#2` and so on where they repeat, by position
 * where there is none. `source` is only for the findings' words.
 */
export function itemKeys(items: readonly Item[], key: Key, source: string): ItemKeys {
  const fields = keyFields(key);
  if (fields.length === 0) {
    const findings = items.length > 1 ? [itemFindings.noKey(source)] : [];
    return { at: positionKey, repeated: [], findings };
  }
  const field = fields.join(', ');
  let repeat: { readonly key: string; readonly first: number; readonly second: number } | undefined;
  const repeated: string[] = [];
  let repeatCount = 0;
  let missingCount = 0;
  let missingAt = -1;
  const keys = numberedKeys(items, key, {
    missing(item) {
      if (missingCount === 0) missingAt = item;
      missingCount += 1;
    },
    repeated(key, { first, second, times }) {
      repeat ??= { key, first, second };
      repeatCount += 1;
      if (times === 1 && repeated.length < mostRepeated) repeated.push(key);
    },
  });
  const findings: Finding[] = [];
  if (repeat !== undefined) {
    const { key, first, second } = repeat;
    findings.push(
      itemFindings.keyRepeats(source, field, { key, first, second, more: repeatCount - 1 }),
    );
  }
  if (missingCount > 0)
    findings.push(itemFindings.keyMissing(source, field, missingAt, missingCount));
  return { at: (item) => keys[item] ?? positionKey(item), repeated, findings };
}

interface KeyTrouble {
  missing(item: number): void;
  /** `times`: how often it stood there before. */
  repeated(
    key: string,
    at: { readonly first: number; readonly second: number; readonly times: number },
  ): void;
}

const noTrouble: KeyTrouble = { missing: () => {}, repeated: () => {} };

/** The key of each item: numbered where it repeats, its position where it has none. */
export function numberedKeys(
  items: readonly Item[],
  key: Key,
  trouble: KeyTrouble = noTrouble,
): readonly string[] {
  const read = keyReader(key);
  const seen = new Map<string, { readonly first: number; times: number }>();
  return items.map((item, index) => {
    const key = read(item);
    if (key === undefined) {
      trouble.missing(index);
      return positionKey(index);
    }
    const before = seen.get(key);
    if (before === undefined) {
      seen.set(key, { first: index, times: 1 });
      return key;
    }
    trouble.repeated(key, { first: before.first, second: index, times: before.times });
    before.times += 1;
    return `${key}#${before.times}`;
  });
}

/** An item's key as one text; undefined where it has none. */
export function keyReader(key: Key): (item: Item) => string | undefined {
  const fields = keyFields(key);
  const [first] = fields;
  if (first === undefined) return () => undefined;
  return fields.length === 1 ? (item) => keyOf(item, first) : (item) => keyOfSeveral(item, fields);
}

export const positionKey = (item: number): string => `#${item + 1}`;

const keyOf = (item: Item | undefined, field: string): string | undefined =>
  item === undefined ? undefined : keyText(ownValue(item, field));

/** Undefined if one of the values is missing. */
function keyOfSeveral(item: Item, fields: readonly string[]): string | undefined {
  const parts = fields.map((field) => keyOf(item, field));
  return parts.includes(undefined) ? undefined : parts.join(' · ');
}

function keyText(value: Json | undefined): string | undefined {
  if (typeof value === 'string') return value === '' ? undefined : value;
  return typeof value === 'number' || typeof value === 'boolean' ? String(value) : undefined;
}
