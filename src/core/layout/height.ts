import { kinds, type Part, type Size, type StackPart, textStyles } from '../templates';

/** Height of a part in px at 100 % text size. Every label has one line, so it hangs on the template alone. */
export function partHeight(part: Part): number {
  switch (part.part) {
    case 'label':
      return textStyles[part.style ?? kinds.label.properties.style.default].linePx;
    case 'image':
      return fixedPx(part.height ?? kinds.image.properties.height.default);
    case 'stack':
      return stackHeight(part);
  }
}

const fixedPx = (size: Size): number =>
  typeof size === 'object' && 'fixed' in size ? size.fixed : 0;

function stackHeight({ direction = 'across', gap = 0, padding, children }: StackPart): number {
  const heights = children.map(partHeight);
  const inner =
    direction === 'across'
      ? Math.max(0, ...heights)
      : heights.reduce((sum, height) => sum + height, 0) + gap * Math.max(0, heights.length - 1);
  return inner + (padding?.top ?? 0) + (padding?.bottom ?? 0);
}
