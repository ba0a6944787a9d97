import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { become, dropFile, expect, openDemo, rowsOf, saved, test } from './support';

const beside = (page: Page) => page.getByRole('region', { name: 'Window beside' });

const rowsIn = (page: Page, label: string, max = 8) =>
  rowsOf(page, max, `section[aria-label="${label}"]`);

const rowsBeside = (page: Page, max?: number) => rowsIn(page, 'Rows beside', max);

/** The position of the row that stands at the top of a window. */
const atTop = (page: Page, label: string) =>
  page.locator(`section[aria-label="${label}"]`).evaluate((host) => {
    const edge = host.getBoundingClientRect().top;
    const rows = [...host.querySelectorAll('.yc-row:not(.yc-spare)')];
    return rows
      .map((row) => ({ at: row.getAttribute('aria-posinset'), box: row.getBoundingClientRect() }))
      .find(({ box }) => box.top <= edge + 1 && box.bottom > edge + 1)?.at;
  });

/** Whether both windows have moved from the start, to the same row. */
const areTogether = async (page: Page) => {
  const [first, second] = [await atTop(page, 'Rows'), await atTop(page, 'Rows beside')];
  return first !== '1' && first === second;
};

test('a second window has settings of its own, follows every edit, and goes by key', async ({
  page,
}) => {
  await openDemo(page, 'templates');
  await page.getByRole('button', { name: 'Locale: en-GB' }).click();
  await page.getByRole('menuitem', { name: 'add de ' }).click();
  await page.getByRole('button', { name: 'Locale: de' }).click();
  await page.getByRole('menuitem', { name: 'en-GB' }).click();
  await page.getByRole('button', { name: 'Beside' }).click();
  await expect(beside(page)).toBeVisible();
  await page.getByRole('button', { name: 'Locale beside' }).click();
  await page.getByRole('menuitem', { name: 'de', exact: true }).click();
  await expect.poll(async () => (await rowsBeside(page))[0]?.at(-2)).toMatch(/14,50/);
  expect((await rowsIn(page, 'Rows'))[0]?.at(-2)).toMatch(/14\.50/);

  await page.getByRole('button', { name: 'fixed words', exact: true }).click();
  await page.getByLabel('Fixed text').fill('Yarn of the day');
  await expect.poll(async () => (await rowsBeside(page))[0]?.[0]).toBe('Yarn of the day');
  await page.keyboard.press('Tab');
  const undo = page.getByRole('button', { name: /^Undo/ });
  await undo.click();
  await undo.click();
  await expect.poll(async () => (await rowsBeside(page))[0]?.[0]).toBe('Merino lace, undyed');

  await page.getByRole('region', { name: 'Rows', exact: true }).hover();
  await page.mouse.wheel(0, 1_500);
  await expect.poll(() => areTogether(page)).toBe(true);
  expect(await atTop(page, 'Rows')).not.toBe('1');
  const before = await atTop(page, 'Rows');
  await page.getByRole('region', { name: 'Rows beside' }).hover();
  await page.mouse.wheel(0, -700);
  await expect.poll(() => atTop(page, 'Rows')).not.toBe(before);
  await expect.poll(() => areTogether(page)).toBe(true);

  await page.getByRole('button', { name: 'Close the window beside' }).click();
  await expect(beside(page)).toBeHidden();
  await saved(page);
});

test('what is brought while two windows are open stands in both', async ({ page }) => {
  await openDemo(page, 'list');
  await saved(page);
  await page.getByRole('button', { name: 'Beside' }).click();
  await expect.poll(async () => (await rowsBeside(page))[0]?.[0]).toBe('Merino lace, undyed');
  await dropFile(page, 'oars.json', '[{"id":"1","name":"Ash oar"},{"id":"2","name":"Fir oar"}]');
  await become(page, /new project/i);
  await expect.poll(() => rowsIn(page, 'Rows')).toEqual([['Ash oar'], ['Fir oar']]);
  await expect.poll(() => rowsBeside(page)).toEqual([['Ash oar'], ['Fir oar']]);
});

test('both windows show all of 100,000 items, each with few rows', async ({ page }) => {
  await page.goto('/');
  const oars = Array.from({ length: 100_000 }, (_, at) => ({ id: `o-${at}`, name: `Oar ${at}` }));
  await dropFile(page, 'oars.json', JSON.stringify(oars));
  await saved(page);
  await page.getByRole('button', { name: 'Beside' }).click();
  await expect.poll(async () => (await rowsBeside(page))[0]?.[0]).toBe('Oar 0');
  await page.getByRole('button', { name: 'last', exact: true }).click();
  await expect.poll(() => atTop(page, 'Rows')).not.toBe('1');
  await expect.poll(async () => (await rowsBeside(page, 60)).at(-1)?.[0]).toBe('Oar 99999');
  expect(await page.locator('section[aria-label="Rows beside"] .yc-row').count()).toBeLessThan(60);
});

