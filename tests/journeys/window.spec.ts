import type { Page } from '@playwright/test';
import { expect, openDemo, test } from './support';

const rows = (page: Page) => page.locator('.yc-sizer > .yc-row:not(.yc-spare)');
const firstHeight = (page: Page): Promise<number> =>
  rows(page).evaluateAll((all) => {
    const tops = all.map((row) => row.getBoundingClientRect());
    return tops.toSorted((one, other) => one.top - other.top)[0]?.height ?? 0;
  });

test('rows have as much space as the window says; the address keeps it', async ({ page }) => {
  await openDemo(page, 'list');
  const usual = await firstHeight(page);
  await page.getByRole('button', { name: /^Text/ }).click();
  await page.getByRole('menuitem', { name: /^space compact/ }).click();
  await expect.poll(() => firstHeight(page)).toBeLessThan(usual);
  const compact = await firstHeight(page);
  await expect(page).toHaveURL(/density=compact/);
  await page.reload();
  await expect.poll(() => firstHeight(page)).toBe(compact);
  await page.getByRole('button', { name: /^Text/ }).click();
  await page.getByRole('menuitem', { name: /^space roomy/ }).click();
  await expect.poll(() => firstHeight(page)).toBeGreaterThan(usual);
  await page.getByRole('button', { name: /^Text/ }).click();
  await page.getByRole('menuitem', { name: /^space as templates say/ }).click();
  await expect.poll(() => firstHeight(page)).toBe(usual);
});

test('what the device keeps for itself: the last row and a bar come to rest above it', async ({
  page,
}) => {
  await openDemo(page, 'list', 'safe-areas=seen');
  const list = page.locator('.yc-list');
  const atEnd = () =>
    list.evaluate((box) => {
      box.scrollTop = box.scrollHeight;
      const last = [...box.querySelectorAll('.yc-sizer > .yc-row:not(.yc-spare)')].map(
        (row) => row.getBoundingClientRect().bottom,
      );
      return Math.round(box.getBoundingClientRect().bottom - Math.max(...last));
    });
  await expect.poll(atEnd).toBe(28);
  await page.getByRole('button', { name: '+ bar below' }).click();
  await page.getByRole('button', { name: 'Template of the below' }).click();
  await page.getByRole('menuitem', { name: /^A new one/ }).click();
  const bar = page.locator('.yc-bar-below');
  const ground = () => bar.evaluate((each) => getComputedStyle(each).backgroundColor);
  const room = () =>
    bar.evaluate((each) => {
      const row = each.querySelector('.yc-row')?.getBoundingClientRect();
      return Math.round(each.getBoundingClientRect().bottom - (row?.bottom ?? 0));
    });
  await expect.poll(room).toBe(28);
  await page.getByRole('button', { name: /^Device/ }).click();
  await page.getByRole('menuitem', { name: /^safe areas/ }).click();
  await expect.poll(room).toBe(0);
  await expect.poll(ground).not.toBe('');
});

test('a device of any height, by key and by dragging; touch or pointer as its family has it', async ({
  page,
}) => {
  await openDemo(page, 'list');
  const edge = page.getByRole('separator', { name: 'Height of the device' });
  await edge.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect(edge).toHaveAttribute('aria-valuenow', '730');
  await edge.scrollIntoViewIfNeeded();
  const at = await edge.boundingBox();
  await page.mouse.move((at?.x ?? 0) + 50, (at?.y ?? 0) + 3);
  await page.mouse.down();
  await page.mouse.move((at?.x ?? 0) + 50, (at?.y ?? 0) - 197, { steps: 5 });
  await page.mouse.up();
  const frame = page.locator('[data-hands]');
  const height = await frame.evaluate((each) => each.clientHeight);
  await expect(edge).toHaveAttribute('aria-valuenow', /^[345]\d\d$/);
  expect(Math.abs(height - Number(await edge.getAttribute('aria-valuenow')))).toBeLessThan(3);
  await expect(page).toHaveURL(/device=phone-360x\d{3}/);
  await expect(frame).toHaveAttribute('data-hands', 'touch');
  await page.getByRole('button', { name: /^Device/ }).click();
  await page.getByRole('menuitem', { name: /^side of a desktop/ }).click();
  await expect(frame).toHaveAttribute('data-hands', 'pointer');
  await page.getByRole('button', { name: /^Device/ }).click();
  await page.getByRole('menuitem', { name: 'by touch' }).click();
  await expect(frame).toHaveAttribute('data-hands', 'touch');
  await page.reload();
  await expect(page.locator('[data-hands]')).toHaveAttribute('data-hands', 'touch');
});
