import { isRecord } from '../../base';
import { plainText, type Value } from '../value';

/** A value in a few characters: texts in quotes, records by their fields' names, lists by length. */
export function shown(value: Value): string {
  if (value === undefined) return 'missing';
  if (Array.isArray(value)) return `list of ${value.length}`;
  if (isRecord(value)) return `{ ${Object.keys(value).slice(0, 4).join(', ')} }`;
  if (typeof value !== 'string') return plainText(value) ?? '';
  return JSON.stringify(value.length > 60 ? `${value.slice(0, 59)}…` : value);
}
