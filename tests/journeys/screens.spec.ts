import { become, dropFile, expect, openDemo, rowsOf, saved, test } from './support';

test('the threads: one for each value that a part reads, strong for the selected part', async ({
  page,
}) => {
  await openDemo(page);
  const threads = page.getByTestId('threads').locator('g');
  await expect(threads).toHaveCount(6);
  await page.getByRole('button', { name: 'maker-and-weight share' }).click();
  await expect(page.locator('[data-thread="maker-and-weight/text/maker.name"]')).toHaveAttribute(
    'opacity',
    '1',
  );
  await expect(page.locator('[data-thread="price/text/price"]')).toHaveAttribute('opacity', '0.45');
  // Each ends on its part.
  // The bench may still move when its row has come.
  await expect(async () => {
    const end = await page.locator('[data-thread="price/text/price"] circle').boundingBox();
    const part = await page.locator('.yc-bench [data-part=price]').boundingBox();
    expect(Math.abs((end?.y ?? 0) + 4 - (part?.y ?? 0))).toBeLessThan(6);
  }).toPass();
  // A value that nothing reads is visibly unused.
  await expect(page.locator('[data-thread-from="currency"]')).toHaveAttribute(
    'aria-label',
    'unused',
  );
  await expect(page.locator('[data-thread-from="price"]')).toHaveAttribute('aria-label', 'used');
});

test('the trace says why a value is missing, and what stands in', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'price fit' }).click();
  await page
    .locator('.yc-sizer > .yc-row', { hasText: 'Linen slub' })
    .locator('[data-part=price]')
    .click();
  const trace = page.getByRole('region', { name: 'Trace' });
  await expect(trace).toContainText('this item has no price');
  await expect(trace).toContainText('on request');
  await page.getByLabel('If missing').fill('ask us');
  await expect(trace).toContainText('ask us');
  await expect.poll(async () => (await rowsOf(page, 90)).flat()).toContain('ask us');
  await page.getByLabel('If missing').fill('');
  await expect(trace).toContainText('nothing shows');
  await expect(page.getByRole('region', { name: 'Shows' })).toContainText(
    '1 item has no value here',
  );
});

test('what is selected is in the address: back, forward and a shared link work', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'tool brief' }).click();
  await page.getByRole('link', { name: 'Choices' }).click();
  await page.goBack();
  await expect(page).toHaveURL(/templates\?template=tool-brief/);
  await expect(page.getByRole('button', { name: 'tool brief' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.goForward();
  await expect(page).toHaveURL(/choices/);
  await page.goto('/p/thrumwick/templates?template=class-brief&part=free&item=2');
  await expect(page.getByRole('textbox', { name: 'Value of text' })).toHaveText('free');
  await expect(page.getByRole('contentinfo')).toContainText('item 2 of 90');
});

test('parts take their looks: style, width, shape, stack', async ({ page }) => {
  await openDemo(page);
  const label = page.locator('.yc-bench [data-part=name]');
  await page.getByRole('button', { name: 'Style: title' }).click();
  await page.getByRole('menuitem', { name: 'small' }).click();
  await expect(label).toHaveCSS('font-size', '12px');
  await page.getByRole('button', { name: 'fixed', exact: true }).click();
  await expect(label).toHaveAttribute('style', /width: 80px/);
  await page.getByRole('button', { name: 'picture 40' }).click();
  await page.getByRole('button', { name: 'square', exact: true }).click();
  await page.getByLabel('Height in px').fill('60');
  await expect(page.locator('.yc-bench [data-part=picture]')).toHaveAttribute(
    'style',
    /height: 60px/,
  );
  // The rows in the window are as high as the picture and the padding now.
  await expect
    .poll(() =>
      page
        .locator('.yc-sizer > .yc-row[aria-posinset="1"]')
        .evaluate((row) => row.getBoundingClientRect().height),
    )
    .toBe(80);
  await page.getByRole('button', { name: 'row across' }).click();
  await page.getByRole('button', { name: 'down', exact: true }).click();
  await expect(page.locator('.yc-bench .yc-row')).toHaveCSS('flex-direction', 'column');
  for (let i = 0; i < 5; i += 1) await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(label).toHaveCSS('font-size', '15px');
});

test('a part is removed, and its stack gives way', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'in-stock fit' }).click();
  await page.getByRole('button', { name: 'Remove in-stock' }).click();
  await expect(page.getByRole('region', { name: 'Parts' })).not.toContainText('figures');
  await expect
    .poll(async () => (await rowsOf(page, 1))[0])
    .toEqual(['Merino lace, undyed', 'Hollow Fell · 100 g', '€14.50']);
  await page.getByRole('button', { name: 'row across' }).click();
  await expect(page.getByRole('button', { name: 'Remove row' })).toBeDisabled();
});

