import { type Json, ownValue } from '../base';
import { heldReshaper, type Item, numberedKeys, typeValueOf, withOwn } from '../items';
import type { SourceStart } from '../lists';
import type { PackedSource } from './packed';
import type { EvaluateOf } from './templates';

/** The items of a source as its types want them, with what tells them apart. */
export interface PackedItems {
  readonly items: readonly Item[];
  /** Positions of their types; one past the last where they have none. */
  readonly types: Uint16Array;
  readonly keys: readonly string[];
  positionOf(key: string): number;
}

export const nothing: PackedItems = {
  ...{ items: [], types: new Uint16Array(), keys: [] },
  positionOf: () => -1,
};

/** Takes up items as they come: under the names that the design gives, decoded, computed. `now`: ISO 8601 with a zone. */
export function takenItems(
  source: PackedSource,
  raw: readonly Item[],
  evaluateOf: EvaluateOf,
  now: string,
): PackedItems {
  const types = typesOf(source, raw);
  const shapers = source.types.map((type) => shaperOf(type, evaluateOf));
  const isPlain = shapers.every((shape) => shape === undefined);
  const items = isPlain ? raw : raw.map((item, at) => shapers[types[at] ?? 0]?.(item, now) ?? item);
  const keys = numberedKeys(items, source.key);
  let places: Map<string, number> | undefined;
  return {
    ...{ items, types, keys },
    positionOf(key) {
      places ??= new Map(keys.map((each, at) => [each, at]));
      return places.get(key) ?? -1;
    },
  };
}

function typesOf({ discriminator, types }: PackedSource, raw: readonly Item[]): Uint16Array {
  if (discriminator === null) return new Uint16Array(raw.length);
  const byValue = new Map<string | null | undefined, number>(
    types.map(({ value }, at) => [value, at]),
  );
  return Uint16Array.from(
    raw,
    (item) => byValue.get(typeValueOf(ownValue(item, discriminator))) ?? types.length,
  );
}

function shaperOf(
  { held, computed }: PackedSource['types'][number],
  evaluateOf: EvaluateOf,
): ((item: Item, now: string) => Item) | undefined {
  const reshape = held.length === 0 ? undefined : heldReshaper(held);
  if (computed.length === 0) return reshape;
  const made = computed.map(([name, expr]) => [name, evaluateOf(expr)] as const);
  return (item, now) => {
    let shaped = reshape?.(item) ?? item;
    for (const [name, evaluate] of made)
      shaped = withOwn(shaped, name, evaluate?.(shaped, { now }) as Json | undefined);
    return shaped;
  };
}

/** The items of a list's sources, one source after the other. */
export interface JoinedItems extends PackedItems {
  readonly starts: readonly SourceStart[];
}

/** Those of the first have their own keys, those of others the name of their source before it. */
export function joinedItems(
  parts: readonly { readonly source: PackedSource; readonly own: PackedItems }[],
): JoinedItems {
  const starts: SourceStart[] = [];
  const types: number[] = [];
  const typeCount = parts.reduce((sum, { source }) => sum + source.types.length, 0);
  let [itemCount, typesBefore] = [0, 0];
  for (const { source, own } of parts) {
    const { id, name, types: ofSource } = source;
    starts.push({ id, name, start: itemCount });
    for (const type of own.types)
      types.push(type < ofSource.length ? type + typesBefore : typeCount);
    itemCount += own.items.length;
    typesBefore += ofSource.length;
  }
  const before = parts.map(({ source }, at) => (at === 0 ? '' : `${source.id}/`));
  const [only] = parts;
  if (only !== undefined && parts.length === 1) return { ...only.own, starts };
  return {
    items: parts.flatMap(({ own }) => own.items),
    types: Uint16Array.from(types),
    keys: parts.flatMap(({ own }, at) => own.keys.map((key) => `${before[at] ?? ''}${key}`)),
    positionOf(key) {
      for (const [part, { own }] of parts.entries()) {
        const prefix = before[part] ?? '';
        const at = key.startsWith(prefix) ? own.positionOf(key.slice(prefix.length)) : -1;
        if (at >= 0) return at + (starts[part]?.start ?? 0);
      }
      return -1;
    },
    starts,
  };
}
