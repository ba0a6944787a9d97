import { ownValue } from '../../core/base';
import type { ExpectedBox, ExpectedEntry, ExpectedPart, ExpectedSetting } from '../../core/handoff';
import { cellIn, Lines } from '../../core/layout';
import {
  colourOfText,
  type Entry,
  type List,
  type PartPlan,
  placesBetween,
  type RowBoxes,
  type RowPlan,
  roomOfStrips,
  stripColumns,
  stripMeasures,
  textsOnGrounds,
  widthsIn,
} from '../../core/lists';
import { type Project, withId } from '../../core/project';
import { type EntryValue, isContent, kindOfPart } from '../../core/templates';
import type { Engine } from '../engine';
import type { Frame, ListBox } from '../views';
import type { PackMeasures } from './ports';
import { type PartBox, partBoxes, rowSolver } from './row-boxes';
import type { RowsShown } from './sheets';

/** What is taken for it. */
export interface Expecting {
  readonly texts: PackMeasures;
  /** Told of each row. */
  readonly meet?: RowsShown['meet'];
}

/** Few enough that nobody who asks something else waits for them. */
const entriesATurn = 10;

/** What each entry of a list must show in a setting. The engine shows that list afterwards. */
export async function expectedEntries(
  engine: Engine,
  project: Project,
  setting: ExpectedSetting,
  { texts, meet }: Expecting,
): Promise<readonly ExpectedEntry[]> {
  const list = withId(project.lists, setting.list);
  if (list === undefined) return [];
  const textSize = setting.textSize / 100;
  const box = { widthPx: setting.width, ratio: setting.ratio, textSize };
  engine.showLocale(setting.locale);
  if (setting.look !== undefined) engine.showLook(setting.look);
  engine.update(project, { from: 0, to: 0, box }, list.id);
  const solve = rowSolver({ ...box, language: setting.locale }, texts);
  const { frame, rows } = await settled(engine, box, texts, (plan, entry) =>
    solve(list, plan, entry),
  );
  const where = placesIn(frame, list, setting);
  const { width } = setting;
  const bar = (y: number, { heightPx: height }: RowBoxes) => boxOf({ x: 0, y, width, height });
  return rows.map(({ plan, entry, boxes, at }) => {
    meet?.(plan, entry, setting, boxes.widthPx);
    return {
      ...{ setting: setting.id, entry: entry.kind, key: entry.key, template: plan.template },
      box:
        at === 'above'
          ? bar(0, boxes)
          : at === 'below'
            ? bar(where.endPx, boxes)
            : where.box(at, boxes),
      parts: expectedParts(plan, entry, boxes, setting),
    };
  });
}

interface SolvedRow {
  readonly plan: RowPlan;
  readonly entry: Entry;
  readonly boxes: RowBoxes;
  /** Its position; a bar stands at an end. */
  readonly at: number | 'above' | 'below';
}

/**
 * All rows of the list that an engine shows, solved. Faces come as texts are first measured: heights
 * that were found without them are found again.
 */
async function settled(
  engine: Engine,
  box: ListBox,
  { measures, pause }: PackMeasures,
  solve: (plan: RowPlan, entry: Entry) => Promise<RowBoxes>,
): Promise<{ readonly frame: Frame; readonly rows: readonly SolvedRow[] }> {
  for (;;) {
    const { edition } = measures;
    await engine.measureRows();
    const frame = engine.view({ from: 0, to: 0, box });
    const { above, below } = frame;
    const entries = engine.entries(placesBetween(0, frame.sequence.entryCount));
    const rows: SolvedRow[] = [];
    for (const [at, entry] of [
      ...(above === undefined ? [] : [['above', above.entry] as const]),
      ...entries.entries(),
      ...(below === undefined ? [] : [['below', below.entry] as const]),
    ]) {
      if (rows.length % entriesATurn === 0) await pause();
      const plan = frame.plans[entry.plan];
      if (plan !== undefined) rows.push({ plan, entry, at, boxes: await solve(plan, entry) });
    }
    if (measures.edition === edition) return { frame, rows };
  }
}