test('items that are left out are said where rows would be', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'few.json', '[{"name":"Lace"},{"name":"Sock"}]');
  await saved(page);
  await page.getByRole('link', { name: 'Choices' }).click();
  await page.getByRole('button', { name: 'Template for few: plain' }).click();
  await page.getByRole('menuitem', { name: 'left out on purpose' }).click();
  await expect(page.getByRole('region', { name: 'Window' })).toContainText(
    'All items are left out',
  );
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
});

test('the table shows any item and field; a missing value is told from an empty one', async ({
  page,
}) => {
  await page.goto('/');
  const items = Array.from({ length: 2_000 }, (_, i) => ({
    id: `i-${i}`,
    name: `Lace ${i}`,
    note: i % 2 ? '' : null,
    far: i,
    ...(i % 3 ? {} : { dye: 'woad' }),
  }));
  await dropFile(page, 'table.json', JSON.stringify(items));
  const table = page.getByRole('region', { name: 'Items' });
  await expect(table.getByRole('row', { name: /i-0 / })).toContainText('missing');
  await expect(table.getByRole('row', { name: /i-1 / })).toContainText('empty');
  await table.evaluate((element) => {
    element.scrollTop = element.scrollHeight;
  });
  await expect(table.getByRole('row', { name: /i-1999/ })).toBeVisible();
  await table.getByRole('row', { name: /i-1999/ }).click();
  await expect(page.getByRole('contentinfo')).toContainText('item 2\u00a0000 of 2\u00a0000');
  await table.getByRole('button', { name: /^dye/ }).click();
  const dye = page.getByRole('region', { name: 'Field dye' });
  await expect(dye.getByRole('switch', { name: 'in every item' })).not.toBeChecked();
  await page.getByRole('button', { name: 'Key: id' }).click();
  await page.getByRole('menuitem', { name: 'position' }).click();
  await expect(page.getByRole('button', { name: '1 finding', exact: true })).toBeVisible();
});

test('the window: devices, scheme, width by mouse and keys', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /Device/ }).click();
  await page.getByRole('menuitem', { name: 'small phone' }).click();
  const list = page.getByRole('region', { name: 'Rows' });
  await expect.poll(() => list.evaluate((element) => element.clientWidth)).toBe(320);
  await page.getByRole('button', { name: 'Scheme: light' }).click();
  await page.getByRole('menuitem', { name: 'dark' }).click();
  await expect(page.locator('.yc-sizer .yc-label').first()).toHaveCSS(
    'color',
    'rgb(239, 233, 221)',
  );
  const edge = page.getByRole('separator', { name: 'Width of the window' });
  await edge.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(edge).toHaveAttribute('aria-valuenow', '416');
});

test('the studio keeps its scheme', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Dark scheme' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
  await page.goto('/docs');
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
});

test('pasting anywhere brings items', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(() => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', 'name\tstock\nLace\t4\nSock\t7');
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
  });
  await become(page, 'New project');
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
});
