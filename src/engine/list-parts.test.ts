import { expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, quiet } from '../../tests/support/shop';
import { atOnce } from '../core/base';
import { type Item, infer } from '../core/items';
import { skeletonCount } from '../core/lists';
import { type Edit, edits, makeProject, standingDraft } from '../core/project';
import { Engine } from './engine';

const items: readonly Item[] = Array.from({ length: 30 }, (_, at) => ({
  id: `s-${at}`,
  name: at % 10 === 0 ? `Élan ${at}` : `Skein ${at}`,
  dye: ['madder', 'woad', 'weld'][at % 3] ?? '',
}));
const stock = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items },
  atOnce(infer(items, 'stock')),
);
const type = stock.types[0]?.id ?? '';
const draft = (place: Parameters<typeof standingDraft>[0]): Edit =>
  edits.addDraft({ id: place, name: place, type }, standingDraft(place, 'Stock'));

function engineFor(...made: readonly Edit[]): Engine {
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', items);
  engine.update(edited(stock, ...made), everything);
  return engine;
}

const kindsOf = (engine: Engine) => engine.view(everything).entries.map(({ kind }) => kind);

test('a filter lets through what has all words, and says where nothing has', () => {
  const engine = engineFor(
    edits.filterBy('stock', { fields: ['name', 'dye'] }),
    draft('filtered'),
    edits.showInState('stock', 'filtered', 'filtered'),
  );
  const keysWith = (filter: string) =>
    engine.showPart({ filter }, everything).entries.map(({ key }) => key);
  expect(keysWith('')).toHaveLength(30);
  expect(keysWith('elan')).toEqual(['s-0', 's-10', 's-20']);
  expect(keysWith('elan WOAD')).toEqual(['s-10']);
  expect(keysWith('zzz')).toEqual(['0']);
  expect(engine.view(everything)).toMatchObject({ state: 'filtered' });
  expect(kindsOf(engine)).toEqual(['state']);
});

test('rows that typing reveals are none before; what is counted is all of them all the time', () => {
  const engine = engineFor(edits.filterBy('stock', { fields: ['name'], reveals: true }));
  expect(engine.view(everything).entries).toHaveLength(0);
  expect(engine.showPart({ filter: 'élan' }, everything).entries).toHaveLength(3);
  expect(engine.surveyNow().templates[0]?.itemCount).toBe(30);
});

test('each state is seen whatever the items are: rows without words, a template, or nothing', () => {
  const engine = engineFor(
    ...(['empty', 'end', 'more'] as const).flatMap((state) => [
      draft(state),
      edits.showInState('stock', state, state),
    ]),
    edits.showInState('stock', 'failed', null),
  );
  const seen = (state: 'loading' | 'empty' | 'failed' | 'more' | undefined) =>
    engine.showPart({ state }, everything).entries;
  expect(seen(undefined)).toHaveLength(31);
  expect(seen(undefined).at(-1)).toMatchObject({ kind: 'state', values: ['That is all.'] });
  expect(seen('more').at(-1)).toMatchObject({ values: ['More is on its way …'] });
  expect(seen('empty')).toMatchObject([{ kind: 'state', values: ['There is nothing here yet.'] }]);
  expect(seen('failed')).toEqual([]);
  const loading = seen('loading');
  expect(loading).toHaveLength(skeletonCount);
  expect(loading.every(({ isSkeleton, values }) => isSkeleton && !values.some(Boolean))).toBe(true);
  expect(engine.surveyNow().templates[0]?.itemCount).toBe(30);
  const none = edited(stock, edits.showInState('stock', 'loading', null));
  engine.update(none, everything);
  expect(engine.view(everything).entries).toEqual([]);
});

test('bars stay out of the sequence and say what is true of all rows', () => {
  const engine = engineFor(
    draft('above'),
    draft('below'),
    edits.stand('stock', 'above', 'above'),
    edits.stand('stock', 'below', 'below'),
  );
  const { above, below, entries } = engine.view(everything);
  expect([above?.entry.values, below?.entry.values]).toEqual([['Stock'], ['30 in all']]);
  expect(above?.heightPx).toBeGreaterThan(20);
  expect(entries).toHaveLength(30);
});

test('a grid has as many columns as fit, in each width', () => {
  const engine = engineFor(
    edits.arrangeAs('stock', { kind: 'grid', columns: { least: 100 }, gap: 10, edge: 15 }),
  );
  const columnsAt = (widthPx: number) => {
    const box = { widthPx, ratio: 1, textSize: 1 };
    return engine.view({ ...everything, box }).sequence.lines?.columns[0];
  };
  expect([349, 350, 459, 460, 90, 6_000].map(columnsAt)).toEqual([2, 3, 3, 4, 1, 50]);
});
