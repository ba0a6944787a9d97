import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { MeasuresRows } from '../src/core/arranged';
import { atOnce } from '../src/core/base';
import { keysAlone } from '../src/core/handoff/element/list-js';
import { packedProject } from '../src/core/handoff/element/pack-project';
import { type Item, infer } from '../src/core/items';
import { type Entry, placesBetween } from '../src/core/lists';
import { type PackedProject, PackedView } from '../src/core/packed';
import { picturesHave } from '../src/core/pictures';
import {
  itemsIdOf,
  localeOf,
  makeProject,
  ownSet,
  type Project,
  readProject,
} from '../src/core/project';
import { Engine } from '../src/engine';
import * as arbitrary from './support/arbitrary';
import { anyExpression, holedItem, yarnItem } from './support/expressions';

/*
 * What runs in an app says what the window says: the same entries with the same values, from a
 * project that was written as data and read again.
 */

const now = '2026-06-15T12:00:00Z';

/** Heights are the page's: words hang on none of them. */
const unmeasured: MeasuresRows = {
  heightsOf: () => undefined,
  measure: () => false,
  shrunkIn: () => undefined,
  shrunkOf: () => undefined,
  heightOf: () => undefined,
};

type Items = ReadonlyMap<string, readonly Item[]>;

/** The data of a pack as its module has it. */
function asModule(project: Project): PackedProject {
  const json = JSON.stringify(packedProject(project, []));
  // What a literal of JavaScript would read otherwise is written so that it is none.
  expect(keysAlone(json)).not.toMatch(/(?<!\\)"__proto__":/);
  return JSON.parse(json);
}

interface Setting {
  readonly list: string;
  readonly locale: string;
  readonly look: string | undefined;
}

const said = ({ kind, key, values, isDivided, block, isFolded }: Entry, template: string) =>
  // Values that are missing are so in both.
  JSON.stringify([
    kind,
    key,
    template,
    values.map((value) => value ?? null),
    isDivided,
    block,
    isFolded,
  ]);

function inWindow(project: Project, items: Items, { list, locale, look }: Setting): string[] {
  const engine = new Engine({ pause: async () => {}, now: () => now });
  engine.holdFile(project, items);
  engine.update(project, { from: 0, to: 0 }, list);
  engine.showLocale(locale);
  if (look !== undefined) engine.showLook(look);
  const { plans, sequence } = engine.view({ from: 0, to: 0 });
  return engine
    .entries(placesBetween(0, sequence.entryCount))
    .map((entry) => said(entry, plans[entry.plan]?.template ?? ''));
}

function inApp(packed: PackedProject, items: Items, { list, locale, look }: Setting): string[] {
  const own = packed.lists.find((each) => each.list.id === list);
  if (own === undefined) throw new Error(`no list ${list}`);
  const given = new Map(
    packed.sources.map(({ id }) => [id, items.get(itemsIdOf(id, ownSet)) ?? []]),
  );
  const hasPicture = picturesHave(packed.pictures.map(([name]) => ({ name })));
  const view = new PackedView(
    packed,
    own,
    { measured: unmeasured, items: given, hasPicture },
    { locale, look, now },
  );
  const { plans, sequence } = view.frame({ from: 0, to: 0 });
  return view
    .entries(placesBetween(0, sequence.entryCount))
    .map((entry) => said(entry, plans[entry.plan]?.template ?? ''));
}

function holds(project: Project, items: Items): void {
  const packed = asModule(project);
  for (const { id: list } of project.lists)
    for (const locale of project.locales ?? [localeOf(project)])
      for (const look of project.looks?.map(({ id }) => id) ?? [undefined]) {
        const setting = { list, locale, look };
        expect(inApp(packed, items, setting)).toEqual(inWindow(project, items, setting));
      }
}

test('the demo, in every list, locale and look', async () => {
  const text = readFileSync('public/demo/thrumwick.yarncard.json', 'utf8');
  const read = await readProject(text, 'demo');
  if (!read.ok) throw new Error(read.error.message);
  const { project, items } = read.value;
  // Its pictures are named by no file here.
  holds({ ...project, pictures: [] }, items);
});

test('whatever items are, and whatever their fields are called', () => {
  fc.assert(
    fc.property(arbitrary.items, (items) => {
      const inference = atOnce(infer(items, 'stock'));
      const project = makeProject('stock.json', { format: 'json', at: '$[*]', items }, inference);
      holds(project, new Map([[project.sources[0]?.id ?? '', items]]));
    }),
    { numRuns: 150 },
  );
}, 60_000);

test('whatever expressions feed labels, choose, sort and put in sections', () => {
  const expressions = fc.record({
    label: anyExpression,
    instead: anyExpression,
    when: anyExpression,
    by: anyExpression,
    section: anyExpression,
    computed: anyExpression,
  });
  const several = fc.array(fc.oneof(yarnItem, holedItem), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(several, expressions, (items, expr) => {
      const inference = atOnce(infer(items, 'stock'));
      const made = makeProject('stock.json', { format: 'json', at: '$[*]', items }, inference);
      const [template] = made.templates;
      const [list] = made.lists;
      if (template === undefined || list === undefined) return;
      const row = {
        part: 'stack',
        id: 'row',
        children: [
          {
            part: 'label',
            id: 'fed',
            text: { expr: expr.label, else: { expr: expr.instead } },
            lines: 2,
          },
          { part: 'badge', id: 'count', text: { expr: expr.computed }, atZero: 'leaves' },
          { part: 'label', id: 'own', text: { expr: 'made' } },
        ],
      } as const;
      const project: Project = {
        ...made,
        types: made.types.map((type) => ({
          ...type,
          fields: [
            ...type.fields,
            { type: 'unknown', name: 'made', required: false, expr: expr.computed },
          ],
        })),
        templates: [
          { ...template, row },
          { ...template, id: 'other' },
        ],
        lists: [
          {
            ...list,
            choices: [{ when: expr.when, template: 'other' }],
            otherwise: template.id,
            order: [{ by: expr.by, descending: true }],
            sections: { by: expr.section, heading: 'other', folds: 'open' },
          },
        ],
      };
      holds(project, new Map([[made.sources[0]?.id ?? '', items]]));
    }),
    { numRuns: 300 },
  );
}, 120_000);

test('what is shown once stays as it was first, for as long as the list is there', () => {
  const items = [{ id: 'a', name: 'Lace', stock: 3 }];
  const inference = atOnce(infer(items, 'stock'));
  const made = makeProject('stock.json', { format: 'json', at: '$[*]', items }, inference);
  const [template] = made.templates;
  if (template === undefined) throw new Error('nothing was drafted');
  const text = { expr: 'stock', once: true } as const;
  const label = { part: 'label', id: 'left', text } as const;
  const row = { part: 'stack', id: 'row', children: [label] } as const;
  const packed = asModule({ ...made, templates: [{ ...template, row }] });
  const given = new Map<string, readonly Item[]>([['stock', items]]);
  const [list] = packed.lists;
  if (list === undefined) throw new Error('there is no list');
  const view = new PackedView(
    packed,
    list,
    { measured: unmeasured, items: given, hasPicture: () => false },
    { locale: 'en', look: undefined, now },
  );
  const words = () => view.entries([0]).map(({ values }) => values[0]);
  expect(words()).toEqual(['3']);
  given.set('stock', [{ id: 'a', name: 'Lace', stock: 2 }]);
  view.itemsChanged();
  expect(words()).toEqual(['3']);
});
