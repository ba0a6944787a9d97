import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fieldName } from '../../../tests/support/arbitrary';
import { edited } from '../../../tests/support/edited';
import { atOnce } from '../base';
import { type Item, infer, misfits, reshaper } from '../items';
import { draftLabel } from '../templates';
import { type Field, fieldAtPath, fieldNamed, pathText } from '../values';
import { type Edit, edits } from './edits';
import { makeEdit, startHistory, undo } from './history';
import { draftFromSchema, makeProject } from './make';
import { compileFor } from './problems';
import { type Project, rawDiscriminator, typesOf, withId } from './project';
import { noIds } from './used-ids';
import { usesOfField } from './uses';

const shop: readonly Item[] = [
  {
    id: 'a',
    kind: 'skein',
    name: 'Lace',
    grams: 100,
    maker: { name: 'Hollow Fell', town: 'Ousby' },
  },
  {
    id: 'b',
    kind: 'tool',
    name: 'Spindle',
    material: 'ash',
    maker: { name: 'Pell', town: 'Ings' },
  },
  {
    id: 'c',
    kind: 'skein',
    name: 'Sock',
    grams: 50,
    maker: { name: 'Hollow Fell', town: 'Ousby' },
  },
  { id: 'd', kind: 'tool', name: 'Reel', material: 'oak' },
];

const projectOf = (items: readonly Item[]): Project =>
  makeProject('stock.json', { format: 'json', at: '$[*]', items }, atOnce(infer(items, 'stock')));

const found = (items: readonly Item[], by?: string | null) =>
  atOnce(infer(items, 'stock', undefined, by)).types;

const whyNot = (project: Project, edit: Edit): string => {
  const made = edit.apply(project);
  return made.ok ? '' : made.error;
};

/** The words of every row, whatever its fields are called. */
function words(project: Project, items: readonly Item[]) {
  const source = project.sources[0];
  if (source === undefined) return [];
  const discriminator = rawDiscriminator(project, source);
  const types = typesOf(project, source.id);
  return items.map((raw) => {
    const value = discriminator === null ? null : (raw[discriminator] ?? null);
    const type = types.find((each) => each.value === value);
    const item = (type && reshaper(type.fields)?.(raw)) ?? raw;
    return project.templates
      .filter((template) => template.type === type?.id)
      .map((template) => compileFor(project, template).values(item));
  });
}

/** The project with labels that read each field of each type, in every way that there is. */
function withManyUses(project: Project): Project {
  const insert = (template: string, expr: string, at: number): Edit =>
    edits.insert(
      template,
      { beside: 'row', side: 'below' },
      draftLabel(`l${at}`, { expr }, 'body'),
    );
  return project.templates.reduce((before, template) => {
    const type = withId(before.types, template.type);
    const paths = (type?.fields ?? []).flatMap((field) => [
      [field.name],
      ...(field.type === 'record' ? field.fields.map((inside) => [field.name, inside.name]) : []),
    ]);
    const all = paths.flatMap((path) => {
      const text = pathText(path);
      return [text, `\`a \${${text}} b\``, `item[${JSON.stringify(path[0])}] ?? ${text} ?? "–"`];
    });
    return edited(before, ...all.map((expr, at) => insert(template.id, expr, at)));
  }, project);
}

