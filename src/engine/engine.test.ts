import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { items as someItems } from '../../tests/support/arbitrary';
import { edited } from '../../tests/support/edited';
import { atOnce } from '../core/base';
import { type Item, infer, successionOf } from '../core/items';
import {
  type Edit,
  edits,
  makeProject,
  type Project,
  readProject,
  writeProject,
} from '../core/project';
import { draftImage, draftLabel, partIds } from '../core/templates';
import { pathText } from '../core/values';
import { trace } from './answers';
import { Engine } from './engine';

const everything = { from: 0, to: 1_000_000 };
const engineWith = (project: Project, items: readonly Item[]): Engine => {
  const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
  for (const source of project.sources) engine.hold(source.id, items);
  return engine;
};
const projectOf = (items: readonly Item[]): Project =>
  makeProject('stock.json', { format: 'json', at: '$[*]', items }, atOnce(infer(items, 'stock')));

const shop: readonly Item[] = [
  { id: 'a', kind: 'skein', name: 'Lace', grams: 100, maker: { town: 'Ousby' } },
  { id: 'b', kind: 'tool', name: 'Spindle', material: 'ash' },
  { id: 'c', kind: 'skein', name: 'Sock', grams: 50 },
  { id: 'd', kind: 'tool', name: 'Reel', material: 'oak' },
];

