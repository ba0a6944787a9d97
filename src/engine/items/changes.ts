import { isRecord, type Json, type JsonRecord, keepsDigits, ownValue } from '../../core/base';
import type { Item } from '../../core/items';
import type { Field } from '../../core/values';

/** A change by hand to the items of a set, in the names that the items have as they are read. */
export type ItemChange =
  | {
      readonly kind: 'value';
      readonly position: number;
      readonly path: readonly string[];
      /** Undefined: the value is taken away. */
      readonly value: Json | undefined;
    }
  | { readonly kind: 'add'; readonly at: number; readonly items: readonly Item[] }
  | { readonly kind: 'empty' }
  | { readonly kind: 'several'; readonly changes: readonly ItemChange[] }
  | { readonly kind: 'remove'; readonly positions: readonly number[] }
  | {
      readonly kind: 'block';
      /** The positions from the first row of the block on; past them, items are added. */
      readonly positions: readonly number[];
      readonly columns: readonly BlockColumn[];
      readonly cells: readonly (readonly string[])[];
      /** What items that are added have besides. */
      readonly base: Item;
    };

/** Where the cells of a column go; undefined: nowhere. */
export type BlockColumn = { readonly path: readonly string[]; readonly field: Field } | undefined;

export function changedItems(items: readonly Item[], change: ItemChange): readonly Item[] {
  switch (change.kind) {
    case 'value':
      return replaced(items, change.position, (item) => withValue(item, change.path, change.value));
    case 'add':
      return [...items.slice(0, change.at), ...change.items, ...items.slice(change.at)];
    case 'empty':
      return [];
    case 'several':
      return change.changes.reduce(changedItems, items);
    case 'remove': {
      const gone = new Set(change.positions);
      return items.filter((_, position) => !gone.has(position));
    }
    case 'block':
      return withBlock(items, change);
  }
}

function withBlock(
  items: readonly Item[],
  { positions, columns, cells, base }: Extract<ItemChange, { kind: 'block' }>,
): readonly Item[] {
  const next = items.slice();
  for (const [index, row] of cells.entries()) {
    const position = positions[index];
    let item = (position === undefined ? undefined : next[position]) ?? base;
    for (const [at, cell] of row.entries()) {
      const column = columns[at];
      if (column !== undefined) item = withValue(item, column.path, valueTyped(cell, column.field));
    }
    if (position === undefined) next.push(item);
    else next[position] = item;
  }
  return next;
}

/** What a person typed into a cell, as a value of the field; undefined: nothing. */
export function valueTyped(text: string, field: Field): Json | undefined {
  if (text === '') return field.type === 'text' && field.required ? '' : undefined;
  if (field.decode !== undefined) return text;
  switch (field.type) {
    case 'number':
    case 'integer': {
      const plain = text.trim().replace(',', '.');
      const value = Number(plain);
      const isNumber = plain !== '' && Number.isFinite(value) && keepsDigits(plain);
      return isNumber ? value : text;
    }
    case 'boolean':
      return /^(?:true|yes|1)$/i.test(text) ? true : /^(?:false|no|0)$/i.test(text) ? false : text;
    case 'record':
    case 'list':
    case 'unknown':
      return parsed(text);
    default:
      return text;
  }
}

function parsed(text: string): Json {
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

function replaced(
  items: readonly Item[],
  position: number,
  change: (item: Item) => Item,
): readonly Item[] {
  const item = items[position];
  if (item === undefined) return items;
  const next = items.slice();
  next[position] = change(item);
  return next;
}

function withValue(
  record: JsonRecord,
  [first, ...rest]: readonly string[],
  value: Json | undefined,
): JsonRecord {
  if (first === undefined) return record;
  const old = ownValue(record, first);
  const next = rest.length === 0 ? value : withValue(isRecord(old) ? old : {}, rest, value);
  const entries = Object.entries(record).flatMap(([name, each]): [string, Json][] => {
    const kept = name === first ? next : each;
    return kept === undefined ? [] : [[name, kept]];
  });
  const isNew = !Object.hasOwn(record, first) && next !== undefined;
  return Object.fromEntries(isNew ? [...entries, [first, next]] : entries);
}
