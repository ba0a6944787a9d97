import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { edited } from '../../../../tests/support/edited';
import { atOnce } from '../../base';
import { type Item, infer } from '../../items';
import type { LayoutNode } from '../../layout';
import { RowBoxes, rowPlanOf } from '../../lists';
import {
  draftLabel,
  draftStack,
  isStanding,
  kinds,
  type LabelPart,
  partsOf,
  partWithId,
  replacePart,
  type StackPart,
  withProperty,
} from '../../templates';
import { fieldNamed } from '../../values';
import { type Edit, edits, freePartId } from '../edits';
import { wholeValuesOf } from '../edits/templates/whole-inputs';
import { makeProject } from '../make';
import { compileFor, problemsIn } from '../problems';
import { type Project, withId } from '../project';
import { shownTemplate } from './rows';
import { sharedUses } from './shared-parts';

const goods: readonly Item[] = [
  { id: 'a', name: 'Fell Lace', price: 14.5, was: 18, tags: ['soft', 'fine'], open: true },
  { id: 'b', name: 'Heron Sock', price: 9, tags: [], open: false },
  { id: 'c', name: 'Tarn Aran', price: 11.25, tags: ['warm'], note: 'last ones' },
];

const price = draftLabel('price', { expr: 'price', format: 'money' }, 'body');
const was = { ...draftLabel('was', { expr: '`was ${was}`', else: null }, 'body'), lines: 2 };
const tag = kinds.badge.draft('tag', { expr: 'each' }, 'beside');
const row: StackPart = draftStack('row', 'across', [
  {
    ...draftLabel('name', { expr: 'name' }, 'body'),
    runs: [kinds.run.draft('note', { expr: '` ${note}`', else: '' }, 'beside')],
  },
  draftStack('prices', 'down', [
    price,
    { ...was, colour: { expr: 'price < 10 ? "madder" : "ink"' } },
  ]),
  {
    ...draftStack('tags', 'across', [tag]),
    over: { expr: 'tags' },
    max: 2,
    more: { expr: '`+${rest}`' },
  },
  {
    ...kinds.switch.draft('open', { expr: 'open' }, 'beside'),
    name: 'In stock',
    leaves: { expr: 'price > 14' },
  },
]);

const made = makeProject(
  'goods.json',
  { format: 'json', at: '$[*]', items: goods },
  atOnce(infer(goods, 'goods')),
);
const project: Project = {
  ...made,
  templates: made.templates.map((each) => ({ ...each, id: 'plain', row })),
  formats: [{ id: 'money', name: 'money', as: 'money', currency: 'EUR' }],
};

const shown = (of: Project) => shownTemplate(of, 'plain')?.row ?? row;
const partIds = (of: Project): readonly string[] => [...partsOf(shown(of))].map(({ id }) => id);

/** What is drawn of all items, but for what only feeds other parts. */
function drawn(of: Project) {
  const template = withId(of.templates, 'plain');
  if (template === undefined) return [];
  const compiled = compileFor(of, template);
  expect(compiled.findings).toEqual([]);
  return goods.map((item) => {
    const values = compiled.values(item);
    return compiled.slots
      .map(({ property, declared }, at) => [property, declared.kind, values[at]])
      .filter(([, kind]) => kind !== 'input')
      .map(([property, , value]) => `${property} ${value}`)
      .sort();
  });
}

/** Where every part stands, in a width; each letter is 8 px wide. */
function boxes(of: Project, widthPx: number) {
  const template = withId(of.templates, 'plain');
  if (template === undefined) return [];
  const compiled = compileFor(of, template);
  return goods.map((item) => {
    const solved = new RowBoxes(rowPlanOf(compiled.template, compiled.tokens), {
      ...{ ratio: 1, textSize: 1 },
    });
    solved.fill(compiled.values(item));
    solved.measure((runs) => {
      const units = runs.reduce((sum, { words }) => sum + words.length, 0) * 8 * 64;
      const lineCount = (width: number) => Math.ceil(units / Math.max(64, width));
      return { isEmpty: units === 0, width: units, lineCount };
    });
    solved.solve(widthPx);
    return [solved.heightPx, ...[...standing(solved.row)].sort()];
  });
}

/** The boxes of what shows something: those of stacks around it may be more. */
function* standing(node: LayoutNode, x = 0, y = 0): Generator<string> {
  const [left, top] = [x + node.box.x, y + node.box.y];
  if (node.kind === 'stack') for (const child of node.children) yield* standing(child, left, top);
  else yield [node.kind, left, top, node.box.width, node.box.height].join(' ');
}

const whyNot = (of: Project, edit: Edit): string => {
  const after = edit.apply(of);
  return after.ok ? '' : after.error;
};

const share = (part: string, id: string, whole?: ReturnType<typeof wholeIn>) =>
  edits.share({ template: 'plain', part }, { id, name: `The ${part}` }, whole);

