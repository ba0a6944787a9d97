import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { isRecord, type Json, type JsonRecord } from '../../base';
import { type Edit, edits } from '../edits';
import { type ProjectFile, readProject } from '../file/read';
import type { Project } from '../project';
import { changeInWords, changesBetween } from './changes';
import { keyedBy } from './keyed-lists';
import { conflictInWords, mergeProjects } from './merge-projects';
import { isSame } from './same';
import { merged } from './three-way';

const words = (value: Json): string => JSON.stringify(value);

describe('three values', () => {
  const list = (...ids: readonly string[]): Json => ids.map((id) => ({ id, n: 1 }));
  const together = (base: Json, ours: Json, theirs: Json) => merged({ base, ours, theirs });

  test.each<[string, Json, Json, Json, Json]>([
    ['members of one record', { a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1, b: 2 }, { a: 2, b: 2 }],
    ['one added, one removed', { a: 1 }, { a: 1, b: 2 }, {}, { b: 2 }],
    [
      'additions stand after what they stood after',
      list('a', 'b'),
      list('a', 'x', 'b'),
      list('a', 'b', 'y'),
      list('a', 'x', 'b', 'y'),
    ],
    [
      'what one moved stays moved',
      list('a', 'b', 'c'),
      list('c', 'a', 'b'),
      list('a', 'b', 'c', 'd'),
      list('c', 'd', 'a', 'b'),
    ],
    ['the same change is one', { a: 1 }, { a: 2 }, { a: 2 }, { a: 2 }],
    [
      'a list without ids is one value',
      { a: [1, 2] },
      { a: [1, 2, 3] },
      { a: [1, 2] },
      { a: [1, 2, 3] },
    ],
    [
      '__proto__ is a name',
      JSON.parse('{"__proto__":1}'),
      JSON.parse('{"__proto__":2}'),
      JSON.parse('{"__proto__":1,"a":1}'),
      JSON.parse('{"__proto__":2,"a":1}'),
    ],
  ])('%s', (_, base, ours, theirs, wanted) => {
    const found = together(base, ours, theirs);
    expect(words(found.value ?? null)).toBe(words(wanted));
    expect(found.conflicts).toEqual([]);
  });

  test('what both changed otherwise stays as ours has it, and is listed', () => {
    expect(together({ a: 1 }, { a: 2 }, { a: 3 })).toEqual({
      value: { a: 2 },
      conflicts: [{ path: ['a'], ours: 2, theirs: 3 }],
    });
  });

  test('what one changed and the other removed stays', () => {
    const found = together(list('a'), [], [{ id: 'a', n: 2 }]);
    expect(found.value).toEqual([{ id: 'a', n: 2 }]);
    expect(found.conflicts).toMatchObject([{ path: ['a'], ours: undefined }]);
  });

  test('two new ones of one id are both kept', () => {
    const found = together(
      { formats: [] },
      { formats: [{ id: 'a', n: 1 }] },
      { formats: [{ id: 'a', n: 2 }] },
    );
    expect(found.value).toEqual({
      formats: [
        { id: 'a', n: 1 },
        { id: 'a-2', n: 2 },
      ],
    });
    expect(found.conflicts.map(conflictInWords)).toEqual([
      'formats › a: both sides made one; both are kept, theirs under another id; what names it uses ours.',
    ]);
  });
});

describe('what is otherwise', () => {
  test('is told as near to the leaves as it can be, elements by their ids', () => {
    const before = {
      name: 'a',
      templates: [{ id: 'x', row: { children: [{ id: 't', text: 'a' }] } }, { id: 'y' }],
    };
    const now = {
      name: 'a',
      templates: [{ id: 'z' }, { id: 'x', row: { children: [{ id: 't', text: 'b' }] } }],
    };
    expect(changesBetween(before, now).map(changeInWords)).toEqual([
      'templates › x › t › text: "a" → "b"',
      'templates › y: removed',
      'templates › z: added, {"id":"z"}',
    ]);
    expect(
      changesBetween({ a: [{ id: 'x' }, { id: 'y' }] }, { a: [{ id: 'y' }, { id: 'x' }] }).map(
        changeInWords,
      ),
    ).toEqual(['a: in another order, ["y","x"]']);
    expect(changesBetween(before, before)).toEqual([]);
  });
});

const demo: Promise<ProjectFile> = readProject(
  readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'),
  'demo',
).then((read) => {
  if (!read.ok) throw new Error(read.error.message);
  return read.value;
});

