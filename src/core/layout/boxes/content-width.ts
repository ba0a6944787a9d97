import { clamp, type LayoutNode, paddingAcross, type StackNode } from './node';

/** How wide a node would be with all the room that it wants, without its own limits. */
export function naturalWidth(node: LayoutNode): number {
  const padding = paddingAcross(node);
  switch (node.kind) {
    case 'label':
      return Math.max(node.text.width, padding);
    case 'block':
      // What it is high at least makes one of some aspect wide (CSS Sizing 4, section 5.1.1).
      return Math.max(padding, Math.floor(node.limits.minHeight * (node.aspect ?? 0)));
    case 'stack':
      return Math.max(innerWidth(node) + padding, padding);
  }
}

function innerWidth({ children, direction, gap }: StackNode): number {
  let widest = 0;
  let sum = gap * (children.length - 1);
  for (const child of children) {
    const width = wantedWidth(child, direction);
    widest = Math.max(widest, width);
    sum += width;
  }
  return direction === 'across' ? sum : widest;
}

/** What it adds to the width of a stack that is as wide as its content. */
function wantedWidth(node: LayoutNode, parent: StackNode['direction']): number {
  const padding = paddingAcross(node);
  const natural = node.width.kind === 'fixed' ? node.width.units : naturalWidth(node);
  // A maximum in per cent counts as none here (CSS Sizing 3, section 5.2.1).
  const isPerCent = node.width.kind === 'fit' && parent !== 'across';
  const max = isPerCent ? Number.POSITIVE_INFINITY : node.limits.maxWidth;
  return Math.max(clamp(Math.max(natural, padding), node.limits.minWidth, max), padding);
}
