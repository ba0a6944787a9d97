import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { ownFontFile } from '../support/own-font';
import {
  addProperty,
  dropFile,
  expect,
  insertPart,
  openDemo,
  rowsOf,
  saved,
  test,
} from './support';

const font = readFileSync(ownFontFile);

test('a label goes on in runs: a price and, struck through, what it was', async ({ page }) => {
  await openDemo(page, 'templates', 'part=price');
  await insertPart(page, 'run');
  const parts = page.getByRole('region', { name: 'Parts' });
  await expect(parts.locator('[aria-current=true]')).toContainText('goes on');
  const expression = page.getByRole('textbox', { name: 'Value of text' });
  await expression.fill('price * 1.2');
  await addProperty(page, 'struck through');
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.at(-2)).toBe('€14.50 17.4');
  const run = page.locator('section[aria-label="Rows"] .yc-run').first();
  await expect(run).toHaveCSS('text-decoration-line', 'line-through');
  // Pressed in a row, it is selected by itself.
  await parts.getByRole('button', { name: /^name/ }).click();
  await run.click();
  await expect(parts.locator('[aria-current=true]')).toContainText('goes on');
  await page.getByRole('button', { name: /^Remove/ }).click();
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.at(-2)).toBe('€14.50');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.at(-2)).toBe('€14.50 17.4');
});

test('a style is changed in one place, in a font of the project’s own, and is kept', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=name');
  await page.getByRole('button', { name: /^Style: title/ }).click();
  await page.getByRole('menuitem', { name: 'Edit styles' }).click();
  const style = page.getByRole('region', { name: 'Style title' });
  await expect(page.getByRole('region', { name: 'Where title is used' })).toContainText(
    '7 parts of 7 templates',
  );
  await dropFile(page, 'Fell Hand.woff2', font);
  await style.getByRole('button', { name: /^Font/ }).click();
  await page.getByRole('menuitem', { name: 'Fell Hand' }).click();
  await style.getByLabel('Line height').fill('28');
  const title = page.locator('section[aria-label="Rows"] .yc-label').first();
  await expect(title).toHaveCSS('line-height', '28px');
  await expect(title).toHaveCSS('font-family', /^"Own [a-z0-9]+", Row/);
  const widthOf = () => title.evaluate((label) => label.scrollWidth);
  await style.getByLabel('Name of the style title').fill('heading');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Style heading' })).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  const width = await widthOf();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Style heading' })).toBeVisible();
  await expect(title).toHaveCSS('font-family', /^"Own [a-z0-9]+", Row/);
  await expect.poll(widthOf).toBe(width);

  await page.getByRole('button', { name: 'Remove font Fell Hand' }).click();
  await expect(title).not.toHaveCSS('font-family', /^"Own/);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(title).toHaveCSS('font-family', /^"Own [a-z0-9]+", Row/);
});

test('what is no font is refused in words, and nothing changes', async ({ page, context }) => {
  await openDemo(page, 'templates', 'panel=styles');
  await page
    .getByLabel('Fonts for this project')
    .setInputFiles([
      { name: 'Broken.woff2', mimeType: 'font/woff2', buffer: font.subarray(0, 900) },
    ]);
  await expect(page.locator('[data-finding=font-refused]')).toContainText(
    '1 file is no font that can be drawn, or larger than 10 MB: Broken.woff2.',
  );
  await expect(page.getByRole('region', { name: 'Fonts' })).toContainText('Drop a font file');
  await context.close();
});

test('design tokens come in, are kept, and go out byte for byte until something changes', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Styles', exact: true }).click();
  const tokens = page.getByRole('region', { name: 'Design tokens' });
  const file = `{"paint":{"$type":"color","madder":{"$value":"#772211"},"loft":{"$value":"#345678"}},
  "ease":  {"$type":"cubicBezier","$value":[0.5,0,1,1]}}`;
  await tokens.getByLabel('A file of design tokens').setInputFiles({
    ...{ name: 'shop.tokens.json', mimeType: 'application/json', buffer: Buffer.from(file) },
  });
  await expect(tokens).toContainText('1 token kept, not understood');
  await page.getByRole('button', { name: /^All colours/ }).click();
  await expect(page.getByLabel('loft, light')).toHaveValue('#345678');
  await expect(page.getByLabel('madder, light')).toHaveValue('#772211');
  await saved(page);
  await page.reload();
  const out = async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      tokens.getByRole('button', { name: 'Take out' }).click(),
    ]);
    const stream = await download.createReadStream();
    const chunks: Buffer[] = [];
    for await (const chunk of stream) chunks.push(Buffer.from(chunk));
    return Buffer.concat(chunks).toString('utf8');
  };
  const text = await out();
  expect(text).toContain('"ease":  {"$type":"cubicBezier","$value":[0.5,0,1,1]}');
  expect(text).toContain('"madder":{"$value":"#772211"}');
  expect(text).toContain('"heather"');
  await tokens.getByLabel('A file of design tokens').setInputFiles({
    ...{ name: 'none.json', mimeType: 'application/json', buffer: Buffer.from('[]') },
  });
  await expect(tokens.getByRole('alert')).toContainText('none.json: It is no JSON object.');
});

test('a gap names a spacing step, and follows it', async ({ page }) => {
  await openDemo(page);
  await page.locator('section[aria-label="Parts"]').getByRole('button', { name: /^row/ }).click();
  await page.getByRole('button', { name: 'Gap by name: –' }).click();
  await page.getByRole('menuitem', { name: /^far/ }).click();
  const gap = () =>
    page
      .locator('section[aria-label="Rows"] .yc-row', { hasText: 'Cobweb Shetland' })
      .evaluate((row) => getComputedStyle(row).columnGap);
  await expect.poll(gap).toBe('24px');
  await page.getByRole('button', { name: 'Gap by name: far' }).click();
  await page.getByRole('menuitem', { name: 'Edit spacing' }).click();
  await page.getByRole('spinbutton', { name: 'far in px' }).fill('60/2');
  await expect.poll(gap).toBe('30px');
});
