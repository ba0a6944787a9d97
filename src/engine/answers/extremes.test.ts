import { expect, test } from 'vitest';
import { openShop } from '../../../tests/support/shop';
import { atOnce } from '../../core/base';
import { edits } from '../../core/project';
import { draftLabel } from '../../core/templates';
import { extremesOf } from './extremes';

const goods = [
  { id: 'a', name: 'Lace', price: 4 },
  { id: 'b', name: 'Handspun Shetland', price: 1_204 },
  { id: 'c', name: 'צמר גפן', price: null },
  { id: 'd', name: 'Пряжа', price: 31 },
  { id: 'e', name: 'Nep' },
];

function extremes(part: string) {
  const shop = openShop(goods);
  const price = draftLabel('price', { expr: 'price', else: 'on request' }, 'value');
  shop.make(edits.insert('stock-plain', { beside: 'title', side: 'after' }, price));
  return atOnce(extremesOf(shop.engine, { template: 'stock-plain', part })).map(
    ({ kind, part: of, item, itemCount, ofCount }) =>
      `${kind} ${of}: ${item}, ${itemCount} of ${ofCount}`,
  );
}

test('the items that test a part are those of what it shows', () => {
  expect(extremes('title')).toEqual([
    'longest title: 1, 1 of 5',
    'shortest title: 4, 1 of 5',
    'from the right title: 2, 1 of 5',
    'other script title: 3, 1 of 5',
  ]);
});

test('words that stand in for a value are no value', () => {
  expect(extremes('price')).toEqual([
    'longest price: 1, 1 of 5',
    'missing price: 2, 2 of 5',
    'shortest price: 0, 1 of 5',
  ]);
});

test('of what shows nothing of its own, the first words of the row', () => {
  expect(extremes('row')).toEqual(extremes('title'));
});
