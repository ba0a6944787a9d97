import type { Item } from '../../../src/core/items';

/**
 * Five typical expressions as a good engineer would write them by hand, with the same meaning: a
 * missing value is undefined, and in a text it is empty.
 */
export interface FormattedValue {
  readonly expression: string;
  /** The same in CEL. */
  readonly cel: string;
  readonly byHand: (item: Item) => string | number | boolean | undefined;
}

const number = (value: unknown): number | undefined =>
  typeof value === 'number' ? value : undefined;
const text = (value: unknown): string | undefined =>
  typeof value === 'string' ? value : undefined;
const record = (value: unknown): Item | undefined =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? (value as Item)
    : undefined;

export const handWritten: readonly FormattedValue[] = [
  {
    expression: 'price * stock',
    cel: 'price * double(stock)',
    byHand(item) {
      const price = number(item['price']);
      const stock = number(item['stock']);
      if (price === undefined || stock === undefined) return undefined;
      const product = price * stock;
      return Number.isFinite(product) ? product : undefined;
    },
  },
  {
    expression: '`${name} · ${grams} g`',
    cel: 'name + " · " + string(grams) + " g"',
    byHand: (item) => `${text(item['name']) ?? ''} · ${number(item['grams']) ?? ''} g`,
  },
  {
    expression: 'stock === 0 ? "sold out" : stock < 5 ? "few left" : "in stock"',
    cel: 'stock == 0 ? "sold out" : (stock < 5 ? "few left" : "in stock")',
    byHand(item) {
      const stock = number(item['stock']);
      if (stock === 0) return 'sold out';
      return stock !== undefined && stock < 5 ? 'few left' : 'in stock';
    },
  },
  {
    expression: 'maker.town ?? "unknown"',
    cel: 'has(maker.town) ? maker.town : "unknown"',
    byHand: (item) => text(record(item['maker'])?.['town']) ?? 'unknown',
  },
  {
    expression: 'checked && price > 20 && shade !== "undyed"',
    cel: 'checked && price > 20.0 && shade != "undyed"',
    byHand(item) {
      const price = number(item['price']);
      const shade = text(item['shade']);
      return (
        item['checked'] === true &&
        price !== undefined &&
        price > 20 &&
        shade !== undefined &&
        shade !== 'undyed'
      );
    },
  },
];

/** A sum or a count over all items, its loop written for it alone. */
export interface WrittenPass {
  readonly expression: string;
  readonly byHand: (items: readonly Item[]) => number;
}

export const writtenPasses: readonly WrittenPass[] = [
  {
    expression: 'price * stock',
    byHand(items) {
      let sum = 0;
      for (const item of items) {
        const price = item['price'];
        const stock = item['stock'];
        if (typeof price === 'number' && typeof stock === 'number') sum += price * stock;
      }
      return sum;
    },
  },
  {
    expression: 'checked && price > 20 && shade !== "undyed"',
    byHand(items) {
      let count = 0;
      for (const item of items) {
        const price = item['price'];
        const shade = item['shade'];
        if (item['checked'] === true && typeof price === 'number' && price > 20)
          if (typeof shade === 'string' && shade !== 'undyed') count += 1;
      }
      return count;
    },
  },
];
