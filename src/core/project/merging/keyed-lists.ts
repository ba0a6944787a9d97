import { freeId, isRecord, type Json, ownValue } from '../../base';
import { isSame } from './same';
import type { Conflict, Merged, Rules, Sides } from './sides';

/** By id, by name, or by the source and set that items are of. */
export function keyedBy(element: Json): string | undefined {
  if (!isRecord(element)) return undefined;
  for (const name of ['id', 'name']) {
    const value = ownValue(element, name);
    if (typeof value === 'string') return value;
  }
  const source = ownValue(element, 'source');
  return typeof source === 'string'
    ? `${source}/${String(ownValue(element, 'set') ?? '')}`
    : undefined;
}

type Elements = ReadonlyMap<string, Json>;

interface ListTask {
  readonly path: readonly string[];
  readonly rules: Rules;
  /** Puts the changes of one element together. */
  readonly mergeOne: (sides: Sides<Json | undefined>, path: readonly string[]) => Merged;
}

/** Undefined where the elements of a side are not told apart. */
export function mergedList(
  sides: Sides<readonly Json[]>,
  { path, rules, mergeOne }: ListTask,
): Merged | undefined {
  const keyOf = (element: Json) => rules.keyOf(element, path);
  const base = byKey(sides.base, keyOf);
  const ours = byKey(sides.ours, keyOf);
  const theirs = byKey(sides.theirs, keyOf);
  if (base === undefined || ours === undefined || theirs === undefined) return undefined;
  const conflicts: Conflict[] = [];
  const kept = new Map<string, Json>();
  const twice: Json[] = [];
  for (const key of new Set([...base.keys(), ...ours.keys(), ...theirs.keys()])) {
    const of = { base: base.get(key), ours: ours.get(key), theirs: theirs.get(key) };
    const isAddedTwice = of.base === undefined && of.ours !== undefined && of.theirs !== undefined;
    if (isAddedTwice && !isSame(of.ours, of.theirs)) {
      const isKept = rules.mayRename(path) && hasId(of.theirs);
      if (of.ours !== undefined) kept.set(key, of.ours);
      if (isKept) twice.push(of.theirs ?? null);
      const { ours: own, theirs: other } = of;
      const met = { path: [...path, key], ours: own, theirs: other };
      conflicts.push(isKept ? { ...met, isKeptTwice: true } : met);
      continue;
    }
    const found = mergeOne(of, [...path, key]);
    conflicts.push(...found.conflicts);
    if (found.value !== undefined) kept.set(key, found.value);
  }
  const keys = orderOf({
    base: [...base.keys()],
    ours: [...ours.keys()],
    theirs: [...theirs.keys()],
  });
  const list = keys.flatMap((key) => kept.get(key) ?? []);
  return { value: [...list, ...renamed(twice, kept)], conflicts };
}

/** Each element by its key, in their order; undefined: one has none, or two have the same. */
export function byKey(
  list: readonly Json[],
  keyOf: (element: Json) => string | undefined = keyedBy,
): Elements | undefined {
  const found = new Map<string, Json>();
  for (const each of list) {
    const key = keyOf(each);
    if (key === undefined || found.has(key)) return undefined;
    found.set(key, each);
  }
  return found;
}

const hasId = (element: Json | undefined): boolean =>
  isRecord(element) && typeof ownValue(element, 'id') === 'string';

/** Under ids that are free. */
function renamed(elements: readonly Json[], kept: Elements): readonly Json[] {
  const taken = new Set(kept.keys());
  return elements.filter(isRecord).map((each) => {
    const id = freeId(String(ownValue(each, 'id')), taken);
    taken.add(id);
    return { ...each, id };
  });
}

/**
 * The order of all keys: that of the side that moved something, ours if both did; what a side added
 * stands after what it stood after there. The same whichever side is called ours, if not both moved.
 */
function orderOf({ base, ours, theirs }: Sides<readonly string[]>): readonly string[] {
  const known = new Set(base);
  const lead = hasMoved(base, ours) ? ours : hasMoved(base, theirs) ? theirs : base;
  const led = new Set(lead);
  const order = [...lead.filter((key) => known.has(key)), ...base.filter((key) => !led.has(key))];
  const runs = [...runsOf(ours, known), ...runsOf(theirs, known)].sort((one, other) =>
    (one.keys[0] ?? '') < (other.keys[0] ?? '') ? -1 : 1,
  );
  const byPlace = new Map<string | undefined, string[]>();
  for (const { after, keys } of runs) byPlace.set(after, [...(byPlace.get(after) ?? []), ...keys]);
  const all = [...(byPlace.get(undefined) ?? [])];
  for (const key of order) all.push(key, ...(byPlace.get(key) ?? []));
  // What both sides added stands where it is met first.
  return [...new Set(all)];
}

/** Whether what a side kept stands in another order than before. */
function hasMoved(base: readonly string[], side: readonly string[]): boolean {
  const [before, now] = [new Set(base), new Set(side)];
  const kept = base.filter((key) => now.has(key));
  return side.filter((key) => before.has(key)).some((key, at) => key !== kept[at]);
}

interface Run {
  /** The known key that they stand after; undefined: they stand first. */
  readonly after: string | undefined;
  readonly keys: string[];
}

/** What a side added, by what it stands after. */
function runsOf(side: readonly string[], known: ReadonlySet<string>): readonly Run[] {
  const runs: Run[] = [];
  let after: string | undefined;
  for (const key of side) {
    const last = runs.at(-1);
    if (known.has(key)) after = key;
    else if (last !== undefined && last.after === after) last.keys.push(key);
    else runs.push({ after, keys: [key] });
  }
  return runs;
}
