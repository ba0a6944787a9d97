import { widthIn } from './down';
import {
  type Box,
  boxOf,
  clampedHeight,
  type LayOut,
  paddingAcross,
  paddingDown,
  type StackNode,
} from './node';
import { offset } from './place';

/** Parts over each other: each has the whole stack, the highest one says the height. */
export function over(
  node: StackNode,
  width: number,
  given: number | undefined,
  layOut: LayOut,
): Box {
  const { align, padding } = node;
  const inner = Math.max(0, width - paddingAcross(node));
  const natural = node.children.map((child) =>
    layOut(child, widthIn(child, node, inner), undefined),
  );
  const highest = natural.reduce((max, box) => Math.max(max, box.height), 0);
  const height = given ?? clampedHeight(node, highest + paddingDown(node));
  const innerHeight = Math.max(0, height - paddingDown(node));
  const boxes = natural.map((own) => {
    const child = own.node;
    const isStretched = align === 'stretch';
    const isHigh = child.height.kind === 'share' || (isStretched && child.height.kind === 'fit');
    const isWide = child.width.kind === 'share' || isStretched;
    const box = isHigh ? layOut(child, own.width, clampedHeight(child, innerHeight)) : own;
    box.x = padding.left + (isWide ? 0 : offset(align, inner - box.width));
    box.y = padding.top + (isHigh ? 0 : offset(align, innerHeight - box.height));
    return box;
  });
  return boxOf(node, width, height, boxes);
}
