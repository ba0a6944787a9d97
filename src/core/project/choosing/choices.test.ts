import fc from 'fast-check';
import { expect, test } from 'vitest';
import { edited } from '../../../../tests/support/edited';
import { atOnce } from '../../base';
import { infer } from '../../items';
import { chosenIn, type List } from '../../lists';
import { type Edit, edits } from '../edits';
import { makeEdit, startHistory, undo } from '../history';
import { makeProject } from '../make';
import { brokenReferences } from '../problems';
import type { Project } from '../project';
import { usesOfField } from '../uses';
import { conditionOf } from './choices';

const shop = [
  { kind: 'skein', id: 'a', name: 'Merino', grams: 100 },
  { kind: 'tool', id: 'b', name: 'Spindle', wood: 'ash' },
  { kind: 'skein', id: 'c', name: 'Sock', grams: 50 },
  { kind: 'tool', id: 'd', name: 'Reel', wood: 'oak' },
];
const project = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items: shop },
  atOnce(infer(shop, 'stock.json')),
);
const [list] = project.lists as readonly [List];
const place = (at: number) => ({ list: list.id, at });

const codes = (of: Project): readonly string[] => brokenReferences(of).map(({ code }) => code);

test('a look more chooses what the first does, until another template is chosen in it', () => {
  const two = edited(project, edits.addLook('rich'));
  expect(two.looks?.map(({ id }) => id)).toEqual(['usual', 'rich']);
  expect(two.lists).toEqual(project.lists);
  const rich = edited(two, edits.choose(place(0), { look: 'rich' }, null));
  expect(rich.lists[0]?.choices[0]?.template).toEqual({ usual: 'skein-plain', rich: null });
  const same = edited(rich, edits.choose(place(0), { look: 'rich' }, 'skein-plain'));
  expect(same.lists).toEqual(project.lists);
  const three = edited(rich, edits.addLook('bold'));
  expect(chosenIn(three.lists[0]?.choices[0]?.template, 'bold')).toBe('skein-plain');
  expect(edited(rich, edits.removeLook('usual')).lists[0]?.choices[0]?.template).toBe(null);
  const none = edited(rich, edits.removeLook('rich'), edits.removeLook('usual'));
  expect([none.looks, none.lists]).toEqual([undefined, project.lists]);
});

test('a condition sees the fields of its type, or of all types; the look, but no place in the list', () => {
  const foundIn = (when: string, type?: string) =>
    conditionOf(project, list, { when, ...(type !== undefined && { type }) })?.findings.map(
      ({ code }) => code,
    );
  expect(foundIn('grams > 50 && look === "rich"', 'skein')).toEqual([]);
  expect(foundIn('wood === "ash"', 'skein')).toEqual(['name-unknown']);
  expect(foundIn('wood === "ash"')).toEqual([]);
  expect(foundIn('index > 3')).toEqual(['place-unknown']);
  expect(foundIn('name')).toEqual(['not-a-condition']);
});

test('what can be wrong with choices is told, each at its place', () => {
  const hidden = edited(project, edits.addChoice(list.id, {}, 0));
  expect(codes(hidden)).toEqual(['choice-never-reached', 'choice-never-reached']);
  const asked = edited(project, edits.ask(place(0), { type: 'skein', when: 'gram > 5' }));
  expect(brokenReferences(asked)).toMatchObject([
    { code: 'choice-condition-unfit', place: { path: `lists/${list.id}/choices/0` } },
  ]);
  const gone = { ...project, lists: [{ ...list, choices: [{ type: 'yarn', template: null }] }] };
  expect(codes(gone)).toEqual(['choice-type-unknown', 'template-unused']);
  expect(codes(edited(project, edits.choose(place(1), 'all looks', null)))).toEqual([
    'template-unused',
  ]);
});

test('what can not sort items is told; what sorts them follows a field to its new name', () => {
  const sorted = edited(project, edits.sortBy(list.id, [{ by: 'gram' }, { by: 'name' }]));
  expect(codes(sorted)).toEqual(['order-unfit']);
  const renamed = edited(sorted, edits.renameField({ type: 'skein', path: ['name'] }, 'title'));
  expect(renamed.lists[0]?.order).toEqual([{ by: 'gram' }, { by: 'title' }]);
  expect(edited(sorted, edits.sortBy(list.id, [])).lists).toEqual(project.lists);
});

test('a field that a condition reads is known to be used, and is renamed in it', () => {
  const asked = edited(project, edits.ask(place(0), { type: 'skein', when: 'grams > 50' }));
  const skein = asked.types.find(({ id }) => id === 'skein');
  expect(skein && usesOfField(asked, skein, ['grams'])).toMatchObject([
    { kind: 'choice', list: list.id, at: 0 },
  ]);
  const renamed = edited(asked, edits.renameField({ type: 'skein', path: ['grams'] }, 'weight'));
  expect(renamed.lists[0]?.choices[0]?.when).toBe('weight > 50');
});

test('where types become one, their conditions stay; where one becomes several, each has its own', () => {
  const asked = edited(project, edits.ask(place(1), { type: 'tool', when: 'wood === "ash"' }));
  const merged = edited(asked, edits.mergeTypes(list.source));
  expect(merged.lists[0]?.choices).toEqual([
    { type: 'skein', template: 'skein-plain' },
    { type: 'skein', when: 'wood === "ash"', template: 'tool-plain' },
  ]);
});

test('random edits of choices and looks, undone, bring back the same project', () => {
  const at = fc.integer({ min: -1, max: 4 });
  const template = fc.constantFrom('skein-plain', 'tool-plain', 'none', null, undefined);
  const where = fc.constantFrom('all looks' as const, { look: 'usual' }, { look: 'rich' });
  const asked = fc.constantFrom({}, { type: 'skein' }, { when: 'grams > 5' }, { when: ' ' });
  const edit: fc.Arbitrary<Edit> = fc.oneof(
    fc.tuple(at, where, template).map(([n, look, id]) => edits.choose(place(n), look, id)),
    fc.tuple(asked, at).map(([what, n]) => edits.addChoice(list.id, what, Math.max(0, n))),
    fc.tuple(at, asked).map(([n, what]) => edits.ask(place(n), what)),
    fc.tuple(at, at).map(([from, to]) => edits.moveChoice(place(from), to)),
    at.map((n) => edits.removeChoice(place(n))),
    fc.constantFrom('rich', '', 'Rich').map(edits.addLook),
    fc.constantFrom('usual', 'rich').map(edits.removeLook),
    fc
      .tuple(fc.constantFrom('usual', 'rich'), fc.constantFrom('A', ''))
      .map(([id, name]) => edits.renameLook(id, name)),
  );
  fc.assert(
    fc.property(fc.array(edit, { maxLength: 12 }), (all) => {
      let history = startHistory(project);
      for (const each of all) {
        const made = makeEdit(history, each);
        if (made.ok) history = made.value;
        else expect(made.error).not.toBe('');
        for (const { id } of history.project.looks ?? []) expect(id).toMatch(/^[a-z]/);
      }
      while (history.done.length > 0) history = undo(history);
      expect(history.project).toEqual(project);
    }),
  );
});