describe('a renamed field', () => {
  test('used in twenty places is one edit, one undo, and all follow', () => {
    const project = withManyUses(projectOf(shop));
    const skein = withId(project.types, 'skein');
    const before = words(project, shop);
    const made = makeEdit(
      startHistory(project),
      edits.renameField({ type: 'skein', path: ['name'] }, 'full title'),
    );
    if (!made.ok || skein === undefined) throw new Error('it can be renamed');
    expect(made.value.done.length).toBe(1);
    const { project: renamed } = made.value;
    expect(words(renamed, shop)).toEqual(before);
    for (const type of renamed.types) expect(usesOfField(renamed, type, ['name'])).toEqual([]);
    expect(
      usesOfField(renamed, withId(renamed.types, 'skein') ?? skein, ['full title']).length,
    ).toBe(usesOfField(project, skein, ['name']).length);
    expect(undo(made.value).project).toEqual(project);
  });

  test('keeps the same words in every row, whatever it is called and however often', () => {
    const project = withManyUses(projectOf(shop));
    const before = words(project, shop);
    const renames = fc.array(fc.tuple(fc.nat(1_000), fieldName), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(renames, (all) => {
        let now = project;
        for (const [pick, name] of all) {
          const type = now.types[pick % now.types.length];
          const paths = (type?.fields ?? []).flatMap((field) => [
            [field.name],
            ...(field.type === 'record' ? field.fields.map((each) => [field.name, each.name]) : []),
          ]);
          const path = paths[pick % paths.length] ?? [];
          const made = edits.renameField({ type: type?.id ?? '', path }, name).apply(now);
          if (made.ok) now = made.value;
        }
        expect(words(now, shop)).toEqual(before);
      }),
    );
  });

  test('takes the key and what tells types apart with it, and comes back to its own name', () => {
    const project = projectOf(shop);
    const renamed = edited(
      project,
      edits.renameField({ type: 'skein', path: ['kind'] }, 'sort'),
      edits.renameField({ type: 'tool', path: ['id'] }, 'code'),
    );
    expect(renamed.sources[0]).toMatchObject({ key: 'code', discriminator: 'sort' });
    const back = edited(
      renamed,
      edits.renameField({ type: 'tool', path: ['sort'] }, 'kind'),
      edits.renameField({ type: 'skein', path: ['code'] }, 'id'),
    );
    expect(back).toEqual(project);
  });

  test('cannot take a name that is there, or none', () => {
    const project = projectOf(shop);
    const rename = (name: string) => edits.renameField({ type: 'skein', path: ['name'] }, name);
    expect(whyNot(project, rename('grams'))).toBe('skein has a field grams already.');
    expect(whyNot(project, rename('  '))).toBe('A field needs a name.');
  });
});

test('a field that is looked up from another source follows a rename, and is a use', () => {
  const makers = { id: 'makers', name: 'makers', file: 'makers.json' };
  const other = projectOf([
    { id: 'hf', town: 'Ousby' },
    { id: 'p', town: 'Ings' },
  ]);
  const [source, type, template, list] = [
    other.sources[0] ?? never(),
    other.types[0] ?? never(),
    other.templates[0] ?? never(),
    other.lists[0] ?? never(),
  ];
  const both = edited(
    projectOf(shop),
    edits.addSource({
      source: { ...source, id: makers.id, name: makers.name },
      types: [{ ...type, id: 'maker', source: makers.id }],
      templates: [{ ...template, id: 'maker-plain', type: 'maker' }],
      list: { ...list, id: makers.id, source: makers.id, choices: [] },
    }),
    edits.bind(
      { template: 'skein-plain', part: 'title', property: 'text' },
      { expr: 'lookup("makers", id).town' },
    ),
  );
  const maker = withId(both.types, 'maker') ?? never();
  expect(usesOfField(both, maker, ['town'])).toMatchObject([
    { kind: 'binding', template: 'skein-plain' },
    { kind: 'binding', template: 'maker-plain' },
  ]);
  const renamed = edited(both, edits.renameField({ type: 'maker', path: ['town'] }, 'home'));
  expect(renamed.templates.map((each) => JSON.stringify(each.row))).toEqual([
    expect.stringContaining('lookup(\\"makers\\", id).home'),
    expect.anything(),
    expect.stringContaining('"expr":"home"'),
  ]);
});

