import { ownValue } from '../base';
import { type Item, typeValueOf } from '../items';
import { itemsIdOf, ownSet, type Project, rawDiscriminator } from '../project';

/** So many items of a source go with what is handed off. */
export const sampleSize = 60;

/**
 * Some items of each source and set, by `itemsIdOf`: the first of each type, and others evenly from
 * all of them. A sample's sample is itself.
 */
export function sampleOf(
  project: Project,
  items: ReadonlyMap<string, readonly Item[]>,
): ReadonlyMap<string, readonly Item[]> {
  return new Map(
    project.sources.flatMap((source) => {
      const discriminator = rawDiscriminator(project, source);
      const sets = [ownSet, ...(source.sets ?? []).map(({ id }) => id)];
      return sets.map((set): [string, readonly Item[]] => {
        const id = itemsIdOf(source.id, set);
        return [id, someOf(items.get(id) ?? [], discriminator)];
      });
    }),
  );
}

function someOf(all: readonly Item[], discriminator: string | null): readonly Item[] {
  if (all.length <= sampleSize) return all;
  const chosen = new Set<number>(discriminator === null ? [] : firstOfTypes(all, discriminator));
  const left = sampleSize - chosen.size;
  for (let n = 0; n < left; n += 1) {
    const wish = Math.floor((n * (all.length - 1)) / Math.max(1, left - 1));
    chosen.add(wish);
  }
  return [...chosen].sort((one, other) => one - other).map((at) => all[at] ?? {});
}

/** Half of the room at most: a field with as many values as items tells no types apart. */
function firstOfTypes(all: readonly Item[], discriminator: string): readonly number[] {
  const seen = new Map<string, number>();
  for (const [at, item] of all.entries()) {
    const type = typeValueOf(ownValue(item, discriminator));
    if (type !== undefined && !seen.has(type)) seen.set(type, at);
    if (seen.size >= sampleSize / 2) break;
  }
  return [...seen.values()];
}
