import { clamp, type LayoutNode, paddingAcross, type StackNode } from './node';

type Direction = StackNode['direction'];

/** How wide a node would be with all the room that it wants, without its own limits. */
export function naturalWidth(node: LayoutNode): number {
  const padding = paddingAcross(node);
  switch (node.kind) {
    case 'label':
      return Math.max(node.text.width, padding);
    case 'block':
      return padding;
    case 'stack': {
      const widths = node.children.map((child) => wantedWidth(child, node.direction));
      const inner =
        node.direction === 'across'
          ? widths.reduce((sum, width) => sum + width, 0) + node.gap * (widths.length - 1)
          : Math.max(0, ...widths);
      return Math.max(inner + padding, padding);
    }
  }
}

/** What it adds to the width of a stack that is as wide as its content. */
function wantedWidth(node: LayoutNode, parent: Direction): number {
  const padding = paddingAcross(node);
  const natural = node.width.kind === 'fixed' ? node.width.units : naturalWidth(node);
  // A maximum in per cent counts as none here (CSS Sizing 3, section 5.2.1).
  const isPerCent = node.width.kind === 'fit' && parent !== 'across';
  const max = isPerCent ? Number.POSITIVE_INFINITY : node.limits.maxWidth;
  return Math.max(clamp(Math.max(natural, padding), node.limits.minWidth, max), padding);
}
