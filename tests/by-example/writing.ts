import { isRecord, type Json } from '../../src/core/base';
import type { Item } from '../../src/core/items';

export const now = '2026-03-21T10:30:00Z';
export const locales = ['en-GB', 'de', 'fr', 'ar', 'ja'] as const;

const keeper = <T, O>(make: (locale: string, options: O) => T) => {
  const made = new Map<string, T>();
  return (locale: string, options: O): T => {
    const id = `${locale} ${JSON.stringify(options)}`;
    const known = made.get(id) ?? make(locale, options);
    made.set(id, known);
    return known;
  };
};
const numberFormat = keeper(
  (locale, options: Intl.NumberFormatOptions) => new Intl.NumberFormat(locale, options),
);
const dateFormat = keeper(
  (locale, options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, options),
);

export type Write = (item: Item, locale: string) => string | undefined;

export const at = (item: Item, path: string): Json | undefined =>
  path
    .split('.')
    .reduce<Json | undefined>((value, step) => (isRecord(value) ? value[step] : undefined), item);
export const text = (item: Item, path: string): string | undefined => {
  const value = at(item, path);
  return typeof value === 'string' ? value : undefined;
};
export const number = (item: Item, path: string): number | undefined => {
  const value = at(item, path);
  return typeof value === 'number' ? value : undefined;
};
export const list = (item: Item, path: string): readonly Item[] => {
  const value = at(item, path);
  return Array.isArray(value) ? value.filter(isRecord) : [];
};
export const when = <T>(value: T | undefined, make: (value: T) => string): string | undefined =>
  value === undefined ? undefined : make(value);

export const numbers = (value: number, locale: string, options: Intl.NumberFormatOptions = {}) =>
  numberFormat(locale, options).format(value);
export const money = (
  value: number,
  item: Item,
  locale: string,
  more: Intl.NumberFormatOptions = {},
) =>
  numbers(value, locale, { style: 'currency', currency: text(item, 'currency') ?? 'EUR', ...more });
export const dates = (value: string, locale: string, options: Intl.DateTimeFormatOptions) =>
  dateFormat(locale, { timeZone: 'UTC', ...options }).format(Date.parse(value));

export const daysFromNow = (value: string): number =>
  Math.round((Date.parse(value) - Date.parse(now.slice(0, 10))) / 86_400_000);

/** How far a day is from now, as the reader of a list says it. */
export function fromNow(value: string, locale: string): string {
  const days = daysFromNow(value);
  const relative = new Intl.RelativeTimeFormat(locale, { numeric: 'auto' });
  if (Math.abs(days) < 7) return relative.format(days, 'day');
  return Math.abs(days) < 30
    ? relative.format(Math.round(days / 7), 'week')
    : relative.format(Math.round(days / 30.436875), 'month');
}
