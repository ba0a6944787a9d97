import { seededRandom, type TextDirection } from '../../src/core/base';
import { type PlanSlot, type RowPlan, rowPlanOf } from '../../src/core/lists';
import {
  type EntryValue,
  neutralColours,
  neutralStyles,
  type RunPart,
  type StackPart,
  type StandingPart,
  type Template,
  type TextStyle,
} from '../../src/core/templates';
import { scripts, textMaker } from './corpus';

/** Those of every project, one whose letters stand apart, and one in a font of the project's own. */
const styles: readonly TextStyle[] = [
  ...neutralStyles,
  { name: 'apart', size: 13, lineHeight: 18, weight: 500, colour: 'ink', letterSpacing: 0.7 },
  { name: 'own', size: 17, lineHeight: 24, weight: 650, colour: 'ink', family: 'own' },
];
const styleNames = styles.map(({ name }) => name);

/** A template with values for its slots. */
export interface RowCase {
  readonly plan: Omit<RowPlan, 'heightPx'>;
  readonly values: readonly EntryValue[];
  /** Those of another item, which the row showed before. */
  readonly before: readonly EntryValue[];
  readonly widthPx: number;
  /** 1: as styles say. */
  readonly textSize: number;
  readonly direction: TextDirection;
}

/** What an entry brings the value of. */
const byValue = { expr: 'x' };

