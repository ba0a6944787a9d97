import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { addProperty, become, dropFile, expect, openDemo, saved, stations, test } from './support';

/** The rules of WCAG 2.2 AA that look at colours. */
const colourRules = ['color-contrast', 'link-in-text-block'];

/** What axe finds, a line each. In the dark, of what colours can change: all else is as in the light. */
async function faults(page: Page): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  const isDark = await page.evaluate(() => matchMedia('(prefers-color-scheme: dark)').matches);
  const { violations } = await (isDark ? axe.withRules(colourRules) : axe).analyze();
  return violations.flatMap(({ id, nodes }) =>
    nodes.map((node) => `${id}: ${node.html.slice(0, 160)} ${node.any[0]?.message ?? ''}`),
  );
}

for (const scheme of ['light', 'dark'] as const) {
  test.describe(scheme, () => {
    test.use({ colorScheme: scheme });

    test('axe finds nothing on the start page and in help', async ({ page }) => {
      await page.goto('/');
      await expect(page.locator('.yc-row').first()).toBeVisible();
      expect(await faults(page)).toEqual([]);
      for (const address of [
        '/docs',
        '/docs/data',
        '/docs/bindings',
        '/docs/expressions',
        '/docs/formats',
        '/docs/files',
      ]) {
        await page.goto(address);
        expect(await faults(page)).toEqual([]);
      }
    });

    test('axe finds nothing in the stations', async ({ page }) => {
      await openDemo(page, 'data');
      await saved(page);
      for (const station of stations) {
        await page.locator(`nav a[href*="/${station}"]`).click();
        await expect(page).toHaveURL(new RegExp(`/${station}`));
        await expect(page.locator('main h1')).toBeAttached();
        if (station === 'hand-off')
          await expect(page.getByRole('region', { name: 'The file' })).toContainText('yarncard');
        expect([station, ...(await faults(page))]).toEqual([station]);
      }
    });
  });
}

for (const scheme of ['light', 'dark'] as const) {
  test.describe(scheme, () => {
    test.use({ colorScheme: scheme });

    test('axe finds nothing in by example, stand-ins and links', async ({ page }) => {
      await openDemo(page);
      await addProperty(page, 'link');
      await page
        .getByRole('button', { name: /^What stands in/ })
        .first()
        .click();
      await page.getByRole('menuitem', { name: 'another value' }).click();
      await expect(page.getByRole('textbox', { name: 'Value if missing' })).toBeVisible();
      await saved(page);
      expect(await faults(page)).toEqual([]);
      await page.getByRole('button', { name: 'by example' }).click();
      await page.getByLabel(/^Words for/).fill('€14.50 · 12 skeins · shelf 23');
      await expect(page.getByRole('list', { name: 'Proposals' })).toContainText('format(price');
      expect(await faults(page)).toEqual([]);
    });

    test('axe finds nothing in the panels of Data', async ({ page }) => {
      await page.goto('/p/thrumwick/data?field=starts');
      await expect(page.locator('.yc-sizer > .yc-row').first()).toBeVisible();
      await saved(page);
      const field = page.getByRole('region', { name: 'Field starts' });
      await field.getByRole('button', { name: 'Read it as …' }).click();
      await expect(field.getByLabel('Date pattern')).toBeVisible();
      expect(await faults(page)).toEqual([]);
      await dropFile(page, 'more.json', '[{"name":"Lace"},{"name":"Sock"}]');
      await expect(page.getByRole('region', { name: 'What becomes of it' })).toBeVisible();
      expect(await faults(page)).toEqual([]);
      await become(page, 'Import again into stock');
      const doubt = page.getByRole('region', { name: 'Whether the import is meant' });
      await expect(doubt).toBeVisible();
      expect(await faults(page)).toEqual([]);
      await doubt.getByRole('button', { name: /^Replace all/ }).click();
      await expect(page.getByRole('region', { name: 'What the import changed' })).toBeVisible();
      await page.getByRole('button', { name: 'Make items' }).click();
      expect(await faults(page)).toEqual([]);
      await page.goto('/p/thrumwick/data?panel=pictures');
      await expect(page.getByRole('region', { name: 'Pictures', exact: true })).toBeVisible();
      expect(await faults(page)).toEqual([]);
    });
  });
}

test('every page and script comes with a policy that allows no code from text and no inline script', async ({
  page,
  request,
}) => {
  const scripts: string[] = [];
  page.on('response', (response) => {
    if (response.url().includes('/_astro/')) scripts.push(response.url());
  });
  const policyOf = async (address: string): Promise<string> => {
    const answer = await request.get(address);
    const meta = /http-equiv="content-security-policy" content="([^"]*)"/i.exec(
      await answer.text(),
    )?.[1];
    return answer.headers()['content-security-policy'] ?? meta ?? '';
  };
  await openDemo(page);
  for (const address of [
    '/',
    '/docs',
    '/p/thrumwick/data',
    ...scripts.filter((url) => url.endsWith('.js')),
  ]) {
    const policy = await policyOf(address);
    expect(policy, address).toContain("default-src 'self'");
    expect(policy, address).not.toMatch(/unsafe-eval'(?<!wasm-unsafe-eval')|unsafe-inline/);
  }
  expect(scripts.some((url) => url.includes('worker'))).toBe(true);
});

test('nothing is asked of anybody else', async ({ page }) => {
  const elsewhere: string[] = [];
  page.on('request', (request) => {
    if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(request.url())) elsewhere.push(request.url());
  });
  await openDemo(page);
  await page.goto('/');
  await expect(page.locator('.yc-row').first()).toBeVisible();
  expect(elsewhere).toEqual([]);
});
