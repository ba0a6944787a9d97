import { ownReader, ownValue } from '../base';
import type { Item } from './item';
import { ShapeStat } from './shape';

const maxValues = 12;
const likelyNames = /^(?:kind|type|category|class|variant|item ?type|record ?type)$/i;

const sampleSize = 5_000;

/** Fewer items are no type of their own where there are many. */
const handful = 5;
const manyItems = 40;

/**
 * The text field with few values that splits the shapes, found on a sample from all over: for at least
 * two of its values there are fields that most items of the one have and no item of the other. A value
 * of which there is a handful among many is an odd one, no type.
 */
export function likelyDiscriminator(items: readonly Item[]): string | undefined {
  const sample = spread(items, sampleSize);
  const whole = new ShapeStat();
  for (const item of sample) whole.add(item);
  const optional = whole.fields
    .filter((field) => field.stat.presentCount < whole.itemCount)
    .map((field) => field.name);
  if (optional.length === 0) return undefined;
  const candidates = whole.fields
    .filter(
      ({ stat }) =>
        stat.presentCount === whole.itemCount && stat.kindCounts.text === whole.itemCount,
    )
    .map((field) => field.name);
  let best: { readonly field: string; readonly score: number } | undefined;
  for (const field of candidates) {
    const presence = presenceByValue(sample, field, optional);
    if (presence === undefined || presence.size < 2) continue;
    // What hardly repeats tells items apart, not types.
    const isLikely = likelyNames.test(field) && presence.size < sample.length;
    if (!isLikely && presence.size > sample.length / 2) continue;
    const least = sample.length < manyItems ? 1 : handful + 1;
    const groups = [...presence.values()].filter(({ itemCount }) => itemCount >= least);
    const score = splitScore(groups) + (isLikely ? 0.5 : 0);
    if (score >= 1 && (best === undefined || score > best.score)) best = { field, score };
  }
  return best?.field;
}

/** As many items, evenly from all over the list. */
function spread(items: readonly Item[], size: number): readonly Item[] {
  if (items.length <= size) return items;
  const step = items.length / size;
  return Array.from({ length: size }, (_, i) => items[Math.floor(i * step)] ?? {});
}

interface Presence {
  itemCount: number;
  readonly counts: number[];
}

/** A longer text is no name of a type. */
const longestName = 200;

/** For each value of the field, how many items have each optional field; undefined: too many values. */
function presenceByValue(
  items: readonly Item[],
  field: string,
  optional: readonly string[],
): Map<string, Presence> | undefined {
  const presence = new Map<string, Presence>();
  const read = ownReader(field);
  for (const item of items) {
    const value = read(item);
    if (typeof value !== 'string' || value.length > longestName) return undefined;
    let own = presence.get(value);
    if (own === undefined) {
      if (presence.size === maxValues) return undefined;
      own = { itemCount: 0, counts: optional.map(() => 0) };
      presence.set(value, own);
    }
    own.itemCount += 1;
    for (const [index, name] of optional.entries()) {
      if ((ownValue(item, name) ?? null) !== null) own.counts[index] = (own.counts[index] ?? 0) + 1;
    }
  }
  return presence;
}

/** The share of optional fields whose presence the value settles: nearly all items of it, or none. */
function splitScore(groups: readonly Presence[]): number {
  const fieldCount = groups[0]?.counts.length ?? 0;
  const shapes: string[] = groups.map(() => '');
  let settled = 0;
  for (let index = 0; index < fieldCount; index += 1) {
    const shares = groups.map((group) => (group.counts[index] ?? 0) / group.itemCount);
    const isSettled = shares.every((share) => share === 0 || share > 0.5);
    if (!isSettled || !shares.includes(0)) continue;
    settled += 1;
    for (const [at, share] of shares.entries()) shapes[at] += share === 0 ? '-' : '+';
  }
  // Groups that are mostly alike are no types.
  const areUnlike = new Set(shapes).size > groups.length / 2;
  // One field that splits suffices if it splits cleanly; more of them make a better candidate.
  return settled > 0 && areUnlike ? 1 + settled / fieldCount : 0;
}
