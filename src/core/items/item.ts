import { isRecord, type Json, type JsonRecord } from '../base';

/** One record as it was read: JSON values, own keys only, nothing decoded. Never mutated. */
export type Item = JsonRecord;

export type Format = 'json' | 'ndjson' | 'csv';

/** Items stand alone as `{ value }` where the document lists plain values instead of records. */
export function asItem(value: Json): Item {
  return isRecord(value) ? value : { value };
}
