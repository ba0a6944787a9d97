import {
  draftStack,
  kindOf,
  type LabelPart,
  type RunPart,
  type Size,
  type StackPart,
  type StandingPart,
} from '../parts';
import { labelAround, partWithId, propertyOf } from '../template';
import { mapStacks, replacePart, withChildren } from './replace';

/** Where a part goes, seen from another one. */
export type Side = 'before' | 'after' | 'above' | 'below';

/** Where a part lands: beside another, or in a stack (a run: in a label), before the one at that place. */
export type Landing =
  | { readonly beside: string; readonly side: Side }
  | { readonly within: string; readonly at: number };

/** A part that is put in, and what a stack around it and its neighbour is called, if it needs one. */
export interface Insertion {
  readonly part: StandingPart;
  readonly stackId: string;
}

/**
 * Puts a part where it lands. Beside or under another: where the stack around already runs that way
 * it becomes a sibling; otherwise the two get a stack of their own, which takes over the width.
 */
export function insertPart(
  row: StackPart,
  landing: Landing,
  { part, stackId }: Insertion,
): StackPart {
  if ('within' in landing)
    return mapStacks(row, (stack) =>
      stack.id === landing.within ? withChildren(stack, landing.at, [part], 0) : stack,
    );
  const { beside: anchor, side } = landing;
  const direction = side === 'before' || side === 'after' ? 'across' : 'down';
  const isFirst = side === 'before' || side === 'above';
  if (anchor === row.id) {
    const around = (inner: readonly StandingPart[]) =>
      isFirst ? [part, ...inner] : [...inner, part];
    return insertAtEdge(row, direction, around, stackId);
  }
  const beside = labelAround(row, anchor)?.id ?? anchor;
  return mapStacks(row, (stack) => {
    const at = stack.children.findIndex((child) => child.id === beside);
    const anchored = stack.children[at];
    if (anchored === undefined) return stack;
    const pair = isFirst ? [part, anchored] : [anchored, part];
    if ((stack.direction ?? 'across') === direction) return withChildren(stack, at, pair);
    const wrapped = draftStack(stackId, direction, pair, widthOf(anchored));
    return withChildren(stack, at, [wrapped]);
  });
}

/** The row itself as the anchor: inside it at one end, wrapping what it holds where it runs the other way. */
function insertAtEdge(
  row: StackPart,
  direction: 'across' | 'down',
  around: (inner: readonly StandingPart[]) => readonly StandingPart[],
  stackId: string,
): StackPart {
  if ((row.direction ?? 'across') === direction || row.children.length === 0) {
    return { ...row, direction, children: around(row.children) };
  }
  const inner = draftStack(stackId, row.direction ?? 'across', row.children);
  const { gap = 0, align = 'start' } = row;
  return {
    ...row,
    direction,
    gap: direction === 'across' ? 12 : 2,
    align: direction === 'across' ? 'centre' : 'stretch',
    children: around([{ ...inner, gap, align }]),
  };
}

/** Puts a run in a label, before the one at that place; at the end unless one is said. */
export const addRun = (row: StackPart, label: string, run: RunPart, at?: number): StackPart =>
  mapLabel(row, label, (runs) => runs.toSpliced(at ?? runs.length, 0, run));

export function mapLabel(
  row: StackPart,
  id: string,
  change: (runs: readonly RunPart[]) => readonly RunPart[],
): StackPart {
  return replacePart(row, id, (part) => {
    if (part.part !== 'label') return part;
    const { runs: before = [], ...label } = part;
    const runs = change(before);
    const made: LabelPart = runs.length === 0 ? label : { ...label, runs };
    return made;
  });
}

export const hasWidth = (part: StandingPart): boolean =>
  Object.hasOwn(kindOf(part).properties, 'width');

/** What a stack around a part takes over of its width; undefined: what stacks have. */
export function widthOf(part: StandingPart): Size | undefined {
  if (part.part === 'image' || !hasWidth(part)) return 'fit';
  const width = propertyOf(part, 'width');
  return width === undefined || isSize(width) ? width : 'fit';
}

const isSize = (value: ReturnType<typeof propertyOf>): value is Size =>
  value === 'fit' || (typeof value === 'object' && ('share' in value || 'fixed' in value));

/** Whether a part lands in what it is: a stack that is moved can't land inside itself. */
export const landsIn = (part: StandingPart | RunPart, landing: Landing): boolean =>
  partWithId(part, 'within' in landing ? landing.within : landing.beside) !== undefined;
