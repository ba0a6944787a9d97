import { type Part, type StackPart, textStyles } from '../templates';

/** Height of a part in px at 100 % text size. Every label has one line, so it hangs on the template alone. */
export function partHeight(part: Part): number {
  switch (part.part) {
    case 'label':
      return textStyles[part.style].linePx;
    case 'image':
      return part.heightPx;
    case 'stack':
      return stackHeight(part);
  }
}

function stackHeight(stack: StackPart): number {
  const heights = stack.children.map(partHeight);
  const inner =
    stack.direction === 'across'
      ? Math.max(0, ...heights)
      : heights.reduce((sum, height) => sum + height, 0) +
        stack.gap * Math.max(0, heights.length - 1);
  return inner + (stack.padding?.top ?? 0) + (stack.padding?.bottom ?? 0);
}
