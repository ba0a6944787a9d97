/**
 * What is laid out: stacks of labels and blocks. All lengths are whole 1/64 device px, as Chromium
 * keeps them.
 */
export type LayoutNode = StackNode | LabelNode | BlockNode;

/** As large as the content, a share of what the others leave, or fixed. */
export type Length =
  | { readonly kind: 'fit' }
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'fixed'; readonly units: number };

export interface Limits {
  readonly minWidth: number;
  /** Infinity: none. */
  readonly maxWidth: number;
  readonly minHeight: number;
  readonly maxHeight: number;
}

interface Sized {
  readonly part: string;
  readonly width: Length;
  readonly height: Length;
  readonly limits: Limits;
  readonly padding: Insets;
}

export interface Insets {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

export type Alignment = 'start' | 'centre' | 'end' | 'stretch';
export type Distribution = 'start' | 'centre' | 'end' | 'between' | 'around' | 'evenly';

export interface StackNode extends Sized {
  readonly kind: 'stack';
  readonly direction: 'across' | 'down' | 'over';
  readonly gap: number;
  readonly align: Alignment;
  readonly distribute: Distribution;
  readonly children: readonly LayoutNode[];
}

/** A text as it is measured: the port to who knows fonts. */
export interface MeasuredText {
  readonly isEmpty: boolean;
  /** On one line. */
  readonly width: number;
  /** How many lines it takes in a width, counted up to `max` and one more. */
  lineCount(width: number, max: number): number;
}

export interface LabelNode extends Sized {
  readonly kind: 'label';
  readonly text: MeasuredText;
  readonly lineHeight: number;
  /** Infinity: as many as the text takes. */
  readonly maxLines: number;
}

/** A picture or anything else that is as large as it is told. */
export interface BlockNode extends Sized {
  readonly kind: 'block';
  /** Width ÷ height; undefined: none. */
  readonly aspect: number | undefined;
}

/** Where a node came to stand, from the top and the left of its stack. */
export interface Box {
  readonly node: LayoutNode;
  x: number;
  y: number;
  readonly width: number;
  readonly height: number;
  readonly children: readonly Box[];
  /** Of a label: the lines that it shows, and whether it would take more room. */
  readonly lines: number;
  readonly isCut: boolean;
}

export const clamp = (value: number, min: number, max: number): number =>
  Math.max(min, Math.min(value, max));

export const paddingAcross = ({ padding }: LayoutNode): number => padding.left + padding.right;
export const paddingDown = ({ padding }: LayoutNode): number => padding.top + padding.bottom;

export const clampedWidth = (node: LayoutNode, width: number): number =>
  Math.max(clampBy(width, node.limits.minWidth, node.limits.maxWidth), paddingAcross(node));

export const clampedHeight = (node: LayoutNode, height: number): number =>
  Math.max(clampBy(height, node.limits.minHeight, node.limits.maxHeight), paddingDown(node));

/** CSS: a minimum wins against a maximum. */
const clampBy = (value: number, min: number, max: number): number =>
  Math.max(min, Math.min(value, max));

/** A box by itself; its stack says where it stands. */
export const boxOf = (
  node: LayoutNode,
  width: number,
  height: number,
  children: readonly Box[] = [],
): Box => ({ node, x: 0, y: 0, width, height, children, lines: 0, isCut: false });

/** Lays a node out in a width; `given`: the height that it was given, undefined: it finds its own. */
export type LayOut = (node: LayoutNode, width: number, given: number | undefined) => Box;

/** CSS px as whole 1/64 device px: cut, not rounded, as Chromium does. */
export const unitsAt =
  (ratio: number) =>
  (px: number): number =>
    Math.floor(Math.fround(Math.fround(px) * ratio) * 64);
