import { isRecord, type Json, ownValue } from '../base';
import { asItem, type Item, type Key } from './item';
import { keyReader } from './key';

/** How a source's items keep coming: asked for again and again, or pushed as server-sent events. */
export type Follow = { readonly everySeconds: number } | { readonly events: string };

/** What a server pushed: the event's name and its data. Standard: WHATWG HTML, 9.2. */
export interface FeedEvent {
  readonly name: string;
  readonly data: string;
}

export interface FeedApplied {
  readonly items: readonly Item[];
  readonly addedCount: number;
  readonly changedCount: number;
  readonly removedCount: number;
  readonly movedCount: number;
  /** Events that say nothing about these items. */
  readonly ignoredCount: number;
}

/**
 * Items after events: `removed` names items or keys, `moved` a `{ key, at }`; any other name brings
 * an item or several, which take the place of those with their keys, or join the end.
 */
export function applyFeed(
  items: readonly Item[],
  key: Key,
  events: readonly FeedEvent[],
): FeedApplied {
  const now = keyedList(items, key);
  const counts = { addedCount: 0, changedCount: 0, removedCount: 0, movedCount: 0 };
  let ignoredCount = 0;
  for (const { name, data } of events) {
    const value = parsed(data);
    const did = value === undefined ? [] : applyOne(now, name, value);
    if (did.length === 0) ignoredCount += 1;
    for (const each of did) counts[each] += 1;
  }
  return { items: now.items(), ...counts, ignoredCount };
}

type Count = 'addedCount' | 'changedCount' | 'removedCount' | 'movedCount';

function applyOne(now: ReturnType<typeof keyedList>, name: string, value: Json): Count[] {
  const values = Array.isArray(value) ? value : [value];
  switch (name) {
    case 'removed':
      return values.flatMap((each) => (now.remove(each) ? ['removedCount'] : []));
    case 'moved':
      return values.flatMap((each) => (now.move(each) ? ['movedCount'] : []));
    default:
      return values.map((each) => (now.put(asItem(each)) ? 'addedCount' : 'changedCount'));
  }
}

/** A list that finds its items by key. Without a key, or a value in it, items can only join it. */
function keyedList(items: readonly Item[], key: Key) {
  const read = keyReader(key);
  let list = new Map<string | number, Item>();
  let unnamed = 0;
  for (const item of items) add(item);

  function add(item: Item): void {
    const own = read(item);
    list.set(own === undefined || list.has(own) ? unnamed++ : own, item);
  }

  const keyIn = (value: Json | undefined): string | undefined => {
    const own = isRecord(value) ? read(value) : value;
    return typeof own === 'string' || typeof own === 'number' ? String(own) : undefined;
  };

  return {
    items: (): readonly Item[] => [...list.values()],

    /** Whether the item is new. */
    put(item: Item): boolean {
      const own = read(item);
      const isKnown = own !== undefined && list.has(own);
      if (isKnown) list.set(own, item);
      else add(item);
      return !isKnown;
    },

    remove(value: Json): boolean {
      const own = keyIn(value);
      return own !== undefined && list.delete(own);
    },

    move(value: Json): boolean {
      const own = isRecord(value) ? keyIn(ownValue(value, 'key')) : undefined;
      const to = isRecord(value) ? ownValue(value, 'at') : undefined;
      const item = own === undefined ? undefined : list.get(own);
      if (own === undefined || item === undefined || typeof to !== 'number') return false;
      const others = [...list].filter(([each]) => each !== own);
      others.splice(Math.max(0, to), 0, [own, item]);
      list = new Map(others);
      return true;
    },
  };
}

function parsed(data: string): Json | undefined {
  try {
    return JSON.parse(data);
  } catch {
    return undefined;
  }
}
