import { isStanding, type Part, type StackPart } from '../parts';
import { labelAround, partsOf, partWithId, stackAround } from '../template';
import { addRun, insertPart, type Landing, landsIn, type Side } from './insert';
import { removePart } from './remove';
import { replacePart } from './replace';

/** The parts of those ids in the order of the row, without those that stand in another one of them. */
export function outermost(row: StackPart, ids: readonly string[]): readonly Part[] {
  const chosen = new Set(ids);
  const inside = new Set<Part>();
  return [...partsOf(row)].filter((part) => {
    if (!chosen.has(part.id) || inside.has(part)) return false;
    for (const inner of partsOf(part)) inside.add(inner);
    return true;
  });
}

/** No part that people name has it. */
const left = (id: string): string => `${id}\n`;

/** The row with parts where they land, one after the other; a text: why they can't. */
export function moveParts(
  row: StackPart,
  ids: readonly string[],
  landing: Landing,
  stackId: string,
): StackPart | string {
  const parts = outermost(row, ids);
  if (parts.length === 0) return 'There is no such part.';
  if (parts.some(({ id }) => id === row.id)) return 'The row itself stays where it is.';
  if (parts.some((part) => landsIn(part, landing))) return 'A part can’t be put into itself.';
  const target = partWithId(row, 'within' in landing ? landing.within : landing.beside);
  if (target === undefined) return 'There is no such place.';
  const isInLabel = target.part === 'label' && 'within' in landing;
  if (parts.some(({ part }) => (part === 'run') !== isInLabel))
    return isInLabel
      ? 'Only runs of words stand in a label.'
      : 'A run of words stands in a label only.';
  let made = parts.reduce<StackPart>(
    (before, { id }) => replacePart(before, id, (part) => ({ ...part, id: left(id) })),
    row,
  );
  let next = landing;
  for (const part of parts) {
    if (isStanding(part)) made = insertPart(made, next, { part, stackId });
    else if ('within' in next) made = addRun(made, next.within, part, next.at);
    next =
      'within' in next
        ? { ...next, at: next.at + 1 }
        : { beside: part.id, side: isAlong('across', next.side) ? 'after' : 'below' };
  }
  made = parts.reduce<StackPart>((before, { id }) => removePart(before, left(id)), made);
  return JSON.stringify(made) === JSON.stringify(row) ? 'It stands there.' : made;
}

const isAlong = (direction: 'across' | 'down' | 'over', side: Side): boolean =>
  direction === 'over' || (direction === 'across') === (side === 'before' || side === 'after');

/**
 * Where one step to a side leads: along its stack, at the end of that out of it; otherwise into the
 * stack beside it, if there is one, or out. A text: nowhere, and why.
 */
export function stepFrom(row: StackPart, id: string, side: Side): Landing | string {
  const isBack = side === 'before' || side === 'above';
  const label = labelAround(row, id);
  const around = label ?? stackAround(row, id);
  if (around === undefined) return 'The row itself stays where it is.';
  const brothers: readonly Part[] = around.part === 'label' ? (around.runs ?? []) : around.children;
  const at = brothers.findIndex((child) => child.id === id);
  const beside = brothers[isBack ? at - 1 : at + 1];
  if (label !== undefined) {
    if (beside === undefined) return 'A run of words stays in its label.';
    return { within: label.id, at: isBack ? at - 1 : at + 2 };
  }
  const direction = around.part === 'stack' ? (around.direction ?? 'across') : 'across';
  if (isAlong(direction, side) && beside !== undefined)
    return { within: around.id, at: isBack ? at - 1 : at + 2 };
  if (!isAlong(direction, side) && beside?.part === 'stack')
    return { within: beside.id, at: isBack ? beside.children.length : 0 };
  const outer = stackAround(row, around.id);
  if (outer === undefined) return 'There is nothing on that side to go to.';
  const place = outer.children.findIndex((child) => child.id === around.id);
  return { within: outer.id, at: isBack ? place : place + 1 };
}
