import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';
import type { ResultType } from '../result-type';
import { plainText, type Value } from '../value';

/** Lets only values of a type through: items may differ from what was known when the type was written. */
export function conformer(type: ResultType): (value: Json | undefined) => Value {
  switch (type.type) {
    case 'text':
      return (value) =>
        typeof value === 'string' ? value : value === null ? undefined : plainText(value);
    case 'integer':
    case 'number':
      // A file can hold 1e999.
      return (value) => (typeof value === 'number' && Number.isFinite(value) ? value : undefined);
    case 'boolean':
      return (value) => (typeof value === 'boolean' ? value : undefined);
    case 'record':
      return (value) => (isRecord(value) ? value : undefined);
    case 'list':
      return (value) => (Array.isArray(value) ? value : undefined);
    case 'unknown':
    case 'either':
      return (value) => value ?? undefined;
    default:
      return (value) => (typeof value === 'string' ? value : undefined);
  }
}

/** Reads a field as its type. Names that every object inherits are looked up as own keys. */
export function load(name: string, type: ResultType): (record: JsonRecord) => Value {
  const conform = conformer(type);
  if (name in Object.prototype) return (record) => conform(ownValue(record, name));
  // The most frequent types without a call for each value.
  switch (type.type) {
    case 'text':
      return (record) => {
        const value = record[name];
        return typeof value === 'string' ? value : conform(value);
      };
    case 'integer':
    case 'number':
      return (record) => {
        const value = record[name];
        return typeof value === 'number' && Number.isFinite(value) ? value : undefined;
      };
    case 'boolean':
      return (record) => {
        const value = record[name];
        return typeof value === 'boolean' ? value : undefined;
      };
    default:
      return (record) => conform(record[name]);
  }
}

/** The same for numbers, NaN where there is none. */
export function loadNumber(name: string): (record: JsonRecord) => number {
  if (name in Object.prototype)
    return (record) => {
      const value = ownValue(record, name);
      return typeof value === 'number' && Number.isFinite(value) ? value : Number.NaN;
    };
  return (record) => {
    const value = record[name];
    return typeof value === 'number' && Number.isFinite(value) ? value : Number.NaN;
  };
}
