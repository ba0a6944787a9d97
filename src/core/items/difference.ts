import { isRecord, type Json, ownValue } from '../base';
import type { Item } from './item';
import type { ItemKeys } from './key';
import { leastMoves } from './succession/moves';
import { runsOf, type Succession } from './succession/succession';

/** What importing again would change; in what comes next, an item that did not change is the old one itself. Positions count in the old items or the new ones, as named. */
export interface ImportDifference {
  readonly next: Succession;
  /** Positions in the new items. */
  readonly added: readonly number[];
  readonly changed: readonly {
    readonly before: number;
    readonly after: number;
    readonly fields: readonly string[];
  }[];
  /** Positions in the old items. */
  readonly removed: readonly number[];
  readonly unchangedCount: number;
  /** Positions in the new items of those that were taken elsewhere among the ones that stayed: no fewer would do. */
  readonly moved: readonly number[];
}

interface Imported {
  readonly items: readonly Item[];
  readonly keys: ItemKeys;
}

/** Matches new items to old ones by their keys: nothing is doubled, and nothing is new that was there. */
export function compareImport(before: Imported, after: Imported): ImportDifference {
  const positions = new Map<string, number>();
  for (let at = 0; at < before.items.length; at += 1) positions.set(before.keys.at(at), at);
  return compare(before.items, after.items, (at) => {
    const key = after.keys.at(at);
    const position = positions.get(key);
    positions.delete(key);
    return position;
  });
}

/**
 * Without a key: only items of the very same content are the same; a changed one counts as
 * removed and added.
 */
export function compareContent(before: readonly Item[], after: readonly Item[]): ImportDifference {
  const positions = new Map<string, number[]>();
  for (let at = before.length - 1; at >= 0; at -= 1) {
    const content = contentOf(before[at] ?? {});
    const same = positions.get(content);
    if (same === undefined) positions.set(content, [at]);
    else same.push(at);
  }
  return compare(before, after, (at) => positions.get(contentOf(after[at] ?? {}))?.pop());
}

function compare(
  before: readonly Item[],
  after: readonly Item[],
  matchOf: (after: number) => number | undefined,
): ImportDifference {
  const added: number[] = [];
  const changed: { before: number; after: number; fields: readonly string[] }[] = [];
  const isMatched = new Uint8Array(before.length);
  const from = new Int32Array(after.length).fill(-1);
  let unchangedCount = 0;
  const stayed: { readonly old: number; readonly at: number }[] = [];
  const items = after.map((item, at) => {
    const position = matchOf(at);
    const old = position === undefined ? undefined : before[position];
    if (position === undefined || old === undefined) {
      added.push(at);
      return item;
    }
    isMatched[position] = 1;
    stayed.push({ old: position, at });
    if (isSame(old, item)) {
      unchangedCount += 1;
      from[at] = position;
      return old;
    }
    changed.push({ before: position, after: at, fields: fieldsThatDiffer(old, item) });
    return item;
  });
  const removed: number[] = [];
  for (let at = 0; at < isMatched.length; at += 1) if (isMatched[at] === 0) removed.push(at);
  return {
    next: { before, items, runs: runsOf(from) },
    added,
    changed,
    removed,
    unchangedCount,
    moved: leastMoves(stayed.map(({ old }) => old)).map((each) => stayed[each]?.at ?? -1),
  };
}

function fieldsThatDiffer(before: Item, after: Item): string[] {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...names].filter((name) => !isSame(ownValue(before, name), ownValue(after, name)));
}

/** Whether two values are the same JSON, whatever the order of keys. */
export function isSame(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true;
  if (Array.isArray(a)) {
    return (
      Array.isArray(b) && a.length === b.length && a.every((each, index) => isSame(each, b[index]))
    );
  }
  if (!isRecord(a) || !isRecord(b)) return false;
  const names = Object.keys(a);
  if (names.length !== Object.keys(b).length) return false;
  for (const name of names) {
    if (!Object.hasOwn(b, name) || !isSame(ownValue(a, name), ownValue(b, name))) return false;
  }
  return true;
}

/** The same text for the same content: keys in order. */
function contentOf(item: Item): string {
  return JSON.stringify(item, (_, value: Json) =>
    isRecord(value)
      ? Object.fromEntries(
          Object.keys(value)
            .sort()
            .map((name) => [name, ownValue(value, name) ?? null]),
        )
      : value,
  );
}
