import type { Page } from '@playwright/test';
import { dropFile, expect, openDemo, rowsOf, saved, test } from './support';

/** What the page says below the screen, by the code of its finding. */
const notice = (page: Page, code: string) => page.locator(`[role=alert][data-finding=${code}]`);

test('what was not done is said, and why', async ({ page }) => {
  await openDemo(page, 'data');
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder('Words of an item')).toBeFocused();
  await page.keyboard.type('nowhere-to-be-found');
  await page.getByText('Find the item with').click();
  await expect(notice(page, 'item-not-found')).toContainText('nowhere-to-be-found');

  const endless = `<svg xmlns="http://www.w3.org/2000/svg">${'<g/>'.repeat(100_001)}</svg>`;
  await dropFile(page, 'lamp.svg', endless);
  await expect(notice(page, 'picture-refused')).toContainText('lamp.svg');
});

test('a field with too many values tells no types apart', async ({ page }) => {
  await page.goto('/');
  const boats = Array.from({ length: 60 }, (_, at) => ({ id: `b-${at}`, name: `Boat ${at}` }));
  await dropFile(page, 'boats.json', JSON.stringify(boats));
  await saved(page);
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: /Tell types apart/ }).click();
  await page.getByRole('menuitem', { name: 'name', exact: true }).click();
  await expect(notice(page, 'too-many-types')).toContainText('60 values');
});

test('a part that is blank for some items is a finding that leads to it', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'oars.json', '[{"id":"1","name":"Ash"},{"id":"2"},{"id":"3","name":"Fir"}]');
  await expect.poll(() => rowsOf(page)).toHaveLength(3);
  await page.getByRole('button', { name: /finding/ }).click();
  await page.locator('[data-finding=part-blank]').click();
  await expect(page).toHaveURL(/templates/);
});

test.describe('what fails where nobody waits for it', () => {
  test.use({ isNoisy: true });
  test('is said', async ({ page }) => {
    await openDemo(page, 'list');
    await page.evaluate(() => void Promise.reject(new Error('a lamp went out')));
    await expect(notice(page, 'failed')).toContainText('a lamp went out');
  });
});

test('who looks on is told why nothing is edited, and who loses the project what was not kept', async ({
  page,
  context,
}) => {
  await openDemo(page, 'list');
  await saved(page);
  const second = await context.newPage();
  await second.goto('/p/thrumwick/list');
  await expect(second.locator('header [role=status]')).toHaveText('another tab writes it');
  await second.getByRole('button', { name: 'grid', exact: true }).click();
  await expect(notice(second, 'edit-refused')).toContainText('Another tab writes this project');

  await page.workers()[0]?.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await expect(page.locator('header [role=status]')).toHaveText('not saved');
  await second.getByRole('button', { name: 'Take over here' }).click();
  await expect(notice(page, 'taken-over')).toBeVisible();
});
