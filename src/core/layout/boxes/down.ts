import { naturalWidth } from './content-width';
import { divide } from './divide';
import {
  type Box,
  boxOf,
  clampedHeight,
  clampedWidth,
  type LayOut,
  type LayoutNode,
  paddingAcross,
  paddingDown,
  type StackNode,
} from './node';
import { distributed, offset } from './place';

/** Parts under each other: each has a width of its own, their heights add up. */
export function down(
  node: StackNode,
  width: number,
  given: number | undefined,
  layOut: LayOut,
): Box {
  const inner = Math.max(0, width - paddingAcross(node));
  const sized = (child: LayoutNode) =>
    layOut(
      child,
      widthIn(child, node, inner),
      child.height.kind === 'share' ? clampedHeight(child, 0) : undefined,
    );
  /** In a stack of known height those that share take what the others leave. */
  const shared = (height: number): readonly Box[] => {
    const own = node.children.map((child) =>
      child.height.kind === 'share' ? undefined : sized(child),
    );
    const heights = sharesOf(node, height, own);
    return node.children.map(
      (child, at) => own[at] ?? layOut(child, widthIn(child, node, inner), heights[at] ?? 0),
    );
  };
  if (given !== undefined) return placed(node, width, given, shared(given));
  const natural = node.children.map(sized);
  const sum = natural.reduce((total, box) => total + box.height, gapsOf(node));
  const height = clampedHeight(node, sum + paddingDown(node));
  // What shares the height does so once it is known how high the stack is.
  const isShared = node.children.some((child) => child.height.kind === 'share');
  return placed(node, width, height, isShared ? shared(height) : natural);
}

/** The width of a part in a stack that does not divide it. */
export function widthIn(child: LayoutNode, parent: StackNode, inner: number): number {
  const isFull =
    child.width.kind === 'share' || (child.width.kind === 'fit' && parent.align === 'stretch');
  if (child.width.kind === 'fixed') return clampedWidth(child, child.width.units);
  return clampedWidth(child, isFull ? inner : Math.min(naturalWidth(child), inner));
}

const gapsOf = ({ gap, children }: StackNode): number => gap * (children.length - 1);

/** By child, the height of those that share it; `own`: the boxes of the others. */
function sharesOf(
  node: StackNode,
  height: number,
  own: readonly (Box | undefined)[],
): readonly number[] {
  const used = own.reduce((sum, box) => sum + (box?.height ?? 0), gapsOf(node));
  const sharers = node.children.flatMap((child, at) =>
    child.height.kind === 'share' ? [{ child, at, share: child.height.share }] : [],
  );
  const claims = sharers.map(({ child, share }) => {
    const padding = paddingDown(child);
    return {
      grow: share,
      shrink: share,
      basis: padding,
      padding,
      min: Math.max(child.limits.minHeight, padding),
      max: Math.max(child.limits.maxHeight, padding),
    };
  });
  const sizes = divide(Math.max(0, height - paddingDown(node)) - used, claims);
  const heights: number[] = [];
  sharers.forEach(({ at }, i) => {
    heights[at] = sizes[i] ?? 0;
  });
  return heights;
}

function placed(node: StackNode, width: number, height: number, boxes: readonly Box[]): Box {
  const { padding, gap } = node;
  const inner = Math.max(0, width - paddingAcross(node));
  const used = boxes.reduce((sum, box) => sum + box.height, gap * (boxes.length - 1));
  const place = distributed(node.distribute, height - paddingDown(node) - used, boxes.length);
  let y = padding.top;
  boxes.forEach((box, at) => {
    const isFull = box.node.width.kind === 'share' || node.align === 'stretch';
    box.x = padding.left + (isFull ? 0 : offset(node.align, inner - box.width));
    box.y = y + place(at);
    y += box.height + gap;
  });
  return boxOf(node, width, height, boxes);
}
