import { expect, test } from 'vitest';
import { atOnce } from '../../../core/base';
import { infer } from '../../../core/items';
import { edits, makeProject, type Project } from '../../../core/project';
import { draftLabel, draftStack, kinds, type StackPart } from '../../../core/templates';
import { Engine } from '../../engine';
import type { RowMeasures } from './measured-rows';

const items = ['Ash', 'Spruce and larch', 'Oak'].map((name, at) => ({ id: `o-${at}`, name }));

/** Letters as wide as half their size. */
const letters: RowMeasures = {
  edition: 1,
  facesId: 0,
  at: () => ({
    of(runs) {
      const widths = runs.map(({ words, font }) => words.length * (font.sizePx / 2) * 64);
      const width = widths.reduce((sum, each) => sum + each, 0);
      return { isEmpty: width === 0, width, lineCount: (room) => Math.ceil(width / room) };
    },
    put: () => undefined,
    undrawn: (words) => [...words].filter((char) => char === '᚛'),
    summed: () => ({ show: () => ({ isEmpty: true, width: 0, lineCount: () => 0 }) }),
  }),
};

function found(row: StackPart, change: (project: Project) => Project = (project) => project) {
  const inference = atOnce(infer(items, 'oars'));
  const drafted = makeProject('oars.json', { format: 'json', at: '$[*]', items }, inference);
  const templates = drafted.templates.map((each) => ({ ...each, row }));
  const project = change({ ...drafted, templates, widths: [100, 200], textSizes: [100, 200] });
  const engine = new Engine({
    pause: async () => {},
    now: () => '2026-03-02T10:00:00Z',
    measures: letters,
  });
  engine.hold('oars', items);
  engine.update(project, { from: 0, to: 0 });
  return engine.surveyNow().findings.filter(({ code }) => /^(box|text)-/.test(code));
}

const name = { expr: 'name' };

test('what is cut off is counted at every width and text size, with its first item', () => {
  const row = draftStack('row', 'across', [draftLabel('name', name, 'body', { share: 1 })]);
  expect(found(row)).toMatchObject([
    {
      ...{ code: 'text-cut', severity: 'note', place: { part: 'name', item: 1 } },
      message:
        '“name” of “oar-plain” is cut off in 1 of 3 rows at 100 px, 1 at 100 px × 200 %, 1 at 200 px × 200 %.',
    },
  ]);
});

test('a part without room, and one whose content stands out of it, are found', () => {
  const wide = draftLabel('name', name, 'body', { fixed: 150 });
  const squeezed = draftLabel('again', name, 'body', { share: 1 });
  const row = draftStack('row', 'across', [wide, squeezed]);
  const messages = new Map(found(row).map(({ code, message }) => [code, message]));
  expect(messages.get('box-over')).toBe(
    'What is in “row” of “oar-plain” stands out of it in 3 of 3 rows at 100 px, 3 at 100 px × 200 %.',
  );
  expect(messages.get('box-squeezed')).toBe(
    '“again” of “oar-plain” gets no room in 3 of 3 rows at 100 px, 3 at 100 px × 200 %.',
  );
  const flat = { ...row, height: { fixed: 15 }, children: [wide] };
  const [over] = found(flat);
  expect(over).toMatchObject({ code: 'box-over', place: { part: 'row', item: 0 } });
});

test('a project that names no width has no boxes checked', () => {
  const row = draftStack('row', 'across', [draftLabel('name', name, 'body', { share: 1 })]);
  const without = (project: Project) => {
    const edited = edits.checkWidths([]).apply(project);
    return edited.ok ? edited.value : project;
  };
  expect(found(row, without)).toEqual([]);
});

test('characters that no font draws are named, with the first item that has any', () => {
  const row = draftStack('row', 'across', [draftLabel('name', { expr: '`${name} ᚛`' }, 'body')]);
  const codes = found(row).filter(({ code }) => code === 'text-no-font');
  expect(codes).toMatchObject([
    {
      place: { part: 'name', item: 0 },
      message:
        '“name” of “oar-plain” has characters that no font draws in 3 rows: ᚛ U+169B (Ogham).',
    },
  ]);
});

test('lines that another bit of width would change are told: a text that just fits', () => {
  // “Spruce and larch” takes 112 px at 7 px a letter: in two lines of 56.
  const label = { ...draftLabel('name', name, 'body', { fixed: 56 }), lines: 3 };
  const row = draftStack('row', 'across', [label]);
  const hanging = found(row).filter(({ code }) => code === 'text-hangs');
  expect(hanging).toMatchObject([
    {
      place: { part: 'name', item: 1 },
      message:
        'The lines of “name” of “oar-plain” hang on 1/64 px in 1 of 3 rows at 100 px, 1 at 200 px, 1 at 100 px × 200 %, 1 at 200 px × 200 %.',
    },
  ]);
});

test('lines in less than two ems are told of: words are broken within letters there', () => {
  const narrow = { ...draftLabel('name', name, 'body', { fixed: 27 }), lines: 9 };
  const row = draftStack('row', 'across', [narrow]);
  const hanging = found(row).filter(({ code }) => code === 'text-hangs');
  expect(hanging).toMatchObject([{ place: { part: 'name', item: 1 } }]);
});

test('what a finger can hardly hit is told of: 44 px each way, with the room round it', () => {
  const control = (id: string) => kinds.switch.draft(id, { expr: 'name === "Ash"' }, 'beside');
  const room = (top: number, sides: number) => ({
    padding: { start: sides, end: sides, top, bottom: top },
  });
  const small = (row: StackPart) =>
    found(row).flatMap(({ code, place }) =>
      code === 'box-target' && place.in === 'part' ? [place.part] : [],
    );
  const alone = draftStack('row', 'across', [control('on')]);
  expect(small({ ...alone, ...room(10, 2) })).toEqual([]);
  expect(small({ ...alone, ...room(9, 2) })).toEqual(['on']);
  expect(small({ ...alone, ...room(10, 1) })).toEqual(['on']);
  // Wider than a finger where it is: its neighbour is 2 px off.
  const two = draftStack('row', 'across', [control('on'), control('off')]);
  expect(small({ ...two, gap: 1, ...room(10, 2) })).toEqual(['on', 'off']);
  expect(small({ ...two, gap: 2, ...room(10, 2) })).toEqual([]);
});
