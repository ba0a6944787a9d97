import { ownValue } from '../base';
import {
  type Alignment,
  type Distribution,
  type LayoutNode,
  type Length,
  type MeasuredText,
  unitsAt,
} from '../layout';
import {
  type Constant,
  type EntryValue,
  type Size,
  type TextStyle,
  textStyles,
} from '../templates';
import type { PartPlan, RowPlan } from './frame';

/** What boxes hang on besides the row itself. */
export interface Measuring {
  /** Device px in a CSS px. */
  readonly ratio: number;
  text(words: string, style: TextStyle): MeasuredText;
}

type Value = Constant | EntryValue;

/** A row with the values of an entry as what is laid out. A part that leaves is not in it. */
export function rowNode(
  plan: Omit<RowPlan, 'heightPx'>,
  values: readonly EntryValue[],
  measuring: Measuring,
): LayoutNode {
  const fed = new Map<string, Map<string, EntryValue>>();
  const gone = new Set<string>();
  plan.slots.forEach(({ part, property, kind, leaves }, at) => {
    const value = values[at];
    const own = fed.get(part) ?? new Map<string, EntryValue>();
    fed.set(part, own.set(property, value));
    if (leaves && kind !== 'address' && value === undefined) gone.add(part);
  });
  const nodeOf = (part: PartPlan): readonly LayoutNode[] => {
    if (gone.has(part.id)) return [];
    const own = fed.get(part.id);
    const value = (property: string): Value =>
      own?.has(property) === true ? own.get(property) : ownValue(part.values, property);
    return [node(part, value, measuring, part.children.flatMap(nodeOf))];
  };
  const [row] = nodeOf(plan.row);
  if (row === undefined) throw new Error('A row does not leave.');
  return row;
}

function node(
  part: PartPlan,
  value: (property: string) => Value,
  measuring: Measuring,
  children: readonly LayoutNode[],
): LayoutNode {
  const units = unitsAt(measuring.ratio);
  const limit = (property: string, none: number) => {
    const px = value(property);
    return typeof px === 'number' ? units(px) : none;
  };
  const common = {
    part: part.id,
    width: lengthOf(value('width'), units),
    height: lengthOf(value('height'), units),
    limits: {
      minWidth: limit('minWidth', 0),
      maxWidth: limit('maxWidth', Number.POSITIVE_INFINITY),
      minHeight: limit('minHeight', 0),
      maxHeight: limit('maxHeight', Number.POSITIVE_INFINITY),
    },
    padding: insetsOf(value('padding'), units),
  };
  if (part.part === 'stack')
    return {
      ...common,
      kind: 'stack',
      direction: wordOf(value('direction'), ['across', 'down', 'over']),
      gap: limit('gap', 0),
      align: wordOf<Alignment>(value('align'), ['start', 'centre', 'end', 'stretch']),
      distribute: wordOf<Distribution>(value('distribute'), [
        ...(['start', 'centre', 'end', 'between', 'around', 'evenly'] as const),
      ]),
      children,
    };
  if (part.part === 'image') return { ...common, kind: 'block', aspect: undefined };
  const style = styleOf(value('style'));
  const lines = value('lines');
  const maxLines =
    lines === 'all' ? Number.POSITIVE_INFINITY : typeof lines === 'number' ? lines : 1;
  const words = String(value('text') ?? '');
  return {
    ...common,
    kind: 'label',
    // On one line, paragraphs follow each other.
    text: measuring.text(maxLines === 1 ? words.replaceAll('\n', ' ') : words, style),
    lineHeight: units(style.linePx),
    maxLines,
  };
}

const fit: Length = { kind: 'fit' };

function lengthOf(value: Value, units: (px: number) => number): Length {
  if (!isSize(value) || value === 'fit') return fit;
  return 'share' in value
    ? { kind: 'share', share: value.share }
    : { kind: 'fixed', units: units(value.fixed) };
}

const isSize = (value: Value): value is Size =>
  value === 'fit' || (typeof value === 'object' && ('share' in value || 'fixed' in value));

function insetsOf(value: Value, units: (px: number) => number) {
  const { start, end, top, bottom } =
    typeof value === 'object' && 'top' in value ? value : { start: 0, end: 0, top: 0, bottom: 0 };
  return { left: units(start), right: units(end), top: units(top), bottom: units(bottom) };
}

const wordOf = <W extends string>(value: Value, among: readonly [W, ...(readonly W[])]): W =>
  among.find((word) => word === value) ?? among[0];

const styleOf = (value: Value): TextStyle =>
  Object.entries(textStyles).find(([name]) => name === value)?.[1] ?? textStyles.body;
