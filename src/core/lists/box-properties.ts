import { ownValue } from '../base';
import type {
  Alignment,
  BlockNode,
  Distribution,
  Insets,
  LabelNode,
  LayoutNode,
  Length,
  StackNode,
} from '../layout';
import type { Constant, EntryValue, PartKind, Size } from '../templates';

export type Value = Constant | EntryValue;

/** How lengths of a template become units of layout. */
export interface Scale {
  /** CSS px as whole 1/64 device px. */
  readonly units: (px: number) => number;
  /** The same of line heights. */
  readonly lineUnits: (px: number) => number;
  /** The same of borders. */
  readonly borderUnits: (px: number) => number;
  /** How many times as large as styles say text is. */
  readonly textSize: number;
}
export type BoxSetter = (value: Value, scale: Scale) => void;
type Setters<Node> = Readonly<Record<string, (node: Node, value: Value, scale: Scale) => void>>;

const alignments: readonly [Alignment, ...Alignment[]] = ['start', 'centre', 'end', 'stretch'];

const ofEveryNode: Setters<LayoutNode> = {
  width: (node, value, { units }) => {
    node.width = lengthOf(value, units);
  },
  height: (node, value, { units }) => {
    // The height of a picture of some aspect follows from its width.
    if (node.kind === 'block' && node.aspect !== undefined) node.height = fit;
    else node.height = lengthOf(value, units);
  },
  alignSelf: (node, value) => {
    node.alignSelf = alignments.find((each) => each === value);
  },
  minWidth: ({ limits }, value, { units }) => {
    limits.minWidth = numberOf(value, 0, units);
  },
  maxWidth: ({ limits }, value, { units }) => {
    limits.maxWidth = numberOf(value, Number.POSITIVE_INFINITY, units);
  },
  minHeight: ({ limits }, value, { units }) => {
    limits.minHeight = numberOf(value, 0, units);
  },
  maxHeight: ({ limits }, value, { units }) => {
    limits.maxHeight = numberOf(value, Number.POSITIVE_INFINITY, units);
  },
  padding: (node, value, { units }) => {
    node.padding = insetsOf(value, units);
  },
};

const ofStacks: Setters<StackNode> = {
  /** A border counts as padding; it is said after it. */
  border: (node, value, { borderUnits }) => {
    const { start, end, top, bottom } = node.padding;
    const own = typeof value === 'number' ? borderUnits(value) : 0;
    node.padding = { start: start + own, end: end + own, top: top + own, bottom: bottom + own };
  },
  /** Room for the mark, within the padding; it is said after it. */
  leadsOn: (node, value, { units }) => {
    const own = value === true ? units(markPx) : 0;
    const { end, ...others } = node.padding;
    node.padding = { ...others, end: end - node.markUnits + own };
    node.markUnits = own;
  },
  direction: (node, value) => {
    node.direction = wordOf(value, ['across', 'down', 'over']);
  },
  gap: (node, value, { units }) => {
    node.gap = numberOf(value, 0, units);
  },
  align: (node, value) => {
    node.align = wordOf(value, alignments);
  },
  distribute: (node, value) => {
    node.distribute = wordOf<Distribution>(value, [
      ...(['start', 'centre', 'end', 'between', 'around', 'evenly'] as const),
    ]);
  },
};

const ofLabels: Setters<LabelNode> = {
  lines: (node, value) => {
    node.maxLines =
      value === 'all' ? Number.POSITIVE_INFINITY : typeof value === 'number' ? value : 1;
  },
};

const allSides = (units: number): Insets => ({
  ...{ start: units, end: units, top: units, bottom: units },
});

const ofBlocks: Setters<BlockNode> = {
  ring: (node, value, { borderUnits }) => {
    node.padding = allSides(typeof value === 'number' ? borderUnits(value) : 0);
  },
  /** Only a ring has one; it is said after it. */
  ringGap: (node, value, { units }) => {
    const ring = node.padding.start;
    if (ring > 0) node.padding = allSides(ring + numberOf(value, 0, units));
  },
  aspect: (node, value) => {
    node.aspect = typeof value === 'number' ? value : undefined;
  },
};

/** How much room the mark of a row that leads on takes, with what sets it apart. */
export const markPx = 24;

/** Whether a box of a kind hangs on a property. */
export function hangsBoxOn(box: PartKind['box'], property: string): boolean {
  const own = box === 'stack' || box === 'pill' ? ofStacks : box === 'block' ? ofBlocks : ofLabels;
  // Lines are as high as their style says.
  return (
    Object.hasOwn(ofEveryNode, property) ||
    Object.hasOwn(own, property) ||
    property === 'style' ||
    property === 'leaves' ||
    (box === 'pill' && property === 'icon')
  );
}

/** What sets a property of a node; undefined: no box hangs on it. */
export function boxSetter(node: LayoutNode, property: string): BoxSetter | undefined {
  const general = ownValue(ofEveryNode, property);
  if (general !== undefined) return (value, scale) => general(node, value, scale);
  if (node.kind === 'stack') {
    const set = ownValue(ofStacks, property);
    return set && ((value, scale) => set(node, value, scale));
  }
  if (node.kind === 'label') {
    const set = ownValue(ofLabels, property);
    return set && ((value, scale) => set(node, value, scale));
  }
  const set = ownValue(ofBlocks, property);
  return set && ((value, scale) => set(node, value, scale));
}

const fit: Length = { kind: 'fit' };

/** By value, a size is a number of px. */
function lengthOf(value: Value, units: Scale['units']): Length {
  if (typeof value === 'number') return { kind: 'fixed', units: units(value) };
  if (!isSize(value) || value === 'fit') return fit;
  return 'share' in value
    ? { kind: 'share', share: value.share }
    : { kind: 'fixed', units: units(value.fixed) };
}

const isSize = (value: Value): value is Size =>
  value === 'fit' || (typeof value === 'object' && ('share' in value || 'fixed' in value));

const numberOf = (value: Value, none: number, units: Scale['units']): number =>
  typeof value === 'number' ? units(value) : none;

function insetsOf(value: Value, units: Scale['units']): Insets {
  const { start, end, top, bottom } =
    typeof value === 'object' && 'top' in value ? value : { start: 0, end: 0, top: 0, bottom: 0 };
  return { start: units(start), end: units(end), top: units(top), bottom: units(bottom) };
}

const wordOf = <W extends string>(value: Value, among: readonly [W, ...(readonly W[])]): W =>
  among.find((word) => word === value) ?? among[0];
