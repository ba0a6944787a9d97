import { type Json, ownReader } from '../../core/base';
import { freshPositions, type Item, isInPlace, type Succession } from '../../core/items';
import {
  type Project,
  rawDiscriminator,
  type Source,
  typeFinder,
  typesOf,
} from '../../core/project';

/** The type of each item. */
export interface ItemTypes {
  /** What this was made from; another discriminator or type makes it anew. */
  readonly of: string;
  /** Ids of the source's item types. */
  readonly types: readonly string[];
  /** For each item the position of its type; one past the last where it has none. */
  readonly indexes: Uint16Array;
  /** How many items each type has. */
  readonly counts: readonly number[];
  readonly indexOf: (item: Item) => number;
}

/** The types as they are known already, or anew where the project tells them apart otherwise. */
export function itemTypes(
  known: ItemTypes | undefined,
  items: readonly Item[],
  project: Project,
  source: Source,
): ItemTypes {
  const own = typesOf(project, source.id);
  const discriminator = rawDiscriminator(project, source);
  const of = JSON.stringify([discriminator, own.map((type) => [type.id, type.value])]);
  if (known?.of === of) return known;
  const types = own.map((type) => type.id);
  const indexOf = typeIndexer(discriminator, typeFinder(project, source), types);
  return withCounts({ of, types, indexOf }, Uint16Array.from(items, indexOf));
}

/** The types of the items that came of these; the very same where items changed and their types did not. */
export function itemTypesAfter(known: ItemTypes, next: Succession): ItemTypes {
  const { indexOf, indexes } = known;
  const fresh = freshPositions(next);
  const types = fresh.map((at) => indexOf(next.items[at] ?? {}));
  if (isInPlace(next) && fresh.every((at, each) => indexes[at] === types[each])) return known;
  const after = new Uint16Array(next.items.length);
  for (const { at, old, count } of next.runs) after.set(indexes.subarray(old, old + count), at);
  for (const [each, at] of fresh.entries()) after[at] = types[each] ?? 0;
  return withCounts(known, after);
}

function withCounts(
  { of, types, indexOf }: Pick<ItemTypes, 'of' | 'types' | 'indexOf'>,
  indexes: Uint16Array,
): ItemTypes {
  const counts = new Uint32Array(types.length + 1);
  for (let at = 0; at < indexes.length; at += 1) {
    const index = indexes[at] ?? 0;
    counts[index] = (counts[index] ?? 0) + 1;
  }
  return { of, types, indexOf, indexes, counts: [...counts] };
}

function typeIndexer(
  discriminator: string | null,
  typeOf: (value: Json | undefined) => string | undefined,
  types: readonly string[],
): (item: Item) => number {
  const indexOf = (type: string | undefined) =>
    type === undefined ? types.length : types.indexOf(type);
  if (discriminator === null) {
    const only = types.length === 0 ? 0 : indexOf(types[0]);
    return () => only;
  }
  const byValue = new Map<unknown, number>();
  const read = ownReader(discriminator);
  return (item) => {
    const value = read(item);
    let index = byValue.get(value);
    if (index === undefined) {
      index = indexOf(typeOf(value));
      byValue.set(value, index);
    }
    return index;
  };
}
