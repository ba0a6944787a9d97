import { describe, expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, quiet } from '../../tests/support/shop';
import { atOnce } from '../core/base';
import { type Item, infer } from '../core/items';
import {
  type DraftedPlace,
  edits,
  makeProject,
  type Project,
  standingDraft,
} from '../core/project';
import { Engine } from './engine';

const dyes = ['madder', 'woad', 'weld'] as const;
const items: readonly Item[] = Array.from({ length: 12 }, (_, at) => ({
  id: `s-${at}`,
  name: `Skein ${at}`,
  ...(at !== 11 && { dye: dyes[at % 3] }),
  grams: at * 10,
}));
const notices: readonly Item[] = [
  { id: 'n-0', words: 'Closed on Monday' },
  { id: 'n-1', words: 'Wool week' },
];

const projectOf = (name: string, own: readonly Item[]): Project =>
  makeProject(`${name}.json`, { format: 'json', at: '$[*]', items: own }, atOnce(infer(own, name)));
const stock = projectOf('stock', items);
const others = projectOf('notices', notices);
const type = stock.types[0]?.id ?? '';
const places = ['header', 'heading', 'footing', 'footer'] as const;
const draft = (place: DraftedPlace) =>
  edits.addDraft({ id: place, name: place, type }, standingDraft(place, 'Stock'));
const both: Project = {
  ...stock,
  sources: [...stock.sources, ...others.sources],
  types: [...stock.types, ...others.types],
  templates: [...stock.templates, ...others.templates],
};
const notice = others.templates[0]?.id ?? '';
const sections = { by: 'dye', heading: 'heading', footing: 'footing', folds: 'open' } as const;
const project = edited(
  both,
  ...places.map(draft),
  edits.divide('stock', sections),
  edits.stand('stock', 'header', 'header'),
  edits.stand('stock', 'footer', 'footer'),
  edits.insertBetween('stock', {
    from: 2,
    every: 2,
    inEachSection: true,
    template: notice,
    source: 'notices',
  }),
  edits.bind(
    { template: 'footing', part: 'count', property: 'text' },
    { expr: '`${sum(section.items, x => x.grams)} g`' },
  ),
);

function engineFor(of = project): Engine {
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', items);
  engine.hold('notices', notices);
  engine.update(of, everything);
  return engine;
}

const wordsOf = (engine: Engine): readonly string[] =>
  engine
    .view(everything)
    .entries.map(({ kind, values }) => `${kind}: ${values.filter(Boolean).join(' ')}`);

describe('what stands beside rows', () => {
  test('says what its section has in common, how many it has, and what comes of all its items', () => {
    expect(wordsOf(engineFor())).toEqual([
      'header: Stock 12',
      ...['heading: madder 4', 'row: Skein 0', 'row: Skein 3'],
      ...['insert: Closed on Monday', 'row: Skein 6', 'row: Skein 9', 'footing: 180 g'],
      ...['heading: weld 3', 'row: Skein 2', 'row: Skein 5'],
      ...['insert: Closed on Monday', 'row: Skein 8', 'footing: 150 g'],
      ...['heading: woad 4', 'row: Skein 1', 'row: Skein 4'],
      ...['insert: Closed on Monday', 'row: Skein 7', 'row: Skein 10', 'footing: 220 g'],
      ...['heading: — 1', 'row: Skein 11', 'footing: 110 g'],
      'footer: 12 in all',
    ]);
  });

  test('is folded away but for its heading, and kept so over edits, sorts and looks', () => {
    const engine = engineFor();
    engine.showPart({ toggled: ['stock/madder'] }, everything);
    const first = wordsOf(engine).slice(0, 3);
    expect(first).toEqual(['header: Stock 12', 'heading: madder 4', 'heading: weld 3']);
    const folded = engine.view(everything).entries.map(({ isFolded }) => isFolded);
    expect(folded.slice(0, 4)).toEqual([undefined, true, false, undefined]);
    const sorted = edited(project, edits.sortBy('stock', [{ by: 'grams', descending: true }]));
    engine.update(sorted, everything);
    expect(wordsOf(engine).slice(1, 4)).toEqual([
      ...['heading: madder 4', 'heading: weld 3', 'row: Skein 8'],
    ]);
    engine.showPart({ toggled: [] }, everything);
    expect(wordsOf(engine)[2]).toBe('row: Skein 9');
    const never = edited(sorted, edits.divide('stock', { by: 'dye', heading: 'heading' }));
    engine.update(never, everything);
    expect(engine.view(everything).entries.some(({ isFolded }) => isFolded !== undefined)).toBe(
      false,
    );
  });

  test('is as at first in another project, whose list and sections are called the same', () => {
    const engine = engineFor();
    engine.showPart({ toggled: ['stock/madder'] }, everything);
    engine.clear();
    engine.hold('stock', items);
    engine.hold('notices', notices);
    engine.update(project, everything);
    expect(engine.view(everything).entries[1]).toMatchObject({ key: 'madder', isFolded: false });
  });

  test('is found by no item: what asks for an item finds its row', () => {
    const engine = engineFor();
    for (const [at, { id }] of items.entries()) {
      const entry = engine.entryOfKey(String(id));
      const [found] = engine.entries([entry]);
      expect(found).toMatchObject({ kind: 'row', key: id, item: at });
    }
    expect(engine.entryOfKey('madder')).toBe(-1);
  });

  test('is counted with the rows of its template, and findings of inserts name no item of the list', () => {
    const engine = engineFor();
    const of = (id: string) =>
      engine.surveyNow().templates.find(({ template }) => template === id)?.itemCount;
    expect([of('heading'), of('footing'), of(notice), of('header')]).toEqual([4, 4, 3, 1]);
  });

  test('makes a block of the rows of each section, inserts among them, without what heads and ends it', () => {
    const blocks = { kind: 'list', gap: 0, edge: 12, separators: true, blocks: true } as const;
    const engine = engineFor(edited(project, edits.arrangeAs('stock', blocks)));
    const found = engine
      .view(everything)
      .entries.map(({ kind, block }) => `${kind} ${block ?? ''}`);
    expect(found.slice(0, 8)).toEqual([
      ...['header ', 'heading ', 'row first', 'row middle', 'insert middle', 'row middle'],
      ...['row last', 'footing '],
    ]);
    expect(found.slice(-3)).toEqual(['row only', 'footing ', 'footer ']);
    expect(
      engine
        .view(everything)
        .entries.slice(2, 5)
        .map(({ isDivided }) => isDivided),
    ).toEqual([...[true, undefined, undefined]]);
  });

  test('a heading over rows that it is far above comes with them', () => {
    const sticking = edited(project, edits.divide('stock', { ...sections, sticks: true }));
    const engine = engineFor(sticking);
    const frame = engine.view({ from: 5, to: 7 });
    expect(frame.over).toMatchObject({ at: 1, entry: { kind: 'heading', key: 'madder' } });
    expect(engine.view({ from: 1, to: 7 }).over).toBeUndefined();
    expect(engine.view({ from: 0, to: 7 }).over).toBeUndefined();
    const also = engine.entries([5, 6, 1]);
    expect(also.map(({ kind }) => kind)).toEqual(['row', 'row', 'heading']);
  });
});
