import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { applyFeed, type FeedEvent } from './feed';
import type { Item } from './item';
import { KeyTable } from './succession/key-table';

const shelf = [
  { id: 'a', name: 'Lace' },
  { id: 'b', name: 'Sock' },
  { id: 3, name: 'Slub' },
  { name: 'No number yet' },
];

const keysOf = (items: readonly Item[], key: string | null) => {
  const table = KeyTable.of(items, key, 'shelf');
  return { key, positionOf: (own: string) => table.positionOf(own) };
};

const event = (name: string, value: unknown): FeedEvent => ({ name, data: JSON.stringify(value) });
const names = (events: readonly FeedEvent[], key: string | null = 'id') =>
  applyFeed(shelf, keysOf(shelf, key), events).next.items.map((item) => item['name']);

describe('events of a feed', () => {
  test('bring items, which take the place of those with their keys', () => {
    expect(names([event('message', { id: 'b', name: 'Sock yarn' })])).toEqual([
      'Lace',
      'Sock yarn',
      'Slub',
      'No number yet',
    ]);
    expect(names([event('added', [{ id: 'd', name: 'Cobweb' }])]).at(-1)).toBe('Cobweb');
  });

  test('remove by key or by item, and leave the rest', () => {
    expect(names([event('removed', ['a', 3])])).toEqual(['Sock', 'No number yet']);
    expect(names([event('removed', { id: 'b', name: 'as it was' })])).toHaveLength(3);
  });

  test('move an item to a position', () => {
    expect(names([event('moved', { key: 3, at: 0 })])[0]).toBe('Slub');
    expect(names([event('moved', { key: 'a', at: 99 })]).at(-1)).toBe('Lace');
  });

  test('that say nothing about these items are counted and do nothing', () => {
    const events = [
      { name: 'added', data: 'not JSON' },
      event('removed', 'nobody'),
      event('moved', { key: 'a' }),
      event('moved', 'a'),
    ];
    expect(applyFeed(shelf, keysOf(shelf, 'id'), events)).toMatchObject({
      next: { items: shelf },
      ignoredCount: 4,
    });
  });

  test('without a key can only add', () => {
    const events = [event('removed', 'a'), event('changed', { id: 'a', name: 'Lace again' })];
    const applied = applyFeed(shelf, keysOf(shelf, null), events);
    expect(applied).toMatchObject({ addedCount: 1, removedCount: 0, ignoredCount: 1 });
    expect(applied.next.items).toHaveLength(5);
  });

  test('never lose an item that they do not name, whatever its key', () => {
    const key = fc.constantFrom('a', 'b', '0', '1', '#1', '__proto__', 0, 1, null, '');
    const item = fc.record({ id: key, name: fc.string() });
    const change = fc.oneof(
      fc.tuple(fc.constantFrom('added', 'changed', 'message'), item),
      fc.tuple(fc.constant('removed'), key),
      fc.tuple(fc.constant('moved'), fc.record({ key, at: fc.integer({ min: -2, max: 9 }) })),
    );
    fc.assert(
      fc.property(fc.array(item), fc.array(change, { maxLength: 30 }), (items, changes) => {
        const events = changes.map(([name, value]) => event(name, value));
        const applied = applyFeed(items, keysOf(items, 'id'), events);
        expect(applied.next.items).toHaveLength(
          items.length + applied.addedCount - applied.removedCount,
        );
        const named = new Set(
          changes.flatMap(([name, value]) =>
            name === 'removed'
              ? [String(value)]
              : name === 'moved'
                ? []
                : [String((value as { id: unknown }).id)],
          ),
        );
        for (const each of items)
          if (!named.has(String(each.id))) expect(applied.next.items).toContain(each);
      }),
    );
  });
});
