import { type Finding, ownReader, type Turns } from '../../core/base';
import {
  type Item,
  type ItemKeys,
  itemKeys,
  keyFields,
  misfits,
  reshaper,
  type UniqueKey,
  uniqueKeys,
} from '../../core/items';
import {
  type Project,
  rawDiscriminator,
  type Source,
  typeFinder,
  typesOf,
} from '../../core/project';

interface ItemTypes {
  /** What this was made from; another discriminator or type makes it anew. */
  readonly of: string;
  /** Ids of the source's item types. */
  readonly types: readonly string[];
  /** For each item the position of its type; one past the last where it has none. */
  readonly indexes: Uint16Array;
  /** How many items each type has. */
  readonly counts: readonly number[];
  indexesOf(items: readonly Item[]): Uint16Array;
}

interface Shaped {
  readonly of: string;
  readonly items: readonly Item[];
}

interface KeysKnown {
  readonly items: readonly Item[];
  readonly of: string;
  readonly keys: ItemKeys;
}

interface MisfitsKnown {
  readonly items: readonly Item[];
  readonly of: string;
  readonly findings: readonly Finding[];
}

/**
 * The items of a set as they were read, with what follows from the project for each: its type, its
 * values under the type's names and decoded, its key. All is made when it is first asked for.
 */
export class ItemStore {
  private known: ItemTypes | undefined;
  private shaped: Shaped | undefined;
  private keysKnown: KeysKnown | undefined;
  private misfitsKnown: MisfitsKnown | undefined;
  private positions:
    | { readonly keys: ItemKeys; readonly byKey: ReadonlyMap<string, number> }
    | undefined;

  /** `unique`: a field that was seen to tell all items apart, with its values; it is kept up to date. */
  constructor(
    public raw: readonly Item[],
    private unique: UniqueKey | undefined,
  ) {}

  /** The items under the names that their types give, decoded; those as they were read where nothing changes. */
  items(project: Project, source: Source): readonly Item[] {
    const types = typesOf(project, source.id);
    const reshapers = types.map((type) => reshaper(type.fields));
    if (reshapers.every((reshape) => reshape === undefined)) return this.raw;
    const of = JSON.stringify(types.map((type) => type.fields));
    const { indexes, of: typesKnown } = this.types(project, source);
    const id = of + typesKnown;
    if (this.shaped?.of !== id) {
      const items = this.raw.map((item, at) => reshapers[indexes[at] ?? -1]?.(item) ?? item);
      this.shaped = { of: id, items };
    }
    return this.shaped.items;
  }

  keys(project: Project, source: Source): ItemKeys {
    const items = this.items(project, source);
    const of = JSON.stringify(source.key);
    if (this.keysKnown?.items !== items || this.keysKnown.of !== of) {
      const [field = '', ...others] = keyFields(source.key);
      const isUnique =
        items === this.raw && others.length === 0 && field !== '' && field === this.unique?.field;
      const keys = isUnique ? uniqueKeys(items, field) : itemKeys(items, source.key, source.name);
      this.keysKnown = { items, of, keys };
    }
    return this.keysKnown.keys;
  }

  /** Finds the item that has a key; undefined: none has. For as long as items and project stay. */
  finder(project: Project, source: Source): (key: string) => Item | undefined {
    const items = this.items(project, source);
    const keys = this.keys(project, source);
    if (this.positions?.keys !== keys) {
      const byKey = new Map<string, number>();
      for (let at = 0; at < items.length; at += 1) byKey.set(keys.at(at), at);
      this.positions = { keys, byKey };
    }
    const { byKey } = this.positions;
    return (key) => items[byKey.get(key) ?? -1];
  }

  types(project: Project, source: Source): ItemTypes {
    const own = typesOf(project, source.id);
    const discriminator = rawDiscriminator(project, source);
    const of = JSON.stringify([discriminator, own.map((type) => [type.id, type.value])]);
    if (this.known?.of === of) return this.known;
    const types = own.map((type) => type.id);
    const indexesOf = typeIndexer(discriminator, typeFinder(project, source), types);
    const indexes = indexesOf(this.raw);
    this.known = { of, types, indexes, counts: counted(indexes, types.length), indexesOf };
    return this.known;
  }

  /** Where the items are not what their types say; looked for once for the same items and types. */
  *misfits(project: Project, source: Source): Turns<readonly Finding[]> {
    const types = typesOf(project, source.id);
    const items = this.items(project, source);
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

  insert(at: number, added: readonly Item[]): void {
    this.followKeys(added);
    this.raw = this.raw.slice(0, at).concat(added, this.raw.slice(at));
    this.shaped = undefined;
    this.positions = undefined;
    if (this.known === undefined) return;
    const indexes = new Uint16Array(this.raw.length);
    indexes.set(this.known.indexes.subarray(0, at));
    indexes.set(this.known.indexesOf(added), at);
    indexes.set(this.known.indexes.subarray(at), at + added.length);
    this.known = { ...this.known, indexes, counts: counted(indexes, this.known.types.length) };
  }

  /** Keys that still all differ need not be looked through again. */
  private followKeys(added: readonly Item[]): void {
    if (this.unique === undefined) return;
    const { field, values } = this.unique;
    const before = values.size;
    const read = ownReader(field);
    for (const item of added) values.add(read(item));
    if (values.size !== before + added.length) this.unique = undefined;
  }
}

function counted(indexes: Uint16Array, typeCount: number): number[] {
  const counts = new Uint32Array(typeCount + 1);
  for (let i = 0; i < indexes.length; i += 1) {
    const index = indexes[i] ?? 0;
    counts[index] = (counts[index] ?? 0) + 1;
  }
  return [...counts];
}

function typeIndexer(
  discriminator: string | null,
  typeOf: (value: unknown) => string | undefined,
  types: readonly string[],
) {
  const indexOf = (type: string | undefined) =>
    type === undefined ? types.length : types.indexOf(type);
  if (discriminator === null) {
    return (items: readonly Item[]) =>
      new Uint16Array(items.length).fill(types.length === 0 ? 0 : indexOf(types[0]));
  }
  const byValue = new Map<unknown, number>();
  const read = ownReader(discriminator);
  return (items: readonly Item[]) =>
    Uint16Array.from(items, (item) => {
      const value = read(item);
      let index = byValue.get(value);
      if (index === undefined) {
        index = indexOf(typeOf(value));
        byValue.set(value, index);
      }
      return index;
    });
}
