export type Json = null | boolean | number | string | readonly Json[] | JsonRecord;

/** An object of a document. Its keys are data: read them with `ownValue` or after an own-key check. */
export interface JsonRecord {
  readonly [key: string]: Json | undefined;
}

export function isRecord(value: Json | undefined): value is JsonRecord {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Own properties only, so that `constructor` and `__proto__` are keys like any other. */
export function ownValue(record: JsonRecord, key: string): Json | undefined {
  return Object.hasOwn(record, key) ? record[key] : undefined;
}