describe('a field taken out', () => {
  test('stays out when the items come again, until it is added by hand', () => {
    const project = edited(projectOf(shop), edits.removeField({ type: 'skein', path: ['grams'] }));
    const again = edited(
      project,
      edits.importAgain('stock', {
        revision: 1,
        from: { file: 'b.json', format: 'json', at: '$[*]' },
        found: found(shop),
      }),
    );
    const skein = (of: Project) => withId(of.types, 'skein')?.fields ?? [];
    expect(fieldNamed(skein(again), 'grams')).toBeUndefined();
    expect(
      fieldNamed(skein(edited(again, edits.addField('skein', 'grams', 'integer'))), 'grams'),
    ).toEqual({ name: 'grams', required: false, type: 'integer' });
  });

  test('is not the key, nor what tells the types apart', () => {
    const project = projectOf(shop);
    const remove = (name: string) => edits.removeField({ type: 'skein', path: [name] });
    expect(whyNot(project, remove('id'))).toMatch(/is the key/);
    expect(whyNot(project, remove('kind'))).toMatch(/tells the types apart/);
    expect(whyNot(project, remove('nothing'))).toMatch(/has no field nothing/);
  });

  test('leaves the uses behind as findings', () => {
    const project = withManyUses(projectOf(shop));
    const template = edited(project, edits.removeField({ type: 'skein', path: ['grams'] }))
      .templates[0];
    if (template === undefined) throw new Error('there is a template');
    const codes = compileFor(
      edited(project, edits.removeField({ type: 'skein', path: ['grams'] })),
      template,
    ).findings.map((finding) => finding.code);
    expect(codes.length).toBeGreaterThan(2);
    expect(new Set(codes)).toContain('name-unknown');
  });
});

describe('importing again', () => {
  const from = { file: 'later.json', format: 'json', at: '$[*]' } as const;
  const again = (project: Project, items: readonly Item[]) =>
    edited(
      project,
      edits.importAgain('stock', {
        revision: 2,
        from,
        found: found(items, rawDiscriminator(project, project.sources[0] ?? never())),
      }),
    );

  test('keeps what was decided: names, types, decodings', () => {
    const dated = shop.map((item) => ({ ...item, made: '24.03.2026' }));
    const project = edited(
      projectOf(dated),
      edits.renameField({ type: 'skein', path: ['grams'] }, 'weight'),
      edits.decodeField({ type: 'skein', path: ['made'] }, { pattern: 'dd.MM.yyyy' }),
      edits.retypeField({ type: 'skein', path: ['name'] }, 'link'),
    );
    const fields = (of: Project) => withId(of.types, 'skein')?.fields;
    expect(fields(again(project, dated))).toEqual(fields(project));
  });

  test('brings new fields and types, and says what may now be missing', () => {
    const project = again(projectOf(shop), [
      { id: 'a', kind: 'skein', name: 'Lace', dyed: true },
      { id: 'x', kind: 'class', name: 'Spinning', seats: 6 },
      { id: 'y', kind: 'class', name: 'Dyeing', seats: 4 },
      { id: 'b', kind: 'tool', name: 'Spindle', material: 'ash' },
    ]);
    const skein = withId(project.types, 'skein')?.fields ?? [];
    expect(fieldNamed(skein, 'grams')).toMatchObject({ required: false });
    expect(fieldNamed(skein, 'dyed')).toMatchObject({ type: 'boolean' });
    expect(withId(project.types, 'class')?.value).toBe('class');
    expect(project.lists[0]?.choices.map((choice) => choice.type)).toContain('class');
    expect(project.sources[0]).toMatchObject({ revision: 2, from });
  });

  test('widens a type that the values no longer fit, inside records too; text holds all', () => {
    const project = again(
      projectOf(shop.map((item) => ({ ...item, maker: { rank: 1 } }))),
      shop.map((item) => ({ ...item, name: 7, grams: '100 g', maker: { rank: 'first' } })),
    );
    const fields = withId(project.types, 'skein')?.fields ?? [];
    expect(
      [['name'], ['grams'], ['maker', 'rank']].map((path) => fieldAtPath(fields, path)?.type),
    ).toEqual(['text', 'text', 'text']);
  });
});

