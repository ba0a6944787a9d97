import { naturalWidth } from './content-width';
import { divide } from './divide';
import {
  alignmentOf,
  clampedHeight,
  fillsHeight,
  type LayOutStack,
  type LayoutNode,
  paddingAcross,
  paddingDown,
} from './node';
import { distributed, offset } from './place';

/** Parts beside each other: they divide the width, the highest one says the height. */
export const across: LayOutStack = (node, width, given, layOut) => {
  const { children, gap, padding, box } = node;
  const inner = Math.max(0, width - paddingAcross(node));
  const gaps = gap * (children.length - 1);
  for (const child of children) claimWidth(child);
  divide(inner - gaps, children);
  let highest = 0;
  let used = gaps;
  for (const child of children) {
    layOut(child, child.claim.size, undefined);
    highest = Math.max(highest, child.box.height);
    used += child.claim.size;
  }
  box.width = width;
  box.height = given ?? clampedHeight(node, highest + paddingDown(node));
  const innerHeight = Math.max(0, box.height - paddingDown(node));
  const spread = { distribute: node.distribute, free: inner - used, count: children.length };
  let x = padding.start;
  for (let at = 0; at < children.length; at += 1) {
    const child = children[at];
    if (child === undefined) continue;
    const isFull = fillsHeight(child, node);
    if (isFull) layOut(child, child.box.width, clampedHeight(child, innerHeight));
    child.box.x = x + distributed(spread, at);
    child.box.y =
      padding.top + (isFull ? 0 : offset(alignmentOf(child, node), innerHeight - child.box.height));
    x += child.box.width + gap;
  }
};

function claimWidth(child: LayoutNode): void {
  const { width, limits, claim } = child;
  const share = width.kind === 'share' ? width.share : 0;
  claim.padding = paddingAcross(child);
  claim.grow = share;
  claim.shrink = width.kind === 'fit' ? 1 : share;
  claim.basis = Math.max(basisOf(child), claim.padding);
  claim.min = Math.max(limits.minWidth, claim.padding);
  claim.max = Math.max(limits.maxWidth, claim.padding);
}

function basisOf(child: LayoutNode): number {
  switch (child.width.kind) {
    case 'fixed':
      return child.width.units;
    case 'share':
      return 0;
    case 'fit':
      return naturalWidth(child);
  }
}
