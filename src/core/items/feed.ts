import { isRecord, type Json, ownValue } from '../base';
import { isSame } from './difference';
import { asItem, type Item, type Key } from './item';
import { keyReader } from './key';
import type { Succession } from './succession/succession';
import { Successor } from './succession/successor';

/** How a source's items keep coming: asked for again and again, or pushed as server-sent events. */
export type Follow = { readonly everySeconds: number } | { readonly events: string };

/** What a server pushed: the event's name and its data. Standard: WHATWG HTML, 9.2. */
export interface FeedEvent {
  readonly name: string;
  readonly data: string;
}

export interface FeedApplied {
  readonly next: Succession;
  readonly addedCount: number;
  readonly changedCount: number;
  readonly removedCount: number;
  readonly movedCount: number;
  /** Events that say nothing about these items. */
  readonly ignoredCount: number;
}

/** How events find the items that they mean. */
export interface FeedKeys {
  readonly key: Key;
  /** Position of the first item with a key; -1: none has. */
  positionOf(key: string): number;
}

/**
 * Items after events: `removed` names items or keys, `moved` a `{ key, at }`; any other name brings
 * an item or several, which take the place of those with their keys, or join the end. Without a
 * key, or a value in it, items can only join.
 */
export function applyFeed(
  items: readonly Item[],
  keys: FeedKeys,
  events: readonly FeedEvent[],
): FeedApplied {
  const list = new KeyedList(items, keys);
  const counts = { addedCount: 0, changedCount: 0, removedCount: 0, movedCount: 0 };
  let ignoredCount = 0;
  for (const { name, data } of events) {
    const value = parsed(data);
    const did = value === undefined ? [] : applyOne(list, name, value);
    if (did.length === 0) ignoredCount += 1;
    for (const each of did) counts[each] += 1;
  }
  return { next: list.next.finish(), ...counts, ignoredCount };
}

/** Items after others came: each takes the place of the one with its key, or joins the end. */
export function joinItems(
  items: readonly Item[],
  keys: FeedKeys,
  came: readonly Item[],
): Pick<FeedApplied, 'next' | 'addedCount' | 'changedCount'> {
  const list = new KeyedList(items, keys);
  const counts = { addedCount: 0, changedCount: 0 };
  for (const item of came) {
    const before = list.known(item);
    if (before !== undefined && isSame(before, item)) continue;
    list.put(item);
    counts[before === undefined ? 'addedCount' : 'changedCount'] += 1;
  }
  return { next: list.next.finish(), ...counts };
}

type Count = 'addedCount' | 'changedCount' | 'removedCount' | 'movedCount';

function applyOne(list: KeyedList, name: string, value: Json): Count[] {
  const values = Array.isArray(value) ? value : [value];
  switch (name) {
    case 'removed':
      return values.flatMap((each) => (list.remove(each) ? ['removedCount'] : []));
    case 'moved':
      return values.flatMap((each) => (list.move(each) ? ['movedCount'] : []));
    default:
      return values.map((each) => (list.put(asItem(each)) ? 'addedCount' : 'changedCount'));
  }
}

/** The items while events change them: each is found as the thing that it is, wherever it moved. */
class KeyedList {
  readonly next: Successor;
  private readonly read: (item: Item) => string | undefined;
  /** What events brought, by key; null is what they took away. */
  private readonly changed = new Map<string, Item | null>();

  constructor(
    private readonly before: readonly Item[],
    private readonly keys: FeedKeys,
  ) {
    this.next = new Successor(before);
    this.read = keyReader(keys.key);
  }

  /** The item that has the key of another by now. */
  known(item: Item): Item | undefined {
    const key = this.read(item);
    return key === undefined ? undefined : this.itemOf(key);
  }

  /** Whether the item is new. */
  put(item: Item): boolean {
    const key = this.read(item);
    const known = key === undefined ? undefined : this.itemOf(key);
    this.next.replace(
      known === undefined ? this.next.items.length : this.placeOf(known, key),
      item,
    );
    if (key !== undefined) this.changed.set(key, item);
    return known === undefined;
  }

  remove(value: Json): boolean {
    const key = this.keyIn(value);
    const item = key === undefined ? undefined : this.itemOf(key);
    if (key === undefined || item === undefined) return false;
    this.next.remove(new Set([this.placeOf(item, key)]));
    this.changed.set(key, null);
    return true;
  }

  move(value: Json): boolean {
    const key = isRecord(value) ? this.keyIn(ownValue(value, 'key')) : undefined;
    const to = isRecord(value) ? ownValue(value, 'at') : undefined;
    const item = key === undefined ? undefined : this.itemOf(key);
    if (item === undefined || typeof to !== 'number') return false;
    this.next.move(this.placeOf(item, key), Math.max(0, to));
    return true;
  }

  /** Most items still stand where they stood before. */
  private placeOf(item: Item, key: string | undefined): number {
    const before = key === undefined ? -1 : this.keys.positionOf(key);
    const { items } = this.next;
    return items[before] === item ? before : items.indexOf(item);
  }

  private itemOf(key: string): Item | undefined {
    const changed = this.changed.get(key);
    if (changed !== undefined) return changed ?? undefined;
    const item = this.before[this.keys.positionOf(key)];
    // Items without a key of their own are found by their place, which events do not mean.
    return item !== undefined && this.read(item) === key ? item : undefined;
  }

  private keyIn(value: Json | undefined): string | undefined {
    const own = isRecord(value) ? this.read(value) : value;
    return typeof own === 'string' || typeof own === 'number' ? String(own) : undefined;
  }
}

function parsed(data: string): Json | undefined {
  try {
    return JSON.parse(data);
  } catch {
    return undefined;
  }
}