describe('a type that one bad value does not fit', () => {
  const from = { file: 'later.json', format: 'json', at: '$[*]' } as const;
  const bad = shop.map((item, at) => (at === 0 ? { ...item, grams: 'n/a' } : item));
  const gramsAfter = (project: Project, items: readonly Item[] = bad) => {
    const [source] = project.sources;
    const by = source === undefined ? null : rawDiscriminator(project, source);
    const again = edits.importAgain('stock', { revision: 2, from, found: found(items, by) });
    const skein = withId(edited(project, again).types, 'skein');
    return fieldNamed(skein?.fields ?? [], 'grams')?.type;
  };
  const title = { template: 'skein-plain', part: 'title', property: 'text' } as const;
  const money = { id: 'money', name: 'Money', as: 'money', currency: 'EUR' } as const;

  test.each<[string, readonly Edit[]]>([
    ['a person set it', [edits.retypeField({ type: 'skein', path: ['grams'] }, 'number')]],
    ['an expression reads it', [edits.bind(title, { expr: 'grams * 2' })]],
    ['a computed property reads it', [edits.addComputed('skein', 'heavy', 'grams > 90')]],
    [
      'it is written in a format',
      [edits.addFormat(money), edits.bind(title, { expr: 'grams', format: 'money' })],
    ],
  ])('stays where %s', (_, before) => {
    const project = edited(projectOf(shop), ...before);
    const type = fieldNamed(withId(project.types, 'skein')?.fields ?? [], 'grams')?.type;
    expect(type).not.toBe('text');
    expect(gramsAfter(project)).toBe(type);
  });

  test('stays where a schema gave it', () => {
    const fields = [{ name: 'n', type: 'integer', required: true }] as const;
    const schema = { types: [{ name: 'lamp', value: null, fields }], discriminator: null };
    const { source, types } = draftFromSchema(noIds, 'lamps.schema.json', schema);
    const project = { ...projectOf(shop), sources: [source], types, lists: [], templates: [] };
    const now = atOnce(infer([{ n: 'n/a' }], 'lamps', undefined, null)).types;
    const again = edits.importAgain(source.id, { revision: 2, from, found: now });
    expect(edited(project, again).types[0]?.fields[0]?.type).toBe('integer');
  });

  test('becomes text where nobody relies on it, so that rows show every value', () => {
    expect(gramsAfter(projectOf(shop))).toBe('text');
    expect(gramsAfter(edited(projectOf(shop), edits.bind(title, { expr: 'grams' })))).toBe('text');
  });

  test('inside records stays, too, and the values that do not fit are findings', () => {
    const deep = shop.map((item) => ({ ...item, maker: { since: 1990 } }));
    const project = edited(
      projectOf(deep),
      edits.bind(title, { expr: '`since ${maker.since + 1}`' }),
    );
    const worse = deep.map((item) => ({ ...item, maker: { since: 'long ago' } }));
    const [source] = project.sources;
    const by = source === undefined ? null : rawDiscriminator(project, source);
    const again = edits.importAgain('stock', { revision: 2, from, found: found(worse, by) });
    const types = typesOf(edited(project, again), 'stock');
    const fields = types.find((type) => type.value === 'skein')?.fields ?? [];
    expect(fieldAtPath(fields, ['maker', 'since'])?.type).toBe('integer');
    const misfit = atOnce(
      misfits({
        source: 'stock',
        raw: worse,
        items: worse,
        typeIndexes: new Uint16Array(worse.length),
        types: types.filter((type) => type.value === 'skein'),
        discriminator: null,
      }),
    );
    expect(misfit.map(({ code, place }) => [code, place])).toContainEqual([
      'field-of-other-type',
      { in: 'items', source: 'stock', field: 'maker.since', item: 0 },
    ]);
  });
});