/** A repeatable maker of rows: templates up to four stacks deep, with texts of all scripts. */
export function rowMaker(seed: number): () => RowCase {
  const random = seededRandom(seed);
  const make = textMaker(seed + 1);
  const pick = <T>(among: readonly T[]): T => among[Math.floor(random() * among.length)] as T;
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  let parts = 0;
  const images = new Set<string>();

  const limits = () => ({
    ...(random() < 0.1 && { minWidth: whole(10, 80) }),
    ...(random() < 0.1 && { maxWidth: whole(40, 160) }),
    ...(random() < 0.08 && { minHeight: whole(10, 60) }),
    ...(random() < 0.15 && { alignSelf: pick(['start', 'centre', 'end', 'stretch'] as const) }),
  });
  const width = () =>
    pick([
      ...(['fit', 'fit', { share: 1 }, { share: 1 }, { share: 2 }] as const),
      { fixed: whole(20, 140) },
    ]);

  const label = (): StandingPart => ({
    part: 'label',
    id: `p${parts}`,
    text: pick([byValue, byValue, { ...byValue, else: null }]),
    style: pick([...styleNames, byValue]),
    lines: pick([1, 1, 2, 3, 'all', byValue] as const),
    ...(random() < 0.2 && { language: pick(['en', 'ja', 'ko', 'zh-Hans', 'zh-Hant', byValue]) }),
    ...(random() < 0.2 && { overflow: 'shrink', smallest: pick([8, 10, 12]) }),
    width: pick([width(), width(), width(), byValue]),
    ...(random() < 0.1 && { height: { fixed: whole(16, 60) } }),
    ...(random() < 0.1 && { height: byValue }),
    ...(random() < 0.15 && { weight: pick([300, 700, byValue]) }),
    ...(random() < 0.15 && { markup: 'inline' }),
    ...(random() < 0.2 && { numerals: pick(['proportional', 'tabular']) }),
    ...(random() < 0.15 && { colour: pick(['woad', byValue]) }),
    ...limits(),
    ...(random() < 0.3 && { runs: Array.from({ length: whole(1, 3) }, run) }),
  });
  const run = (): RunPart => {
    parts += 1;
    return {
      part: 'run',
      id: `p${parts}`,
      text: pick([byValue, byValue, ' – ', { ...byValue, else: null }]),
      ...(random() < 0.6 && { style: pick([...styleNames, byValue]) }),
      ...(random() < 0.3 && { weight: pick([400, 550, 700, byValue]) }),
      ...(random() < 0.2 && { italic: pick([true, byValue]) }),
      ...(random() < 0.2 && { strike: true }),
      ...(random() < 0.15 && { markup: 'inline' }),
      ...(random() < 0.2 && { colour: pick(['ash', byValue]) }),
      ...(random() < 0.3 && { joined: pick([true, byValue]) }),
    };
  };
  const imageId = () => {
    images.add(`p${parts}`);
    return `p${parts}`;
  };
  const image = (): StandingPart => ({
    part: 'image',
    id: imageId(),
    picture: 'none',
    width: pick([{ share: 1 }, { fixed: whole(16, 80) }, byValue]),
    ...(random() < 0.2 && { ring: whole(1, 3), ringGap: whole(0, 4), leaves: byValue }),
    ...(random() < 0.3 && { aspect: pick([0.75, 1, 1.5, 16 / 9, 3.3]) }),
    height: pick([{ fixed: whole(10, 80) }, byValue]),
    ...limits(),
  });
  /** Parts without words or pictures. */
  const bare = (): StandingPart => {
    const id = `p${parts}`;
    return pick<StandingPart>([
      { part: 'space', id, ...(random() < 0.5 && { width: { fixed: whole(0, 40) } }) },
      { part: 'space', id, height: { fixed: whole(0, 20) }, ...limits() },
      { part: 'line', id, thickness: pick([0.5, 1, 3]), inset: pick([0, 0, 12]), ...limits() },
      {
        part: 'progress',
        id,
        value: pick([0.3, byValue]),
        max: pick([1, byValue]),
        ...(random() < 0.4 && { missing: 'leaves' }),
        width: width(),
      },
      { part: 'progress', id, width: byValue, thickness: whole(1, 20), tint: byValue, ...limits() },
      { part: 'meter', id, value: byValue, low: pick([0.2, byValue]), optimum: 1, width: width() },
      { part: 'rating', id, value: byValue, of: whole(1, 9), size: whole(8, 30), steps: 'half' },
      { part: 'badge', id, text: byValue, tint: byValue, ...limits() },
      { part: 'badge', id, text: '3', style: pick(styleNames), atZero: 'leaves' },
      { part: 'button', id, text: byValue, ...(random() < 0.5 && { icon: byValue }), ...limits() },
      {
        ...{ part: 'button', id, text: { ...byValue, else: null } },
        ...{ icon: { ...byValue, else: null }, name: { ...byValue, else: null } },
      },
      { part: 'button', id, icon: 'none', kind: 'outlined', leaves: pick([false, byValue]) },
      { part: 'stepper', id, value: byValue, ...(random() < 0.7 && { text: byValue }) },
      { part: 'slider', id, value: byValue, width: width(), name: 'How much', ...limits() },
      {
        ...{ part: 'link', id, text: byValue, address: byValue },
        ...{ lines: pick([1, 3]), width: width() },
      },
      { part: 'switch', id, on: byValue, ...(random() < 0.5 && { name: byValue }) },
      { part: 'checkbox', id, on: true, enabled: byValue, name: 'Done' },
      { part: 'swatch', id, colour: byValue, size: pick([0, 12.5, 30]), ...limits() },
    ]);
  };
  const stack = (depth: number): StackPart => {
    const id = `p${parts}`;
    const children = Array.from({ length: whole(1, 4) }, () => part(depth + 1));
    return {
      part: 'stack',
      id,
      direction: pick(['across', 'across', 'down', 'down', 'over'] as const),
      gap: pick([0, 4, 8, 10]),
      align: pick(['start', 'centre', 'end', 'stretch'] as const),
      distribute: pick(['start', 'start', 'centre', 'end', 'between', 'around', 'evenly'] as const),
      width: pick([width(), width(), width(), byValue]),
      ...(random() < 0.5 && {
        padding: {
          ...{ start: whole(0, 12), end: whole(0, 12), top: whole(0, 12), bottom: whole(0, 12) },
        },
      }),
      ...(random() < 0.15 && {
        border: pick([0.5, 1, 1.7, 3]),
        borderColour: pick(['rule', byValue]),
      }),
      ...(random() < 0.15 && { background: pick(['soft', 'gone', byValue]), radius: pick([0, 8]) }),
      ...(random() < 0.12 && depth > 1 && { height: { fixed: whole(30, 120) } }),
      ...(depth > 1 && limits()),
      ...(depth === 1 && random() < 0.2 && { leadsOn: pick([true, byValue]), mark: 'none' }),
      ...(random() < 0.06 && {
        ...{ over: byValue, max: whole(1, 4) },
        ...(random() < 0.5 && { more: byValue }),
      }),
      ...(depth > 1 && random() < 0.05 && { leaves: pick([true, byValue]) }),
      children,
    };
  };
  /** As it is once it is looked up: a stack of its own in the room that it has here. */
  const shared = (depth: number): StandingPart => {
    const id = `p${parts}`;
    parts += 1;
    return {
      ...{ part: 'shared', id, of: 'kept' },
      width: pick([width(), width(), byValue]),
      ...(random() < 0.15 && { height: pick([{ fixed: whole(30, 120) }, byValue]) }),
      ...(random() < 0.2 && { leaves: byValue }),
      ...limits(),
      opened: { inputs: [], children: [stack(depth + 1)] },
    };
  };
  const part = (depth: number): StandingPart => {
    parts += 1;
    const isLeaf = depth > 4 || random() < 0.15 + 0.18 * depth;
    if (!isLeaf) return random() < 0.12 ? shared(depth) : stack(depth);
    if (random() < 0.25) return bare();
    return random() < 0.75 ? label() : image();
  };

  /** A value as templates give it to what is fed. */
  const value = ({ part, kind, property, leaves }: PlanSlot): EntryValue => {
    if (kind === 'number' && leaves) return pick([0, 0.4, undefined, undefined]);
    if (kind === 'number' && property !== 'weight') return pick([0, 0.4, 3.5, -2, undefined]);
    if (property === 'weight') return pick([250, 400, 620, undefined]);
    if (kind === 'colour') return pick(['ink', '#a23', '#12345678', undefined]);
    if (kind === 'condition') return pick([true, false]);
    if (kind === 'style') return pick(styleNames);
    if (kind === 'language') return pick(['tr', 'ja', 'ko', 'zh', 'zh-TW', undefined]);
    if (kind === 'lines') return pick([1, 2, 3, 'all']);
    if (kind === 'size')
      return images.has(part) || property === 'height' || random() < 0.6 ? whole(16, 140) : 'fit';
    if (property === 'icon') return pick(['none', undefined]);
    if (leaves && random() < 0.3) return undefined;
    if (kind !== 'text') return '';
    const words = () => make(pick(scripts), pick([1, 2, 4, 8, 14]));
    if (random() < 0.1) {
      const [before, after] = pick([
        ['*', '*'],
        ['**', '**'],
        ['`', '`'],
        ['[', '](https://example.org)'],
      ]);
      return `${words()}${pick(['', ' '])}${before}${words()}${after}${pick(['', ' ', '.'])}${words()}`;
    }
    if (random() < 0.1) return `${whole(1, 11_111)}.${whole(10, 99)}`;
    if (random() < 0.05) return `${words()}${pick(['\n', ' \n\n', '\n '])}${pick([words(), ''])}`;
    if (random() < 0.95) return words();
    return pick([leaves ? undefined : '', ' ', '\n\u00ad ']);
  };

  return () => {
    parts = 0;
    images.clear();
    const template: Template = { id: 't', name: 't', type: 'x', row: stack(1) };
    const plan = rowPlanOf(template, { styles, colours: neutralColours, spacing: [] });
    return {
      plan,
      values: plan.slots.map(value),
      before: plan.slots.map(value),
      widthPx: pick([160, 240.5, 320, 360, 412, 768]),
      textSize: pick([0.8, 1, 1, 1.2, 1.35, 1.5, 2]),
      direction: pick(['ltr', 'ltr', 'rtl'] as const),
    };
  };
}
