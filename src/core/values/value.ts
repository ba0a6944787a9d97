import type { Json, JsonRecord } from '../base';

/** What an expression yields for an item. `undefined` is the one absent value. */
export type Value = string | number | boolean | JsonRecord | readonly Json[] | undefined;

/** A plain value as text, the same in every locale. Records and lists have none. */
export function plainText(value: Value): string | undefined {
  if (typeof value === 'string') return value;
  if (typeof value === 'number')
    return Number.isFinite(value) ? String(value === 0 ? 0 : value) : undefined;
  return typeof value === 'boolean' ? String(value) : undefined;
}
