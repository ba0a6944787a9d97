import type { LayoutNode } from './node';

/** A node with its place from the top and the start of its row. */
export interface Placed {
  readonly node: LayoutNode;
  readonly x: number;
  readonly y: number;
}

/** All nodes of a solved row, each before those in it. */
export function* placed(node: LayoutNode, left = 0, top = 0): Generator<Placed> {
  const [x, y] = [left + node.box.x, top + node.box.y];
  yield { node, x, y };
  if (node.kind === 'stack') for (const child of node.children) yield* placed(child, x, y);
}
