import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { compareContent, compareImport } from './difference';
import type { Item } from './item';
import { itemKeys } from './key';

const keyed = (items: readonly Item[]) => ({ items, keys: itemKeys(items, 'id', 'skeins') });
const compare = (before: readonly Item[], after: readonly Item[]) =>
  compareImport(keyed(before), keyed(after));

describe('importing again', () => {
  test('added, changed with the fields, removed, unchanged', () => {
    const before = [
      { id: 'a', name: 'Lace', grams: 50 },
      { id: 'b', name: 'Sock', grams: 100 },
      { id: 'c', name: 'Mist', grams: 25 },
    ];
    const after = [
      { grams: 50, name: 'Lace', id: 'a' },
      { id: 'c', name: 'Mist', grams: 30, hue: 'grey' },
      { id: 'd', name: 'New', grams: 1 },
    ];
    const difference = compare(before, after);
    expect(difference).toMatchObject({
      added: [2],
      changed: [{ before: 2, after: 1, fields: ['grams', 'hue'] }],
      removed: [1],
      unchangedCount: 1,
    });
    expect(difference.next.items[0]).toBe(before[0]);
  });

  test('the same items again change nothing, whatever they are', () => {
    const items = fc.array(fc.dictionary(fc.string(), fc.jsonValue()).map((item) => item as Item));
    fc.assert(
      fc.property(items, (list) => {
        const again = JSON.parse(JSON.stringify(list));
        for (const difference of [compare(list, again), compareContent(list, again)]) {
          expect(difference).toMatchObject({ added: [], changed: [], removed: [] });
          expect(difference.unchangedCount).toBe(list.length);
        }
      }),
    );
  });

  test('every old item is kept, changed or removed; every new one kept, changed or added', () => {
    const items = fc.array(
      fc.record({ id: fc.integer({ min: 0, max: 6 }), grams: fc.integer({ min: 0, max: 2 }) }),
    );
    fc.assert(
      fc.property(items, items, (before, after) => {
        const { added, changed, removed, unchangedCount, next } = compare(before, after);
        expect(unchangedCount + changed.length + removed.length).toBe(before.length);
        expect(unchangedCount + changed.length + added.length).toBe(after.length);
        expect(next.items).toEqual(after);
      }),
    );
  });

  test('without a key a changed item is one removed and one added, and order is told', () => {
    const difference = compareContent([{ a: 1 }, { a: 2 }], [{ a: 2 }, { a: 1 }, { a: 3 }]);
    expect(difference).toMatchObject({ added: [2], removed: [], moved: [0] });
  });
});
