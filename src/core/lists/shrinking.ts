import type { PartPlan } from './frame';

/** The smallest size of a label that shrinks what is too long, in px at 100 %; undefined: it does not. */
export function smallestOf({ values }: PartPlan): number | undefined {
  const { overflow, smallest } = values;
  return overflow === 'shrink' && typeof smallest === 'number' ? smallest : undefined;
}

/** The labels that may shrink, in the order in which an entry says how they have. */
export function* shrinkingParts(part: PartPlan): Generator<PartPlan, void> {
  if (smallestOf(part) !== undefined) yield part;
  for (const child of part.children) yield* shrinkingParts(child);
}
