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

/** Whether lists and records stand in each other more than so many levels deep; however deep, it answers. */
export function isDeeperThan(value: Json, levels: number): boolean {
  let level: readonly object[] = isNested(value) ? [value] : [];
  for (let depth = 0; depth < levels; depth += 1) {
    const inside: object[] = [];
    for (const each of level)
      for (const one of Object.values(each)) if (isNested(one)) inside.push(one);
    if (inside.length === 0) return false;
    level = inside;
  }
  return level.length > 0;
}

const isNested = (value: unknown): value is object => typeof value === 'object' && value !== null;
