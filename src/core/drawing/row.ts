import { ownValue } from '../base';
import { type LayoutNode, placed } from '../layout';
import type { PartPlan, RowBoxes, RowLabel, RowPlan, RunWords } from '../lists';
import type { EntryValue } from '../templates';
import type { LaidText, TextRoom } from '../text';
import { meter, progress, rating, slider } from './kinds/bars';
import { image, symbolIn } from './kinds/images';
import { badge, button, buttonInk, stepper } from './kinds/pills';
import { line, stack } from './kinds/stacks';
import { checkbox, swatch, switchOf } from './kinds/toggles';
import { type DrawnIn, type DrawPart, pictureSaid, type Said, type Sketch } from './sketch';
import { type Box, clipped, element } from './svg';
import { drawnWords } from './words';

/** Lays the words of a label out; undefined: what that takes has not come yet. */
export type LayWords = (
  runs: readonly RunWords[],
  room: TextRoom,
  language: string | undefined,
) => LaidText | undefined;

/** A row whose boxes are solved and whose words are laid out. */
export interface LaidRow {
  readonly plan: Omit<RowPlan, 'heightPx'>;
  readonly values: readonly EntryValue[];
  readonly boxes: RowBoxes;
  readonly words: ReadonlyMap<LayoutNode, { readonly label: RowLabel; readonly laid: LaidText }>;
}

/** Lays the words of a row out whose boxes are solved; undefined: some face has not come yet. */
export function layRow(
  plan: LaidRow['plan'],
  values: LaidRow['values'],
  boxes: RowBoxes,
  layWords: LayWords,
): LaidRow | undefined {
  const words = new Map<LayoutNode, { readonly label: RowLabel; readonly laid: LaidText }>();
  const parts = partsOf(plan.row);
  for (const label of boxes.labels) {
    const { node } = label;
    const isClipped = parts.get(node.part)?.values['overflow'] === 'clip';
    const { width, height } = node.box;
    const wholeLines = Math.floor(height / node.lineHeight);
    const room = { width, maxLines: node.maxLines, wholeLines, isClipped };
    const laid = layWords(label.runsAt(node.steps), room, label.ownLanguage);
    if (laid === undefined) return undefined;
    words.set(node, { label, laid });
  }
  return { plan, values, boxes, words };
}

const kinds: Readonly<Record<string, DrawPart>> = {
  ...{ label: drawnWords, link: drawnWords, image },
  ...{ badge, progress, meter, rating, swatch },
  ...{ switch: switchOf, checkbox, slider, stepper, button },
  ...{ space: () => '', line, stack, shared: stack },
};

/** The elements of a row (SVG 2), from the top and the left of the picture. */
export function drawnRow(row: LaidRow, how: DrawnIn): string {
  const { boxes, plan, values } = row;
  const { ratio } = boxes.place;
  const parts = partsOf(plan.row);
  const at = new Map(plan.slots.map(({ part, property }, slot) => [`${part} ${property}`, slot]));
  const said = (part: string, property: string): Said => {
    const slot = at.get(`${part} ${property}`);
    if (slot !== undefined) return values[slot];
    return ownValue(parts.get(part)?.values ?? {}, property);
  };
  const css = (units: number) => units / 64 / ratio;
  const places = new Map<LayoutNode, Box>();
  for (const { node, x, y } of placed(boxes.row, how.direction)) {
    const { width, height } = node.box;
    places.set(node, { x: css(x), y: css(y), width: css(width), height: css(height) });
  }
  const draw = (node: LayoutNode): string => {
    const part = parts.get(node.part);
    const exact = places.get(node);
    if (part === undefined || exact === undefined) return '';
    const children = node.kind === 'stack' ? node.children : [];
    const sketch: Sketch = {
      ...how,
      ...{ part, node, isRow: node === boxes.row, exact, box: snapped(exact, ratio), ratio },
      tokens: plan.tokens,
      said: (property, of = part.id) => said(of, property),
      words: row.words.get(node),
      inner: () => children.map((child) => inPart(sketch, child) ?? draw(child)).join(''),
    };
    if (said(part.id, 'unseen') === true) return '';
    const drawn = (ownValue(kinds, part.part) ?? drawnWords)(sketch);
    return seenThrough(drawn, opacityOf(sketch));
  };
  /** The icon and the words of a pill stand in it under its name. */
  const inPart = (pill: Sketch, node: LayoutNode): string | undefined => {
    const exact = places.get(node);
    if (node.part !== pill.part.id || exact === undefined) return undefined;
    const box = snapped(exact, ratio);
    if (node.kind === 'label')
      return drawnWords({ ...pill, node, exact, box, words: row.words.get(node) });
    const icon = pictureSaid(pill, 'icon');
    return icon === undefined ? '' : symbolIn(pill, icon, box, buttonInk(pill));
  };
  const whole = places.get(boxes.row);
  return whole === undefined ? '' : clipped(snapped(whole, ratio), draw(boxes.row));
}

function snapped({ x, y, width, height }: Box, ratio: number): Box {
  const edge = (px: number) => Math.round(px * ratio) / ratio;
  const [left, top] = [edge(x), edge(y)];
  return { x: left, y: top, width: edge(x + width) - left, height: edge(y + height) - top };
}

const disabledOpacity = 0.45;

function opacityOf({ part, said, node }: Sketch): number {
  const opacity = said('opacity');
  if (typeof opacity === 'number' && opacity < 1) return opacity;
  const isOfRow = part.part === 'stack' && node.part === part.id;
  return (part.isTarget === true || isOfRow) && said('enabled') === false ? disabledOpacity : 1;
}

const seenThrough = (drawn: string, opacity: number): string =>
  opacity === 1 || drawn === '' ? drawn : element('g', { opacity }, drawn);

function partsOf(row: PartPlan): ReadonlyMap<string, PartPlan> {
  const parts = new Map<string, PartPlan>();
  const visit = (part: PartPlan) => {
    parts.set(part.id, part);
    part.children.forEach(visit);
  };
  visit(row);
  return parts;
}