const wholeIn = (of: Project, id: string) => {
  const part = partWithId(shown(of), id);
  return part !== undefined && isStanding(part) ? wholeValuesOf(part) : [];
};

describe('a part is kept once', () => {
  test('what a value is made of may be one input, fed where the part is used', () => {
    const words = { expr: '`${name}: ${price * 2}`', else: 'nothing' };
    const label: LabelPart = { part: 'label', id: 'name-and-price', text: words };
    const added = edited(project, edits.insert('plain', { within: 'row', at: 0 }, label));
    const after = edited(added, share('name-and-price', 'tag', wholeIn(added, 'name-and-price')));
    expect(after.sharedParts?.[0]).toMatchObject({
      inputs: [{ type: 'text', name: 'name_and_price' }],
      row: { children: [{ text: { expr: 'name_and_price', else: 'nothing' } }] },
    });
    const [use] = withId(after.templates, 'plain')?.row.children ?? [];
    expect(use).toMatchObject({ inputs: { name_and_price: { expr: words.expr } } });
    expect(drawn(after)).toEqual(drawn(added));
  });

  test('where it stood nothing changes, however often something is shared', () => {
    const before = drawn(project);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(), fc.boolean()), { maxLength: 4 }), (picks) => {
        let now = project;
        for (const [at, [pick, isWhole]] of picks.entries()) {
          const ids = partIds(now);
          const part = ids[pick % ids.length] ?? 'row';
          const after = share(part, `kept-${at}`, isWhole ? wholeIn(now, part) : []).apply(now);
          if (after.ok) now = after.value;
        }
        expect(drawn(now)).toEqual(before);
      }),
    );
  });

  test('whatever the part says of its size and place, each box stays where it was', () => {
    const sizes = [undefined, { share: 1 }, { fixed: 90 }, { expr: 'price * 6' }];
    const aligned = [undefined, 'start', 'centre', 'end', 'stretch'] as const;
    const limits = fc.record(
      { minWidth: fc.constant(70), maxWidth: fc.constant(80), minHeight: fc.constant(50) },
      { requiredKeys: [] },
    );
    const said = fc.record({
      width: fc.constantFrom(...sizes),
      height: fc.constantFrom(undefined, { fixed: 44 }, { share: 1 }),
      alignSelf: fc.constantFrom(...aligned),
      limits,
    });
    const part = fc.constantFrom('name', 'prices', 'price', 'was', 'tags', 'tag', 'open');
    fc.assert(
      fc.property(part, said, fc.constantFrom(200, 360), (id, { limits: own, ...more }, width) => {
        const set = [...Object.entries(more), ...Object.entries(own)].filter(
          ([, value]) => value !== undefined,
        );
        const before = {
          ...project,
          templates: project.templates.map((each) => ({
            ...each,
            row: replacePart(each.row, id, (old) =>
              set.reduce((made, [property, value]) => withProperty(made, property, value), old),
            ),
          })),
        };
        expect(boxes(edited(before, share(id, 'kept')), width)).toEqual(boxes(before, width));
      }),
    );
  });

  test('its inputs are what it reads, as the item has it', () => {
    const kept = edited(project, share('prices', 'prices')).sharedParts?.[0];
    expect(kept?.inputs.map(({ name, type, required }) => [name, type, required])).toEqual([
      ['price', 'number', true],
      ['was', 'integer', false],
    ]);
  });

  test('the row and runs are not kept', () => {
    expect(whyNot(project, share('row', 'kept'))).toContain('row itself');
    expect(whyNot(project, share('note', 'kept'))).toContain('runs of words');
  });

  test('a change of it reaches all uses', () => {
    const once = edited(project, share('price', 'tagged'));
    const again = edits.insert(
      'plain',
      { beside: 'name', side: 'after' },
      {
        ...{ part: 'shared', id: 'second', of: 'tagged', inputs: { price: { expr: 'was ?? 1' } } },
      },
    );
    const both = edited(once, again);
    const place = { template: 'plain', part: 'second/price', property: 'text' };
    const changed = edited(both, edits.bind(place, { expr: '`costs ${price}`' }));
    expect(drawn(changed)[0]).toEqual(expect.arrayContaining(['text costs 14.5', 'text costs 18']));
    expect(sharedUses(changed, 'tagged')).toBe(2);
    expect(whyNot(changed, edits.removeShared('tagged'))).toBe('It is used in “plain”.');
  });

  test('what is put beside a part of it is put into it, with an id that is free there', () => {
    const once = edited(project, share('prices', 'prices'));
    const template = shownTemplate(once, 'plain');
    if (template === undefined) throw new Error('There is a template.');
    expect(freePartId(template, 'prices/price', 'price')).toBe('price-2');
    expect(freePartId(template, 'prices/price', 'name')).toBe('name');
    const label = draftLabel('name', 'each', 'body');
    const put = edited(
      once,
      edits.insert('plain', { beside: 'prices/price', side: 'below' }, label),
    );
    expect(partIds(put)).toContain('prices/name');
    expect(
      partIds(edited(put, edits.remove({ template: 'plain', parts: ['prices/name'] }))),
    ).toEqual(partIds(once));
  });
});

