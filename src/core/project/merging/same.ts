import { isRecord, type Json, ownValue } from '../../base';

/** Whether two values are the same, whatever the order of their members. */
export function isSame(one: Json | undefined, other: Json | undefined): boolean {
  if (one === other) return true;
  if (Array.isArray(one) && Array.isArray(other))
    return one.length === other.length && one.every((each, at) => isSame(each, other[at]));
  if (!isRecord(one) || !isRecord(other)) return false;
  const names = Object.keys(one);
  return (
    names.length === Object.keys(other).length &&
    names.every(
      (name) => Object.hasOwn(other, name) && isSame(ownValue(one, name), ownValue(other, name)),
    )
  );
}
