import {
  alignmentOf,
  isCut,
  type LayoutNode,
  type Length,
  naturalWidth,
  type StackNode,
  shownLines,
} from '../layout';

/** Why a part has the room that it has. */
export type SpaceReason =
  /** It says how large it is. */
  | 'fixed'
  /** It is as large as what it shows. */
  | 'content'
  /** It takes its share of what the others leave. */
  | 'share'
  /** It is as large as its stack. */
  | 'full'
  /** It wants more and gives way, since there is not enough for all. */
  | 'gives-way'
  /** It is as small, or as large, as it may be. */
  | 'least'
  | 'most';

/** The room that one part of a stack takes along it, in CSS px. */
export interface PartSpace {
  readonly part: string;
  readonly px: number;
  readonly why: SpaceReason;
  /** What it would take if it were alone. */
  readonly wantsPx: number;
  /** Lines that a label shows; undefined: it is none. */
  readonly lines: number | undefined;
  readonly isCut: boolean;
}

/** Who takes the room of a stack, along the way that its parts follow each other. */
export interface Space {
  readonly direction: StackNode['direction'];
  /** The whole of it, and what nobody takes, in CSS px. */
  readonly px: number;
  readonly freePx: number;
  /** Both edges together. */
  readonly paddingPx: number;
  /** All gaps together. */
  readonly gapsPx: number;
  readonly parts: readonly PartSpace[];
}

/** Who takes the room of a stack that is solved. `unitsAPx`: units of layout in a CSS px. */
export function spaceOf(stack: StackNode, unitsAPx: number): Space {
  const { direction, children, padding, box } = stack;
  const isDown = direction === 'down';
  const whole = isDown ? box.height : box.width;
  const edges = isDown ? padding.top + padding.bottom : padding.start + padding.end;
  const gaps = direction === 'over' ? 0 : stack.gap * Math.max(0, children.length - 1);
  const parts = children.map((child) => (isDown ? heightOf(child) : widthOf(child, stack)));
  const used = direction === 'over' ? whole - edges : parts.reduce((sum, { px }) => sum + px, gaps);
  const inPx = (units: number) => units / unitsAPx;
  return {
    direction,
    px: inPx(whole),
    freePx: inPx(Math.max(0, whole - edges - used)),
    paddingPx: inPx(edges),
    gapsPx: inPx(gaps),
    parts: parts.map((part) => ({ ...part, px: inPx(part.px), wantsPx: inPx(part.wantsPx) })),
  };
}

function widthOf(node: LayoutNode, stack: StackNode): PartSpace {
  const { direction } = stack;
  const { box, limits, width } = node;
  const wantsPx = width.kind === 'fixed' ? width.units : naturalWidth(node);
  const isFull =
    direction !== 'across' && (width.kind === 'share' || alignmentOf(node, stack) === 'stretch');
  const why = isFull && width.kind !== 'fixed' ? 'full' : reasonOf(width);
  return {
    ...ofText(node),
    part: node.part,
    px: box.width,
    wantsPx,
    why: bounded(why, {
      size: box.width,
      wants: wantsPx,
      min: limits.minWidth,
      max: limits.maxWidth,
    }),
  };
}

function heightOf(node: LayoutNode): PartSpace {
  const { box, limits, height } = node;
  const bounds = {
    size: box.height,
    wants: box.height,
    min: limits.minHeight,
    max: limits.maxHeight,
  };
  return {
    ...ofText(node),
    part: node.part,
    px: box.height,
    wantsPx: box.height,
    why: bounded(reasonOf(height), bounds),
  };
}

const ofText = (node: LayoutNode): Pick<PartSpace, 'lines' | 'isCut'> =>
  node.kind === 'label'
    ? { lines: shownLines(node), isCut: !node.text.isEmpty && isCut(node) }
    : { lines: undefined, isCut: false };

const reasons = { fit: 'content', share: 'share', fixed: 'fixed' } as const;
const reasonOf = ({ kind }: Length): SpaceReason => reasons[kind];

interface Bounds {
  readonly size: number;
  readonly wants: number;
  readonly min: number;
  readonly max: number;
}

/** A bound that it has come to says more than what it asked for; one unit is rounding. */
function bounded(why: SpaceReason, { size, wants, min, max }: Bounds): SpaceReason {
  if (why === 'fixed') return why;
  if (min > 0 && size <= min + 1) return 'least';
  if (size >= max - 1) return 'most';
  return why === 'content' && size < wants - 1 ? 'gives-way' : why;
}
