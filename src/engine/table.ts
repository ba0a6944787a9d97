import { isRecord, type Json } from '../core/base';
import { type Item, valueAt } from '../core/items';

/** How the table of items is looked at: all in their order, or sorted, or only some. */
export interface TableLook {
  readonly sort: { readonly path: readonly string[]; readonly isDescending: boolean } | undefined;
  /** Words that an item must hold somewhere, in any case. */
  readonly filter: string;
}

export const plainLook: TableLook = { sort: undefined, filter: '' };

const collator = new Intl.Collator('en', { numeric: true });

/** Positions of the items that a look shows, in its order. Missing values come last, either way. */
export function tableOrder(items: readonly Item[], look: TableLook): Int32Array {
  const words = look.filter.trim().toLowerCase();
  const all = Int32Array.from(items, (_, position) => position);
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

const rank = (value: Json): number => (value === null ? 1 : 0);

function compare(a: Json, b: Json): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  if (typeof a === 'object' || typeof b === 'object') return sizeOf(a) - sizeOf(b);
  return collator.compare(String(a), String(b));
}

const sizeOf = (value: Json): number =>
  Array.isArray(value) ? value.length : isRecord(value) ? Object.keys(value).length : 0;

/** Whether a text somewhere in a value holds the words, which are in lower case. */
export function holdsWords(value: Json | undefined, words: string): boolean {
  if (value === undefined || value === null) return false;
  if (typeof value === 'string') return value.toLowerCase().includes(words);
  if (typeof value !== 'object') return String(value).includes(words);
  if (Array.isArray(value)) return value.some((each) => holdsWords(each, words));
  return isRecord(value) && Object.values(value).some((each) => holdsWords(each, words));
}
