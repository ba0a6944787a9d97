import { expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, openShop } from '../../tests/support/shop';
import { declarations, type Item, itemsSchema } from '../core/items';
import { edits, typesOf, withId } from '../core/project';
import { EngineData } from './answers';

const goods: readonly Item[] = [
  { id: 'a', name: 'Lace', floor: 1, open: true, grade: 'fine' },
  { id: 'b', name: 'Sock', floor: 2, open: false },
  { id: 'c', name: 'Slub', floor: 1, open: true, grade: 'rough' },
  { id: 'd', name: 'Nep', floor: 2, open: true, grade: null },
];

test.each([
  ['floor', ['floor 1', 'floor 2'], [2, 2]],
  ['open', ['open true', 'open false'], [3, 1]],
  ['grade', ['fine', 'no grade', 'rough'], [1, 2, 1]],
])('types are split by %s, each item of one of them', (field, names, counts) => {
  const shop = openShop(goods);
  const found = new EngineData(shop.engine).foundBy('stock', field);
  const split = edited(shop.project(), edits.splitTypes('stock', field, found));
  const frame = shop.engine.update(split, everything);
  const types = typesOf(split, 'stock');
  expect(types.map(({ name }) => name)).toEqual(names);
  expect(types.map(({ id }) => frame.typeCounts.find(([type]) => type === id)?.[1])).toEqual(
    counts,
  );
  const source = withId(split.sources, 'stock');
  const own = ['stock', types, source?.discriminator ?? null] as const;
  expect(JSON.stringify(itemsSchema(...own))).not.toContain('"const":""');
  expect(declarations(...own)).toContain(
    field === 'floor' ? 'floor: 1;' : field === 'open' ? 'open: true;' : '"fine"',
  );
  const merged = edited(split, edits.mergeTypes('stock'));
  expect(typesOf(merged, 'stock')).toHaveLength(1);
});
