import { widthIn } from './down';
import {
  alignmentOf,
  clampedHeight,
  fillsHeight,
  type LayOutStack,
  paddingAcross,
  paddingDown,
} from './node';
import { offset } from './place';

/** Parts over each other: each has the whole stack, the highest one says the height. */
export const over: LayOutStack = (node, width, given, layOut) => {
  const { padding, children, box } = node;
  const inner = Math.max(0, width - paddingAcross(node));
  let highest = 0;
  for (const child of children) {
    layOut(child, widthIn(child, node, inner), undefined);
    highest = Math.max(highest, child.box.height);
  }
  box.width = width;
  box.height = given ?? clampedHeight(node, highest + paddingDown(node));
  const innerHeight = Math.max(0, box.height - paddingDown(node));
  for (const child of children) {
    const isHigh = fillsHeight(child, node);
    const align = alignmentOf(child, node);
    const isWide = child.width.kind === 'share' || align === 'stretch';
    if (isHigh) layOut(child, child.box.width, clampedHeight(child, innerHeight));
    child.box.x = padding.start + (isWide ? 0 : offset(align, inner - child.box.width));
    child.box.y = padding.top + (isHigh ? 0 : offset(align, innerHeight - child.box.height));
  }
};
