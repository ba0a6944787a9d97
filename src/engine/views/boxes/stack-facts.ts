import type { Turns } from '../../../core/base';
import type { LayoutNode } from '../../../core/layout';
import type { RowBoxes } from '../../../core/lists';
import { type RowsOf, solvedRows, widthOfRows } from './solved-rows';

/** How high something is in one row, in CSS px, and the item of that row. */
export interface HeightOf {
  readonly px: number;
  readonly item: number;
}

/** How high a stack is in all rows of its template, in the width that the list has. */
export interface StackFacts {
  readonly kind: 'stack';
  readonly rowCount: number;
  readonly lowest: HeightOf;
  readonly highest: HeightOf;
  /** In how many rows its content is higher than it may be. */
  readonly cutCount: number;
  /** The height that holds its content in all rows. */
  readonly fitting: HeightOf;
  /** The width of the row or cell, in CSS px. */
  readonly widthPx: number;
}

/** Undefined: what it takes to measure is still on its way. */
export function* stackFacts(of: RowsOf, part: string): Turns<StackFacts | undefined> {
  const { unitsAPx } = of;
  const widthPx = widthOfRows(of);
  let [rowCount, cutCount] = [0, 0];
  let lowest: HeightOf = { px: Number.POSITIVE_INFINITY, item: -1 };
  let highest: HeightOf = { px: -1, item: -1 };
  let fitting = highest;
  for (const row of solvedRows(of)) {
    if (row === 'turn') {
      yield 0;
      continue;
    }
    const { boxes, item } = row;
    if (boxes === undefined) return undefined;
    const node = boxes.node(part);
    if (node === undefined) continue;
    rowCount += 1;
    const px = node.box.height / unitsAPx;
    if (px < lowest.px) lowest = { px, item };
    if (px > highest.px) highest = { px, item };
    const wanted = wantedHeight(boxes, node, widthPx) / unitsAPx;
    if (wanted > fitting.px) fitting = { px: wanted, item };
    // One unit is rounding.
    if (wanted > px + 1 / unitsAPx) cutCount += 1;
  }
  return { kind: 'stack', rowCount, lowest, highest, cutCount, fitting, widthPx };
}

/** The height that a part would have if nothing limited it. */
function wantedHeight(boxes: RowBoxes, node: LayoutNode, widthPx: number): number {
  const { height, limits } = node;
  const { maxHeight } = limits;
  if (height.kind === 'fit' && maxHeight === Number.POSITIVE_INFINITY) return node.box.height;
  node.height = { kind: 'fit' };
  limits.maxHeight = Number.POSITIVE_INFINITY;
  boxes.solve(widthPx);
  node.height = height;
  limits.maxHeight = maxHeight;
  return node.box.height;
}
