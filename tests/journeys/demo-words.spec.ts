import type { Page } from '@playwright/test';
import { demoLocales, demoLooks, wordsOfList } from '../support/demo-words';
import { expect, test } from './support';

/** What each entry of the list in the window shows, by its place, all of it scrolled through. */
async function entriesSeen(page: Page): Promise<ReadonlyMap<number, string>> {
  const list = page.locator('.yc-list');
  const seen = new Map<number, string>();
  for (let top = 0, end = 1; top < end; top += 250) {
    end = await list.evaluate((host, to) => {
      host.scrollTop = to;
      return host.scrollHeight;
    }, top);
    await page.waitForTimeout(60);
    const some = await list.evaluate((host) =>
      [...host.querySelectorAll('[aria-posinset]')]
        .filter((entry) => entry.closest('.yc-spare') === null)
        .map((entry) => {
          const named = [...entry.querySelectorAll('[aria-label], [alt]')].map(
            (each) => each.getAttribute('aria-label') ?? each.getAttribute('alt'),
          );
          const said = [entry.textContent, ...named].join(' ');
          return [Number(entry.getAttribute('aria-posinset')), said] as const;
        }),
    );
    for (const [at, text] of some) seen.set(at, text);
  }
  return seen;
}

for (const [list, name] of [
  ['everything', 'Everything in the shop'],
  ['whole-shop', 'The whole shop'],
] as const)
  test(`the window shows of “${name}” in all looks and locales what the command line prints`, async ({
    page,
  }) => {
    test.slow();
    for (const look of demoLooks)
      for (const locale of demoLocales) {
        await page.goto(`/p/thrumwick/list?list=${list}&look=${look}&locale=${locale}`);
        const words = wordsOfList(look, locale, name);
        await expect(page.getByText(new RegExp(`· ${words.length} entries`))).toBeVisible();
        await expect(page.locator('.yc-list')).toHaveAttribute('lang', locale);
        await page.waitForTimeout(500);
        const seen = await entriesSeen(page);
        const unlike = words.flatMap((own, at) => {
          const text = seen.get(at + 1);
          const isSame = text !== undefined && own.every((word) => text.includes(word));
          return isSame ? [] : [{ look, locale, at, own, text }];
        });
        expect(unlike).toEqual([]);
        expect(seen.size).toBe(words.length);
      }
  });
