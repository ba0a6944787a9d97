import type { TextDirection } from '../../base';
import type { LayoutNode } from './node';

/** A node with its place from the top and the left of its row. */
export interface Placed {
  readonly node: LayoutNode;
  readonly x: number;
  readonly y: number;
}

/** All nodes of a solved row that begins at the left or at the right, each before those in it. */
export const placed = (row: LayoutNode, direction: TextDirection): Generator<Placed> =>
  placedIn(row, direction === 'rtl', { x: 0, y: 0 });

function* placedIn(
  node: LayoutNode,
  isMirrored: boolean,
  at: { readonly x: number; readonly y: number },
): Generator<Placed> {
  yield { node, ...at };
  if (node.kind !== 'stack') return;
  for (const child of node.children) {
    const { box } = child;
    const x = isMirrored ? node.box.width - box.x - box.width : box.x;
    yield* placedIn(child, isMirrored, { x: at.x + x, y: at.y + box.y });
  }
}
