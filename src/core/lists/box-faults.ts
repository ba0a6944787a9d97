import { isCut, type LabelNode, type LayoutNode, type StackNode } from '../layout';

/**
 * What may be wrong with a part's box: its text is cut off, it gets no room, what is in it stands
 * out of it, how high it is hangs on the last 1/64 px of its width, or a finger can hardly hit it.
 */
export type BoxFault = 'cut' | 'squeezed' | 'over' | 'hangs' | 'target';

/** Units in a CSS px at a ratio of 1. */
const onePx = 64;

/** Tells of each part of a solved row what is wrong with it. */
export function eachFault(node: LayoutNode, tell: (part: string, fault: BoxFault) => void): void {
  switch (node.kind) {
    case 'label':
      if (node.text.isEmpty) return;
      if (node.box.width < onePx) tell(node.part, 'squeezed');
      else {
        if (isCut(node)) tell(node.part, 'cut');
        if (hangs(node)) tell(node.part, 'hangs');
      }
      return;
    case 'block':
      if (node.box.width < onePx) tell(node.part, 'squeezed');
      return;
    case 'stack':
      if (isOver(node)) tell(node.part, 'over');
      for (const child of node.children) eachFault(child, tell);
  }
}

/** In less than two ems words are broken within letters that belong together, where browsers differ. */
const leastEms = 2;
/** Line heights are given, ems are not: letters are seldom larger than this part of their line. */
const emsALine = 0.75;

/**
 * Whether a label has other lines in a width that is less or more by the last bit, or is too narrow
 * for anyone to be sure of them.
 */
function hangs({ shown: text, box, maxLines, wantedLines, lineHeight }: LabelNode): boolean {
  if (maxLines === 1) return false;
  if (wantedLines > 1 && box.width < leastEms * emsALine * lineHeight) return true;
  const lines = (width: number) => Math.min(text.lineCount(width, maxLines), maxLines);
  return lines(box.width - 1) !== lines(box.width + 1);
}

function isOver({ box, children, padding, gap, direction }: StackNode): boolean {
  const gaps = gap * Math.max(0, children.length - 1);
  let [wide, high, widest, highest] = [gaps, gaps, 0, 0];
  for (const child of children) {
    wide += child.box.width;
    high += child.box.height;
    widest = Math.max(widest, child.box.width);
    highest = Math.max(highest, child.box.height);
  }
  const width = direction === 'across' ? wide : widest;
  const height = direction === 'down' ? high : highest;
  // One unit is rounding.
  return (
    width + padding.start + padding.end > box.width + 1 ||
    height + padding.top + padding.bottom > box.height + 1
  );
}
