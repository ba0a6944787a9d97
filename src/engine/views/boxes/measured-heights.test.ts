import { expect, test } from 'vitest';
import { atOnce } from '../../../core/base';
import { type Item, infer } from '../../../core/items';
import { edits, makeProject, type Project } from '../../../core/project';
import { draftLabel, draftStack } from '../../../core/templates';
import { Engine } from '../../engine';
import type { RowMeasures } from './measured-rows';

const names = ['Lace', 'Slub '.repeat(60), 'Sock '.repeat(12), 'Madder', ''];
const items = Array.from({ length: 40 }, (_, at) => ({
  id: `o-${at}`,
  name: names[at % names.length] ?? '',
}));

/** Letters of 8 px; nothing is known until it is said. */
function letters(): RowMeasures & { come(): void } {
  let edition = 0;
  return {
    facesId: 0,
    get edition() {
      return edition;
    },
    come() {
      edition += 1;
    },
    at: () => {
      if (edition === 0) return undefined;
      return {
        of: (runs) =>
          measured(
            runs
              .map(({ words }) => words)
              .join('')
              .trim().length,
          ),
        put: () => undefined,
        undrawn: () => [],
        summed: () => ({ show: () => measured(0) }),
      };
    },
  };
}

const measured = (letters: number) => {
  const width = letters * 8 * 64;
  const lineCount = (available: number) => Math.ceil(width / available);
  return { isEmpty: letters === 0, width, lineCount };
};

function opened(measures: RowMeasures, all: readonly Item[] = items) {
  const inference = atOnce(infer(all, 'oars'));
  const drafted = makeProject('oars.json', { format: 'json', at: '$[*]', items: all }, inference);
  const template = drafted.templates[0];
  const title = template?.row.children[0]?.id ?? '';
  const place = { template: template?.id ?? '', part: title, property: 'lines' };
  const edited = edits.set(place, 'all').apply(drafted);
  if (!edited.ok) throw new Error(edited.error);
  const project: Project = edited.value;
  const engine = new Engine({
    pause: async () => {},
    now: () => '2026-03-02T10:00:00Z',
    measures,
  });
  engine.hold('oars', all);
  return { engine, project, label: { template: place.template, part: title } };
}

const at = (widthPx: number, to = 5) => ({ from: 0, to, box: { widthPx, ratio: 1, textSize: 1 } });
const heightsIn = (frame: ReturnType<Engine['view']>) =>
  [...(frame.sequence.heights ?? [])].map((units) => units / 64);

/** Lines of 20 px in what paddings of 16 leave of the width; 10 above and below. */
const exact = (widthPx: number) =>
  items.map(({ name }) => 20 + 20 * Math.ceil((name.trim().length * 8) / (widthPx - 32)));

test('rows are rough until texts can be measured; those in sight are measured first, then all', async () => {
  const measures = letters();
  const { engine, project } = opened(measures);
  const rough = heightsIn(engine.update(project, at(360)));
  expect(new Set(rough).size).toBe(1);
  await engine.measureRows();
  expect(engine.isRough).toBe(false);

  measures.come();
  expect(engine.isRough).toBe(true);
  const first = heightsIn(engine.view(at(360)));
  expect(first.slice(0, 5)).toEqual(exact(360).slice(0, 5));
  expect(first.slice(5)).toEqual(rough.slice(5));
  expect(await engine.measureRows()).toBe(true);
  expect(heightsIn(engine.view(at(360)))).toEqual(exact(360));
});

test('another width has other heights; the same one again is not measured again', async () => {
  const measures = letters();
  measures.come();
  const { engine, project } = opened(measures);
  engine.update(project, at(360));
  await engine.measureRows();
  engine.view(at(768));
  await engine.measureRows();
  const { sequence } = engine.view(at(768));
  expect([...(sequence.heights ?? [])].map((units) => units / 64)).toEqual(exact(768));
  const { id, heightsId } = sequence;
  const again = engine.view({ ...at(768), sequence: { id, heightsId } });
  expect(again.sequence.heights).toBeUndefined();
});

