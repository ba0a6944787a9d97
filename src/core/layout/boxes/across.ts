import { naturalWidth } from './content-width';
import { type Claim, divide } from './divide';
import {
  type Box,
  boxOf,
  clampedHeight,
  type LayOut,
  type LayoutNode,
  paddingAcross,
  paddingDown,
  type StackNode,
} from './node';
import { distributed, offset } from './place';

/** Parts beside each other: they divide the width, the highest one says the height. */
export function across(
  node: StackNode,
  width: number,
  height: number | undefined,
  layOut: LayOut,
): Box {
  const { children, gap, padding } = node;
  const inner = Math.max(0, width - paddingAcross(node));
  const gaps = gap * (children.length - 1);
  const widths = divide(inner - gaps, children.map(claimOf));
  const natural = children.map((child, at) => layOut(child, widths[at] ?? 0, undefined));
  const highest = natural.reduce((max, box) => Math.max(max, box.height), 0);
  const ownHeight = height ?? clampedHeight(node, highest + paddingDown(node));
  const innerHeight = Math.max(0, ownHeight - paddingDown(node));
  const used = widths.reduce((sum, each) => sum + each, 0) + gaps;
  const place = distributed(node.distribute, inner - used, children.length);
  let x = padding.left;
  const boxes = natural.map((own, at) => {
    const child = own.node;
    const isFull = fillsHeight(child, node);
    const box = isFull ? layOut(child, own.width, clampedHeight(child, innerHeight)) : own;
    box.x = x + place(at);
    box.y = padding.top + (isFull ? 0 : offset(node.align, innerHeight - box.height));
    x += box.width + gap;
    return box;
  });
  return boxOf(node, width, ownHeight, boxes);
}

/** Whether a part is as high as the stack: it asks for it, or all are stretched. */
const fillsHeight = ({ height }: LayoutNode, { align }: StackNode): boolean =>
  height.kind === 'share' || (align === 'stretch' && height.kind === 'fit');

function claimOf(child: LayoutNode): Claim {
  const padding = paddingAcross(child);
  const { width, limits } = child;
  const share = width.kind === 'share' ? width.share : 0;
  return {
    grow: share,
    shrink: width.kind === 'fit' ? 1 : share,
    basis: Math.max(basisOf(child), padding),
    padding,
    min: Math.max(limits.minWidth, padding),
    max: Math.max(limits.maxWidth, padding),
  };
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