describe('a list of real items', () => {
  test('has an entry an item, with the template of its type and finished words', () => {
    const project = projectOf(shop);
    const engine = engineWith(project, shop);
    const view = engine.update(project, everything);
    expect(
      view.entries.map((entry) => [entry.key, view.plans[entry.plan]?.template, entry.values]),
    ).toEqual([
      ['a', 'skein-plain', ['Lace']],
      ['b', 'tool-plain', ['Spindle']],
      ['c', 'skein-plain', ['Sock']],
      ['d', 'tool-plain', ['Reel']],
    ]);
    expect(engine.choiceTable()?.counts).toEqual([[2, 2, 0]]);
  });

  test('leaves out what a choice leaves out, and counts it all the same', () => {
    const project = edited(
      projectOf(shop),
      edits.choose({ list: 'stock', at: 1 }, 'all looks', null),
    );
    const engine = engineWith(project, shop);
    const view = engine.update(project, everything);
    expect(view.entries.map((entry) => entry.key)).toEqual(['a', 'c']);
    expect(engine.choiceTable()?.counts).toEqual([[2, 2, 0]]);
    expect(view.itemCount).toBe(4);
  });

  test('a broken binding shows nothing and is a finding with its place', () => {
    const place = { template: 'skein-plain', part: 'title', property: 'text' } as const;
    const project = edited(projectOf(shop), edits.bind(place, { expr: 'nmae' }));
    const view = engineWith(project, shop).update(project, everything);
    expect(view.entries[0]?.values).toEqual([undefined]);
    expect(view.findings).toMatchObject([
      { code: 'name-unknown', place: { in: 'part', ...place } },
    ]);
  });

  test('a grid has as many lines as it needs, each as high as its highest cell', () => {
    const project = edited(
      projectOf(shop),
      edits.insert(
        'tool-plain',
        { beside: 'title', side: 'below' },
        draftLabel('m', { expr: 'material' }, 'small'),
      ),
      edits.arrangeAs('stock', { kind: 'grid', columns: 3, gap: 8, edge: 12 }),
    );
    const view = engineWith(project, shop).update(project, everything);
    expect(view.sequence.heights).toEqual(Int32Array.of(58 * 64, 58 * 64));
    expect(view.sequence.lines).toEqual({
      firsts: Int32Array.of(0, 3),
      columns: Uint8Array.of(3, 3),
      strips: [],
      headings: new Int32Array(),
      ends: new Int32Array(),
    });
  });

  test('a sequence stays as long as words alone change; its heights are sent once', () => {
    const project = projectOf(shop);
    const engine = engineWith(project, shop);
    const first = engine.update(project, everything);
    const known = { ...everything, sequence: first.sequence };
    const place = { template: 'skein-plain', part: 'title', property: 'text' } as const;
    const next = structuredClone(edited(project, edits.bind(place, { expr: 'id' })));
    const words = engine.update(next, known);
    expect(words.sequence).toEqual({ ...first.sequence, lines: undefined, heights: undefined });

    const second = draftLabel('m', { expr: 'id' }, 'small');
    const higher = edited(
      project,
      edits.insert('skein-plain', { beside: 'title', side: 'below' }, second),
    );
    const grown = engine.update(higher, known).sequence;
    expect([grown.id, grown.lines]).toEqual([first.sequence.id, undefined]);
    expect(grown.heights).not.toEqual(first.sequence.heights);
    engine.replaceLive(
      'stock',
      successionOf([], [{ id: 'new', kind: 'skein', name: 'Nep' }, ...shop]),
    );
    const longer = engine.view({ ...everything, sequence: grown }).sequence;
    expect(longer.heights?.length).toBe(shop.length + 1);
  });

  test('the survey counts what is missing over all items and names the extremes', () => {
    const place = { template: 'skein-plain', part: 'title', property: 'text' } as const;
    const project = edited(projectOf(shop), edits.bind(place, { expr: 'maker.town' }));
    const engine = engineWith(project, shop);
    engine.update(project, everything);
    expect(engine.surveyNow().templates[0]).toEqual({
      template: 'skein-plain',
      itemCount: 2,
      longest: 0,
      shortest: 0,
      contrast: [],
      slots: [
        {
          part: 'title',
          property: 'text',
          missingCount: 1,
          firstMissing: 2,
          same: 'Ousby',
          unknown: [],
          unfit: undefined,
        },
      ],
    });
    expect(trace(engine, { ...place, property: 'text' }, 2)).toMatchObject({
      text: undefined,
      missing: 'this item has no maker',
    });
  });

  test('the survey names the pictures that the project does not have, over all items', () => {
    const mill = { name: 'lace', mediaType: 'image/png', content: 'a' } as const;
    const project = edited(
      projectOf(shop),
      edits.addPictures([mill]),
      edits.insert(
        'skein-plain',
        { beside: 'title', side: 'before' },
        draftImage('picture', { expr: '`${name}.png`' }),
      ),
      edits.insert(
        'tool-plain',
        { beside: 'title', side: 'before' },
        draftImage('picture', 'https://example.org/a.png'),
      ),
    );
    const items = [
      ...shop,
      { id: 'e', kind: 'skein', name: 'Sock' },
      { id: 'f', kind: 'skein', name: 'lace' },
    ];
    const engine = engineWith(project, items);
    engine.update(project, everything);
    const found = engine.surveyNow().findings.filter((each) => each.code === 'picture-missing');
    expect(found).toMatchObject([{ place: { template: 'skein-plain', part: 'picture', item: 2 } }]);
    expect(found[0]?.message).toBe(
      '3 items of "skein-plain" want pictures that the project does not have: Sock.png (2), Lace.png (1).',
    );
  });

  test('an edit ends the survey of what was there; items that go on changing do not', async () => {
    const project = projectOf(shop);
    const many = Array.from(
      { length: 10_000 },
      (_, i) => ({ ...shop[i % 4], id: String(i) }) as Item,
    );
    let meanwhile = () => {};
    const engine = new Engine({
      now: () => '2026-03-02T10:00:00Z',
      pause: async () => meanwhile(),
    });
    engine.hold('stock', many);
    engine.update(project, everything);
    let changeCount = 0;
    meanwhile = () => {
      changeCount += 1;
      engine.replaceLive('stock', successionOf([], many.slice(changeCount)));
      engine.update(project, everything);
    };
    expect((await engine.survey())?.templates[0]?.itemCount).toBe(5_000);
    expect(changeCount).toBeGreaterThan(5);

    const place = { template: 'skein-plain', part: 'title', property: 'text' } as const;
    const next = edited(project, edits.bind(place, { expr: 'id' }));
    meanwhile = () => engine.update(next, everything);
    expect(await engine.survey()).toBeUndefined();
    expect((await engine.survey())?.edition).toBe(engine.edition);
  });

  test('items put in near the top stand there, and the rest follows', () => {
    const project = projectOf(shop);
    const engine = engineWith(project, shop);
    engine.update(project, everything);
    engine.replaceLive(
      'stock',
      successionOf([], shop.toSpliced(1, 0, { id: 'new', kind: 'skein', name: 'New' })),
    );
    expect(engine.view(everything).entries.map((entry) => entry.key)).toEqual([
      'a',
      'new',
      'b',
      'c',
      'd',
    ]);
  });

  test('an item is found by any of its words, in turn', () => {
    const project = projectOf(shop);
    const engine = engineWith(project, shop);
    engine.update(project, everything);
    expect([
      engine.find('oak', 0),
      engine.find('skein', 0),
      engine.find('skein', 2),
      engine.find('nowhere', 0),
    ]).toEqual([3, 2, 0, -1]);
  });
});

/** Edits that a person might make to a project of any items: bound, inserted, left out, arranged. */
function someEdit(project: Project, pick: number, kind: number): Edit | undefined {
  const template = project.templates[pick % project.templates.length];
  const type = project.types.find((each) => each.id === template?.type);
  const field = type?.fields[pick % type.fields.length];
  const list = project.lists[0];
  if (template === undefined || field === undefined || list === undefined) return undefined;
  const parts = partIds(template.row);
  const part = parts[pick % parts.length] ?? 'row';
  const expr = pathText([field.name]);
  switch (kind) {
    case 0:
      return edits.bind({ template: template.id, part, property: 'text' }, { expr, else: '–' });
    case 1:
      return edits.bind(
        { template: template.id, part, property: 'text' },
        { expr: `\`a \${${expr}} b\`` },
      );
    case 2:
      return edits.insert(
        template.id,
        { beside: part, side: 'below' },
        draftLabel(`l-${pick}`, { expr }, 'small'),
      );
    case 3:
      return edits.insert(
        template.id,
        { beside: part, side: 'before' },
        draftImage(`i-${pick}`, { expr }),
      );
    case 4:
      return edits.remove({ template: template.id, parts: [part] });
    case 5:
      return edits.choose(
        { list: list.id, at: pick % 3 },
        'all looks',
        pick % 2 === 0 ? null : template.id,
      );
    case 8:
      return edits.addChoice(list.id, { type: template.type, when: `${expr} !== undefined` }, 0);
    case 11:
      return edits.sortBy(list.id, [
        { by: expr, ...(pick % 2 === 0 && { descending: true }) },
        { by: pathText([type?.fields[0]?.name ?? '']), missing: 'first' },
      ]);
    case 9:
      return edits.addLook(`look ${pick % 3}`);
    case 10:
      return edits.choose(
        { list: list.id, at: pick % 3 },
        { look: project.looks?.[pick % 2]?.id ?? '' },
        template.id,
      );
    case 6:
      return edits.setKey(list.source, pick % 2 === 0 ? null : field.name);
    default:
      return edits.arrangeAs(list.id, { kind: 'grid', columns: 1 + (pick % 4), gap: 4, edge: 8 });
  }
}

