import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { items as someItems } from '../../../tests/support/arbitrary';
import { atOnce } from '../base';
import { type Item, infer } from '../items';
import { draftImage, draftLabel } from '../templates';
import { type Edit, edits } from './edits';
import { looksLikeProject } from './file/looks-like';
import { readProject } from './file/read';
import { fileNameOf, writeProject } from './file/write';
import { makeEdit, redo, startHistory, undo } from './history';
import { draftTemplate, makeProject } from './make';
import { brokenReferences, problemsIn } from './problems';
import type { ItemType, Project } from './project';

const projectOf = (items: readonly Item[], file = 'stock.json'): Project =>
  makeProject(file, { format: 'json', at: '$[*]', items }, atOnce(infer(items, file)));

const written = (project: Project, items: readonly Item[]): string =>
  [...writeProject(project, new Map(project.sources.map((source) => [source.id, items])))].join('');

const read = async (text: string) => {
  const result = await readProject(text, 'x.yarncard.json');
  if (!result.ok) throw new Error(result.error.message);
  return result.value;
};

const skein: ItemType = { id: 'skein', name: 'skein', source: 'stock', value: null, fields: [] };

const shop: readonly Item[] = [
  { id: 'a', kind: 'skein', name: 'Lace', grams: 100 },
  { id: 'b', kind: 'tool', name: 'Spindle', material: 'ash' },
  { id: 'c', kind: 'skein', name: 'Sock', grams: 50 },
  { id: 'd', kind: 'tool', name: 'Reel', material: 'oak' },
];

describe('a project drafted from items', () => {
  test('has a type, a template and a choice for each kind of item, and can be shown at once', () => {
    const project = projectOf(shop);
    expect(project.types.map((type) => [type.id, type.value])).toEqual([
      ['skein', 'skein'],
      ['tool', 'tool'],
    ]);
    expect(project.lists[0]?.choices).toEqual([
      { type: 'skein', template: 'skein-plain' },
      { type: 'tool', template: 'tool-plain' },
    ]);
    expect(project.templates[0]?.row.children[0]).toMatchObject({ text: { expr: 'name' } });
    expect(brokenReferences(project)).toEqual([]);
  });

  test.each([
    ['skeins.json', 'skeins', 'skein'],
    ['berries.csv', 'berries', 'berry'],
    ['pasted', 'items', 'item'],
    ['/a/b/Fell shop.json', 'Fell shop', 'fell-shop'],
  ])('is named after %s', (file, name, type) => {
    const project = projectOf([{ a: 1 }], file);
    expect([project.name, project.types[0]?.id]).toEqual([name, type]);
  });
});