describe('inputs', () => {
  const once = edited(project, share('prices', 'prices'));

  test('are renamed with what reads and what feeds them', () => {
    const renamed = edited(once, edits.renameInput('prices', 'was', 'before'));
    expect(drawn(renamed)).toEqual(drawn(project));
    expect(whyNot(renamed, edits.renameInput('prices', 'before', 'price'))).toContain('already');
    expect(whyNot(renamed, edits.renameInput('prices', 'before', 'a b'))).toContain('letters');
  });

  test('that nothing feeds, that are not there, of another type are told of', () => {
    const codes = (of: Project) =>
      of.templates.flatMap((template) => problemsIn(of, template)).map(({ code }) => code);
    const added = edited(once, edits.addInput('prices', 'shop', 'text'));
    expect(codes(added)).toEqual(['input-missing']);
    expect(codes(edited(added, edits.changeInput('prices', 'shop', { required: false })))).toEqual(
      [],
    );
    const feed = (property: string, expr: string) =>
      edits.bind({ template: 'plain', part: 'prices', property: `inputs.${property}` }, { expr });
    expect(codes(edited(once, feed('colour', 'name')))).toEqual(['input-unknown']);
    expect(codes(edited(once, feed('was', 'name')))).toEqual(['value-unfit']);
    expect(codes(edited(once, edits.removeInput('prices', 'was')))).toContain('name-unknown');
  });

  test('a field under another name is read so by what feeds them, and nothing else changes', () => {
    const type = once.types[0]?.id ?? '';
    const renamed = edited(once, edits.renameField({ type, path: ['was'] }, 'before'));
    expect(renamed.sharedParts).toEqual(once.sharedParts);
    expect(fieldNamed(renamed.types[0]?.fields ?? [], 'before')).toBeDefined();
    expect(
      problemsIn(renamed, renamed.templates[0] ?? { id: '', name: '', type: '', row }),
    ).toEqual([]);
  });
});

describe('shared parts hold shared parts', () => {
  test('but never themselves: the circle is named', () => {
    const inner = edited(project, share('price', 'inner'));
    const outer = edited(inner, share('prices', 'outer'));
    const place = { template: 'plain', part: 'prices/price/price' };
    const put = edits.insert(
      'plain',
      { beside: place.part, side: 'after' },
      {
        ...{ part: 'shared', id: 'again', of: 'outer', inputs: { price: { expr: 'price' } } },
      },
    );
    expect(whyNot(outer, put)).toBe('Shared parts would hold each other: inner in outer in inner.');
  });

  test('a file in which they do is told of, and drawn without what has no end', () => {
    const use = { part: 'shared', id: 'use', of: 'a' } as const;
    const kept = (id: string, of: string) => ({
      ...{ id, name: id, inputs: [] },
      row: draftStack('row', 'across', [draftLabel('words', id, 'body'), { ...use, of }]),
    });
    const file: Project = {
      ...project,
      templates: project.templates.map((each) => ({
        ...each,
        row: draftStack('row', 'across', [use]),
      })),
      sharedParts: [kept('a', 'b'), kept('b', 'a')],
    };
    const [template] = file.templates;
    const findings = template === undefined ? [] : problemsIn(file, template);
    expect(findings).toMatchObject([
      { code: 'shared-circle', message: expect.stringContaining('a in b in a') },
    ]);
    expect(partIds(file)).toContain('use/use/words');
  });

  test('one that doubles with each is ended before it fills the memory; one that is not there stands empty', () => {
    const names = Array.from({ length: 30 }, (_, at) => `kept-${at}`);
    const file: Project = {
      ...project,
      templates: project.templates.map((each) => ({
        ...each,
        row: draftStack('row', 'across', [{ part: 'shared', id: 'use', of: 'kept-0' }]),
      })),
      sharedParts: names.map((id, at) => ({
        ...{ id, name: id, inputs: [] },
        row: draftStack('row', 'across', [
          { part: 'shared', id: 'one', of: names[at + 1] ?? 'gone' },
          { part: 'shared', id: 'two', of: names[at + 1] ?? 'gone' },
        ]),
      })),
    };
    const [template] = file.templates;
    const codes = template === undefined ? [] : problemsIn(file, template).map(({ code }) => code);
    expect(codes).toContain('shared-too-much');
    expect(codes).toContain('shared-unknown');
    expect(partIds(file).length).toBeLessThan(2_000);
  });
});
