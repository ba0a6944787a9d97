import type { Item } from '../item';

/** Items that stand side by side now as they did before: `count` of them, from `old` on, now from `at` on. */
export interface Run {
  readonly at: number;
  readonly old: number;
  readonly count: number;
}

/** One list of items and the next. */
export interface Succession {
  readonly before: readonly Item[];
  readonly items: readonly Item[];
  /** What stayed, in the order in which it stands now; all else is looked at anew. */
  readonly runs: readonly Run[];
}

/** The succession by the items alone: those that are the very same have stayed. */
export const successionOf = (before: readonly Item[], items: readonly Item[]): Succession => ({
  before,
  items,
  runs: runsOf(positionsBefore(before, items)),
});

/** The runs that follow from the position at which each item stood before; -1 where it is new. */
export function runsOf(from: Int32Array): Run[] {
  const runs: Run[] = [];
  for (let at = 0; at < from.length; ) {
    const old = from[at] ?? -1;
    let count = 1;
    while (at + count < from.length && from[at + count] === (old < 0 ? -1 : old + count))
      count += 1;
    if (old >= 0) runs.push({ at, old, count });
    at += count;
  }
  return runs;
}

/** Positions now that are in no run. */
export function freshPositions({ items, runs }: Succession): number[] {
  return gaps(
    runs.map(({ at, count }) => ({ from: at, to: at + count })),
    items.length,
  );
}

/** Positions before that are in no run. */
export function gonePositions({ before, runs }: Succession): number[] {
  const kept = runs.map(({ old, count }) => ({ from: old, to: old + count }));
  return gaps(
    kept.sort((a, b) => a.from - b.from),
    before.length,
  );
}

function gaps(spans: readonly { readonly from: number; readonly to: number }[], end: number) {
  const positions: number[] = [];
  let next = 0;
  for (const { from, to } of [...spans, { from: end, to: end }]) {
    for (let at = next; at < from; at += 1) positions.push(at);
    next = Math.max(next, to);
  }
  return positions;
}

/** Whether all that stayed stands where it stood, and nothing joined or went. */
export const isInPlace = ({ before, items, runs }: Succession): boolean =>
  before.length === items.length && runs.every(({ at, old }) => at === old);

const lookAhead = 24;

/**
 * For each item the position at which it stood before; -1: it is new, or moved by a few places.
 * Lists that come of each other share nearly all, so both are walked side by side; only where they
 * part for long, what is left is looked up.
 */
function positionsBefore(before: readonly Item[], after: readonly Item[]): Int32Array {
  const from = new Int32Array(after.length);
  let old = 0;
  let at = 0;
  while (true) {
    for (; at < after.length && before[old] === after[at]; at += 1) {
      from[at] = old;
      old += 1;
    }
    if (at >= after.length) return from;
    const step = stepOver(before, old, after, at);
    if (step === undefined) {
      lookUp(before.slice(old), after.slice(at), from.subarray(at), old);
      return from;
    }
    from.fill(-1, at, at + step.added);
    at += step.added;
    old += step.removed;
  }
}

/** How many items to pass over on both sides until they go on alike; undefined: more than a few. */
function stepOver(before: readonly Item[], old: number, after: readonly Item[], at: number) {
  if (old >= before.length) return { added: after.length - at, removed: 0 };
  for (let reach = 1; reach <= lookAhead; reach += 1) {
    for (let other = 0; other <= reach; other += 1) {
      if (other < reach && isAlike(before, old + other, after, at + reach))
        return { added: reach, removed: other };
      if (isAlike(before, old + reach, after, at + other)) return { added: other, removed: reach };
    }
  }
  return undefined;
}

const isAlike = (before: readonly Item[], old: number, after: readonly Item[], at: number) =>
  old < before.length && at < after.length
    ? before[old] === after[at]
    : old === before.length && at === after.length;

/** Items anywhere: where each of the later ones was, of the earlier ones that begin at `offset`. */
function lookUp(
  before: readonly Item[],
  after: readonly Item[],
  from: Int32Array,
  offset: number,
): void {
  const places = new Map<Item, number>();
  for (let i = before.length - 1; i >= 0; i -= 1) {
    const item = before[i];
    if (item !== undefined) places.set(item, offset + i);
  }
  for (let i = 0; i < after.length; i += 1) {
    const item = after[i] ?? {};
    from[i] = places.get(item) ?? -1;
    // The same item once more is as good as new: what follows from it stands at one place.
    places.delete(item);
  }
}