test('the second window may show another set, goes by key there, and comes back on reload', async ({
  page,
}) => {
  const file = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
  const [merino] = file.items[0].items;
  file.sources[0].sets = [{ id: 'later', name: 'later' }];
  const later = [
    { ...merino, id: 'sk-0419', name: 'Shetland, mended' },
    { ...merino, id: 'sk-9999', name: 'Not yet spun' },
  ];
  file.items.push({ source: 'stock', set: 'later', items: later });
  await page.goto('/');
  await dropFile(page, 'shop.yarncard.json', JSON.stringify(file));
  await saved(page);
  await page.getByRole('button', { name: 'Beside' }).click();
  await page.getByRole('button', { name: /^Set beside/ }).click();
  await page.getByRole('menuitem', { name: 'later', exact: true }).click();
  const names = async (rows: Promise<string[][]>) => (await rows).map(([name]) => name);
  const mended = ['Shetland, mended', 'Not yet spun'];
  await expect.poll(() => names(rowsBeside(page))).toEqual(mended);
  expect((await names(rowsIn(page, 'Rows')))[0]).toBe('Merino lace, undyed');

  const second = page.getByRole('region', { name: 'Rows beside' });
  await second.getByText('Shetland, mended').click();
  await expect(page.getByRole('contentinfo')).toContainText('Handspun Shetland and silk');
  await expect(second.locator('.yc-at-hand:not(.yc-spare)')).toContainText('Shetland, mended');
  await second.getByText('Not yet spun').click();
  await expect(page.locator("[data-finding='not-in-first-window']")).toContainText('“sk-9999”');
  await expect(page.getByRole('contentinfo')).toContainText('Handspun Shetland and silk');

  await page.getByRole('button', { name: /^Scheme beside/ }).click();
  await page.getByRole('menuitem', { name: 'light' }).click();
  await page.reload();
  await expect.poll(() => names(rowsBeside(page))).toEqual(mended);
  await expect(page.getByRole('button', { name: /^Scheme beside/ })).toHaveText('light');
});

test('an address that names what is not there shows the usual', async ({ page }) => {
  await page.goto(
    '/p/thrumwick/templates?device=__proto__&locale=%25%25&beside=constructor&beside-locale=no!locale&beside-list=__proto__&beside-set=__proto__',
  );
  await expect.poll(async () => (await rowsIn(page, 'Rows'))[0]?.[0]).toBe('Merino lace, undyed');
  await expect.poll(async () => (await rowsBeside(page))[0]?.[0]).toBe('Merino lace, undyed');
  await expect(page.getByRole('button', { name: /^Locale beside/ })).toHaveText('en-GB');
});

test('text size, direction and any width are settings of a window, and stand in its address', async ({
  page,
}) => {
  await openDemo(page, 'templates');
  const list = page.getByRole('region', { name: 'Rows', exact: true });
  const row = list.locator('.yc-row:not(.yc-spare)').first();
  const heightOf = () => row.evaluate((element) => element.getBoundingClientRect().height);
  expect(await heightOf()).toBe(60);
  await page.getByRole('button', { name: /^Text: / }).click();
  await page.getByRole('menuitem', { name: '200 %' }).click();
  // Lines of 40 and 32 px with a gap of 2, and paddings of 10.
  await expect.poll(heightOf).toBe(94);

  const isPictureAtStart = () =>
    row.evaluate((element) => {
      const [picture, words] = [...element.children].map((each) => each.getBoundingClientRect().x);
      return (picture ?? 0) < (words ?? 0);
    });
  expect(await isPictureAtStart()).toBe(true);
  await page.getByRole('button', { name: /^Text: / }).click();
  await page.getByRole('menuitem', { name: 'rows from right to left' }).click();
  await expect.poll(isPictureAtStart).toBe(false);

  const edge = page.getByRole('separator', { name: 'Width of the device', exact: true });
  await edge.focus();
  for (let at = 0; at < 3; at += 1) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowLeft');
  const widthOf = () => list.evaluate((element) => element.clientWidth);
  await expect.poll(widthOf).toBe(389);
  await saved(page);
  await page.reload();
  await expect.poll(heightOf).toBe(94);
  await expect.poll(widthOf).toBe(389);
  expect(await isPictureAtStart()).toBe(false);
  expect(new URL(page.url()).search).toBe('?device=phone-389x740&text-size=200&direction=rtl');
});