test('in how many rows a label is cut is counted in any width', () => {
  const measures = letters();
  const { engine, project, label } = opened(measures);
  engine.update(project, at(360));
  const box = { widthPx: 360, ratio: 1, textSize: 1 };
  expect(atOnce(engine.partFacts({ ...label, box }))).toBeUndefined();
  measures.come();
  expect(atOnce(engine.partFacts({ ...label, box }))).toMatchObject({
    ...{ rowCount: 40, cutCount: 0, firstCut: -1, maxLines: 8, longest: 1, widthPx: 360 },
    ...{ wholeFromPx: 360, widest: 1 },
  });
  const one = edits.set({ ...label, property: 'lines' }, 2).apply(project);
  if (!one.ok) throw new Error(one.error);
  engine.update(one.value, at(360));
  expect(atOnce(engine.partFacts({ ...label, box }))).toMatchObject({
    ...{ cutCount: 8, firstCut: 1, maxLines: 2 },
    // Two lines hold 299 letters of 8 px from 1,196 px on, and the paddings take 32.
    ...{ wholeFromPx: 1_196 + 32, widest: 1, widestPx: 299 * 8 },
  });
});

test('a row is lower where a part has left, before any text can be measured', async () => {
  const some = items.map((item, at) => (at % 2 === 0 ? item : { ...item, more: 'yes' }));
  const { engine, project, label } = opened(letters(), some);
  const more = draftLabel('more', { expr: 'more', else: null }, 'small');
  const title = draftLabel('title', { expr: 'name' }, 'body');
  const [template] = project.templates;
  if (template === undefined) throw new Error('it was drafted');
  const row = { ...template.row, children: [draftStack('both', 'down', [title, more])] };
  engine.update({ ...project, templates: [{ ...template, row }] }, at(360));
  await engine.measureRows();
  const heights = heightsIn(engine.view(at(360)));
  expect(heights.slice(0, 4)).toEqual([40, 58, 40, 58]);
  expect(engine.isRough).toBe(false);
  const asked = { ...label, part: 'row', box: { widthPx: 360, ratio: 1, textSize: 1 } };
  expect(atOnce(engine.partFacts(asked))).toBeUndefined();
});

test('a row of fixed height tells in how many rows its content is higher, and what holds all', () => {
  const measures = letters();
  measures.come();
  const { engine, project, label } = opened(measures);
  const row = { template: label.template, part: 'row' };
  const asked = { ...row, box: { widthPx: 360, ratio: 1, textSize: 1 } };
  engine.update(project, at(360));
  expect(atOnce(engine.partFacts(asked))).toMatchObject({
    ...{ kind: 'stack', rowCount: 40, cutCount: 0 },
    ...{ lowest: { px: 20, item: 4 }, highest: { px: 180, item: 1 } },
  });
  const fixed = edits.set({ ...row, property: 'height' }, { fixed: 50 }).apply(project);
  if (!fixed.ok) throw new Error(fixed.error);
  engine.update(fixed.value, at(360));
  expect(atOnce(engine.partFacts(asked))).toMatchObject({
    ...{ cutCount: 16, fitting: { px: 180, item: 1 } },
    ...{ lowest: { px: 50 }, highest: { px: 50 } },
  });
  expect(heightsIn(engine.view(at(360))).every((height) => height === 50)).toBe(true);
  expect(engine.spaceIn(1, asked)).toMatchObject({ direction: 'across', px: 360, paddingPx: 32 });
});

test('long texts in sight hold nobody up: some rows are measured at once, the others in turns', async () => {
  const measures = letters();
  measures.come();
  const { engine, project } = opened(measures);
  const long = items.map((item) => ({ ...item, name: 'Slub '.repeat(790) }));
  engine.hold('oars', long);
  const heights = heightsIn(engine.update(project, at(360, 40)));
  const isExact = (height: number | undefined) => height === 20 + 20 * Math.ceil(31_592 / 328);
  expect([isExact(heights[0]), isExact(heights[39])]).toEqual([true, false]);
  await engine.measureRows();
  expect(heightsIn(engine.view(at(360))).every(isExact)).toBe(true);
});
