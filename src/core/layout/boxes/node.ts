/**
 * What is laid out: stacks of labels and blocks. All lengths are whole 1/64 device px, as Chromium
 * keeps them. A tree of nodes is made once for a template and filled anew for each row: what is
 * not said to be read-only changes from row to row.
 */
export type LayoutNode = StackNode | LabelNode | BlockNode;

/** As large as the content, a share of what the others leave, or fixed. */
export type Length =
  | { readonly kind: 'fit' }
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'fixed'; readonly units: number };

export interface Limits {
  minWidth: number;
  /** Infinity stands for no limit. */
  maxWidth: number;
  minHeight: number;
  maxHeight: number;
}

export interface Insets {
  readonly start: number;
  readonly end: number;
  readonly top: number;
  readonly bottom: number;
}

/** Where a node came to stand, from the top and the start of its stack. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

interface Sized {
  readonly part: string;
  width: Length;
  height: Length;
  readonly limits: Limits;
  padding: Insets;
  /** Where it stands across its stack; undefined: as that aligns all. */
  alignSelf: Alignment | undefined;
  /** What solving finds. */
  readonly box: Box;
  /** How it takes part in dividing its stack's room. */
  readonly claim: Claim;
}

/** One that takes part in dividing room along an axis. */
export interface Claim {
  /** Factors by which it grows and shrinks. */
  grow: number;
  shrink: number;
  /** Its size before room is divided. */
  basis: number;
  padding: number;
  min: number;
  max: number;
  /** What it is given. */
  size: number;
  isFrozen: boolean;
  factor: number;
  weight: number;
  target: number;
  violation: number;
}

export type Alignment = 'start' | 'centre' | 'end' | 'stretch';
export type Distribution = 'start' | 'centre' | 'end' | 'between' | 'around' | 'evenly';

export interface StackNode extends Sized {
  readonly kind: 'stack';
  direction: 'across' | 'down' | 'over';
  gap: number;
  align: Alignment;
  distribute: Distribution;
  children: readonly LayoutNode[];
  /** How much of its padding at the end is for a mark. */
  markUnits: number;
}

/** A text as it is measured: the port to who knows fonts. */
export interface MeasuredText {
  readonly isEmpty: boolean;
  /** The width on one line. */
  readonly width: number;
  /** How many lines it takes in a width, counted up to `max` and one more. */
  lineCount(width: number, max: number): number;
}

export interface LabelNode extends Sized {
  readonly kind: 'label';
  text: MeasuredText;
  lineHeight: number;
  /** Infinity stands for as many as the text takes. */
  maxLines: number;
  /** In how many steps the text may become smaller where it does not fit, each a CSS px. */
  maxSteps: number;
  /** The text so many steps smaller. */
  smaller: (steps: number) => MeasuredText;
  /** What solving finds: by how many steps the text is smaller, and how it is measured then. */
  steps: number;
  shown: MeasuredText;
  /** The lines that it would take, counted up to one more than it may. */
  wantedLines: number;
}

/** A picture or anything else that is as large as it is told. */
export interface BlockNode extends Sized {
  readonly kind: 'block';
  /** Width ÷ height; undefined: none. */
  aspect: number | undefined;
}

const fit: Length = { kind: 'fit' };
const noPadding: Insets = { start: 0, end: 0, top: 0, bottom: 0 };
const nothing: MeasuredText = { isEmpty: true, width: 0, lineCount: () => 0 };

const sized = (part: string): Sized => ({
  part,
  width: fit,
  height: fit,
  limits: {
    minWidth: 0,
    maxWidth: Number.POSITIVE_INFINITY,
    minHeight: 0,
    maxHeight: Number.POSITIVE_INFINITY,
  },
  padding: noPadding,
  alignSelf: undefined,
  box: { x: 0, y: 0, width: 0, height: 0 },
  claim: {
    ...{ grow: 0, shrink: 0, basis: 0, padding: 0, min: 0, max: 0 },
    ...{ size: 0, isFrozen: false, factor: 0, weight: 0, target: 0, violation: 0 },
  },
});

/** Nodes as they are before any property is set. */
export const newStack = (part: string): StackNode => ({
  ...sized(part),
  kind: 'stack',
  direction: 'across',
  gap: 0,
  align: 'start',
  distribute: 'start',
  children: [],
  markUnits: 0,
});

export const newLabel = (part: string): LabelNode => ({
  ...sized(part),
  kind: 'label',
  text: nothing,
  lineHeight: 0,
  maxLines: 1,
  maxSteps: 0,
  smaller: () => nothing,
  steps: 0,
  shown: nothing,
  wantedLines: 0,
});

export const newBlock = (part: string): BlockNode => ({
  ...sized(part),
  kind: 'block',
  aspect: undefined,
});

/** CSS: a minimum wins against a maximum. */
export const clamp = (value: number, min: number, max: number): number =>
  Math.max(min, Math.min(value, max));

export const paddingAcross = ({ padding }: LayoutNode): number => padding.start + padding.end;
export const paddingDown = ({ padding }: LayoutNode): number => padding.top + padding.bottom;

export const clampedWidth = (node: LayoutNode, width: number): number =>
  Math.max(clamp(width, node.limits.minWidth, node.limits.maxWidth), paddingAcross(node));

export const clampedHeight = (node: LayoutNode, height: number): number =>
  Math.max(clamp(height, node.limits.minHeight, node.limits.maxHeight), paddingDown(node));

/** Where a part stands across its stack. */
export const alignmentOf = ({ alignSelf }: LayoutNode, { align }: StackNode): Alignment =>
  alignSelf ?? align;

/** Whether a part is as high as its stack: it asks for it, or all are stretched; one of some aspect is not. */
export const fillsHeight = (node: LayoutNode, parent: StackNode): boolean =>
  node.height.kind === 'share' ||
  (alignmentOf(node, parent) === 'stretch' &&
    node.height.kind === 'fit' &&
    !(node.kind === 'block' && node.aspect !== undefined));

/** Lays a node out in a width; `given`: the height that it was given, undefined: it finds its own. */
export type LayOut = (node: LayoutNode, width: number, given: number | undefined) => void;

/** The same for a stack whose own height, where it is known, is `height`. */
export type LayOutStack = (
  node: StackNode,
  width: number,
  height: number | undefined,
  layOut: LayOut,
) => void;

/** CSS px as whole 1/64 device px: cut, not rounded, as Chromium does. */
export const unitsAt =
  (ratio: number) =>
  (px: number): number =>
    Math.floor(Math.fround(Math.fround(px) * ratio) * 64);

/** The same of line heights, which it rounds. */
export const lineUnitsAt =
  (ratio: number) =>
  (px: number): number =>
    Math.round(Math.fround(Math.fround(px) * ratio) * 64);

/** The same of borders: whole device px, at least one (CSS Backgrounds 3, section 3.3). */
export const borderUnitsAt =
  (ratio: number) =>
  (px: number): number =>
    px === 0 ? 0 : 64 * Math.max(1, Math.floor(Math.fround(px) * ratio));

/** Lines that a label shows. */
export const shownLines = ({ wantedLines, maxLines }: LabelNode): number =>
  Math.min(wantedLines, maxLines);

/** Whether a label's text takes more room than it has. */
export const isCut = ({ shown, box, wantedLines, maxLines }: LabelNode): boolean =>
  maxLines === 1 ? shown.width > box.width + 1 : wantedLines > maxLines;
