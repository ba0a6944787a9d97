import type { BoundSlot } from '../../../core/templates';

/** The slots of one property of a part: where a part is repeated, it is drawn several times. */
export function drawnTogether(slots: readonly BoundSlot[]): readonly (readonly BoundSlot[])[] {
  const together = new Map<string, BoundSlot[]>();
  for (const slot of slots) {
    const id = JSON.stringify([slot.part, slot.property]);
    const known = together.get(id);
    if (known === undefined) together.set(id, [slot]);
    else known.push(slot);
  }
  return [...together.values()];
}
