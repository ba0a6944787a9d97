import type { Page } from '@playwright/test';
import { demoLocales, demoLooks, wordsOfList } from '../support/demo-words';
import { expect, test } from './support';

/** The words of the entries that are in the page now, each with its place among all of the list. */
const entriesNow = (page: Page): Promise<readonly (readonly [number, string])[]> =>
  page.locator('.yc-list').evaluate((host) => {
    const own = (entry: Element) => Number(entry.getAttribute('aria-posinset'));
    // In a section places count from its heading on, in a strip from its first cell on.
    const placeOf = (entry: Element): number => {
      const group = entry.id === '' ? null : host.querySelector(`[aria-owns~="${entry.id}"]`);
      const heading = group?.closest('.yc-track');
      return own(entry) + (heading ? own(heading) : 0);
    };
    return [...host.querySelectorAll('[aria-posinset]:not(.yc-strip-line)')]
      .filter((entry) => entry.closest('.yc-spare') === null)
      .map((entry) => {
        const named = [...entry.querySelectorAll('[aria-label], [alt]')].map(
          (each) => each.getAttribute('aria-label') ?? each.getAttribute('alt'),
        );
        const strip = entry.closest('.yc-strip-line');
        const place = strip === null ? placeOf(entry) : placeOf(strip) + own(entry) - 1;
        return [place, [entry.textContent, ...named].join(' ')] as const;
      });
  });

/** What each entry of the list in the window shows, by its place, all of it scrolled through. */
async function entriesSeen(page: Page): Promise<ReadonlyMap<number, string>> {
  const list = page.locator('.yc-list');
  const seen = new Map<number, string>();
  // Places are told at rest.
  const take = async () => {
    await page.waitForTimeout(240);
    for (const [at, text] of await entriesNow(page)) seen.set(at, text);
  };
  for (let top = 0, end = 1; top < end; top += 400) {
    end = await list.evaluate((host, to) => {
      host.scrollTop = to;
      return host.scrollHeight;
    }, top);
    await take();
  }
  const strips = page.locator('.yc-strip-line:not(.yc-spare) .yc-strip');
  for (const strip of await strips.all())
    for (let left = 0, end = 1; left < end; left += 300) {
      end = await strip.evaluate((box, to) => {
        const isRtl = getComputedStyle(box).direction === 'rtl';
        box.scrollLeft = isRtl ? -to : to;
        return box.scrollWidth;
      }, left);
      await take();
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
