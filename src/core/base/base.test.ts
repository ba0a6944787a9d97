import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { placeInWords } from './finding';
import { freeId, slug } from './id';
import { nearest } from './spelling';
import { atOnce, inTurns, type Turns } from './turns';
import { count, grouped } from './words';

describe('ids', () => {
  test.each([
    ['Fell shop', 'fell-shop'],
    ['  Smörgås & co. ', 'smorgas-co'],
    ['2026 stock', 'n-2026-stock'],
    ['צמר', 'unnamed'],
  ])('%s becomes %s', (words, id) => {
    expect(slug(words)).toBe(id);
  });

  test('of any words are such as files take', () => {
    fc.assert(
      fc.property(fc.string(), (words) => {
        expect(slug(words)).toMatch(/^[a-z][a-z0-9-]{0,41}$/);
      }),
    );
  });

  test('that are taken get the next number', () => {
    expect(freeId('row', ['row', 'row-2', 'x'])).toBe('row-3');
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'a-2', 'a-3', 'b')), (taken) => {
        expect(taken).not.toContain(freeId('a', taken));
      }),
    );
  });
});

describe('the nearest name', () => {
  test.each([
    ['nmae', 'name'],
    ['Price', 'price'],
    ['mker', 'maker'],
    ['dyedAt', 'dyedOn'],
    ['x', undefined],
    ['weight', undefined],
  ])('to %s is %s', (wrong, right) => {
    expect(nearest(wrong, ['name', 'price', 'maker', 'dyedOn'])).toBe(right);
  });

  test('to a name is itself', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1 }), (name) => {
        expect(nearest(name, ['other', name])?.toLowerCase()).toBe(name.toLowerCase());
      }),
    );
  });
});

test.each([
  [1, '1 row'],
  [0, '0 rows'],
  [4_812, '4\u00a0812 rows'],
  [1_000_000, '1\u00a0000\u00a0000 rows'],
])('%i is told as %s', (n, words) => {
  expect(count(n, 'row')).toBe(words);
});

test('grouping changes no digit', () => {
  fc.assert(
    fc.property(fc.nat(), (n) => {
      expect(Number(grouped(n).replaceAll('\u00a0', ''))).toBe(n);
    }),
  );
});

test('places are told in words', () => {
  expect([
    placeInWords({ in: 'document', file: 'a.json', line: 2, column: 5 }),
    placeInWords({ in: 'document', file: 'a.json' }),
    placeInWords({ in: 'items', source: 'stock', item: 2, field: 'id' }),
    placeInWords({
      in: 'part',
      template: 'brief',
      part: 'price',
      property: 'text',
      from: 0,
      to: 1,
    }),
    placeInWords({ in: 'expression', from: 4, to: 5 }),
    placeInWords({ in: 'project', path: 'lists/shop' }),
  ]).toEqual([
    'a.json:2:5',
    'a.json',
    'stock, item 3, field "id"',
    'brief, price, text',
    'column 5',
    'lists/shop',
  ]);
});

describe('work in turns', () => {
  function* adding(n: number): Turns<number> {
    let sum = 0;
    for (let i = 1; i <= n; i += 1) {
      sum += i;
      yield i / n;
    }
    return sum;
  }

  test('gives the same at once and in turns, with a pause after each', async () => {
    let pauses = 0;
    const shares: number[] = [];
    const pause = async () => {
      pauses += 1;
    };
    expect(await inTurns(adding(4), pause, (share) => shares.push(share))).toBe(atOnce(adding(4)));
    expect([pauses, shares]).toEqual([4, [0.25, 0.5, 0.75, 1]]);
  });

  test('ends where a pause is refused', async () => {
    await expect(inTurns(adding(4), () => Promise.reject(new Error('enough')))).rejects.toThrow(
      'enough',
    );
  });
});