test('any project gives the same entries after it was saved and opened, for any items', () => {
  const steps = fc.array(fc.tuple(fc.nat(1_000), fc.nat(11)), { maxLength: 8 });
  return fc.assert(
    fc.asyncProperty(someItems, steps, async (items, all) => {
      let project = projectOf(items);
      for (const [pick, kind] of all) {
        const next = someEdit(project, pick, kind)?.apply(project);
        if (next?.ok) project = next.value;
      }
      const source = project.sources[0]?.id ?? '';
      const first = engineWith(project, items);
      const here = first.update(project, everything);
      const file = await readProject(
        [...writeProject(project, new Map([[source, items]]))].join(''),
        'x',
      );
      if (!file.ok) throw new Error(file.error.message);
      const engine = engineWith(file.value.project, file.value.items.get(source) ?? []);
      const there = engine.update(file.value.project, everything);
      expect(there.entries).toEqual(here.entries);
      expect([there.plans, there.sequence, engine.choiceTable(), there.findings]).toEqual([
        here.plans,
        here.sequence,
        first.choiceTable(),
        here.findings,
      ]);
    }),
    { numRuns: 100 },
  );
});

describe('an edit of an expression', () => {
  const place = { template: 'skein-plain', part: 'title', property: 'text' } as const;

  test('leaves the structure of rows as it is, so that rows in the page stay', () => {
    const project = projectOf(shop);
    const engine = engineWith(project, shop);
    const { plans } = engine.update(project, everything);
    const next = edited(project, edits.bind(place, { expr: 'name + id' }));
    expect(engine.update(next, everything).plans).toEqual(plans);
    const linked = edited(next, edits.bind({ ...place, property: 'link' }, { expr: 'id' }));
    expect(engine.update(linked, everything).plans).not.toEqual(plans);
  });

  test('makes no other template ready again, though the whole project crossed anew', () => {
    const project = projectOf(shop);
    const engine = engineWith(project, shop);
    engine.update(project, everything);
    const ids = project.templates.map(({ id }) => id);
    const before = new Map(ids.map((id) => [id, engine.compiled(id)]));
    const next = edited(project, edits.bind(place, { expr: 'name + id' }));
    engine.update(structuredClone(next), everything);
    const others = ids.filter((id) => id !== place.template);
    expect(others.length).toBeGreaterThan(0);
    for (const id of others) expect(engine.compiled(id)).toBe(before.get(id));
    expect(engine.compiled(place.template)).not.toBe(before.get(place.template));
  });
});

describe('a view beside the first', () => {
  const place = { template: 'skein-plain', part: 'title', property: 'text' } as const;
  const words = (engine: Engine) =>
    engine.framesBeside(() => everything).map(({ frame }) => frame.entries[0]?.values[0]);

  test('has a locale of its own, and follows edits and items', () => {
    const project = edited(projectOf(shop), edits.bind(place, { expr: 'name' }));
    const engine = engineWith(project, shop);
    engine.update(project, everything);
    engine.openBeside('second', { locale: 'de' }, everything);
    expect(engine.localeNow()).not.toBe('de');
    const before = words(engine);
    engine.update(edited(project, edits.bind(place, 'Yarn of the day')), everything);
    expect(words(engine)).toEqual(['Yarn of the day']);
    engine.update(project, everything);
    expect(words(engine)).toEqual(before);
    const [first, ...others] = shop;
    engine.replaceLive('stock', successionOf(shop, [{ ...first, name: 'Nep' }, ...others]));
    expect(words(engine)).toEqual(['Nep']);
    engine.closeBeside('second');
    expect(words(engine)).toEqual([]);
  });

  test('shows what is read next, too', () => {
    const project = projectOf(shop);
    const engine = engineWith(project, shop);
    engine.update(project, everything);
    engine.openBeside('second', {}, everything);
    engine.clear();
    engine.hold('stock', shop.slice(1));
    const { entries } = engine.update(projectOf(shop.slice(1)), everything);
    expect(words(engine)).toEqual([entries[0]?.values[0]]);
    expect(engine.entryOfKey('b', 'second')).toBe(engine.entryOfKey('b'));
  });
});
