import type { StackPart } from '../parts';
import { labelAround, stackAround, withProperty } from '../template';
import { hasWidth, mapLabel } from './insert';
import { mapStacks, withChildren } from './replace';

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
