import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { placesOf, type SortColumn, sortedBy } from './sort';
import { placesOfTexts } from './text-order';

const locales = ['en', 'de', 'sv', 'cs', 'da', 'hu', 'th', 'ar', 'ja', 'es'];
const letters = 'aAbBzZäÄåÅøßéêçčñøıİ0123456789 -_\'".,شبגא東京かカ한🧶';
const word = fc.string({ unit: fc.constantFrom(...[...letters], 'ch', 'll', 'Dž'), maxLength: 6 });

describe('texts', () => {
  test('stand as the collator of the locale has them, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.array(word, { maxLength: 60 }),
        fc.constantFrom(...locales),
        (texts, locale) => {
          const { compare } = new Intl.Collator(locale, { numeric: true });
          const places = placesOfTexts(texts, compare);
          const ours = texts
            .map((_, at) => at)
            .sort((a, b) => (places[a] ?? 0) - (places[b] ?? 0) || a - b);
          const theirs = texts
            .map((_, at) => at)
            .sort((a, b) => compare(texts[a] ?? '', texts[b] ?? '') || a - b);
          expect(ours.map((at) => texts[at])).toEqual(theirs.map((at) => texts[at]));
        },
      ),
    );
  });

  test('of letters, digits and spaces do, too, also where two letters stand for one', () => {
    const plainWord = fc.string({
      unit: fc.constantFrom(...'acdhlznjgsyåöé 019AC', 'ch', 'aa', 'dzs'),
      maxLength: 5,
    });
    fc.assert(
      fc.property(
        fc.array(plainWord, { maxLength: 60 }),
        fc.constantFrom(...locales),
        (texts, locale) => {
          const { compare } = new Intl.Collator(locale, { numeric: true });
          const places = placesOfTexts(texts, compare);
          for (const [a, one] of texts.entries())
            for (const [b, other] of texts.entries())
              expect(Math.sign((places[a] ?? 0) - (places[b] ?? 0))).toBe(
                Math.sign(compare(one, other)),
              );
        },
      ),
    );
  });

  test('with long numbers and much that is alike before what tells them apart do, too', () => {
    const start = fc.constantFrom('', 'Skein ', 'élan ', 'a'.repeat(300), '0'.repeat(70));
    const digits = fc.string({ unit: fc.constantFrom(...'019'), maxLength: 12 });
    const end = fc.constantFrom('', ' b', 'é', 'E', '9'.repeat(70), '8'.repeat(71));
    const text = fc.tuple(start, digits, end).map((parts) => parts.join(''));
    fc.assert(
      fc.property(
        fc.array(text, { minLength: 30, maxLength: 90 }),
        fc.constantFrom(...locales),
        (texts, locale) => {
          const { compare } = new Intl.Collator(locale, { numeric: true });
          const places = placesOfTexts(texts, compare);
          const inOrder = texts
            .map((_, at) => at)
            .sort((a, b) => (places[a] ?? 0) - (places[b] ?? 0));
          for (const [at, own] of inOrder.entries()) {
            const before = inOrder[at - 1];
            if (before === undefined) continue;
            expect(Math.sign(compare(texts[before] ?? '', texts[own] ?? ''))).toBe(
              places[before] === places[own] ? 0 : -1,
            );
          }
        },
      ),
    );
  });

  test('that are many and few of them alike, or each there often, do, too', () => {
    const { compare } = new Intl.Collator('en', { numeric: true });
    for (const kinds of [7, 20_000]) {
      const texts = Array.from({ length: 20_000 }, (_, at) => `É ${(at * 7919) % kinds} skein`);
      const places = placesOfTexts(texts, compare);
      const numbers = texts.map((_, at) => (at * 7919) % kinds);
      expect([...places]).toEqual(numbers);
    }
  });

  test('that are far from the cheap order are in the true one, too', () => {
    const { compare } = new Intl.Collator('en');
    const backwards = (one: string, other: string) => compare(other, one);
    const texts = Array.from({ length: 300 }, (_, at) => `item ${(at * 7919) % 300}`);
    const places = placesOfTexts(texts, backwards);
    const sorted = [...texts].sort(backwards);
    expect(
      [...texts].sort((a, b) => (places[texts.indexOf(a)] ?? 0) - (places[texts.indexOf(b)] ?? 0)),
    ).toEqual(sorted);
  });
});

test('items are sorted by each key in turn, either way, those without a value first or last', () => {
  const value = fc.option(fc.constantFrom(-1.5, 0, 1, 2, 3, 1e9), { nil: undefined });
  const row = fc.tuple(value, value);
  const way = fc.record({ isDescending: fc.boolean(), isMissingFirst: fc.boolean() });
  const { compare } = new Intl.Collator('en');
  fc.assert(
    fc.property(fc.array(row, { maxLength: 40 }), way, way, (rows, first, second) => {
      const columnOf = (at: 0 | 1, own: typeof first): SortColumn => ({
        ...own,
        places: placesOf(
          rows.map((each) => each[at]),
          'other',
          compare,
        ),
      });
      const order = sortedBy(rows.length, [columnOf(0, first), columnOf(1, second)]);
      expect([...order].sort((a, b) => a - b)).toEqual(rows.map((_, at) => at));
      const isBefore = (a: number | undefined, b: number | undefined, own: typeof first) =>
        a === b
          ? undefined
          : a === undefined
            ? own.isMissingFirst
            : b === undefined
              ? !own.isMissingFirst
              : a < b !== own.isDescending;
      for (let at = 1; at < order.length; at += 1) {
        const [a, b] = [order[at - 1] ?? 0, order[at] ?? 0];
        const [one = [undefined, undefined], other = [undefined, undefined]] = [rows[a], rows[b]];
        const told =
          isBefore(one[0], other[0], first) ?? isBefore(one[1], other[1], second) ?? a < b;
        expect(told).toBe(true);
      }
    }),
  );
});

test('dates sort by when they are, durations by how long, yes after no, lists by how many they hold', () => {
  const { compare } = new Intl.Collator('en');
  const sorted = (
    values: Parameters<typeof placesOf>[0],
    kind: Parameters<typeof placesOf>[1] = 'other',
  ) => [
    ...sortedBy(values.length, [
      {
        places: placesOf(values, kind, compare),
        isDescending: false,
        isMissingFirst: false,
      },
    ]),
  ];
  expect(sorted(['2026-10-01', '2026-09-30', undefined], 'times')).toEqual([1, 0, 2]);
  expect(sorted(['PT10M', 'PT5M', 'P1D', 'PT90M'], 'durations')).toEqual([1, 0, 3, 2]);
  expect(sorted([true, undefined, false])).toEqual([2, 0, 1]);
  expect(sorted([[1, 2], [1], {}])).toEqual([1, 0, 2]);
});
