import {
  draftStack,
  isStanding,
  kindOf,
  type LabelPart,
  type Part,
  type RunPart,
  type Size,
  type StackPart,
  type StandingPart,
} from './parts';
import { labelAround, partsOf, propertyOf, stackAround, withProperty } from './template';

/** Where a part goes, seen from another one. */
export type Side = 'before' | 'after' | 'above' | 'below';

/** Ids that a template's parts have. */
export const partIds = (row: StackPart): string[] => [...partsOf(row)].map((part) => part.id);

/** A part that is put in, and what a stack around it and its neighbour is called, if it needs one. */
export interface Insertion {
  readonly part: StandingPart;
  readonly stackId: string;
}

/**
 * Puts a part beside or under another. Where the stack around already runs that way it becomes
 * a sibling; otherwise the two get a stack of their own, which takes over the width.
 */
export function insertPart(
  row: StackPart,
  anchor: string,
  side: Side,
  { part, stackId }: Insertion,
): StackPart {
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

/** Puts a run at the end of a label. */
export const addRun = (row: StackPart, label: string, run: RunPart): StackPart =>
  mapLabel(row, label, (runs) => [...runs, run]);

/** Takes a part out; a stack that is left with one part gives way to it, if it repeats nothing. The row stays. */
export function removePart(row: StackPart, id: string): StackPart {
  const label = labelAround(row, id);
  if (label !== undefined)
    return mapLabel(row, label.id, (runs) => runs.filter((run) => run.id !== id));
  const parent = stackAround(row, id);
  if (parent === undefined) return row;
  const left = parent.children.filter((child) => child.id !== id);
  if (parent.id === row.id) return { ...row, children: left };
  const [only] = left;
  if (only === undefined) return removePart(row, parent.id);
  return mapStacks(row, (stack) => {
    const at = stack.children.findIndex((child) => child.id === parent.id);
    if (at < 0) return stack;
    if (left.length > 1 || parent.over !== undefined)
      return withChildren(stack, at, [{ ...parent, children: left }]);
    return withChildren(stack, at, [
      only.part !== 'image' && hasWidth(only) ? withProperty(only, 'width', parent.width) : only,
    ]);
  });
}

/** Another part in the place of the one with that id. */
export function replacePart(row: StackPart, id: string, change: (part: Part) => Part): StackPart {
  if (row.id === id) {
    const changed = change(row);
    return changed.part === 'stack' ? changed : row;
  }
  const label = labelAround(row, id);
  if (label !== undefined)
    return mapLabel(row, label.id, (runs) =>
      runs.map((run) => {
        const changed = run.id === id ? change(run) : run;
        return changed.part === 'run' ? changed : run;
      }),
    );
  return mapStacks(row, (stack) => {
    const at = stack.children.findIndex((child) => child.id === id);
    const part = stack.children[at];
    const changed = part && change(part);
    return changed === undefined || !isStanding(changed)
      ? stack
      : withChildren(stack, at, [changed]);
  });
}

const hasWidth = (part: StandingPart): boolean => Object.hasOwn(kindOf(part).properties, 'width');

/** What a stack around a part takes over of its width; undefined: what stacks have. */
function widthOf(part: StandingPart): Size | undefined {
  if (part.part === 'image' || !hasWidth(part)) return 'fit';
  const width = propertyOf(part, 'width');
  return width === undefined || isSize(width) ? width : 'fit';
}

const isSize = (value: ReturnType<typeof propertyOf>): value is Size =>
  value === 'fit' || (typeof value === 'object' && ('share' in value || 'fixed' in value));

function mapLabel(
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

function withChildren(stack: StackPart, at: number, parts: readonly StandingPart[]): StackPart {
  return {
    ...stack,
    children: [...stack.children.slice(0, at), ...parts, ...stack.children.slice(at + 1)],
  };
}

function mapStacks(stack: StackPart, change: (stack: StackPart) => StackPart): StackPart {
  const changed = change(stack);
  if (changed !== stack) return changed;
  let isChanged = false;
  const children = stack.children.map((child) => {
    if (child.part !== 'stack') return child;
    const next = mapStacks(child, change);
    if (next !== child) isChanged = true;
    return next;
  });
  return isChanged ? { ...stack, children } : stack;
}
