import type { List } from '../lists';
import type { Template } from '../templates';
import type { Field } from '../values';

/** The version of the file's form that this core reads and writes. */
export const formatVersion = 1;

/** A named collection of items; the items themselves live elsewhere. */
export interface Source {
  readonly id: string;
  readonly name: string;
  /** Where the items came from, last. */
  readonly from: {
    readonly file: string;
    readonly format: 'json' | 'ndjson' | 'csv';
    readonly at: string;
  };
  /** The field that tells items apart; null: their position does. */
  readonly key: string | null;
  /** The field whose value tells the item types apart; null: there is one type. */
  readonly discriminator: string | null;
}

export interface ItemType {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  /** The discriminator's value for items of this type; null: all items of the source. */
  readonly value: string | null;
  readonly fields: readonly Field[];
}

/** A picture of the project's own, named by image parts. */
export interface Picture {
  readonly name: string;
  readonly mediaType:
    | 'image/svg+xml'
    | 'image/png'
    | 'image/jpeg'
    | 'image/webp'
    | 'image/gif'
    | 'image/avif';
  readonly base64: string;
}

/** All of it but the items: what the project file holds, in the file's own form. */
export interface Project {
  readonly yarncard: typeof formatVersion;
  readonly name: string;
  readonly sources: readonly Source[];
  readonly types: readonly ItemType[];
  readonly templates: readonly Template[];
  readonly lists: readonly List[];
  readonly pictures: readonly Picture[];
}

export function withId<T extends { readonly id: string }>(
  things: readonly T[],
  id: string,
): T | undefined {
  return things.find((thing) => thing.id === id);
}

/** For an item's discriminating value, the id of its type. */
export function typeFinder(
  project: Project,
  source: Source,
): (value: unknown) => string | undefined {
  const own = project.types.filter((type) => type.source === source.id);
  if (source.discriminator === null) {
    const only = own[0]?.id;
    return () => only;
  }
  const byValue = new Map<unknown, string>(own.map((type) => [type.value, type.id]));
  return (value) => byValue.get(value);
}
