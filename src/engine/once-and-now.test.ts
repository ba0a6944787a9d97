import { expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, openShop } from '../../tests/support/shop';
import { successionOf } from '../core/items';
import { placesBetween } from '../core/lists';
import { edits } from '../core/project';
import { Engine } from './engine';

const place = { template: 'stock-plain', part: 'title', property: 'text' } as const;
const goods = [
  { id: 'a', name: 'Lace', price: 4 },
  { id: 'b', name: 'Sock', price: 9 },
];
const dearer = goods.map((item) => ({ ...item, price: item.price * 2 }));

test('what is shown once stays as it was first, by item; what is live follows', () => {
  const shop = openShop(goods);
  const texts = () => shop.engine.entries(placesBetween(0, 10)).map((entry) => entry.values[0]);
  const show = (once: boolean, expr = 'price') =>
    shop.engine.update(
      edited(shop.project(), edits.bind(place, { expr, ...(once && { once: true }) })),
      everything,
    );
  show(true);
  expect(texts()).toEqual(['4', '9']);
  shop.engine.replaceLive(
    'stock',
    successionOf([], [...dearer, { id: 'c', name: 'Slub', price: 3 }]),
  );
  expect(texts()).toEqual(['4', '9', '3']);
  shop.engine.replaceLive('stock', successionOf([], [...goods].reverse()));
  expect(texts()).toEqual(['9', '4']);
  shop.engine.replaceLive('stock', successionOf([], dearer));
  show(true, 'price * 10');
  expect(texts()).toEqual(['80', '180']);
  show(false);
  expect(texts()).toEqual(['8', '18']);
});

test('rows that say how far something is from now take the time anew; others stay', () => {
  let now = '2026-03-02T10:00:00Z';
  const shop = openShop([{ id: 'a', name: 'Lace', sent: '2026-03-01T10:00:00Z' }]);
  const engine = new Engine({ pause: async () => {}, now: () => now });
  engine.hold('stock', [{ id: 'a', name: 'Lace', sent: '2026-03-01T10:00:00Z' }]);
  engine.update(shop.project(), everything);
  expect(engine.tick()).toBe(false);
  const bound = edited(shop.project(), edits.bind(place, { expr: '`${name}, ${now}`' }));
  engine.update(bound, everything);
  now = '2026-03-02T10:01:00Z';
  expect(engine.tick()).toBe(true);
  expect(engine.entries(placesBetween(0, 10))[0]?.values[0]).toBe('Lace, 2026-03-02T10:01:00Z');
});

test('a computed property that reads the time has a value, and is another one later', () => {
  let now = '2026-03-02T10:00:00Z';
  const { project, type } = openShop([{ id: 'a', name: 'Lace' }]);
  const engine = new Engine({ pause: async () => {}, now: () => now });
  engine.hold('stock', [{ id: 'a', name: 'Lace' }]);
  const computed = edited(project(), edits.addComputed(type(), 'seen', '`${name} at ${now}`'));
  engine.update(edited(computed, edits.bind(place, { expr: 'seen' })), everything);
  const words = () => engine.entries(placesBetween(0, 10))[0]?.values[0];
  expect(words()).toBe('Lace at 2026-03-02T10:00:00Z');
  now = '2026-03-02T10:02:00Z';
  expect(engine.tick()).toBe(true);
  expect(words()).toBe('Lace at 2026-03-02T10:02:00Z');
});
