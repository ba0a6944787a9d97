import { describe, expect, test } from 'vitest';
import { serving } from '../../../tests/support/server';
import type { Paging } from '../../core/items';
import { fetchPages } from './fetch-pages';

const asked: string[] = [];

/** Three pages of a list, each of which names the next in its header and in its text. */
async function pagesServed(): Promise<string> {
  asked.length = 0;
  return serving((request, response) => {
    asked.push(request.url ?? '');
    const page = Number(new URL(request.url ?? '', 'http://x').searchParams.get('page') ?? '1');
    const next = page < 3 ? `/stock.json?page=${page + 1}` : null;
    if (next !== null) response.setHeader('link', `<${next}>; rel="next"`);
    response.setHeader('content-type', 'application/json');
    response.end(
      JSON.stringify({ items: [{ page }], next, mark: next === null ? null : page + 1 }),
    );
  });
}

async function fetchAll(address: string, paging: Paging | undefined) {
  const pages: unknown[] = [];
  const findings: unknown[] = [];
  for await (const page of fetchPages(address, paging, new AbortController().signal, () => {})) {
    if (!page.ok) return { pages, failed: page.error };
    pages.push(...JSON.parse(await page.value.file.text()).items);
    findings.push(...page.value.findings);
  }
  return { pages, findings };
}

describe('an address that answers page by page', () => {
  test.each<[string, Paging]>([
    ['by its Link header', {}],
    ['by an address in its text', { next: '$.next' }],
    ['by a mark in its text', { next: '$.mark', parameter: 'page' }],
  ])('is followed to its end %s', async (_, paging) => {
    const address = await pagesServed();
    const { pages } = await fetchAll(address, paging);
    expect(pages).toEqual([{ page: 1 }, { page: 2 }, { page: 3 }]);
    expect(asked).toEqual(['/stock.json', '/stock.json?page=2', '/stock.json?page=3']);
  });

  test('is asked once where nobody wants more, and said to have more', async () => {
    const { pages, findings } = await fetchAll(await pagesServed(), undefined);
    expect(pages).toHaveLength(1);
    expect(asked).toHaveLength(1);
    expect(findings).toMatchObject([{ code: 'address-has-pages', severity: 'warning' }]);
  });

  test('that leads round in circles is read once round', async () => {
    const address = await serving((request, response) => {
      const next = request.url === '/stock.json' ? '/b' : '/stock.json';
      response.end(JSON.stringify({ items: [request.url], next }));
    });
    expect((await fetchAll(address, { next: '$.next' })).pages).toEqual(['/stock.json', '/b']);
  });

  test('never leads to another server', async () => {
    const address = await serving((_, response) =>
      response.end('{"items":[1],"next":"https://elsewhere.example/steal"}'),
    );
    expect((await fetchAll(address, { next: '$.next' })).failed).toMatchObject({
      code: 'address-pages-elsewhere',
    });
  });

  test('that never ends is left after a thousand pages', async () => {
    let page = 0;
    const address = await serving((_, response) => {
      page += 1;
      response.end(JSON.stringify({ items: [], next: `/stock.json?page=${page}` }));
    });
    expect((await fetchAll(address, { next: '$.next' })).failed).toMatchObject({
      code: 'address-too-many-pages',
    });
    expect(page).toBeLessThan(1_100);
  });

  test('that fails in the middle is not taken for the whole', async () => {
    const address = await serving((request, response) =>
      request.url === '/stock.json'
        ? response.end('{"items":[1],"next":"/b"}')
        : response.writeHead(500).end(),
    );
    expect((await fetchAll(address, { next: '$.next' })).failed).toMatchObject({
      code: 'address-refused',
    });
  });
});
