import type { Finding } from '../../base';
import type { Item, Key } from '../item';
import { type ItemKeys, itemKeys, keyReader, positionKey } from '../key';
import { freshPositions, gonePositions, isInPlace, type Succession } from './succession';

/** Where items stand by their keys: each key is a number, and each number has a position. */
interface Places {
  readonly numbers: Map<string, number>;
  /** For each item its key's number. */
  readonly ofItems: Int32Array;
  readonly next: number;
  /** For each number its position; undefined: not asked for yet. */
  positions?: Int32Array;
}

/** The keys of a list of items, both ways: the key of an item, and the item that has a key. */
export class KeyTable implements ItemKeys {
  private places: Places | undefined;
  private readonly read: ReturnType<typeof keyReader>;

  /** `keys`: those of items of which not each has a key of its own; else they are read when asked for. */
  private constructor(
    private readonly items: readonly Item[],
    private readonly key: Key,
    private readonly source: string,
    private readonly keys?: ItemKeys,
  ) {
    this.read = keyReader(key);
  }

  /** `isUnique`: it is known already that the key tells all of the items apart. */
  static of(items: readonly Item[], key: Key, source: string, isUnique = false): KeyTable {
    if (isUnique) return new KeyTable(items, key, source);
    const keys = itemKeys(items, key, source);
    const isSound = key !== null && keys.findings.length === 0;
    return new KeyTable(items, key, source, isSound ? undefined : keys);
  }

  at(item: number): string {
    if (this.keys !== undefined) return this.keys.at(item);
    const own = this.items[item];
    return (own === undefined ? undefined : this.read(own)) ?? positionKey(item);
  }

  get repeated(): readonly string[] {
    return this.keys?.repeated ?? [];
  }

  get findings(): readonly Finding[] {
    return this.keys?.findings ?? [];
  }

  /** Position of the item that has a key; -1: none has. */
  positionOf(key: string): number {
    const places = this.placed();
    const number = places.numbers.get(key);
    if (number === undefined) return -1;
    places.positions ??= positionsOf(places);
    return places.positions[number] ?? -1;
  }

  /** The keys of the items that came of these: only new ones are looked at, and these keys give their places up. */
  after(next: Succession): KeyTable {
    const table = new KeyTable(next.items, this.key, this.source);
    table.places = this.keys === undefined ? this.placesAfter(next) : undefined;
    return table.places === undefined ? KeyTable.of(next.items, this.key, this.source) : table;
  }

  /** Undefined: a key is missing or there twice. */
  private placesAfter(next: Succession): Places | undefined {
    const { numbers, ofItems, next: first, positions } = this.placed();
    this.places = undefined;
    // Numbers of what went are not used again: past a while all are given anew.
    if (first > 2 * next.items.length + 1_000) return undefined;
    const gone = new Map<string, number>();
    for (const at of gonePositions(next)) {
      const own = this.at(at);
      gone.set(own, ofItems[at] ?? 0);
      numbers.delete(own);
    }
    const { read } = this;
    const isStill = isInPlace(next);
    const after = isStill ? ofItems : movedNumbers(ofItems, next);
    let number = first;
    for (const at of freshPositions(next)) {
      const own = read(next.items[at] ?? {});
      if (own === undefined || numbers.has(own)) return undefined;
      const known = gone.get(own);
      after[at] = known ?? number;
      if (known === undefined) number += 1;
      else if (isStill && positions !== undefined) positions[known] = at;
      numbers.set(own, after[at]);
    }
    const areSameKeys = isStill && number === first;
    return {
      numbers,
      ofItems: after,
      next: number,
      ...(areSameKeys && positions && { positions }),
    };
  }

  private placed(): Places {
    if (this.places === undefined) {
      const numbers = new Map<string, number>();
      for (let at = 0; at < this.items.length; at += 1) numbers.set(this.at(at), at);
      const ofItems = Int32Array.from(this.items, (_, at) => at);
      this.places = { numbers, ofItems, next: this.items.length };
    }
    return this.places;
  }
}

function positionsOf({ ofItems, next }: Places): Int32Array {
  const positions = new Int32Array(next).fill(-1);
  for (let at = 0; at < ofItems.length; at += 1) positions[ofItems[at] ?? 0] = at;
  return positions;
}

function movedNumbers(ofItems: Int32Array, { items, runs }: Succession): Int32Array {
  const after = new Int32Array(items.length);
  for (const { at, old, count } of runs) after.set(ofItems.subarray(old, old + count), at);
  return after;
}
