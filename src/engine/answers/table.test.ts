import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { items as someItems } from '../../../tests/support/arbitrary';
import type { Item } from '../../core/items';
import { plainLook, tableOrder } from './table';

const items: readonly Item[] = [
  { name: 'Sock 10', grams: 50, maker: { town: 'Ousby' } },
  { name: 'sock 9', grams: null },
  { name: 'Lace', grams: 9, tags: ['wool', 'undyed'] },
  { name: '', grams: 50 },
];
const byPath = (path: string, isDescending = false) => [
  ...tableOrder(items, { ...plainLook, sort: { path: path.split('.'), isDescending } }),
];

describe('the table', () => {
  test('sorts numbers as numbers, texts as people do, missing ones last either way', () => {
    expect(byPath('grams')).toEqual([2, 0, 3, 1]);
    expect(byPath('grams', true)).toEqual([0, 3, 2, 1]);
    expect(byPath('name')).toEqual([3, 2, 1, 0]);
    expect(byPath('maker.town')).toEqual([0, 1, 2, 3]);
  });

  test('shows only items that hold the words somewhere, in any case', () => {
    const holding = (filter: string) => [...tableOrder(items, { ...plainLook, filter })];
    expect(holding('SOCK')).toEqual([0, 1]);
    expect(holding('undyed')).toEqual([2]);
    expect(holding(' ')).toEqual([0, 1, 2, 3]);
    expect(holding('nowhere')).toEqual([]);
  });

  test('shows each item once, in whatever order', () => {
    fc.assert(
      fc.property(someItems, fc.nat(), fc.boolean(), (all, pick, isDescending) => {
        const names = all.flatMap((item) => Object.keys(item));
        const path = [names[pick % names.length] ?? 'name'];
        const order = tableOrder(all, { filter: '', sort: { path, isDescending } });
        expect([...order].sort((a, b) => a - b)).toEqual(all.map((_, at) => at));
      }),
    );
  });
});