describe('types of one source', () => {
  // Every item has the same fields, so that no field seems to tell types apart.
  const sized: readonly Item[] = ['S', 'M', 'S', 'M'].map((size, at) => ({ id: at, size }));

  test('split by a field keep templates and what was decided, and merge to one again', () => {
    const one = edited(
      projectOf(shop),
      edits.mergeTypes('stock'),
      edits.renameField({ type: 'skein', path: ['name'] }, 'title'),
    );
    expect(one.types.map((type) => [type.id, type.value])).toEqual([['skein', null]]);
    const two = edited(one, edits.splitTypes('stock', 'kind', found(shop, 'kind')));
    expect(two.types.map((type) => type.value)).toEqual(['skein', 'tool']);
    for (const type of two.types)
      expect(fieldNamed(type.fields, 'title')).toMatchObject({ from: 'name' });
    expect(two.lists[0]?.choices.every((choice) => choice.template !== null)).toBe(true);
    const merged = edited(two, edits.mergeTypes('stock'));
    expect(merged.types.length).toBe(1);
    expect(merged.sources[0]?.discriminator).toBeNull();
  });

  test('cannot be split twice, nor merged where there is one', () => {
    const one = projectOf(sized);
    expect(whyNot(one, edits.mergeTypes('stock'))).toMatch(/one type only/);
    const two = edited(one, edits.splitTypes('stock', 'size', found(sized, 'size')));
    expect(whyNot(two, edits.splitTypes('stock', 'size', found(sized, 'size')))).toMatch(
      /told apart already/,
    );
    expect(whyNot(one, edits.splitTypes('stock', 'id', []))).toMatch(/does not tell/);
  });
});

describe('sources of a project', () => {
  test('are named, added and removed with all that shows them', () => {
    const project = projectOf(shop);
    const other = projectOf([{ id: 'x', topic: 'Dyeing' }]);
    const [source, list] = [other.sources[0], other.lists[0]];
    if (source === undefined || list === undefined) throw new Error('a source was drafted');
    const draft = {
      source: { ...source, id: 'classes', name: 'classes' },
      types: other.types.map((type) => ({ ...type, id: 'class', source: 'classes' })),
      templates: other.templates.map((each) => ({ ...each, id: 'class-plain', type: 'class' })),
      list: { ...list, id: 'classes', source: 'classes' },
    };
    const both = edited(project, edits.addSource(draft), edits.renameSource('classes', 'Lessons'));
    expect(both.lists.map((each) => each.name)).toEqual(['stock', 'Lessons']);
    expect(edited(both, edits.removeSource('classes'))).toEqual(project);
    expect(whyNot(project, edits.removeSource('stock'))).toMatch(/needs a source/);
  });

  test('have sets beside their own items', () => {
    const project = edited(projectOf(shop), edits.addSet('stock', 'nasty', 'Nasty', 1));
    expect(project.sources[0]?.sets).toEqual([{ id: 'nasty', name: 'Nasty' }]);
    expect(edited(project, edits.removeSet('stock', 'nasty')).sources[0]?.sets).toBeUndefined();
  });
});

test('is read alike in every type of the source, and required in one', () => {
  const project = edited(
    projectOf(shop.map((item) => ({ ...item, made: '24.03.2026' }))),
    edits.decodeField({ type: 'skein', path: ['made'] }, { pattern: 'dd.MM.yyyy' }),
    edits.requireField({ type: 'tool', path: ['made'] }, false),
  );
  expect(project.types.map((type) => fieldNamed(type.fields, 'made'))).toMatchObject([
    { type: 'date', required: true },
    { type: 'date', required: false },
  ]);
});

test('a field that is retyped or required says so in the step’s name', () => {
  const place = { type: 'skein', path: ['name'] };
  const names: readonly Edit[] = [
    edits.retypeField(place, 'colour'),
    edits.requireField(place, false),
    edits.decodeField(place, { epoch: 'seconds' }),
  ];
  expect(names.map((edit) => edit.name)).toEqual([
    'name is colour',
    'name may be missing',
    'Read name as a value',
  ]);
  const project = edited(projectOf(shop), ...names);
  const field: Field | undefined = fieldNamed(withId(project.types, 'skein')?.fields ?? [], 'name');
  expect(field).toEqual({
    name: 'name',
    required: false,
    type: 'datetime',
    decode: { epoch: 'seconds' },
  });
});

function never(): never {
  throw new Error('the project has a source');
}
