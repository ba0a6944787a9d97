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
import type { Frame } from '../views';
import type { PackMeasures } from './ports';
import { type PartBox, partBoxes, rowSolver } from './row-boxes';

/** Few enough that nobody who asks something else waits for them. */
const entriesATurn = 10;

/** What each entry of a list must show in a setting. The engine shows that list afterwards. */
export async function expectedEntries(
  engine: Engine,
  project: Project,
  setting: ExpectedSetting,
  texts: PackMeasures,
): Promise<readonly ExpectedEntry[]> {
  const list = withId(project.lists, setting.list);
  if (list === undefined) return [];
  const textSize = setting.textSize / 100;
  const box = { widthPx: setting.width, ratio: setting.ratio, textSize };
  engine.showLocale(setting.locale);
  if (setting.look !== undefined) engine.showLook(setting.look);
  engine.update(project, { from: 0, to: 0, box }, list.id);
  while (engine.isRough) {
    await engine.measureRows();
    if (engine.isRough) await texts.more();
  }
  const frame = engine.view({ from: 0, to: 0, box });
  const solve = rowSolver({ ...box, language: setting.locale }, texts);
  const where = placesIn(frame, list, setting);
  const entries: ExpectedEntry[] = [];
  const told = async (entry: Entry, boxOf: (boxes: RowBoxes) => ExpectedBox) => {
    const plan = frame.plans[entry.plan];
    if (plan === undefined) return;
    const boxes = await solve(list, plan, entry);
    entries.push({
      ...{ setting: setting.id, entry: entry.kind, key: entry.key, template: plan.template },
      box: boxOf(boxes),
      parts: expectedParts(plan, entry, boxes, setting),
    });
  };
  const { above, below } = frame;
  const width = setting.width;
  const bar = (y: number) => (boxes: RowBoxes) => boxOf({ x: 0, y, width, height: boxes.heightPx });
  if (above !== undefined) await told(above.entry, bar(0));
  const places = placesBetween(0, frame.sequence.entryCount);
  for (const [at, entry] of engine.entries(places).entries()) {
    if (at % entriesATurn === 0) await texts.pause();
    await told(entry, (boxes) => where.box(at, boxes));
  }
  if (below !== undefined) await told(below.entry, bar(where.endPx));
  return entries;
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
