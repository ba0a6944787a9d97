import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { atOnce } from '../src/core/base';
import { type Item, infer } from '../src/core/items';
import {
  type Edit,
  edits,
  loadLimits,
  makeEdit,
  makeProject,
  type Project,
  readProject,
  startHistory,
  writeProject,
} from '../src/core/project';
import { draftImage } from '../src/core/templates';

/*
 * Whatever can be made in the studio opens again: an edit that a project file could not hold is
 * refused, whatever is wrong with it.
 */

const items: readonly Item[] = [{ id: 'a', name: 'Gull', made: '24.03.2026' }, { id: 'b' }];
const project = makeProject(
  'boats.json',
  { format: 'json', at: '$[*]', items },
  atOnce(infer(items, 'boats')),
);
const [source] = project.sources;
const [type] = project.types;
const [template] = project.templates;
const [list] = project.lists;
if (!source || !type || !template || !list) throw new Error('nothing was drafted');

const words = fc.oneof(
  fc.constantFrom('', ' ', 'Gull', '__proto__', '"', '\ud800', '\u0000', 'a.b', 'צמר'),
  fc.constantFrom(60, 61, 200, 201, 10_000, 10_001, 300_000).map((length) => 'x'.repeat(length)),
);
const numbers = fc.oneof(
  fc.constantFrom(-1, 0, 0.5, 1, 50, 51, 2_000, 2_001, 1e9, Number.NaN, Number.POSITIVE_INFINITY),
);
const place = { type: type.id, path: ['name'] };
const title = { template: template.id, part: 'title', property: 'text' } as const;

const edit: fc.Arbitrary<Edit> = fc.oneof(
  words.map((name) => edits.rename(name)),
  words.map((name) => edits.renameSource(source.id, name)),
  words.map((name) => edits.renameType(type.id, name)),
  words.map((name) => edits.renameField(place, name)),
  words.map((name) => edits.addField(type.id, name, 'text')),
  words.map((name) => edits.setKey(source.id, name)),
  words.map((field) =>
    edits.setKey(
      source.id,
      Array.from({ length: 30 }, () => field),
    ),
  ),
  words.map((pattern) => edits.decodeField({ ...place, path: ['made'] }, { pattern })),
  fc.tuple(words, words).map(([yes, no]) => edits.decodeField(place, { yes: [yes], no: [no] })),
  fc.tuple(words, words).map(([name, expr]) => edits.addComputed(type.id, name, expr)),
  words.map((text) => edits.bind(title, text)),
  fc.tuple(words, words).map(([expr, other]) => edits.bind(title, { expr, else: other })),
  fc.tuple(words, words).map(([id, name]) => edits.addFormat({ id, name, as: 'bytes' })),
  words.map((message) => edits.addFormat({ id: 'm', name: 'm', as: 'message', message })),
  words.map((locale) => edits.setLocales([locale])),
  fc.array(fc.double(), { maxLength: 20 }).map(edits.checkWidths),
  fc.array(fc.integer({ min: 0, max: 3_000 }), { maxLength: 20 }).map(edits.checkWidths),
  fc.array(fc.integer({ min: 0, max: 500 }), { maxLength: 20 }).map(edits.checkTextSizes),
  words.map((set) => edits.addSet(source.id, set, set, 1)),
  words.map((name) => edits.addPictures([{ name, mediaType: 'image/png', content: name }])),
  fc
    .tuple(numbers, numbers, numbers)
    .map(([columns, gap, edge]) => edits.arrangeAs(list.id, { kind: 'grid', columns, gap, edge })),
  fc
    .tuple(words, numbers)
    .map(([id, fixed]) =>
      edits.insert(
        template.id,
        { beside: 'row', side: 'below' },
        { ...draftImage(id, 'x'), width: { fixed } },
      ),
    ),
  numbers.map((gap) => edits.set({ template: template.id, part: 'row', property: 'gap' }, gap)),
  words.map((style) => edits.set({ ...title, property: 'style' }, style)),
  numbers.map((opacity) => edits.set({ ...title, property: 'opacity' }, opacity)),
  words.map((expr) => edits.bind({ ...title, property: 'unseen' }, { expr })),
  words.map((next) => edits.setGoesOn(source.id, { pages: { next } })),
  numbers.map((everySeconds) => edits.setGoesOn(source.id, { follow: { everySeconds } })),
);

const written = (of: Project) => [...writeProject(of, new Map([[source.id, items]]))].join('');

describe('what can be made in the studio', () => {
  test('opens again, as it was', async () => {
    const whyPastLimits = await loadLimits();
    let refusedCount = 0;
    await fc.assert(
      fc.asyncProperty(fc.array(edit, { maxLength: 8 }), async (all) => {
        let history = startHistory(project);
        for (const each of all) {
          const made = makeEdit(history, each);
          if (!made.ok) continue;
          const past = whyPastLimits(history.project, made.value.project);
          if (past === undefined) history = made.value;
          else {
            refusedCount += 1;
            expect(past.length).toBeLessThan(400);
          }
        }
        const text = written(history.project);
        const again = await readProject(text, 'boats.yarncard.json');
        if (!again.ok) throw new Error(again.error.message);
        expect([...writeProject(again.value.project, again.value.items)].join('')).toBe(text);
      }),
      { numRuns: 400 },
    );
    expect(refusedCount).toBeGreaterThan(100);
  });

  test('is not refused without a reason: ordinary edits pass', async () => {
    const whyPastLimits = await loadLimits();
    for (const each of [edits.rename('Boats'), edits.bind(title, { expr: 'name ?? "–"' })]) {
      const made = each.apply(project);
      expect(made.ok && whyPastLimits(project, made.value)).toBeUndefined();
    }
  });
});

describe('whatever items are brought', () => {
  const long = (length: number) => 'n'.repeat(length);
  test.each<[string, readonly Item[]]>([
    ['10,000 fields', [Object.fromEntries(Array.from({ length: 10_000 }, (_, i) => [`f${i}`, i]))]],
    [
      '10,000 fields in a record',
      [{ id: 1, all: Object.fromEntries(Array.from({ length: 10_000 }, (_, i) => [`f${i}`, i])) }],
    ],
    ['names over 10,000 letters long', [{ [long(10_001)]: 1, id: 'a' }]],
    [
      'kinds over 10,000 letters long',
      [
        { kind: long(10_001), a: 1 },
        { kind: long(10_002), b: 1 },
        { kind: long(10_001), a: 2 },
      ],
    ],
    ['a text of a million letters', [{ id: long(1_000_000), name: 'x' }]],
  ])('%s make a project that opens again', async (_, brought) => {
    const inference = atOnce(infer(brought, long(300)));
    const read = { format: 'json', at: '$[*]', items: brought } as const;
    const made = makeProject(long(300), read, inference);
    const text = [...writeProject(made, new Map([[made.sources[0]?.id ?? '', brought]]))].join('');
    const again = await readProject(text, 'x.yarncard.json');
    if (!again.ok) throw new Error(again.error.message);
    expect(again.value.project).toEqual(made);
  });

  test('more fields than are told apart are said', () => {
    const many = [Object.fromEntries(Array.from({ length: 2_100 }, (_, i) => [`f${i}`, i]))];
    const { findings, types } = atOnce(infer(many, 'wide'));
    expect(findings.map(({ code }) => code)).toContain('fields-too-many');
    expect(types[0]?.fields.length).toBe(2_000);
  });
});
