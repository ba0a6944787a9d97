import { isStanding, type Part, type StackPart, type StandingPart } from '../parts';
import { labelAround } from '../template';

/** Another part in the place of the one with that id. */
export function replacePart(row: StackPart, id: string, change: (part: Part) => Part): StackPart {
  if (row.id === id) {
    const changed = change(row);
    return changed.part === 'stack' ? changed : row;
  }
  const label = labelAround(row, id);
  if (label !== undefined) {
    const runs = label.runs?.map((run) => {
      const changed = run.id === id ? change(run) : run;
      return changed.part === 'run' ? changed : run;
    });
    return replacePart(row, label.id, () => ({ ...label, ...(runs !== undefined && { runs }) }));
  }
  return mapStacks(row, (stack) => {
    const at = stack.children.findIndex((child) => child.id === id);
    const part = stack.children[at];
    const changed = part && change(part);
    return changed === undefined || !isStanding(changed)
      ? stack
      : withChildren(stack, at, [changed]);
  });
}

/** The stack with parts from one place on, in the place of `count` that stand there. */
export function withChildren(
  stack: StackPart,
  at: number,
  parts: readonly StandingPart[],
  count = 1,
): StackPart {
  return { ...stack, children: stack.children.toSpliced(at, count, ...parts) };
}

/** The first stack that `change` gives otherwise, changed. */
export function mapStacks(stack: StackPart, change: (stack: StackPart) => StackPart): StackPart {
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
