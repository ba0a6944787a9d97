import { isRecord, type Json } from '../../core/base';
import { type Item, type Measure, measured, valueAt } from '../../core/items';
import { holdsWords } from '../items';

/** How the table of items is looked at: all in their order, or sorted, or only some. */
export interface TableLook {
  readonly sort: { readonly path: readonly string[]; readonly isDescending: boolean } | undefined;
  /** Words that an item must hold somewhere, in any case. */
  readonly filter: string;
  readonly only?: Only | undefined;
}

/** Items with a value of a field, or with one that is measured from `from` up to `to`; `words`: how people read that. */
export type Only = { readonly path: readonly string[]; readonly words: string } & (
  | { readonly value: Json }
  | { readonly measure: Measure; readonly from: number; readonly to: number }
);

export const plainLook: TableLook = { sort: undefined, filter: '' };

const collator = new Intl.Collator('en', { numeric: true });

/** Positions of the items that a look shows, in its order. Missing values come last, either way. */
export function tableOrder(items: readonly Item[], look: TableLook): Int32Array {
  const words = look.filter.trim().toLowerCase();
  const everyOne = Int32Array.from(items, (_, position) => position);
  const isWanted = look.only === undefined ? undefined : tester(look.only);
  const all =
    isWanted === undefined
      ? everyOne
      : everyOne.filter((position) => isWanted(items[position] ?? {}));
  const kept = words === '' ? all : all.filter((position) => holdsWords(items[position], words));
  const { sort } = look;
  if (sort === undefined) return kept;
  const values = items.map((item) => valueAt(item, sort.path));
  const sign = sort.isDescending ? -1 : 1;
  return kept.sort((a, b) => {
    const [one, other] = [values[a] ?? null, values[b] ?? null];
    if (one === null || other === null) return rank(one) - rank(other) || a - b;
    return sign * compare(one, other) || a - b;
  });
}

function tester(only: Only): (item: Item) => boolean {
  if ('value' in only) {
    const wanted = JSON.stringify(only.value);
    return (item) => JSON.stringify(valueAt(item, only.path)) === wanted;
  }
  return (item) => {
    const value = valueAt(item, only.path);
    const at = value === undefined || value === null ? Number.NaN : measured(only.measure, value);
    return at >= only.from && at <= only.to;
  };
}

const rank = (value: Json): number => (value === null ? 1 : 0);

function compare(a: Json, b: Json): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  if (typeof a === 'object' || typeof b === 'object') return sizeOf(a) - sizeOf(b);
  return collator.compare(String(a), String(b));
}

const sizeOf = (value: Json): number =>
  Array.isArray(value) ? value.length : isRecord(value) ? Object.keys(value).length : 0;
