import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, openDemo, stations, test } from './support';

/** What stands past the edge of the page, in px. */
const cutOff = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

for (const [width, height] of [
  [640, 400],
  [768, 1_024],
  [1_024, 768],
] as const) {
  test.describe(`${width} × ${height}`, () => {
    test.use({ viewport: { width, height } });

    test('every pane is a press away, and nothing is cut off', async ({ page }) => {
      await page.goto('/');
      await expect(page.locator('.yc-row').first()).toBeVisible();
      expect(await cutOff(page)).toBeLessThanOrEqual(0);
      for (const station of stations) {
        await page.goto(`/p/thrumwick/${station}`);
        await expect(page.locator('main h1')).toBeAttached();
        expect(await cutOff(page)).toBeLessThanOrEqual(0);
        const panes = page.getByRole('navigation', { name: 'Panes' }).getByRole('button');
        if (width >= 1_000) {
          await expect(panes.first()).toBeHidden();
          continue;
        }
        for (const pane of await panes.all()) {
          await pane.focus();
          await page.keyboard.press('Enter');
          await expect(pane).toHaveAttribute('aria-pressed', 'true');
          expect(await cutOff(page)).toBeLessThanOrEqual(0);
        }
      }
    });
  });
}

test.describe('at 200 % of a small screen', () => {
  test.use({ viewport: { width: 640, height: 400 } });

  test('a row is grown: value, bench, part and the real list, each in its turn', async ({
    page,
  }) => {
    await page.goto('/p/thrumwick/templates?part=price');
    const pane = (name: string) =>
      page.getByRole('navigation', { name: 'Panes' }).getByRole('button', { name }).click();
    await expect(page.getByTestId('bench')).toBeVisible();
    await pane('Part');
    await page.getByRole('textbox', { name: 'Value of text' }).fill('name');
    await pane('Window');
    await expect(page.locator('.yc-sizer > .yc-row').first()).toBeVisible();
    await pane('Values');
    await expect(page.getByRole('region', { name: 'Values' })).toBeVisible();
    await expect(page.getByTestId('bench')).toBeHidden();
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map(({ id }) => id)).toEqual([]);
  });
});

test('stations are links: another tab can have one', async ({ page, context }) => {
  await openDemo(page);
  const opened = context.waitForEvent('page');
  await page.getByRole('link', { name: 'List' }).click({ modifiers: ['Control'] });
  const other = await opened;
  await expect(other).toHaveURL(/\/p\/thrumwick\/list/);
  await expect(page).toHaveURL(/\/templates/);
});

test('what can be done begins with what fits the place', async ({ page }) => {
  await openDemo(page, 'list');
  await page.keyboard.press('Control+k');
  const offers = page.getByRole('option');
  await expect(offers.first()).toContainText('Arrange as a list');
  await expect(offers.filter({ hasText: 'Find or do' })).toHaveCount(0);
  await expect(offers.filter({ hasText: 'Undo' })).toHaveCount(0);
});
