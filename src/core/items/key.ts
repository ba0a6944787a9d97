import { type Finding, type Json, ownValue } from '../base';
import { itemFindings } from './findings';
import type { Item } from './item';
import type { ShapeStat } from './shape';

const likelyNames = /^(?:_?id|key|uuid|guid|sku|code|ref|isbn|.*[ _-]id|.*[a-z]I[dD])$/;

/** The field that tells all items apart, best by its name; or one that should, with what is wrong. */
export function findKey(
  items: readonly Item[],
  whole: ShapeStat,
  source: string,
): { readonly key: string | undefined; readonly findings: readonly Finding[] } {
  const possible = whole.fields
    .filter(({ stat }) => stat.presentCount === whole.itemCount && isKeyKind(stat.kinds()))
    .map((field) => field.name);
  const byName = [...possible].sort((a, b) => Number(likelyNames.test(b)) - Number(likelyNames.test(a)));
  const unique = byName.find((name) => firstRepeat(items, name) === undefined);
  if (unique !== undefined) return { key: unique, findings: [] };
  const meant = byName.find((name) => likelyNames.test(name));
  if (meant !== undefined) return { key: meant, findings: checkKey(items, meant, source) };
  return { key: undefined, findings: items.length > 1 ? [itemFindings.noKey(source)] : [] };
}

/** What is wrong with a key that was found or chosen. */
export function checkKey(items: readonly Item[], field: string, source: string): Finding[] {
  const seen = new Map<string, number>();
  let repeat: { readonly key: string; readonly first: number; readonly second: number } | undefined;
  let repeatCount = 0;
  let missingCount = 0;
  let missingAt = -1;
  for (const [index, item] of items.entries()) {
    const key = keyText(ownValue(item, field));
    if (key === undefined) {
      if (missingCount === 0) missingAt = index;
      missingCount += 1;
      continue;
    }
    const first = seen.get(key);
    if (first === undefined) seen.set(key, index);
    else {
      repeat ??= { key, first, second: index };
      repeatCount += 1;
    }
  }
  const findings: Finding[] = [];
  if (repeat !== undefined) {
    findings.push(itemFindings.keyRepeats(source, field, repeat.key, repeat.first, repeat.second, repeatCount - 1));
  }
  if (missingCount > 0) findings.push(itemFindings.keyMissing(source, field, missingAt, missingCount));
  return findings;
}

/**
 * One text for each item that no other item has: its key; with `#2` and so on where keys repeat;
 * its position where there is none.
 */
export function itemKeys(items: readonly Item[], field: string | undefined): string[] {
  const seen = new Map<string, number>();
  return items.map((item, index) => {
    const key = field === undefined ? undefined : keyText(ownValue(item, field));
    if (key === undefined) return `#${index + 1}`;
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    return times === 1 ? key : `${key}#${times}`;
  });
}

const isKeyKind = (kinds: readonly string[]): boolean =>
  kinds.length === 1 && (kinds[0] === 'text' || kinds[0] === 'integer');

function firstRepeat(items: readonly Item[], name: string): number | undefined {
  const seen = new Set<Json | undefined>();
  for (const [index, item] of items.entries()) {
    seen.add(item[name]);
    if (seen.size <= index) return index;
  }
  return undefined;
}

function keyText(value: Json | undefined): string | undefined {
  if (typeof value === 'string') return value === '' ? undefined : value;
  return typeof value === 'number' || typeof value === 'boolean' ? String(value) : undefined;
}
