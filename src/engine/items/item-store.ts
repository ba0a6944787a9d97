import type { Finding, Turns } from '../../core/base';
import {
  followsTime,
  freshPositions,
  type Item,
  type ItemKeys,
  isInPlace,
  type Key,
  KeyTable,
  keyFields,
  misfits,
  reshaper,
  type Succession,
  successionOf,
} from '../../core/items';
import { type Project, rawDiscriminator, rawKey, type Source, typesOf } from '../../core/project';
import { type ItemTypes, itemTypes, itemTypesAfter } from './item-types';

interface Shaped {
  readonly of: string;
  readonly items: readonly Item[];
  readonly reshape: (item: Item, type: number) => Item;
}

interface KeysKnown {
  readonly items: readonly Item[];
  readonly of: string;
  readonly keys: KeyTable;
}

interface MisfitsKnown {
  readonly items: readonly Item[];
  readonly of: string;
  readonly findings: readonly Finding[];
}

/**
 * The items of a set as they were read, with what follows from the project for each: its type, its
 * values under the type's names and decoded, its key. All is made when it is first asked for; what
 * comes `after` takes over what is known, and looks at new items only.
 */
export class ItemStore {
  private typesKnown: ItemTypes | undefined;
  private shaped: Shaped | undefined;
  private keysKnown: KeysKnown | undefined;
  private rawKeysKnown: KeysKnown | undefined;
  private misfitsKnown: MisfitsKnown | undefined;

  /** `unique`: a field that was seen to tell all items apart. */
  constructor(
    readonly raw: readonly Item[],
    private readonly unique?: string,
  ) {}

  /** The store of the items that came of these. */
  after(next: Succession): ItemStore {
    return next.before === this.raw
      ? this.taken(next)
      : this.after(successionOf(this.raw, next.items));
  }

  private taken(next: Succession): ItemStore {
    const store = new ItemStore(next.items);
    const { typesKnown, shaped, keysKnown, rawKeysKnown } = this;
    if (typesKnown !== undefined) {
      store.typesKnown = itemTypesAfter(typesKnown, next);
      store.shaped = shaped && { ...shaped, items: shapedAfter(shaped, next, store.typesKnown) };
    }
    const keysAfter = (known: KeysKnown | undefined): KeysKnown | undefined => {
      const items = known?.items === this.raw ? next.items : store.shaped?.items;
      if (known === undefined || items === undefined) return undefined;
      return { ...known, items, keys: known.keys.after({ ...next, before: known.items, items }) };
    };
    store.keysKnown = keysAfter(keysKnown);
    const areSame = rawKeysKnown?.keys === keysKnown?.keys;
    store.rawKeysKnown = areSame ? store.keysKnown : keysAfter(rawKeysKnown);
    return store;
  }

  /** The items under the names that their types give, decoded; those as they were read where nothing changes. */
  items(project: Project, source: Source, now: string): readonly Item[] {
    const types = typesOf(project, source.id);
    const reshapers = types.map((type) => reshaper(type.fields));
    if (reshapers.every((reshape) => reshape === undefined)) return this.raw;
    const { indexes, of: typesOfItems } = this.types(project, source);
    const of = JSON.stringify([
      types.map((type) => type.fields),
      typesOfItems,
      types.some((type) => followsTime(type.fields)) && now,
    ]);
    if (this.shaped?.of !== of) {
      const around = { now };
      const reshape = (item: Item, type: number) => reshapers[type]?.(item, around) ?? item;
      const items = this.raw.map((item, at) => reshape(item, indexes[at] ?? -1));
      this.shaped = { of, items, reshape };
    }
    return this.shaped.items;
  }

  keys(project: Project, source: Source, now: string): ItemKeys {
    return this.keyTable(project, source, now);
  }

  /** Finds the item that has a key; undefined: none has. For as long as items and project stay. */
  finder(project: Project, source: Source, now: string): (key: string) => Item | undefined {
    const items = this.items(project, source, now);
    const keys = this.keyTable(project, source, now);
    return (key) => items[keys.positionOf(key)];
  }

  /** Where the item with a key stands; -1: none has it. */
  positionOf(key: string, project: Project, source: Source, now: string): number {
    return this.keyTable(project, source, now).positionOf(key);
  }

  /** Where the items stand by their keys as they are read. */
  rawKeys(
    project: Project,
    source: Source,
  ): { readonly key: Key; positionOf(key: string): number } {
    const key = rawKey(project, source);
    if (this.keysKnown?.items === this.raw && this.keysKnown.of === madeOf(source.key))
      this.rawKeysKnown = this.keysKnown;
    this.rawKeysKnown = this.keysOf(this.rawKeysKnown, this.raw, key, source.name);
    const { keys } = this.rawKeysKnown;
    return { key, positionOf: (own) => keys.positionOf(own) };
  }

  types(project: Project, source: Source): ItemTypes {
    this.typesKnown = itemTypes(this.typesKnown, this.raw, project, source);
    return this.typesKnown;
  }

  /** Where the items are not what their types say; looked for once for the same items and types. */
  *misfits(project: Project, source: Source, now: string): Turns<readonly Finding[]> {
    const types = typesOf(project, source.id);
    const items = this.items(project, source, now);
    const of = JSON.stringify([source.name, types.map((type) => [type.value, type.fields])]);
    if (this.misfitsKnown?.items !== items || this.misfitsKnown.of !== of) {
      const findings = yield* misfits({
        source: source.name,
        raw: this.raw,
        items,
        typeIndexes: this.types(project, source).indexes,
        types,
        discriminator: rawDiscriminator(project, source),
      });
      this.misfitsKnown = { items, of, findings };
    }
    return this.misfitsKnown.findings;
  }

  private keyTable(project: Project, source: Source, now: string): KeyTable {
    const items = this.items(project, source, now);
    this.keysKnown = this.keysOf(this.keysKnown, items, source.key, source.name);
    return this.keysKnown.keys;
  }

  private keysOf(
    known: KeysKnown | undefined,
    items: readonly Item[],
    key: Key,
    name: string,
  ): KeysKnown {
    const of = madeOf(key);
    if (known?.items === items && known.of === of) return known;
    const [field, ...others] = keyFields(key);
    const isUnique =
      items === this.raw && others.length === 0 && field !== undefined && field === this.unique;
    return { items, of, keys: KeyTable.of(items, key, name, isUnique) };
  }
}

/** The same for one field, however it is written. */
const madeOf = (key: Key): string => JSON.stringify(keyFields(key));

function shapedAfter(
  { items, reshape }: Shaped,
  next: Succession,
  { indexes }: ItemTypes,
): readonly Item[] {
  const fresh = (at: number) => reshape(next.items[at] ?? {}, indexes[at] ?? -1);
  if (isInPlace(next)) {
    const after = items.slice();
    for (const at of freshPositions(next)) after[at] = fresh(at);
    return after;
  }
  const pieces: Item[][] = [];
  let end = 0;
  for (const { at, old, count } of [...next.runs, { at: next.items.length, old: 0, count: 0 }]) {
    if (at > end) pieces.push(Array.from({ length: at - end }, (_, each) => fresh(end + each)));
    pieces.push(items.slice(old, old + count));
    end = at + count;
  }
  return pieces.flat();
}