/** Edits of which no two concern the same thing. */
function apart({ templates, types, sources, lists }: Project): readonly Edit[] {
  return [
    edits.rename('Another name'),
    edits.setLocales(['en-GB', 'ja']),
    edits.checkWidths([300, 500]),
    edits.limitParts(40),
    edits.addFormat({ id: 'new-one', name: 'New one', as: 'bytes' }),
    edits.addFormat({ id: 'another', name: 'Another', as: 'percent' }),
    edits.addPictures([{ name: 'sheep', mediaType: 'image/png', content: 'x' }]),
    edits.addLook('Wide'),
    ...types.map(({ id }) => edits.renameType(id, `type ${id}`)),
    ...types.map(({ id }) => edits.addComputed(id, 'made up', '1 + 1')),
    ...sources.map(({ id }) => edits.renameSource(id, `source ${id}`)),
    ...lists.map(({ id }) => edits.renameList(id, `list ${id}`)),
    ...templates.map(({ id }) => edits.renameTemplate(id, `template ${id}`)),
    ...templates.map(({ id }) =>
      edits.set(
        { template: id, part: 'row', property: 'padding' },
        { top: 3, bottom: 3, start: 3, end: 3 },
      ),
    ),
  ];
}

const withEdits = (project: Project, all: readonly Edit[]): Project =>
  all.reduce((before, edit) => {
    const made = edit.apply(before);
    return made.ok ? made.value : before;
  }, project);

/** Elements that are told apart in the order of their keys: what two people add has no order of its own. */
function sorted(value: Json): Json {
  if (Array.isArray(value)) {
    const all = value.map(sorted);
    const isKeyed = all.every((each) => keyedBy(each) !== undefined);
    return isKeyed ? all.sort((a, b) => ((keyedBy(a) ?? '') < (keyedBy(b) ?? '') ? -1 : 1)) : all;
  }
  if (!isRecord(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, each]) => [name, sorted(each ?? null)]),
  );
}

const asJson = (project: Project): JsonRecord => JSON.parse(JSON.stringify(project));

const partIds = (part: unknown): readonly string[] =>
  Array.isArray(part)
    ? part.flatMap(partIds)
    : typeof part === 'object' && part !== null
      ? [
          ...('part' in part && 'id' in part ? [String(part.id)] : []),
          ...Object.values(part).flatMap(partIds),
        ]
      : [];

