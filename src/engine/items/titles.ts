import { type Item, likelyTitle, valueAt } from '../../core/items';
import type { ItemType } from '../../core/project';

/** So many items of a type show which of its fields names them. */
const sampleCount = 60;

/** What people call items: the field of each type that names them, as long as items and types stay. */
export class Titles {
  private items: readonly Item[] | undefined;
  private readonly byType = new Map<
    string,
    { readonly of: ItemType; readonly path: readonly string[] | undefined }
  >();

  /** The title of an item of a type; undefined: it has none. */
  of(item: Item, type: ItemType, around: ItemsOfTypes): string | undefined {
    if (this.items !== around.items) this.byType.clear();
    this.items = around.items;
    const known = this.byType.get(type.id);
    const path = known?.of === type ? known.path : likelyTitle(type.fields, sampleOf(type, around));
    this.byType.set(type.id, { of: type, path });
    const value = path && valueAt(item, path);
    return value === undefined || value === null || typeof value === 'object' || value === ''
      ? undefined
      : String(value);
  }
}

interface ItemsOfTypes {
  readonly items: readonly Item[];
  readonly typeOf: (item: number) => string | undefined;
}

function sampleOf({ id }: ItemType, { items, typeOf }: ItemsOfTypes): readonly Item[] {
  const sample: Item[] = [];
  for (let at = 0; at < items.length && sample.length < sampleCount; at += 1) {
    const item = items[at];
    if (item !== undefined && typeOf(at) === id) sample.push(item);
  }
  return sample;
}
