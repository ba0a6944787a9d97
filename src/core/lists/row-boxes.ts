import { ownValue } from '../base';
import {
  borderUnitsAt,
  type LabelNode,
  type LayoutNode,
  lineUnitsAt,
  newBlock,
  newLabel,
  newStack,
  type StackNode,
  solve,
  unitsAt,
} from '../layout';
import type { EntryValue, TextStyle } from '../templates';
import { boxSetter, type Scale, type Value } from './box-properties';
import type { PartPlan, RowPlan, Shrunk } from './frame';
import { type MeasureText, RowLabel } from './row-label';

/** Where rows are drawn, as far as sizes hang on it. */
export interface RowPlace {
  /** Device px in a CSS px. */
  readonly ratio: number;
  /** How many times as large as styles say text is. */
  readonly textSize: number;
  /** How many times as large as templates say the space in rows is; none: once. */
  readonly density?: number | undefined;
}

/** How much space there is in rows, by what it is called. */
export const densities = { compact: 0.75, usual: 1, roomy: 1.25 } as const;
export type Density = keyof typeof densities;

/** A stack with all its parts, also those that may leave. */
interface Family {
  readonly stack: StackNode;
  readonly parts: readonly LayoutNode[];
}

/** A part that takes no room where one of its values is missing, or says so. */
interface Leaver {
  readonly node: LayoutNode;
  /** The slot of the value. */
  readonly slot: number;
  readonly isGone: (value: EntryValue) => boolean;
}

const isMissing = (value: EntryValue): boolean => value === undefined;
const isTrue = (value: EntryValue): boolean => value === true;

/** More parts than this may not leave if rows are to be kept by their texts. */
const maxLeavers = 31;

/** The boxes of a template's rows: made once, then filled with the values of one row after the other. */
export class RowBoxes {
  readonly row: LayoutNode;
  readonly labels: readonly RowLabel[];
  /** Whether all that boxes hang on are texts and which parts leave. */
  readonly hangsOnTexts: boolean;
  private readonly families: Family[] = [];
  private readonly setters: readonly ((value: EntryValue) => void)[];
  private readonly leavers: readonly Leaver[];
  /** Whether each leaver takes no room: 1. */
  private readonly gone: Uint8Array;
  private readonly scale: Scale;
  /** Parts that leave in all rows. */
  private readonly alwaysGone = new Set<LayoutNode>();

  constructor(
    plan: Omit<RowPlan, 'heightPx'>,
    readonly place: RowPlace,
  ) {
    const { ratio, textSize } = place;
    this.scale = {
      units: unitsAt(ratio),
      lineUnits: lineUnitsAt(ratio),
      borderUnits: borderUnitsAt(ratio),
      textSize,
    };
    const nodes = new Map<string, LayoutNode>();
    const labels: RowLabel[] = [];
    this.row = this.nodeOf(plan.row, plan.tokens.styles, nodes, labels);
    this.labels = labels;
    const ofRuns = new Map(labels.flatMap((label) => label.runs.map(({ part }) => [part, label])));
    // Words are kept in one language, and in one font.
    let hangsOnTexts = labels.every(
      ({ ownLanguage, isOfOneFont }) => ownLanguage === undefined && isOfOneFont,
    );
    this.setters = plan.slots.map(({ part, property }) => {
      const node = nodes.get(part);
      const set = node && boxSetter(node, property);
      const setText = ofRuns.get(part)?.setter(part, property);
      if (set !== undefined || (setText !== undefined && property !== 'text')) hangsOnTexts = false;
      return (value) => {
        set?.(value, this.scale);
        setText?.(value);
      };
    });
    this.leavers = plan.slots.flatMap(({ part, property, leaves }, slot): Leaver[] => {
      const isIconAlone = property === 'icon' && !leaves;
      const node = nodes.get(isIconAlone ? iconOf(part) : part);
      if (node === undefined) return [];
      if (property === 'leaves') return [{ node, slot, isGone: isTrue }];
      return leaves || isIconAlone ? [{ node, slot, isGone: isMissing }] : [];
    });
    this.gone = new Uint8Array(this.leavers.length);
    this.hangsOnTexts = hangsOnTexts && this.leavers.length <= maxLeavers;
  }

  /** Takes an entry's values; its labels' texts are to be measured. */
  fill(values: readonly EntryValue[]): void {
    for (let slot = 0; slot < this.setters.length; slot += 1) this.setters[slot]?.(values[slot]);
    this.leave((at) => {
      const leaver = this.leavers[at];
      return leaver?.isGone(values[leaver.slot]) === true;
    });
  }

