import { naturalWidth } from './content-width';
import { divide } from './divide';
import {
  alignmentOf,
  clampedHeight,
  clampedWidth,
  type LayOut,
  type LayOutStack,
  type LayoutNode,
  paddingAcross,
  paddingDown,
  type StackNode,
} from './node';
import { distributed, offset } from './place';

/** Parts under each other: each has a width of its own, their heights add up. */
export const down: LayOutStack = (node, width, given, layOut) => {
  const { children, box } = node;
  const inner = Math.max(0, width - paddingAcross(node));
  let sum = node.gap * (children.length - 1);
  let isShared = false;
  for (const child of children) {
    const isSharer = child.height.kind === 'share';
    layOut(child, widthIn(child, node, inner), isSharer ? clampedHeight(child, 0) : undefined);
    sum += child.box.height;
    isShared ||= isSharer;
  }
  box.width = width;
  box.height = given ?? clampedHeight(node, sum + paddingDown(node));
  // What shares the height does so once it is known how high the stack is.
  if (isShared) shareHeight(node, layOut);
  place(node, inner);
};

/** The width of a part in a stack that does not divide it. */
export function widthIn(child: LayoutNode, parent: StackNode, inner: number): number {
  const { width } = child;
  if (width.kind === 'fixed') return clampedWidth(child, width.units);
  const isFull = width.kind === 'share' || alignmentOf(child, parent) === 'stretch';
  return clampedWidth(child, isFull ? inner : Math.min(naturalWidth(child), inner));
}

/** Those that share the height take what the others leave. */
function shareHeight(node: StackNode, layOut: LayOut): void {
  const { children, gap, box } = node;
  const sharers = children.filter(({ height }) => height.kind === 'share');
  let used = gap * (children.length - 1);
  for (const child of children) if (child.height.kind !== 'share') used += child.box.height;
  for (const child of sharers) claimHeight(child);
  divide(Math.max(0, box.height - paddingDown(node)) - used, sharers);
  for (const child of sharers) layOut(child, child.box.width, child.claim.size);
}

function claimHeight(child: LayoutNode): void {
  const { height, limits, claim } = child;
  const share = height.kind === 'share' ? height.share : 0;
  claim.padding = paddingDown(child);
  claim.grow = share;
  claim.shrink = share;
  claim.basis = claim.padding;
  claim.min = Math.max(limits.minHeight, claim.padding);
  claim.max = Math.max(limits.maxHeight, claim.padding);
}

function place(node: StackNode, inner: number): void {
  const { children, padding, gap, box } = node;
  let free = box.height - paddingDown(node) - gap * (children.length - 1);
  for (const child of children) free -= child.box.height;
  const spread = { distribute: node.distribute, free, count: children.length };
  let y = padding.top;
  for (let at = 0; at < children.length; at += 1) {
    const child = children[at];
    if (child === undefined) continue;
    const align = alignmentOf(child, node);
    const isFull = child.width.kind === 'share' || align === 'stretch';
    child.box.x = padding.start + (isFull ? 0 : offset(align, inner - child.box.width));
    child.box.y = y + distributed(spread, at);
    y += child.box.height + gap;
  }
}
