import fc from 'fast-check';
import { expect, test } from 'vitest';
import { KeyTable } from './key-table';
import { successionOf } from './succession';

const keys = 'abcdefgh'.split('');

test('after any changes of items, each is found by its key as if all had been read anew', () => {
  const lists = fc.array(
    fc.uniqueArray(fc.constantFrom(...keys), { minLength: 0, maxLength: keys.length }),
    { minLength: 2, maxLength: 8 },
  );
  const stays = fc.func(fc.boolean());
  fc.assert(
    fc.property(lists, stays, (orders, isKept) => {
      let items = (orders[0] ?? []).map((id) => ({ id }));
      let table = KeyTable.of(items, 'id', 'shelf');
      for (const [step, order] of orders.entries()) {
        const known = new Map(items.map((item) => [item.id, item]));
        const next = order.map((id) => (isKept(step, id) ? known.get(id) : undefined) ?? { id });
        for (const id of keys)
          expect(table.positionOf(id)).toBe(items.findIndex((item) => item.id === id));
        table = table.after(successionOf(items, next));
        items = next;
      }
      for (const [at, { id }] of items.entries()) {
        expect(table.positionOf(id)).toBe(at);
        expect(table.at(at)).toBe(id);
      }
    }),
    { numRuns: 500 },
  );
});

test('keys that change places among the same items are found where they are now', () => {
  const [a, b, c] = [{ id: 'a' }, { id: 'b' }, { id: 'c' }];
  const table = KeyTable.of([a, b, c], 'id', 'shelf');
  expect(table.positionOf('a')).toBe(0);
  const swapped = table.after(successionOf([a, b, c], [{ id: 'b' }, { id: 'a' }, c]));
  expect(['a', 'b', 'c'].map((key) => swapped.positionOf(key))).toEqual([1, 0, 2]);
});
