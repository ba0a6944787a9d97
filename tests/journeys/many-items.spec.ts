import { dropFile, expect, insertPart, rowsOf, test } from './support';

const count = 100_000;

test('100,000 items: all in the window, few rows in the page, every row right', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const items = Array.from({ length: count }, (_, i) => ({
    id: i,
    kind: i % 3 === 0 ? 'tool' : 'skein',
    name: `Merino ${i}`,
    ...(i % 3 === 0 ? { material: 'ash' } : { grams: i % 200 }),
  }));
  await page.goto('/');
  await page.getByLabel('A file of items or a project').setInputFiles({
    name: 'many.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ rows: items })),
  });
  await expect(page.getByRole('contentinfo')).toContainText('100\u00a0000 entries', {
    timeout: 60_000,
  });
  await page.getByRole('link', { name: 'Templates' }).click();
  await page.getByRole('button', { name: 'skein plain' }).click();
  await insertPart(page, 'label', 'under title');

  const list = page.getByRole('region', { name: 'Rows' });
  const max = await list.evaluate(async (host) => {
    let max = 0;
    const rows = () => host.querySelectorAll('.yc-row').length;
    for (let step = 0; step <= 60; step += 1) {
      host.scrollTop = (host.scrollHeight * step) / 60;
      await new Promise((resolve) => setTimeout(resolve, 20));
      max = Math.max(max, rows());
    }
    return max;
  });
  const visible = await list.evaluate((host) => Math.ceil(host.clientHeight / 40) + 1);
  const overscan = 400 / 40;
  expect(max).toBeLessThanOrEqual(visible + 2 * overscan + 2 * 2);

  for (const share of [1, 0.7, 0.31, 0.5001, 0]) {
    await list.evaluate((host, to) => {
      host.scrollTop = host.scrollHeight * to;
    }, share);
    await expect
      .poll(() =>
        list.evaluate((host) => {
          const box = host.getBoundingClientRect();
          const seen = [...host.querySelectorAll('.yc-row:not(.yc-spare)')].filter((row) => {
            const { top, bottom } = row.getBoundingClientRect();
            return bottom > box.top && top < box.bottom;
          });
          const isRight = seen.every((row) => {
            const at = Number(row.getAttribute('aria-posinset')) - 1;
            const words = [...row.querySelectorAll('.yc-label')].map((label) => label.textContent);
            const expected = at % 3 === 0 ? [`Merino ${at}`] : [`Merino ${at}`, String(at % 200)];
            return JSON.stringify(words) === JSON.stringify(expected);
          });
          const height = seen.reduce((sum, row) => sum + row.getBoundingClientRect().height, 0);
          return isRight && height >= box.height - 1;
        }),
      )
      .toBe(true);
  }
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Merino 0']]);

  // Two who ask for the ends of the same values, over all items, both get them.
  await page.getByRole('button', { name: 'grams share' }).click();
  await page.getByRole('button', { name: 'Format: as it is' }).click();
  await page.getByRole('menuitem', { name: /^new: number/ }).click();
  await expect(page.getByRole('button', { name: 'largest 199' })).toBeVisible();
  await expect(page.getByLabel('Samples of the format')).toContainText('199');
  await page.getByRole('button', { name: 'largest 199' }).click();
  await expect(page.getByText('item 200 of')).toBeVisible();
});

test('the worker answers while it reads', async ({ page }) => {
  await page.goto('/p/thrumwick/templates');
  await expect(page.locator('.yc-sizer > .yc-row').first()).toBeVisible();
  const rows = Array.from({ length: 150_000 }, (_, i) => ({
    id: i,
    name: `Merino lace number ${i}`,
    note: 'x'.repeat(80),
  }));
  await page.goto('/');
  await page.getByLabel('A file of items or a project').setInputFiles({
    name: 'large.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(rows)),
  });
  await expect(page.getByRole('main')).toContainText('large.json');
  await page.locator('.yc-sizer > .yc-row[aria-posinset="4"]').click();
  const bar = page.getByRole('contentinfo');
  await expect(bar).toContainText('item 4 of');
  // The whole does not take the item away that was chosen among the first.
  await expect(bar).toContainText('item 4 of 150\u00a0000', { timeout: 30_000 });
});

test('reading can be cancelled', async ({ page }) => {
  await page.goto('/');
  const rows = Array.from({ length: 300_000 }, (_, i) => ({
    id: i,
    name: `Merino lace number ${i}`,
    note: 'x'.repeat(80),
  }));
  await page.getByLabel('A file of items or a project').setInputFiles({
    name: 'huge.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(rows)),
  });
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('alert')).toContainText('Reading huge.json was cancelled');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Start with your items');
});

test('a table of more rows than an element can be high scrolls row by row, to both ends', async ({
  page,
}) => {
  await page.goto('/');
  const lines = Array.from({ length: 400_000 }, (_, at) => `o-${at},Oar ${at}`);
  await dropFile(page, 'oars.csv', `id,name\n${lines.join('\n')}`);
  await expect(page.getByRole('contentinfo')).toContainText('400\u00a0000 entries');
  const table = page.getByRole('region', { name: 'Items' });
  const top = () =>
    table.evaluate((host) => {
      const edge = host.querySelector('thead')?.getBoundingClientRect().bottom ?? 0;
      const rows = [...host.querySelectorAll('tbody tr[aria-rowindex]')];
      const first = rows.find((row) => row.getBoundingClientRect().bottom > edge + 1);
      return Number(first?.getAttribute('aria-rowindex')) - 2;
    });
  await expect.poll(top).toBe(0);
  await table.hover();
  await page.mouse.wheel(0, 520);
  await expect.poll(top).toBe(20);
  await table.evaluate((host) => {
    host.scrollTop = host.scrollHeight / 2;
  });
  await expect.poll(top).toBeGreaterThan(190_000);
  const middle = await top();
  await page.mouse.wheel(0, 520);
  await expect.poll(top).toBe(middle + 20);
  await table.evaluate((host) => {
    host.scrollTop = host.scrollHeight;
  });
  await expect(table.getByRole('gridcell', { name: 'Oar 399999' })).toBeInViewport();
});