describe('two people’s projects', () => {
  test('edits that do not meet are all there, none is lost or doubled, whichever side is ours', async () => {
    const base = await demo;
    const all = apart(base.project);
    const side = fc.array(fc.constantFrom('ours', 'theirs', 'nobody'), {
      minLength: all.length,
      maxLength: all.length,
    });
    await fc.assert(
      fc.asyncProperty(side, async (who) => {
        const of = (name: string) => all.filter((_, at) => who[at] === name);
        const ours = { ...base, project: withEdits(base.project, of('ours')) };
        const theirs = { ...base, project: withEdits(base.project, of('theirs')) };
        const found = await mergeProjects({ base, ours, theirs }, 'x');
        const turned = await mergeProjects({ base, ours: theirs, theirs: ours }, 'x');
        if (!found.ok || !turned.ok) throw new Error('no merge');
        expect(found.value.conflicts).toEqual([]);
        const both = withEdits(ours.project, of('theirs'));
        expect(isSame(sorted(asJson(found.value.project)), sorted(asJson(both)))).toBe(true);
        expect(words(asJson(found.value.project))).toBe(words(asJson(turned.value.project)));
      }),
      { numRuns: 40 },
    );
  });

  test('whatever meets, the result is a project, and what theirs says otherwise is in it or told', async () => {
    const base = await demo;
    const all = apart(base.project);
    const name = fc.constantFrom('a', 'b', 'c');
    const meeting = fc.oneof(
      fc.constantFrom(...all),
      name.map(edits.rename),
      fc
        .tuple(fc.constantFrom(...base.project.types), name)
        .map(([{ id }, to]) => edits.renameType(id, to)),
      fc
        .constantFrom(...base.project.templates)
        .map(({ id }) => edits.duplicateTemplate(id, { id: `${id}-again`, name: 'Again' })),
      fc.constantFrom('en', 'fr').map((locale) => edits.setLocales([locale])),
    );
    const some = fc.array(meeting, { maxLength: 6 });
    await fc.assert(
      fc.asyncProperty(some, some, async (one, other) => {
        const ours = { ...base, project: withEdits(base.project, one) };
        const theirs = { ...base, project: withEdits(base.project, other) };
        const found = await mergeProjects({ base, ours, theirs }, 'x');
        if (!found.ok) throw new Error(found.error.message);
        const { project, conflicts } = found.value;
        const told = new Set(conflicts.map(({ path }) => path[0]));
        for (const member of ['name', 'locales'] as const) {
          const isTheirs = !isSame(asJson(base.project)[member], asJson(theirs.project)[member]);
          const stands = isSame(asJson(project)[member], asJson(theirs.project)[member]);
          expect(!isTheirs || stands || told.has(member), member).toBe(true);
        }
        expect(project.templates.length).toBeGreaterThanOrEqual(
          Math.max(ours.project.templates.length, theirs.project.templates.length),
        );
        for (const conflict of conflicts) expect(conflictInWords(conflict)).toMatch(/stays|kept/);
      }),
      { numRuns: 40 },
    );
  });

  test('items are put together by their keys', async () => {
    const base = await demo;
    const [source] = base.project.sources;
    const id = source?.id ?? '';
    const items = base.items.get(id) ?? [];
    const of = (change: typeof items) => ({
      ...base,
      items: new Map([...base.items, [id, change]]),
    });
    const [first, second] = items;
    const ours = of([{ ...first, name: 'Ours' }, ...items.slice(1)]);
    const theirs = of([items[0] ?? {}, { ...second, name: 'Theirs' }, ...items.slice(3)]);
    const found = await mergeProjects({ base, ours, theirs }, 'x');
    if (!found.ok) throw new Error('no merge');
    const all = found.value.items.get(id) ?? [];
    expect([all.length, all[0]?.['name'], all[1]?.['name']]).toEqual([
      items.length - 1,
      'Ours',
      'Theirs',
    ]);
    expect(found.value.conflicts).toEqual([]);
  });

  test('data is never made up: two new items of one key stay as ours has them, and it is told', async () => {
    const base = await demo;
    const id = base.project.sources[0]?.id ?? '';
    const items = base.items.get(id) ?? [];
    const of = (...more: typeof items) => ({
      ...base,
      items: new Map([...base.items, [id, [...items, ...more]]]),
    });
    const ours = of({ id: 'new', name: 'Ours', visits: [{ id: 'v', n: 1 }] });
    const theirs = of({ id: 'new', name: 'Theirs', visits: [{ id: 'v', n: 2 }] });
    const found = await mergeProjects({ base, ours, theirs }, 'x');
    if (!found.ok) throw new Error('no merge');
    expect(found.value.items.get(id)).toEqual(ours.items.get(id));
    expect(found.value.conflicts.map(({ path }) => path)).toEqual([['items', id, 'new']]);
    expect(found.value.conflicts.map(conflictInWords)[0]).toMatch(/ stays\.$/);
  });

  test('lists within items are values: nothing in them is renamed or put together', async () => {
    const base = await demo;
    const id = base.project.sources[0]?.id ?? '';
    const [first = {}, ...others] = base.items.get(id) ?? [];
    const of = (visits: Json) => ({
      ...base,
      items: new Map([...base.items, [id, [{ ...first, visits }, ...others]]]),
    });
    const found = await mergeProjects(
      { base, ours: of([{ id: 'v', n: 1 }]), theirs: of([{ id: 'v', n: 2 }]) },
      'x',
    );
    if (!found.ok) throw new Error('no merge');
    expect(found.value.items.get(id)?.[0]?.['visits']).toEqual([{ id: 'v', n: 1 }]);
    expect(found.value.conflicts).toHaveLength(1);
  });

  test('a part that both moved, each elsewhere, is not there twice: the template stays as ours has it', async () => {
    const base = await demo;
    const template = base.project.templates.find(({ row }) =>
      JSON.stringify(row).includes('"price"'),
    );
    if (template === undefined) throw new Error('the demo has no price');
    const moved = (beside: string) => {
      const edit = edits.move(
        { template: template.id, parts: ['price'] },
        { beside, side: 'below' },
      );
      return { ...base, project: withEdits(base.project, [edit]) };
    };
    const [one = '', other = ''] = partIds(template.row).filter(
      (id) => id !== 'row' && id !== 'price',
    );
    const found = await mergeProjects({ base, ours: moved(one), theirs: moved(other) }, 'x');
    if (!found.ok) throw new Error('no merge');
    for (const { row } of found.value.project.templates)
      expect(new Set(partIds(row)).size).toBe(partIds(row).length);
  });

  test('two new sources of one id: ours stays with its items, theirs is told', async () => {
    const base = await demo;
    const [source] = base.project.sources;
    if (source === undefined) throw new Error('no source');
    const of = (name: string) => ({
      ...base,
      project: {
        ...base.project,
        sources: [...base.project.sources, { ...source, id: 'more', name }],
      },
      items: new Map([...base.items, ['more', [{ id: name }]]]),
    });
    const found = await mergeProjects({ base, ours: of('one'), theirs: of('two') }, 'x');
    if (!found.ok) throw new Error('no merge');
    expect(found.value.project.sources.map(({ id }) => id)).toEqual([
      ...base.project.sources.map(({ id }) => id),
      'more',
    ]);
    expect(found.value.items.get('more')).toEqual([{ id: 'one' }]);
    expect(found.value.conflicts.map(conflictInWords).join()).toContain('sources › more');
  });
});
