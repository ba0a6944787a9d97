import { isRecord, type Json, type JsonRecord } from '../base';

/** One record as it was read: JSON values, own keys only, nothing decoded. Never mutated. */
export type Item = JsonRecord;

/** What items were read from; `typed`: a person wrote them here. */
export type Format = 'json' | 'ndjson' | 'csv' | 'sqlite' | 'typed';

/** The field that tells items apart, or several that do so together; null: their position. */
export type Key = string | readonly string[] | null;

export const keyFields = (key: Key): readonly string[] =>
  key === null ? [] : typeof key === 'string' ? [key] : key;

/** Items stand alone as `{ value }` where the document lists plain values instead of records. */
export function asItem(value: Json): Item {
  return isRecord(value) ? value : { value };
}

/** What a type is of whose items have no value in the field that tells types apart. */
export const noTypeValue = '';

/**
 * What an item's value says its type is: texts as they are, whole numbers and yes or no as they are
 * written, nothing at all as `noTypeValue`. Undefined: other values are of no type.
 */
export function typeValueOf(value: Json | undefined): string | undefined {
  if (typeof value === 'string') return value;
  if (value === undefined || value === null) return noTypeValue;
  return typeof value === 'boolean' || Number.isInteger(value) ? String(value) : undefined;
}

/** The value of a type as items have it; undefined: they have none. */
export function itemValueOf(value: string, fieldType: string): Json | undefined {
  if (value === noTypeValue) return undefined;
  if (fieldType === 'boolean') return value === 'true';
  return fieldType === 'integer' ? Number(value) : value;
}