describe('the project file', () => {
  test('reads and writes byte for byte the same, whatever the items', () => {
    return fc.assert(
      fc.asyncProperty(someItems, async (items) => {
        const text = written(projectOf(items), items);
        const again = await read(text);
        expect(
          written(again.project, again.items.get(again.project.sources[0]?.id ?? '') ?? []),
        ).toBe(text);
        expect(looksLikeProject(text)).toBe(true);
      }),
    );
  });

  test('keeps keys that it does not know, where they stand', async () => {
    const text = written(projectOf(shop), shop)
      .replace('"name": "stock",', '"name": "stock",\n  "later": { "__proto__": [1] },')
      .replace('"part": "label",', '"part": "label",\n            "glow": 3,');
    const again = await read(text);
    const back = written(again.project, again.items.get('stock') ?? []);
    expect(JSON.parse(back)).toEqual(JSON.parse(text));
    expect(back).toContain('"glow": 3');
    expect(back.indexOf('later')).toBeLessThan(back.indexOf('sources'));
  });

  test('an edit changes only the lines that it concerns', () => {
    const project = projectOf(shop);
    const edit = edits.bind(
      { template: 'tool-plain', part: 'title', property: 'text' },
      { expr: 'material' },
    );
    const edited = edit.apply(project);
    const before = written(project, shop).split('\n');
    const after = written(edited.ok ? edited.value : project, shop).split('\n');
    expect(after.filter((line, index) => line !== before[index])).toEqual([
      '              "expr": "material"',
    ]);
  });

  test.each<[string, string, string]>([
    ['of a newer version', '{ "yarncard": 3, "name": "x" }', 'version-newer'],
    ['of a version before the first', '{ "yarncard": 0, "name": "x" }', 'not-a-project'],
    ['of half a version', '{ "yarncard": 1.5, "name": "x" }', 'not-a-project'],
    ['that is none', '{ "name": "x" }', 'not-a-project'],
    ['that is a list', '[1]', 'not-a-project'],
    ['cut short', '{ "yarncard": 1, "na', 'not-json'],
    ['with parts missing', '{ "yarncard": 1, "name": "x" }', 'project-misshapen'],
  ])('%s is refused in words', async (_, text, code) => {
    const result = await readProject(text, 'x.yarncard.json');
    expect(result.ok ? '' : result.error.code).toBe(code);
  });

  test('what is misshapen is named with its place', async () => {
    const text = written(projectOf(shop), shop).replace(
      '"direction": "across"',
      '"direction": "aslant"',
    );
    const result = await readProject(text, 'x.yarncard.json');
    expect(result.ok ? '' : result.error.place).toEqual({
      in: 'project',
      path: 'templates[0].row.direction',
    });
  });

  test('a label has runs, and nothing else in it', async () => {
    const run = { part: 'run', id: 'was', text: 'before', strike: true };
    const withRuns = (...runs: readonly object[]) =>
      JSON.stringify(projectOf(shop)).replace(
        '"part":"label",',
        `"part":"label","runs":${JSON.stringify(runs)},`,
      );
    expect((await readProject(withRuns(run), 'x')).ok).toBe(true);
    const nested = await readProject(withRuns({ ...run, runs: [run] }), 'x');
    expect(nested.ok && nested.value.project.templates[0]?.row).toMatchObject({
      children: [{ runs: [run] }],
    });
    for (const wrong of [
      { part: 'image', id: 'i', picture: 'x' },
      { ...run, strike: 'yes' },
    ]) {
      const result = await readProject(withRuns(wrong), 'x');
      expect(result.ok ? '' : result.error.place).toMatchObject({
        path: expect.stringContaining('templates[0].row.children[0].runs[0]'),
      });
    }
  });

  test('a style that nobody has is told of, and its text is drawn in the first', async () => {
    const text = written(projectOf(shop), shop).replace('"style": "title"', '"style": "titel"');
    const { project } = await read(text);
    const [template] = project.templates;
    expect(template && problemsIn(project, template)).toMatchObject([
      {
        ...{ code: 'look-unknown', severity: 'warning', hint: 'Did you mean title?' },
        place: { in: 'part', part: 'title', property: 'style' },
      },
    ]);
  });

  test('parts nested without end are refused', async () => {
    const deep = `${'{"part":"stack","id":"a","direction":"down","gap":0,"align":"start","width":"fit","children":['.repeat(60)}${']}'.repeat(60)}`;
    const project = JSON.parse(written(projectOf(shop), shop)) as { templates: { row: unknown }[] };
    for (const template of project.templates) template.row = JSON.parse(deep);
    expect((await readProject(JSON.stringify(project), 'x')).ok).toBe(false);
  });

  test('without its items it opens, and says so', async () => {
    const { findings } = await read(JSON.stringify(projectOf(shop)));
    expect(findings).toMatchObject([{ code: 'items-missing' }]);
  });

  test('broken references open, with a finding each', async () => {
    const project: Project = {
      ...projectOf(shop),
      types: projectOf(shop).types.slice(0, 1),
      lists: [
        {
          id: 'l',
          name: 'l',
          source: 'nowhere',
          choices: [
            { type: 'skein', template: 'gone' },
            { type: 'tool', template: 'skein-plain' },
          ],
          otherwise: null,
          arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
        },
      ],
    };
    expect(
      brokenReferences((await read(written(project, []))).project).map((finding) => finding.code),
    ).toEqual([
      'template-type-unknown',
      'list-source-unknown',
      'choice-template-unknown',
      'choice-type-differs',
      'template-unused',
    ]);
  });

  test('gets a name that any file system takes', () => {
    expect(fileNameOf({ ...projectOf(shop), name: 'a/b: "c"?' })).toBe('a b c.yarncard.json');
    expect(fileNameOf({ ...projectOf(shop), name: '///' })).toBe('project.yarncard.json');
  });
});

