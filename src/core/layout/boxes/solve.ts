import { across } from './across';
import { down } from './down';
import {
  clampedHeight,
  isCut,
  type LabelNode,
  type LayOut,
  type LayoutNode,
  shownLines,
} from './node';
import { over } from './over';

/** Finds where all parts of a row stand that is so wide: their boxes are filled. */
export const solve = (row: LayoutNode, width: number): void => layOut(row, width, undefined);

const stacks = { across, down, over };

const layOut: LayOut = (node, width, given) => {
  const height =
    given ?? (node.height.kind === 'fixed' ? clampedHeight(node, node.height.units) : undefined);
  switch (node.kind) {
    case 'label':
      node.box.width = width;
      fitText(node);
      node.box.height = height ?? clampedHeight(node, shownLines(node) * node.lineHeight);
      return;
    case 'block': {
      const own = node.aspect === undefined ? 0 : Math.floor(width / node.aspect);
      node.box.width = width;
      node.box.height = height ?? clampedHeight(node, own);
      return;
    }
    case 'stack':
      stacks[node.direction](node, width, height, layOut);
  }
};

/** Shows the text in the largest size in which it fits, down to the smallest that it may have. */
function fitText(node: LabelNode): void {
  node.steps = 0;
  node.shown = node.text;
  node.wantedLines = linesWanted(node);
  while (node.steps < node.maxSteps && isCut(node)) {
    node.steps += 1;
    node.shown = node.smaller(node.steps);
    node.wantedLines = linesWanted(node);
  }
}

const linesWanted = ({ shown, box, maxLines }: LabelNode): number => {
  // One line keeps its room: rows of a template whose labels are all so are of one height.
  if (maxLines === 1) return 1;
  return shown.isEmpty ? 0 : shown.lineCount(box.width, maxLines);
};