  /** Which parts have left, a bit for each that may: as many as a row that hangs on texts has. */
  get left(): number {
    return this.gone.reduce((bits, isGone, at) => bits | (isGone << at), 0);
  }

  /** Has parts leave that left another row. */
  leaveAs(left: number): void {
    this.leave((at) => (left & (1 << at)) !== 0);
  }

  /** Measures the texts of its labels; false: one can't be measured yet. */
  measure(text: MeasureText): boolean {
    return this.labels.every((label) => label.measure(text));
  }

  /** How each label that may shrink has done so, in the order of the row. */
  get shrunk(): readonly Shrunk[] {
    return this.labels.flatMap(({ node, smallestPx }) =>
      smallestPx === undefined ? [] : [{ byPx: node.steps, wantsPx: this.toPx(node.text.width) }],
    );
  }

  /** A length that becomes as many units again where it is drawn: they are cut off there. */
  private toPx(units: number): number {
    return (units + 0.5) / 64 / this.place.ratio;
  }

  /** Solves in a width in CSS px. */
  solve(widthPx: number): void {
    // Of what has left, nothing is found.
    for (const { node } of this.labels) node.steps = 0;
    solve(this.row, this.scale.units(widthPx));
  }

  /** A part that has not left, by itself or with what it stands in; undefined: there is none. */
  node(part: string): LayoutNode | undefined {
    return nodeIn(this.row, part);
  }

  label(part: string): LabelNode | undefined {
    const node = this.node(part);
    return node?.kind === 'label' ? node : undefined;
  }

  get heightPx(): number {
    return this.row.box.height / 64 / this.place.ratio;
  }

  get widthPx(): number {
    return this.row.box.width / 64 / this.place.ratio;
  }

  private leave(isGone: (leaver: number) => boolean): void {
    let isChanged = false;
    for (let at = 0; at < this.gone.length; at += 1) {
      const now = isGone(at) ? 1 : 0;
      isChanged ||= now !== this.gone[at];
      this.gone[at] = now;
    }
    if (!isChanged) return;
    const nodes = new Set(
      this.leavers.flatMap(({ node }, at) => (this.gone[at] === 1 ? [node] : [])),
    );
    for (const { stack, parts } of this.families)
      stack.children = parts.filter((part) => !nodes.has(part) && !this.alwaysGone.has(part));
  }

  private nodeOf(
    part: PartPlan,
    styles: readonly TextStyle[],
    nodes: Map<string, LayoutNode>,
    labels: RowLabel[],
  ): LayoutNode {
    const node = newNode(part);
    nodes.set(part.id, node);
    for (const property of Object.keys(part.values))
      boxSetter(node, property)?.(ownValue(part.values, property), this.scale);
    if (part.values['leaves'] === true) this.alwaysGone.add(node);
    if (node.kind === 'label') labels.push(new RowLabel(node, part, this.scale, styles));
    if (node.kind !== 'stack') return node;
    const parts =
      part.pill === undefined
        ? part.children.map((child) => this.nodeOf(child, styles, nodes, labels))
        : this.nodesOfPill(part, styles, nodes, labels);
    node.children = parts.filter((each) => !this.alwaysGone.has(each));
    this.families.push({ stack: node, parts });
    return node;
  }

  private nodesOfPill(
    part: PartPlan,
    styles: readonly TextStyle[],
    nodes: Map<string, LayoutNode>,
    labels: RowLabel[],
  ): readonly LayoutNode[] {
    const parts: LayoutNode[] = [];
    if (part.pill?.hasIcon === true) {
      const icon = newBlock(part.id);
      const size: Value = { fixed: iconPx };
      boxSetter(icon, 'width')?.(size, this.scale);
      boxSetter(icon, 'height')?.(size, this.scale);
      nodes.set(iconOf(part.id), icon);
      parts.push(icon);
    }
    if (part.pill?.hasWords === true) {
      const words = newLabel(part.id);
      labels.push(new RowLabel(words, part, this.scale, styles));
      parts.push(words);
    }
    return parts;
  }
}

/** How wide and high the icon of a pill is. */
export const iconPx = 16;

/** No part has such an id. */
const iconOf = (part: string): string => `${part} icon`;

function nodeIn(node: LayoutNode, part: string): LayoutNode | undefined {
  if (node.part === part) return node;
  if (node.kind !== 'stack') return undefined;
  for (const child of node.children) {
    const found = nodeIn(child, part);
    if (found !== undefined) return found;
  }
  return undefined;
}

function newNode({ box, id }: PartPlan): LayoutNode {
  if (box === 'stack' || box === 'pill') return newStack(id);
  return box === 'block' ? newBlock(id) : newLabel(id);
}
