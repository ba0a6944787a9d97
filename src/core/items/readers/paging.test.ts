import { describe, expect, test } from 'vitest';
import { nextPage, proposePaging } from './paging';

const page = 'https://wool.example/api/yarns?page=1';

describe('what comes after a page', () => {
  test.each([
    [{ items: [], next: '/api/yarns?page=2' }, { next: '$.next' }],
    [{ data: [], links: { next: { href: '?page=2' } } }, { next: '$.links.next' }],
    [
      { data: [], meta: { next_cursor: 'b7' } },
      { next: '$.meta.next_cursor', parameter: 'next_cursor' },
    ],
    [
      { items: [], nextPage: 2 },
      { next: '$.nextPage', parameter: 'nextPage' },
    ],
  ])('is found in %j', (root, paging) => {
    expect(proposePaging(root)).toEqual(paging);
  });

  test.each([[[{ next: '/x' }]], [{ items: [], next: null }], [{ items: [], next: '' }], ['next']])(
    'is nothing in %j',
    (root) => {
      expect(proposePaging(root)).toBeUndefined();
    },
  );

  test('is an address, seen from the page, or a mark for a parameter', async () => {
    const root = { next: '?page=2', cursor: 'b 7' };
    expect(await nextPage(page, root, { next: '$.next' })).toBe(
      'https://wool.example/api/yarns?page=2',
    );
    expect(await nextPage(page, root, { next: '$.cursor', parameter: 'from' })).toBe(
      'https://wool.example/api/yarns?page=1&from=b+7',
    );
    expect(await nextPage(page, { next: null }, { next: '$.next' })).toBeUndefined();
    expect(await nextPage(page, root, { next: 'not a path' })).toBeUndefined();
  });
});
