import { ownValue } from '../base';
import {
  type LabelNode,
  type LayoutNode,
  lineUnitsAt,
  type MeasuredText,
  newBlock,
  newLabel,
  newStack,
  type StackNode,
  solve,
  unitsAt,
} from '../layout';
import type { EntryValue } from '../templates';
import { boxSetter, fontOf, type LabelFont, type Scale, type Value } from './box-properties';
import type { PartPlan, RowPlan, Shrunk } from './frame';
import { smallestOf } from './shrinking';

/** Where rows are drawn, as far as sizes hang on it. */
export interface RowPlace {
  /** Device px in a CSS px. */
  readonly ratio: number;
  /** How many times as large as styles say text is. */
  readonly textSize: number;
}

/** A label of a row with what its text is measured by. */
export interface RowLabel {
  readonly node: LabelNode;
  words: string;
  font: LabelFont;
  /** The language that its text is in; undefined: that of the list. */
  language: string | undefined;
  /** The smallest size that its text may shrink to, in CSS px at 100 %; undefined: it may not. */
  readonly smallestPx: number | undefined;
}

/** Measures a text in a language, or in that of the list. */
type MeasureText = (
  words: string,
  font: LabelFont,
  language: string | undefined,
) => MeasuredText | undefined;

/** A stack with all its parts, also those that may leave. */
interface Family {
  readonly stack: StackNode;
  readonly parts: readonly LayoutNode[];
}

/** A part that takes no room where one of its values is missing. */
interface Leaver {
  readonly node: LayoutNode;
  /** The slot of the value. */
  readonly slot: number;
}

/** More parts than this may not leave if rows are to be kept by their texts. */
const maxLeavers = 31;

/** The boxes of a template's rows: made once, then filled with the values of one row after the other. */
export class RowBoxes {
  readonly row: LayoutNode;
  readonly labels: readonly RowLabel[];
  /** Whether all that boxes hang on are texts and which parts leave. */
  readonly hangsOnTexts: boolean;
  private readonly families: Family[] = [];
  private readonly setters: readonly ((value: Value) => void)[];
  private readonly leavers: readonly Leaver[];
  /** Whether each leaver takes no room: 1. */
  private readonly gone: Uint8Array;
  private readonly scale: Scale;

  constructor(
    plan: Omit<RowPlan, 'heightPx'>,
    readonly place: RowPlace,
  ) {
    const { ratio, textSize } = place;
    this.scale = { units: unitsAt(ratio), lineUnits: lineUnitsAt(ratio), textSize };
    const nodes = new Map<string, LayoutNode>();
    const labels = new Map<LayoutNode, RowLabel>();
    this.row = this.nodeOf(plan.row, nodes, labels);
    this.labels = [...labels.values()];
    // Words are kept in one language.
    let hangsOnTexts = this.labels.every(({ language }) => language === undefined);
    this.setters = plan.slots.map(({ part, property }) => {
      const node = nodes.get(part);
      if (node === undefined) return () => {};
      const label = labels.get(node);
      const set = boxSetter(node, property);
      if (set !== undefined || property === 'language') hangsOnTexts = false;
      return (value) => {
        set?.(value, this.scale);
        if (label !== undefined) this.setWords(label, property, value);
      };
    });
    this.leavers = plan.slots.flatMap(({ part, kind, leaves }, slot) => {
      const node = nodes.get(part);
      return leaves && kind !== 'address' && node !== undefined ? [{ node, slot }] : [];
    });
    this.gone = new Uint8Array(this.leavers.length);
    this.hangsOnTexts = hangsOnTexts && this.leavers.length <= maxLeavers;
  }

  /** Takes an entry's values; its labels' texts are to be measured. */
  fill(values: readonly EntryValue[]): void {
    for (let slot = 0; slot < this.setters.length; slot += 1) this.setters[slot]?.(values[slot]);
    this.leave((at) => values[this.leavers[at]?.slot ?? 0] === undefined);
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
    for (const label of this.labels) {
      const words = measuredWords(label);
      const { language } = label;
      const measured = text(words, label.font, language);
      if (measured === undefined) return false;
      label.node.text = measured;
      if (label.smallestPx === undefined) continue;
      // What has its faces in one size has them in all.
      label.node.smaller = (steps) => text(words, this.fontAt(label, steps), language) ?? measured;
    }
    return true;
  }

  /** What a label's text is measured by that is so many steps smaller. */
  fontAt({ font }: RowLabel, steps: number): LabelFont {
    return { ...font, sizePx: font.sizePx - steps * this.place.textSize };
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
      stack.children = parts.filter((part) => !nodes.has(part));
  }

  private nodeOf(
    part: PartPlan,
    nodes: Map<string, LayoutNode>,
    labels: Map<LayoutNode, RowLabel>,
  ): LayoutNode {
    const node = newNode(part);
    nodes.set(part.id, node);
    for (const property of Object.keys(part.values))
      boxSetter(node, property)?.(ownValue(part.values, property), this.scale);
    if (node.kind === 'label') {
      const words = String(ownValue(part.values, 'text') ?? '');
      const font = fontOf(ownValue(part.values, 'style'), this.place.textSize);
      const language = languageOf(ownValue(part.values, 'language'));
      const label = { node, words, font, language, smallestPx: smallestOf(part) };
      this.takeSteps(label);
      labels.set(node, label);
    }
    if (node.kind === 'stack') {
      const parts = part.children.map((child) => this.nodeOf(child, nodes, labels));
      node.children = parts;
      this.families.push({ stack: node, parts });
    }
    return node;
  }

  private setWords(label: RowLabel, property: string, value: Value): void {
    if (property === 'text') label.words = String(value ?? '');
    if (property === 'language') label.language = languageOf(value);
    if (property !== 'style') return;
    label.font = fontOf(value, this.place.textSize);
    this.takeSteps(label);
  }

  private takeSteps({ node, font, smallestPx }: RowLabel): void {
    const sizePx = font.sizePx / this.place.textSize;
    node.maxSteps = smallestPx === undefined ? 0 : Math.max(0, Math.floor(sizePx - smallestPx));
  }
}

function nodeIn(node: LayoutNode, part: string): LayoutNode | undefined {
  if (node.part === part) return node;
  if (node.kind !== 'stack') return undefined;
  for (const child of node.children) {
    const found = nodeIn(child, part);
    if (found !== undefined) return found;
  }
  return undefined;
}

function newNode({ part, id }: PartPlan): LayoutNode {
  if (part === 'stack') return newStack(id);
  return part === 'image' ? newBlock(id) : newLabel(id);
}

const languageOf = (value: Value): string | undefined =>
  typeof value === 'string' && value !== '' ? value : undefined;

/** What is measured of a label: on one line, paragraphs follow each other. */
export const measuredWords = ({ node, words }: RowLabel): string =>
  node.maxLines === 1 ? words.replaceAll('\n', ' ') : words;
