import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, quiet } from '../../tests/support/shop';
import { atOnce } from '../core/base';
import { type Item, infer } from '../core/items';
import { type Edit, edits, makeProject, writeProject } from '../core/project';
import { EngineData } from './answers';
import { Engine } from './engine';
import type { MoveTask } from './views';

const items: readonly Item[] = Array.from({ length: 6 }, (_, at) => ({
  id: `s-${at}`,
  shelf: at < 4 ? 'attic' : 'shop',
  made: `2026-0${1 + (at % 3)}-05`,
}));
const project = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items },
  atOnce(infer(items, 'stock')),
);
const list = project.lists[0]?.id ?? '';
const moves = edits.takeHabit(list, 'reorders', true);

function engineFor(...all: readonly Edit[]) {
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', items);
  let shown = edited(project, ...all);
  engine.update(shown, everything);
  const data = new EngineData(engine);
  const move = (key: string, to: MoveTask['to']): string => {
    const moved = engine.moveTo({ key, to });
    if (!moved.ok) return moved.error;
    const revision = data.changeOf(moved.value.at, moved.value.change);
    if (revision === undefined) throw new Error('it is gone');
    shown = edited(shown, edits.itemsChanged('stock', revision, 'Move'));
    engine.update(shown, everything);
    return moved.value.did;
  };
  const order = () => engine.heldIn('stock').map(({ id, shelf }) => `${id} ${shelf}`);
  return { engine, move, order };
}

test('an item goes next to another, and nothing else changes', () => {
  const { move, order } = engineFor(moves);
  expect(move('s-0', { key: 's-2', side: 'after' })).toBe('moved it after s-2');
  expect(order().map((each) => each.slice(0, 3))).toEqual([
    's-1',
    's-2',
    's-0',
    's-3',
    's-4',
    's-5',
  ]);
  move('s-5', { key: 's-1', side: 'before' });
  expect(order()[0]).toBe('s-5 shop');
});

test('in another section it is given what makes it one of that section', () => {
  const { move, order } = engineFor(moves, edits.divide(list, { by: 'shelf' }));
  expect(move('s-5', { key: 's-1', side: 'before' })).toBe('moved it to section attic');
  expect(order().slice(0, 3)).toEqual(['s-0 attic', 's-5 attic', 's-1 attic']);
  expect(move('s-0', { section: 'shop' })).toBe('moved it to section shop');
  expect(order()[0]).toBe('s-0 shop');
});

describe('what can’t be moved says why', () => {
  test.each<[why: RegExp, edits: readonly Edit[], to: MoveTask['to']]>([
    [/not moved/, [], { key: 's-2', side: 'after' }],
    [/sorted/, [moves, edits.sortBy(list, [{ by: 'id' }])], { key: 's-2', side: 'after' }],
    [/gone/, [moves], { key: 'nobody', side: 'after' }],
    [/where it was/, [moves], { key: 's-0', side: 'after' }],
    [
      /no field, but comes of/,
      [moves, edits.divide(list, { by: 'shelf + id' })],
      { key: 's-2', side: 'after' },
    ],
    [
      /month of made/,
      [moves, edits.divide(list, { by: 'made', part: 'month' })],
      { key: 's-1', side: 'after' },
    ],
  ])('%s', (why, all, to) => {
    const { move, order } = engineFor(...all);
    expect(move('s-0', to)).toMatch(why);
    expect(order().map((each) => each.slice(0, 3))).toEqual(items.map(({ id }) => id));
  });
});

test('in a section of items of another type it is given the value by its own name', () => {
  const mixed: readonly Item[] = [
    ...[1, 2, 3].map((at) => ({
      id: `s-${at}`,
      kind: 'skein',
      shelf: 'attic',
      grams: at,
      dye: 'woad',
    })),
    ...[1, 2, 3].map((at) => ({ id: `t-${at}`, kind: 'tool', place: 'shop', wood: 'ash', cm: at })),
  ];
  const drafted = makeProject(
    'stock.json',
    { format: 'json', at: '$[*]', items: mixed },
    atOnce(infer(mixed, 'stock')),
  );
  const tool = drafted.types.find(({ fields }) => fields.some(({ name }) => name === 'place'));
  const own = drafted.lists[0]?.id ?? '';
  const shown = edited(
    drafted,
    edits.renameField({ type: tool?.id ?? '', path: ['place'] }, 'shelf'),
    edits.divide(own, { by: 'shelf' }),
    edits.takeHabit(own, 'reorders', true),
  );
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', mixed);
  engine.update(shown, everything);
  const moved = engine.moveTo({ key: 't-2', to: { key: 's-1', side: 'after' } });
  expect(moved).toMatchObject({
    ok: true,
    value: { change: { value: { path: ['place'], value: 'attic' } } },
  });
});

test('in a sorted list it still changes its section, and stays where it is among the items', () => {
  const { move, order } = engineFor(
    ...[moves, edits.divide(list, { by: 'shelf' }), edits.sortBy(list, [{ by: 'id' }])],
  );
  expect(move('s-0', { key: 's-5', side: 'after' })).toBe('moved it to section shop');
  expect(order()[0]).toBe('s-0 shop');
});

test('however often rows are moved, each item is there once, next to where it was put', () => {
  const pick = fc.integer({ min: 0, max: 5 });
  fc.assert(
    fc.property(
      fc.array(fc.tuple(pick, pick, fc.constantFrom('before' as const, 'after' as const))),
      (all) => {
        const { move, order } = engineFor(moves);
        for (const [one, other, side] of all) {
          if (one === other) continue;
          move(`s-${one}`, { key: `s-${other}`, side });
          const keys = order().map((each) => each.slice(0, 3));
          expect(keys.toSorted()).toEqual(items.map(({ id }) => id));
          const apart = keys.indexOf(`s-${one}`) - keys.indexOf(`s-${other}`);
          expect(apart).toBe(side === 'after' ? 1 : -1);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('a row moved among 100,000 is one line in another place of the file', () => {
  const many: readonly Item[] = Array.from({ length: 100_000 }, (_, at) => ({ id: `m-${at}` }));
  const { engine } = engineFor(moves);
  engine.hold('stock', many);
  const linesOf = () =>
    [...writeProject(project, new Map([['stock', engine.heldIn('stock')]]))].join('').split('\n');
  const before = linesOf();
  const moved = engine.moveTo({ key: 'm-7', to: { key: 'm-90000', side: 'after' } });
  if (!moved.ok) throw new Error(moved.error);
  new EngineData(engine).changeOf(moved.value.at, moved.value.change);
  const after = linesOf();
  const at = before.findIndex((line) => line.includes('"m-7"'));
  const [line = ''] = before.splice(at, 1);
  before.splice(at + 90_000 - 7, 0, line);
  expect(after).toEqual(before);
});
