import { clipped, isRecord, type Json, ownValue } from '../../base';
import { byKey } from './keyed-lists';
import { isSame } from './same';

/** One thing that is otherwise now; undefined: it was not there, or is not there any more. */
export interface Change {
  readonly path: readonly string[];
  readonly before: Json | undefined;
  readonly now: Json | undefined;
  /** The same elements in another order. */
  readonly isMoved?: true;
}

/** What is otherwise, as near to the leaves as it can be said; elements of lists by their ids or names. */
export function changesBetween(
  before: Json | undefined,
  now: Json | undefined,
  path: readonly string[] = [],
): readonly Change[] {
  if (isSame(before, now)) return [];
  if (isRecord(before) && isRecord(now)) {
    const names = [...new Set([...Object.keys(before), ...Object.keys(now)])];
    return names.flatMap((name) =>
      changesBetween(ownValue(before, name), ownValue(now, name), [...path, name]),
    );
  }
  const old = Array.isArray(before) ? byKey(before) : undefined;
  const fresh = Array.isArray(now) ? byKey(now) : undefined;
  if (old === undefined || fresh === undefined) return [{ path, before, now }];
  const keys = [...new Set([...old.keys(), ...fresh.keys()])];
  const own = keys.flatMap((key) => changesBetween(old.get(key), fresh.get(key), [...path, key]));
  const kept = [...old.keys()].filter((key) => fresh.has(key));
  const stand = [...fresh.keys()].filter((key) => old.has(key));
  const isMoved = kept.some((key, at) => key !== stand[at]);
  return isMoved ? [...own, { path, before: kept, now: stand, isMoved }] : own;
}

/** Steps that people do not think of. */
const silent = new Set(['row', 'children']);

/** `templates › plain › title › text`: where something stands, as people say it. */
export const placeInProject = (path: readonly string[]): string =>
  path.filter((step) => !silent.has(step)).join(' › ') || 'the project';

export function changeInWords({ path, before, now, isMoved }: Change): string {
  const place = placeInProject(path);
  if (isMoved) return `${place}: in another order, ${shownIn(now)}`;
  if (before === undefined) return `${place}: added, ${shownIn(now)}`;
  if (now === undefined) return `${place}: removed`;
  return `${place}: ${shownIn(before)} → ${shownIn(now)}`;
}

export const shownIn = (value: Json | undefined): string =>
  value === undefined ? 'removed' : clipped(JSON.stringify(value)).slice(0, 120);
