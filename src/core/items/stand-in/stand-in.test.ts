import fc from 'fast-check';
import { expect, test } from 'vitest';
import { applyFeed } from '../feed';
import { itemsAfter, standInEvent, standInFails, standInItems } from './stand-in';

const standIn = fc.record({
  seed: fc.integer({ min: 0, max: 1_000 }),
  count: fc.integer({ min: 0, max: 80 }),
});

test('the same seed gives the same items and the same things that happen, each item once', () => {
  fc.assert(
    fc.property(standIn, fc.integer({ min: 0, max: 200 }), (of, events) => {
      const items = itemsAfter(of, events);
      expect(items).toEqual(itemsAfter(of, events));
      const ids = items.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
    }),
  );
});

test('who hears what happens, in however many parts, ends where the items are', () => {
  fc.assert(
    fc.property(
      standIn,
      fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 12 }),
      (of, parts) => {
        let items = standInItems(of);
        let heard = 0;
        for (const part of parts) {
          const now = items;
          const keys = {
            key: 'id',
            positionOf: (key: string) => now.findIndex(({ id }) => id === key),
          };
          const events = Array.from({ length: part }, (_, at) => standInEvent(of, heard + at + 1));
          items = applyFeed(items, keys, events).next.items;
          heard += part;
        }
        expect(items).toEqual(itemsAfter(of, heard));
      },
    ),
  );
});

test('about as many requests fail as are to', () => {
  const failed = Array.from({ length: 1_000 }, (_, at) => standInFails(3, at, 30)).filter(Boolean);
  expect(failed.length).toBeGreaterThan(250);
  expect(failed.length).toBeLessThan(350);
  expect(standInFails(3, 1, 0)).toBe(false);
});
