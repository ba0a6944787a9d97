import { expect, test } from 'vitest';
import { quiet } from '../../tests/support/shop';
import { atOnce } from '../core/base';
import { type Item, infer } from '../core/items';
import { type Edit, edits, makeProject, type Project } from '../core/project';
import { Engine } from './engine';

const skeins: readonly Item[] = [
  { id: '1', name: 'Weld', price: 4 },
  { id: '2', name: 'Madder', price: 9 },
];
const classes: readonly Item[] = [
  { id: '1', name: 'Dyeing', teacher: 'Oll' },
  { id: '2', name: 'Spinning', teacher: 'Reeve' },
  { id: '3', name: 'Lace', teacher: 'Pell' },
];

/** A project of skeins, whose list may show classes, too. */
function openBoth() {
  const read = (name: string, items: readonly Item[]) => {
    const found = atOnce(infer(items, name));
    return makeProject(`${name}.json`, { format: 'json', at: '$[*]', items }, found);
  };
  const [first, second] = [read('skeins', skeins), read('classes', classes)];
  let project: Project = {
    ...first,
    sources: [...first.sources, ...second.sources],
    types: [...first.types, ...second.types],
    templates: [...first.templates, ...second.templates],
    lists: [...first.lists, ...second.lists],
  };
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('skeins', skeins);
  engine.hold('classes', classes);
  const range = { from: 0, to: 50 };
  const list = first.lists[0]?.id ?? '';
  engine.update(project, range, list);
  return {
    engine,
    list,
    project: () => project,
    make(...all: readonly Edit[]) {
      for (const edit of all) {
        const made = edit.apply(project);
        if (!made.ok) throw new Error(made.error);
        project = made.value;
      }
      return engine.update(project, range, list);
    },
    words: () =>
      engine
        .view(range)
        .entries.map(({ kind, values }) => [kind, String(values[0] ?? '')].join(' ')),
  };
}

test('items of sources that are taken in come after its own, each in a row of its type', () => {
  const { make, list, words, project, engine } = openBoth();
  const frame = make(edits.takeSources(list, ['classes']));
  expect(words()).toEqual(['row Weld', 'row Madder', 'row Dyeing', 'row Spinning', 'row Lace']);
  expect(frame.entries.map(({ key }) => key)).toEqual([
    ...['1', '2', 'classes/1', 'classes/2', 'classes/3'],
  ]);
  expect(frame.itemCount).toBe(5);
  expect(engine.entryOfKey('classes/2')).toBe(3);
  expect(engine.entryOfKey('2')).toBe(1);
  expect(engine.itemAtHand(4)).toMatchObject({ key: 'classes/3', title: 'Lace', entry: 4 });
  expect(frame.findings).toEqual([]);
  // What goes takes its choice along.
  make(edits.takeSources(list, []));
  expect(words()).toEqual(['row Weld', 'row Madder']);
  const own = project().lists.find(({ id }) => id === list);
  expect(own?.choices.some(({ type }) => type === 'classe')).toBe(false);
});

test('they are merged by a sort key that all have, and stand in a section for each source', () => {
  const { make, list, words } = openBoth();
  make(edits.takeSources(list, ['classes']), edits.sortBy(list, [{ by: 'name' }]));
  expect(words()).toEqual(['row Dyeing', 'row Lace', 'row Madder', 'row Spinning', 'row Weld']);
  const frame = make(edits.divide(list, { hasIndex: true }));
  expect(words()).toEqual(['row Madder', 'row Weld', 'row Dyeing', 'row Lace', 'row Spinning']);
  expect(frame.findings).toEqual([]);
});

test('an item that is not as its type says is found where it stands among all', () => {
  const { make, list, engine } = openBoth();
  make(edits.takeSources(list, ['classes']));
  const odd = classes.map((item, at) => (at === 1 ? { ...item, teacher: { by: 'Oll' } } : item));
  engine.hold('classes', odd, undefined, 1);
  make(edits.itemsChanged('classes', 1, 'one is odd'));
  const misfit = engine.surveyNow().findings.find(({ place }) => place.in === 'items');
  expect(misfit?.place).toMatchObject({ item: 3 });
});

test('a change of one source is seen at once; a source that is removed leaves the list', () => {
  const { make, list, engine, words, project } = openBoth();
  make(edits.takeSources(list, ['classes']));
  engine.hold('classes', [...classes, { id: '4', name: 'Felting', teacher: 'Oll' }], undefined, 1);
  make(edits.itemsChanged('classes', 1, 'one more'));
  expect(words().at(-1)).toBe('row Felting');
  make(edits.removeSource('classes'));
  expect(words()).toEqual(['row Weld', 'row Madder']);
  expect(project().lists.find(({ id }) => id === list)?.more).toBeUndefined();
});

test('a source that a file names twice is shown once', () => {
  const { list, project, engine } = openBoth();
  const lists = project().lists.map((own) =>
    own.id === list ? { ...own, more: ['classes', 'skeins', 'classes'] } : own,
  );
  expect(engine.update({ ...project(), lists }, { from: 0, to: 50 }, list).itemCount).toBe(5);
});
