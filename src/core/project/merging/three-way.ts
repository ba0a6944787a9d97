import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';
import { keyedBy, mergedList } from './keyed-lists';
import { isSame } from './same';
import type { Conflict, Merged, Rules, Sides } from './sides';

/** Of two new ones of one id both can stand here; what theirs named by it uses ours then, which is told. */
const renamed = new Set(['templates', 'lists', 'formats', 'actions', 'sharedParts']);

const ofProjects: Rules = {
  keyOf: keyedBy,
  mayRename: ([first = '']) => renamed.has(first),
};

/**
 * Puts the changes of both sides together, member by member and, in lists whose elements have ids
 * or names, element by element.
 */
export function merged(
  { base, ours, theirs }: Sides<Json | undefined>,
  path: readonly string[] = [],
  rules: Rules = ofProjects,
): Merged {
  if (isSame(ours, theirs) || isSame(base, theirs)) return { value: ours, conflicts: [] };
  if (isSame(base, ours)) return { value: theirs, conflicts: [] };
  if (isRecord(ours) && isRecord(theirs))
    return mergedRecord({ base: isRecord(base) ? base : {}, ours, theirs }, path, rules);
  if (Array.isArray(ours) && Array.isArray(theirs)) {
    const sides = { base: Array.isArray(base) ? base : [], ours, theirs };
    const list = mergedList(sides, {
      path,
      rules,
      mergeOne: (each, at) => merged(each, at, rules),
    });
    if (list !== undefined) return list;
  }
  return { value: ours ?? theirs, conflicts: [{ path, ours, theirs }] };
}

function mergedRecord(
  { base, ours, theirs }: Sides<JsonRecord>,
  path: readonly string[],
  rules: Rules,
): Merged {
  const names = [
    ...new Set([...Object.keys(base), ...[...Object.keys(ours), ...Object.keys(theirs)].sort()]),
  ];
  const conflicts: Conflict[] = [];
  const entries = names.flatMap((name): [string, Json][] => {
    const of = (side: JsonRecord) => ownValue(side, name);
    const sides = { base: of(base), ours: of(ours), theirs: of(theirs) };
    const found = merged(sides, [...path, name], rules);
    conflicts.push(...found.conflicts);
    return found.value === undefined ? [] : [[name, found.value]];
  });
  return { value: Object.fromEntries(entries), conflicts };
}
