import type { Page } from '@playwright/test';
import { itemsAfter } from '../../src/core/items';
import { touch } from './fingers';
import { become, expect, openDemo, rowsOf, saved, test } from './support';

test.use({ isNoisy: true });

async function bringStandIn(page: Page): Promise<void> {
  await openDemo(page, 'data');
  await page.getByRole('button', { name: /^Find or do/ }).click();
  await page.getByPlaceholder('Words of an item, or something to do').fill('stand-in');
  await page.getByRole('option', { name: /^Bring items of the stand-in/ }).click();
  await become(page, /new project/i);
}

test('the stand-in service: brought by its name, its items change, fail and come back', async ({
  page,
}) => {
  await bringStandIn(page);
  const [first] = itemsAfter({ seed: 1, count: 60 }, 0);
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe(first?.['name']);
  await page.getByRole('link', { name: 'Data' }).click();
  const driver = page.getByRole('region', { name: 'Stand-in service' });
  await driver.getByRole('button', { name: 'ten a second' }).click();
  const followed = page.getByRole('region', { name: 'How the address is asked' });
  await expect(followed).toContainText(/[1-9]\d* changed/);
  await driver.getByRole('button', { name: 'all fail' }).click();
  await expect(followed.getByRole('status')).toContainText('answered 503');
  await driver.getByRole('button', { name: 'none fails' }).click();
  await expect(followed).toContainText(/[1-9]\d* changed/);
  await driver.getByRole('button', { name: 'Fail next' }).click();
  await expect(followed.getByRole('status')).toContainText('answered 503');
  await expect(followed).toContainText(/[1-9]\d* changed/);
  await driver.getByRole('button', { name: 'nothing happens' }).click();
  await expect(followed).toContainText('Fetched when you say so.');
});

const told = (page: Page) => page.getByRole('log', { name: 'Events told' }).locator('summary');

test('pages come as a list nears its end; pulled down, it begins anew; what fails is asked again', async ({
  page,
}) => {
  await bringStandIn(page);
  await page.getByRole('link', { name: 'Data' }).click();
  const driver = page.getByRole('region', { name: 'Stand-in service' });
  await driver.getByRole('button', { name: '20, more at the end' }).click();
  await expect(page.locator('footer')).toContainText(/[24]0 items/);
  await page.getByRole('link', { name: 'List' }).click();
  await page.getByRole('button', { name: /^reader/ }).click();
  await page.getByRole('checkbox', { name: /^pull the list down/ }).check();
  await page.getByRole('button', { name: 'Lives', exact: true }).click();
  const rows = page.locator('.yc-list');
  const toEnd = () =>
    rows.evaluate((list) => {
      list.scrollTop = list.scrollHeight;
    });
  await toEnd();
  await expect(told(page).first()).toContainText('these are all');
  await expect(page.locator('footer')).toContainText('60 items');
  await toEnd();
  await page.waitForTimeout(400);
  await expect(told(page)).toHaveCount(2);
  await rows.evaluate((list) => {
    list.scrollTop = 0;
  });
  const finger = touch(await page.context().newCDPSession(page));
  const box = await rows.boundingBox();
  if (box === null) throw new Error('there is no list');
  const pull = async (by: number) => {
    await finger.down(box.x + 80, box.y + 20);
    for (let step = 1; step <= 10; step += 1) await finger.move(box.x + 80, box.y + 20 + by * step);
    await finger.up();
  };
  await pull(4);
  await page.waitForTimeout(300);
  await expect(told(page)).toHaveCount(2);
  await page.route('**/api/stand-in/items?*offset=20*', (route) => route.fulfill({ status: 503 }), {
    times: 1,
  });
  await pull(20);
  await expect(told(page).filter({ hasText: '40 went' })).toHaveCount(1);
  await expect(page.locator('.yc-pull')).toHaveCount(0);
  await toEnd();
  await expect(told(page).filter({ hasText: 'asked again in 3 s' })).toHaveCount(1);
  await expect(told(page).first()).toContainText('20 items came');
  await expect(page.locator('footer')).toContainText(/[46]0 items/);
  // What was only opened asks nothing by itself.
  await saved(page);
  await page.reload();
  await rows.waitFor();
  const asked: string[] = [];
  page.on('request', (request) => {
    if (request.url().includes('/stand-in/')) asked.push(request.url());
  });
  await toEnd();
  await page.waitForTimeout(600);
  expect(asked).toEqual([]);
  await page.getByRole('button', { name: /^Find or do/ }).click();
  await page.getByPlaceholder('Words of an item, or something to do').fill('list anew');
  await page.getByRole('option', { name: /^Ask for the items of the list anew/ }).click();
  await expect.poll(() => asked.length).toBeGreaterThan(0);
  await expect(page.locator('footer')).toContainText(/[246]0 items/);
});