describe('edits', () => {
  const place = { template: 'skein-plain', part: 'title', property: 'text' } as const;
  const all: readonly Edit[] = [
    edits.rename('Fell shop'),
    edits.setKey('stock', null),
    edits.choose({ list: 'stock', at: 1 }, 'all looks', null),
    edits.choose({ list: 'stock', at: 2 }, 'all looks', null),
    edits.choose({ list: 'stock', at: 0 }, 'all looks', undefined),
    edits.addChoice('stock', { type: 'skein', when: 'grams > 60' }, 0),
    edits.ask({ list: 'stock', at: 0 }, { when: 'name === look' }),
    edits.moveChoice({ list: 'stock', at: 0 }, 1),
    edits.duplicateList('stock', { id: 'stock-2', name: 'Twice' }),
    edits.renameList('stock-2', 'Again'),
    edits.sortBy('stock', [{ by: 'name', descending: true }]),
    edits.removeList('stock-2'),
    edits.addLook('rich'),
    edits.choose({ list: 'stock', at: 0 }, { look: 'rich' }, 'skein-plain'),
    edits.renameLook('rich', 'Rich'),
    edits.removeLook('usual'),
    edits.removeChoice({ list: 'stock', at: 1 }),
    edits.arrangeAs('stock', { kind: 'grid', columns: 3, gap: 8, edge: 12 }),
    edits.bind(place, { expr: 'grams', else: 'light' }),
    edits.insert(
      'skein-plain',
      { beside: 'title', side: 'below' },
      draftLabel('second', { expr: 'kind' }, 'small'),
    ),
    edits.insert('skein-plain', { beside: 'title', side: 'before' }, draftImage('picture', 'x')),
    edits.set({ ...place, property: 'style' }, 'body'),
    edits.set({ ...place, property: 'style' }, undefined),
    edits.bind({ ...place, property: 'opacity' }, { expr: 'grams / 100' }),
    edits.remove({ template: 'skein-plain', parts: ['second'] }),
  ];

  test('undo takes back exactly what was done, redo does it again', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...all, 'undo' as const, 'redo' as const), { maxLength: 30 }),
        (steps) => {
          let history = startHistory(projectOf(shop));
          const states = [history.project];
          for (const step of steps) {
            if (step === 'undo') history = undo(history);
            else if (step === 'redo') history = redo(history);
            else {
              const made = makeEdit(history, step);
              if (made.ok) history = made.value;
            }
            states.length = history.done.length;
            states.push(history.project);
          }
          for (let back = states.length - 1; back >= 0; back -= 1) {
            expect(history.project).toEqual(states[back]);
            history = undo(history);
          }
        },
      ),
    );
  });

  test('are named for people', () => {
    const made = makeEdit(startHistory(projectOf(shop)), edits.bind(place, { expr: 'grams' }));
    expect(made.ok && made.value.done.at(-1)?.name).toBe('Bind to grams, title');
  });

  test('without effect leave no step; typing is one step', () => {
    let history = startHistory(projectOf(shop));
    for (const expr of ['name', 'g', 'gr', 'grams']) {
      const made = makeEdit(history, edits.bind(place, { expr }, 'typing 1'));
      if (made.ok) history = made.value;
    }
    expect(history.done.length).toBe(1);
    expect(undo(history).project).toEqual(projectOf(shop));
  });

  test.each<[string, Edit]>([
    ['a part that is not there', edits.bind({ ...place, part: 'gone' }, 'x')],
    ['a property that it has not', edits.bind({ ...place, property: 'picture' }, 'x')],
    ['the row itself', edits.remove({ template: 'skein-plain', parts: ['row'] })],
    ['no name', edits.rename('  ')],
    ['the only list of its items', edits.removeList('stock')],
    ['a list under an id that is there', edits.duplicateList('stock', { id: 'stock', name: 'x' })],
    ['a list that is not there', edits.choose({ list: 'gone', at: 0 }, 'all looks', null)],
    ['a template that is there', edits.addTemplate(draftTemplate(skein, [], []))],
  ])('say why they cannot be made: %s', (_, edit) => {
    const made = edit.apply(projectOf(shop));
    expect(made.ok ? '' : made.error).toMatch(/\w+ .*\.$/);
  });
});

test('a file that nests deeper than any project is refused, whatever else is wrong with it', async () => {
  const deep = `${'['.repeat(5_000)}${']'.repeat(5_000)}`;
  const read = await readProject(`{"yarncard":1,"name":${deep}}`, 'x.yarncard.json');
  expect(!read.ok && read.error.code).toBe('project-too-deep');
});
