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
