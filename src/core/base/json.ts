export type Json = null | boolean | number | string | readonly Json[] | JsonRecord;

/** An object of a document. Its keys are data: read them with `ownValue` or after an own-key check. */
export interface JsonRecord {
  readonly [key: string]: Json | undefined;
}

export function isRecord(value: Json | undefined): value is JsonRecord {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Own properties only, so that `constructor` and `__proto__` are keys like any other. */
export function ownValue<T>(record: { readonly [key: string]: T }, key: string): T | undefined {
  return Object.hasOwn(record, key) ? record[key] : undefined;
}

/** The same for one key of many records: only names that every object inherits need a closer look. */
export function ownReader(key: string): (record: JsonRecord) => Json | undefined {
  return key in Object.prototype ? (record) => ownValue(record, key) : (record) => record[key];
}
