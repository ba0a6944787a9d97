import { isRecord, type Json, type JsonRecord, keepsDigits, ownValue } from '../../core/base';
import { type Item, type Succession, Successor } from '../../core/items';
import type { Field } from '../../core/values';

/** A change by hand to the items of a set, in the names that the items have as they are read. */
export type ItemChange =
  | {
      readonly kind: 'value';
      readonly position: number;
      readonly path: readonly string[];
      /** Where it is undefined, the value is taken away. */
      readonly value: Json | undefined;
    }
  | { readonly kind: 'add'; readonly at: number; readonly items: readonly Item[] }
  | { readonly kind: 'empty' }
  | { readonly kind: 'several'; readonly changes: readonly ItemChange[] }
  | { readonly kind: 'remove'; readonly positions: readonly number[] }
  /** To a position among all others. */
  | { readonly kind: 'move'; readonly position: number; readonly to: number }
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

/** What becomes of one item. */
export type OneChange =
  | { readonly kind: 'remove' }
  | OneValue
  | {
      readonly kind: 'move';
      /** Next to which item; undefined: it stays where it is. */
      readonly beside: Beside | undefined;
      /** What it is given there. */
      readonly value: OneValue | undefined;
    };

type OneValue = Omit<Extract<ItemChange, { readonly kind: 'value' }>, 'position'>;

export interface Beside {
  /** Of the item that it goes to. */
  readonly key: string;
  readonly side: 'before' | 'after';
}

/** The same for an item at a position; undefined: what it goes to is gone. */
export function changeAt(
  position: number,
  change: OneChange,
  positionOf: (key: string) => number,
): ItemChange | undefined {
  if (change.kind === 'remove') return { kind: 'remove', positions: [position] };
  if (change.kind === 'value') return { ...change, position };
  const { beside, value } = change;
  const given: readonly ItemChange[] = value === undefined ? [] : [{ ...value, position }];
  if (beside === undefined) return { kind: 'several', changes: given };
  const other = positionOf(beside.key);
  if (other < 0) return undefined;
  const isPast = other > position ? 1 : 0;
  const to = other - isPast + (beside.side === 'after' ? 1 : 0);
  const moved: ItemChange = { kind: 'move', position, to: other === position ? position : to };
  return { kind: 'several', changes: [...given, moved] };
}

export function changedItems(items: readonly Item[], change: ItemChange): Succession {
  const next = new Successor(items);
  applyTo(next, change);
  return next.finish();
}

function applyTo(next: Successor, change: ItemChange): void {
  switch (change.kind) {
    case 'value': {
      const item = next.items[change.position];
      if (item !== undefined)
        next.replace(change.position, withValue(item, change.path, change.value));
      break;
    }
    case 'add':
      next.insert(change.at, change.items);
      break;
    case 'empty':
      next.clear();
      break;
    case 'several':
      for (const each of change.changes) applyTo(next, each);
      break;
    case 'remove':
      next.remove(new Set(change.positions));
      break;
    case 'move':
      next.move(change.position, change.to);
      break;
    case 'block':
      putBlock(next, change);
      break;
  }
}

function putBlock(
  next: Successor,
  { positions, columns, cells, base }: Extract<ItemChange, { kind: 'block' }>,
): void {
  for (const [index, row] of cells.entries()) {
    const position = positions[index];
    let item = (position === undefined ? undefined : next.items[position]) ?? base;
    for (const [at, cell] of row.entries()) {
      const column = columns[at];
      if (column !== undefined) item = withValue(item, column.path, valueTyped(cell, column.field));
    }
    next.replace(position ?? next.items.length, item);
  }
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
