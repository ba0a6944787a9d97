import { isRecord, type Json } from '../../core/base';

/** Whether a text somewhere in a value holds the words, which are in lower case. */
export function holdsWords(value: Json | undefined, words: string): boolean {
  if (value === undefined || value === null) return false;
  if (typeof value === 'string') return value.toLowerCase().includes(words);
  if (typeof value !== 'object') return String(value).includes(words);
  if (Array.isArray(value)) return value.some((each) => holdsWords(each, words));
  return isRecord(value) && Object.values(value).some((each) => holdsWords(each, words));
}
