import { freeId } from '../../base';
import { draftStack, isStanding, type Part, type StackPart } from '../parts';
import { mapParts, stackAround } from '../template';
import { widthOf } from './insert';
import { outermost } from './move';
import { mapStacks, withChildren } from './replace';

/** The row with parts of one stack in a stack of their own; a text: why that can't be. */
export function wrapParts(
  row: StackPart,
  ids: readonly string[],
  direction: 'across' | 'down' | 'over',
  stackId: string,
): StackPart | string {
  const parts = outermost(row, ids).filter(isStanding);
  const [first] = parts;
  if (first === undefined || parts.length < outermost(row, ids).length)
    return 'Runs of words stand in their label.';
  const around = stackAround(row, first.id);
  if (around === undefined) return 'The row is a stack itself.';
  const isOfOne = parts.every(({ id }) => around.children.some((child) => child.id === id));
  if (!isOfOne) return 'Only parts of the same stack can be wrapped together.';
  const widths = parts.map((part) => widthOf(part));
  const width = parts.length === 1 ? widths[0] : (widths.find(takesShare) ?? 'fit');
  const wrapped = draftStack(stackId, direction, parts, width);
  return mapStacks(row, (stack) => {
    if (stack.id !== around.id) return stack;
    const children = stack.children.flatMap((child) => {
      if (child.id === first.id) return [wrapped];
      return parts.some(({ id }) => id === child.id) ? [] : [child];
    });
    return { ...stack, children };
  });
}

const takesShare = (width: ReturnType<typeof widthOf>): boolean =>
  width === undefined || (typeof width === 'object' && 'share' in width);

/** The row with what a stack holds in its place; a text: why that can't be. */
export function unwrapPart(row: StackPart, id: string): StackPart | string {
  const around = stackAround(row, id);
  if (around === undefined) return 'The row itself stays.';
  const at = around.children.findIndex((child) => child.id === id);
  const stack = around.children[at];
  if (stack?.part !== 'stack') return 'Only a stack can be unwrapped.';
  if (stack.over !== undefined)
    return 'What it holds stands once for each element: take that away first.';
  if (around.children.length + stack.children.length > maxChildren)
    return `A stack holds ${maxChildren} parts at most.`;
  return mapStacks(row, (each) =>
    each.id === around.id ? withChildren(each, at, stack.children) : each,
  );
}

/** As the file's shape has it. */
const maxChildren = 200;

/** The part, and all in it, under ids that are free. */
export function withFreeIds<P extends Part>(part: P, taken: readonly string[]): P {
  const ids = new Set(taken);
  return mapParts(part, (each) => {
    const id = freeId(each.id, [...ids]);
    ids.add(id);
    return { ...each, id };
  });
}
