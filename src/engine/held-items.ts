import { type Item, type ItemKeys, itemKeys, type UniqueKey, uniqueKeys } from '../core/items';
import { type Project, type Source, typeFinder } from '../core/project';

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

/** A source's items with what is known of each: its key and its type. Both follow insertions. */
export class HeldItems {
  private known: ItemTypes | undefined;
  private byField: { readonly field: string | undefined; readonly keys: ItemKeys } | undefined;

  /** `unique`: a field that was seen to tell all items apart, with its values; it is kept up to date. */
  constructor(
    public items: readonly Item[],
    private unique: UniqueKey | undefined,
  ) {}

  keys(field: string | undefined, source: string): ItemKeys {
    if (this.byField === undefined || this.byField.field !== field) {
      const isUnique = field !== undefined && field === this.unique?.field;
      const keys = isUnique ? uniqueKeys(this.items, field) : itemKeys(this.items, field, source);
      this.byField = { field, keys };
    }
    return this.byField.keys;
  }

  types(project: Project, source: Source): ItemTypes {
    const own = project.types.filter((type) => type.source === source.id);
    const of = JSON.stringify([source.discriminator, own.map((type) => [type.id, type.value])]);
    if (this.known?.of === of) return this.known;
    const types = own.map((type) => type.id);
    const indexesOf = typeIndexer(project, source, types);
    const indexes = indexesOf(this.items);
    this.known = { of, types, indexes, counts: counted(indexes, types.length), indexesOf };
    return this.known;
  }

  insert(at: number, added: readonly Item[]): void {
    this.followKeys(added);
    this.items = this.items.slice(0, at).concat(added, this.items.slice(at));
    this.byField = undefined;
    if (this.known === undefined) return;
    const indexes = new Uint16Array(this.items.length);
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
    for (const item of added) values.add(item[field]);
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

function typeIndexer(project: Project, source: Source, types: readonly string[]) {
  const { discriminator } = source;
  const typeOf = typeFinder(project, source);
  const indexOf = (type: string | undefined) =>
    type === undefined ? types.length : types.indexOf(type);
  if (discriminator === null) {
    return (items: readonly Item[]) => new Uint16Array(items.length).fill(indexOf(types[0]));
  }
  const byValue = new Map<unknown, number>();
  return (items: readonly Item[]) =>
    Uint16Array.from(items, (item) => {
      const value = item[discriminator];
      let index = byValue.get(value);
      if (index === undefined) {
        index = indexOf(typeOf(value));
        byValue.set(value, index);
      }
      return index;
    });
}
