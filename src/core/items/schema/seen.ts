import { isRecord, type Json, ownValue } from '../../base';
import type { Field } from '../../values';
import { fieldsWithin, rawPathOf } from '../fit';
import type { Item } from '../item';

/** What the values of a field are, as narrowly as the items say it. */
export interface Seen {
  readonly path: readonly string[];
  /** Some records that could have it lack it. */
  readonly isAbsentSomewhere: boolean;
  readonly isNullSomewhere: boolean;
  /** All texts that there are, where they are few and come again and again. */
  readonly words: readonly string[] | undefined;
}

const maxWords = 8;
/** Each of a few words is met so often before they are taken for all that there are. */
const minTimes = 5;
const longestWord = 40;

/** Of each field of a type, under the names that the items have as they come. */
export function seenIn(fields: readonly Field[], items: readonly Item[]): readonly Seen[] {
  return fieldsWithin(fields).map(({ path }) => seenAt(fields, path, items));
}

function seenAt(fields: readonly Field[], path: readonly string[], items: readonly Item[]): Seen {
  const raw = rawPathOf(fields, path);
  const last = raw.at(-1) ?? '';
  let [isAbsentSomewhere, isNullSomewhere, count] = [false, false, 0];
  let words: Set<string> | undefined = new Set();
  for (const item of items) {
    let record: Json | undefined = item;
    for (const name of raw.slice(0, -1))
      record = isRecord(record) ? ownValue(record, name) : undefined;
    if (!isRecord(record)) continue;
    const value = ownValue(record, last);
    if (value === undefined) isAbsentSomewhere = true;
    else if (value === null) isNullSomewhere = true;
    else {
      count += 1;
      if (typeof value !== 'string' || value.length > longestWord) words = undefined;
      if ((words?.add(String(value)).size ?? 0) > maxWords) words = undefined;
    }
  }
  const isEnough = words !== undefined && words.size > 0 && count >= words.size * minTimes;
  return {
    path,
    isAbsentSomewhere,
    isNullSomewhere,
    words: isEnough ? [...(words ?? [])].sort() : undefined,
  };
}
