import fc from 'fast-check';
import { expect, test } from 'vitest';
import { edited } from '../../../../tests/support/edited';
import { atOnce } from '../../base';
import { infer } from '../../items';
import { listHabits } from '../../lists';
import { type Edit, edits } from '../edits';
import { readProject } from '../file/read';
import { writeProject } from '../file/write';
import { makeEdit, startHistory, undo } from '../history';
import { makeProject } from '../make';
import { brokenReferences } from '../problems';
import type { Project } from '../project';
import { usesOfField } from '../uses';
import { readyAction } from './actions';
import { usesOfAction } from './uses';

const shop = [
  { kind: 'skein', id: 'a', name: 'Merino', grams: 100, isKept: true },
  { kind: 'skein', id: 'b', name: 'Sock', grams: 50, isKept: false },
  { kind: 'tool', id: 'c', name: 'Reel', wood: 'oak' },
];
const project = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items: shop },
  atOnce(infer(shop, 'stock.json')),
);
const skein = project.templates.find(({ id }) => id.startsWith('skein'));
const row = { template: skein?.id ?? '', part: skein?.row.id ?? '' };
const codes = (of: Project): readonly string[] =>
  brokenReferences(of).flatMap(({ code }) => (code.startsWith('event.') ? [code] : []));

const acting = edited(
  project,
  edits.addAction({ id: 'open', effect: { does: 'go', to: 'Details' } }),
  edits.addAction({
    id: 'remove',
    words: 'Remove',
    when: 'grams > 60',
    effect: { does: 'delete' },
  }),
  edits.set({ ...row, property: 'tap' }, 'open'),
  edits.set({ ...row, property: 'swipeEnd' }, 'remove open'),
);

test('an action is found by what raises it, and follows its name there', () => {
  expect(usesOfAction(acting, 'open').map(({ gesture }) => gesture)).toEqual(['tap', 'swipeEnd']);
  const named = edited(acting, edits.renameAction('open', 'look-at'));
  expect(usesOfAction(named, 'open')).toEqual([]);
  expect(usesOfAction(named, 'look-at').map(({ gesture }) => gesture)).toEqual(['tap', 'swipeEnd']);
  expect(codes(named)).toEqual(['event.twice']);
  expect(edits.renameAction('open', 'remove').apply(acting).ok).toBe(false);
  expect(edits.renameAction('open', 'Look at').apply(acting).ok).toBe(false);
  expect(edits.renameAction('nobody', 'somebody').apply(acting).ok).toBe(false);
});

test('an action that is taken away is raised by nothing any more; one that is not there is told', () => {
  const without = edited(acting, edits.removeAction('remove'), edits.removeAction('open'));
  expect(without).toEqual(project);
  const unknown = edited(project, edits.set({ ...row, property: 'press' }, 'nobody'));
  expect(codes(unknown)).toEqual(['event.unknown']);
});

test('what an action says is held against the items of the rows that raise it', () => {
  expect(codes(edited(acting, edits.changeAction('remove', { when: 'wood === "oak"' })))).toContain(
    'event.unfit',
  );
  expect(
    codes(edited(acting, edits.changeAction('open', { payload: { expr: 'grams +' } }))),
  ).toContain('event.unfit');
  const loose = edited(project, edits.addAction({ id: 'free', when: 'wood === "oak"' }));
  expect(codes(loose)).toEqual([]);
});

test('a condition and what is handed over are those of the item', () => {
  const action = { id: 'buy', when: 'isKept', payload: { expr: '`${name} ${grams}`' } } as const;
  const fields = project.types[0]?.fields ?? [];
  const ready = readyAction(project, action, fields);
  expect(shop.slice(0, 2).map((item) => ready.when?.evaluate?.(item))).toEqual([true, false]);
  expect(shop.slice(0, 2).map((item) => ready.payload?.evaluate?.(item))).toEqual([
    ...['Merino 100', 'Sock 50'],
  ]);
});

test('what a file says of actions comes back as it was, what nobody here knows with it', async () => {
  const known = edited(acting, edits.changeAction('open', { colour: 'woad', icon: 'arrow' }));
  const [first, ...others] = known.actions ?? [];
  const odd = { ...known, actions: [{ ...first, later: { than: 'this' } }, ...others] } as Project;
  const items = new Map([['stock', shop]]);
  const text = [...writeProject(odd, items)].join('');
  const read = await readProject(text, 'stock.yarncard.json');
  expect(read.ok && read.value.project.actions).toEqual(odd.actions);
  const changed = edited(odd, edits.changeAction('open', { words: 'Open' }));
  expect(changed.actions?.[0]).toMatchObject({ words: 'Open', later: { than: 'this' } });
});

test('a field is found in the actions that read or write it, and renamed there', () => {
  const writing = edited(
    acting,
    edits.changeAction('open', { effect: { does: 'write', field: 'grams', value: 'grams + 1' } }),
  );
  const type = writing.types[0];
  if (type === undefined) throw new Error('there is no type');
  const uses = usesOfField(writing, type, ['grams']).filter(({ kind }) => kind === 'action');
  expect(uses).toEqual([
    { kind: 'action', action: 'open' },
    { kind: 'action', action: 'remove' },
  ]);
  const renamed = edited(writing, edits.renameField({ type: type.id, path: ['grams'] }, 'weight'));
  expect(renamed.actions).toMatchObject([
    { effect: { field: 'weight', value: 'weight + 1' } },
    { when: 'weight > 60' },
  ]);
  expect(codes(renamed)).toEqual(codes(writing));
});

test('whatever is done to actions, the project is one that opens, and undo brings all of it back', () => {
  const id = fc.constantFrom('open', 'remove', 'keep', '__proto__', '', 'Open it');
  const edit = fc.oneof<fc.Arbitrary<Edit>[]>(
    id.map((each) => edits.addAction({ id: each })),
    fc.tuple(id, id).map(([from, to]) => edits.renameAction(from, to)),
    id.map(edits.removeAction),
    fc
      .tuple(id, fc.constantFrom('grams > 1', '', 'nobody'))
      .map(([each, when]) => edits.changeAction(each, { when })),
    fc
      .tuple(fc.constantFrom('tap', 'press', 'menu'), fc.constantFrom('open', 'remove open'))
      .map(([property, each]) => edits.set({ ...row, property }, each)),
    fc
      .constantFrom('moment' as const, 'several' as const, undefined)
      .map((mode) => edits.selectRows(project.lists[0]?.id ?? '', mode)),
    fc
      .tuple(fc.constantFrom(...listHabits), fc.boolean())
      .map(([habit, isOn]) => edits.takeHabit(project.lists[0]?.id ?? '', habit, isOn)),
  );
  return fc.assert(
    fc.asyncProperty(fc.array(edit, { maxLength: 12 }), async (all) => {
      let history = startHistory(project);
      for (const each of all) {
        const made = makeEdit(history, each);
        if (made.ok) history = made.value;
      }
      const text = [...writeProject(history.project, new Map())].join('');
      expect(await readProject(text, 'a.yarncard.json')).toMatchObject({ ok: true });
      while (history.done.length > 0) history = undo(history);
      expect(history.project).toEqual(project);
    }),
  );
});
