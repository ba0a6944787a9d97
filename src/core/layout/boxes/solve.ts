import { across } from './across';
import { down } from './down';
import {
  type Box,
  boxOf,
  clampedHeight,
  type LabelNode,
  type LayOut,
  type LayoutNode,
} from './node';
import { over } from './over';

/** Where all parts of a row stand that is so wide: its box, with those of its parts in it. */
export const solve = (row: LayoutNode, width: number): Box => layOut(row, width, undefined);

const layOut: LayOut = (node, width, given) => {
  const height =
    given ?? (node.height.kind === 'fixed' ? clampedHeight(node, node.height.units) : undefined);
  switch (node.kind) {
    case 'label':
      return label(node, width, height);
    case 'block': {
      const own = node.aspect === undefined ? 0 : Math.floor(width / node.aspect);
      return boxOf(node, width, height ?? clampedHeight(node, own));
    }
    case 'stack':
      switch (node.direction) {
        case 'across':
          return across(node, width, height, layOut);
        case 'down':
          return down(node, width, height, layOut);
        case 'over':
          return over(node, width, height, layOut);
      }
  }
};

function label(node: LabelNode, width: number, height: number | undefined): Box {
  const { text, lineHeight, maxLines } = node;
  const wanted = linesWanted(node, width);
  const lines = Math.min(wanted, maxLines);
  const isCut = maxLines === 1 ? text.width > width + 1 : wanted > maxLines;
  return {
    ...boxOf(node, width, height ?? clampedHeight(node, lines * lineHeight)),
    lines,
    isCut,
  };
}

const linesWanted = ({ text, maxLines }: LabelNode, width: number): number => {
  // One line keeps its room: rows of a template whose labels are all so are of one height.
  if (maxLines === 1) return 1;
  return text.isEmpty ? 0 : text.lineCount(width, maxLines);
};