/** Where entries stand in their list, below the bar that stays above them. */
function placesIn(
  { sequence, above: bar }: Frame,
  list: List,
  { width, direction }: ExpectedSetting,
) {
  const { arrangement, lines: table, heights } = sequence;
  if (table === undefined || heights === undefined) throw new Error('The sequence was not told.');
  const lines = new Lines({ ...table, heights }, arrangement.edge, arrangement.gap);
  const isRtl = direction === 'rtl';
  const strip = { ...stripMeasures(list.arrangement), width: widthsIn(arrangement, width).strip };
  const { above } = roomOfStrips(arrangement);
  const barPx = bar?.heightPx ?? 0;
  const box = (at: number, boxes: RowBoxes): ExpectedBox => {
    const line = lines.of(at);
    const y = barPx + lines.topPx(line);
    if (lines.columnsOf(line) !== stripColumns) {
      const { x, width: own } = cellIn(lines, at, { ...arrangement, widthPx: width, isRtl });
      return boxOf({ x, y, width: own, height: lines.heightPxOf(line) });
    }
    const start = strip.edge + (at - lines.firstOf(line)) * (strip.width + strip.gap);
    const x = isRtl ? width - start - strip.width : start;
    return boxOf({ x, y: y + above, width: strip.width, height: boxes.heightPx });
  };
  return { box, endPx: barPx + lines.heightPx };
}

const boxOf = ({ x, y, width, height }: Omit<PartBox, 'part'>): ExpectedBox => [
  rounded(x),
  rounded(y),
  rounded(width),
  rounded(height),
];

const rounded = (px: number): number => Math.round(px * 100) / 100;

function expectedParts(
  plan: RowPlan,
  entry: Entry,
  boxes: RowBoxes,
  { direction }: ExpectedSetting,
): readonly ExpectedPart[] {
  const colours = coloursIn(plan, entry);
  const shows = shownIn(plan, entry);
  const words = wordsIn(boxes);
  const seen = new Set<string>();
  return [...partBoxes(boxes, direction)].flatMap((box): ExpectedPart[] => {
    // What a pill holds stands in it under its name.
    if (seen.has(box.part)) return [];
    seen.add(box.part);
    return [
      {
        ...{ part: box.part, box: boxOf(box) },
        ...words.get(box.part)?.at(0),
        ...(box.lines !== undefined && { lines: box.lines, cut: box.isCut === true }),
        ...colours(box.part),
        ...shows(box.part),
      },
      ...(words.get(box.part)?.slice(1) ?? []).map((run) => ({ ...run, ...colours(run.part) })),
    ];
  });
}

/** By label: all of its words, and after it those of each of its runs. */
function wordsIn({ labels }: RowBoxes) {
  const words = new Map<string, readonly Pick<ExpectedPart, 'part' | 'text'>[]>();
  for (const label of labels) {
    const runs = label.runsAt(label.node.steps);
    const whole = { part: label.node.part, text: runs.map((run) => run.words).join('') };
    const own = new Map<string, string>();
    for (const { part, words: said } of runs)
      if (part !== whole.part) own.set(part, (own.get(part) ?? '') + said);
    words.set(whole.part, [whole, ...[...own].map(([part, text]) => ({ part, text }))]);
  }
  return words;
}

function coloursIn(plan: RowPlan, { values }: Entry) {
  const colours = new Map(
    textsOnGrounds(plan).map((text) => [text.part, colourOfText(text, values, plan.tokens)]),
  );
  return (part: string): Pick<ExpectedPart, 'colour'> => {
    const colour = colours.get(part);
    return colour === undefined ? {} : { colour: { light: colour.light, dark: colour.dark } };
  };
}

/** What parts show besides words. */
function shownIn({ row, slots }: RowPlan, { values }: Entry) {
  const bound = new Map(
    slots.map(({ part, property }, at): [string, EntryValue] => [
      `${part} ${property}`,
      values[at],
    ]),
  );
  const shown = new Map<string, readonly (readonly [string, string])[]>();
  const visit = (part: PartPlan) => {
    const names = Object.entries(kindOfPart(part).properties).flatMap(([name, declared]) =>
      isContent(declared) && name !== 'text' ? [name] : [],
    );
    const own = names.flatMap((name): [string, string][] => {
      const id = `${part.id} ${name}`;
      const value = bound.has(id) ? bound.get(id) : ownValue(part.values, name);
      return value === undefined || value === '' ? [] : [[name, String(value)]];
    });
    if (own.length > 0) shown.set(part.id, own);
    part.children.forEach(visit);
  };
  visit(row);
  return (part: string): Pick<ExpectedPart, 'shows'> => {
    const own = shown.get(part);
    return own === undefined ? {} : { shows: Object.fromEntries(own) };
  };
}
