import { readdirSync, readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, openDemo, test } from './support';

const screen = (page: Page) => page.getByRole('region', { name: 'As a picture' });
const drawing = (page: Page) => screen(page).getByRole('img', { name: /^The rows/ });

async function savedAs(page: Page, button: string): Promise<{ name: string; bytes: Buffer }> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    screen(page).getByRole('button', { name: button }).click(),
  ]);
  return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
}

async function chooseKind(page: Page, kind: string): Promise<void> {
  const before = await drawing(page).getAttribute('src');
  await screen(page).getByRole('button', { name: kind }).click();
  await expect(drawing(page)).not.toHaveAttribute('src', before ?? '');
}

test('a row is taken away as SVG with its words, as shapes, and as PNG', async ({ page }) => {
  await openDemo(page, 'templates', 'template=skein-brief&panel=picture');
  await expect(drawing(page)).toBeVisible();
  await expect(screen(page).getByRole('checkbox', { name: /^at hand: Merino lace/ })).toBeChecked();
  const text = await savedAs(page, 'Save the picture');
  expect(text.name).toBe('skein-brief.svg');
  expect(text.bytes.toString()).toContain('>Merino lace, undyed</text>');
  expect(text.bytes.toString()).not.toMatch(/href="(?!data:)/);

  await chooseKind(page, 'SVG, outlines');
  const outlines = (await savedAs(page, 'Save the picture')).bytes.toString();
  expect(outlines).not.toContain('<text');
  expect(outlines).not.toContain('font');
  expect(outlines).toMatch(/<path d="M[\d. ]/);

  // One under the other, those that test the part most.
  await screen(page).getByRole('checkbox', { name: 'longest name' }).check();
  await expect(drawing(page)).toHaveAttribute('height', '120');
  await screen(page).getByRole('button', { name: 'PNG 3×' }).click();
  const png = await savedAs(page, 'Save the picture');
  expect(png.name).toBe('skein-brief@3x.png');
  // Its width and height (PNG, section 11.2.2).
  await expect
    .poll(async () => {
      const { bytes } = await savedAs(page, 'Save the picture');
      return [bytes.readUInt32BE(16), bytes.readUInt32BE(20)];
    })
    .toEqual([1_080, 360]);
  await expect(new AxeBuilder({ page }).analyze()).resolves.toMatchObject({ violations: [] });
});

test('an item that was kept stays while one goes on to others; all are on the spec sheet', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'template=skein-brief&panel=picture');
  await screen(page).getByRole('button', { name: 'Keep the item at hand' }).click();
  // Another one of its type.
  await page
    .getByRole('row', { name: /Cobweb Shetland/ })
    .or(page.locator('.yc-row', { hasText: 'Cobweb Shetland' }))
    .first()
    .click();
  await expect(screen(page).getByRole('checkbox', { name: /^at hand: Cobweb/ })).toBeChecked();
  await expect(screen(page).getByRole('checkbox', { name: 'Merino lace, undyed' })).toBeVisible();
  await screen(page).getByRole('checkbox', { name: 'Merino lace, undyed' }).check();
  const { name, bytes } = await savedAs(page, 'Save the spec sheet');
  expect(name).toBe('skein-brief.html');
  const sheet = await page.context().newPage();
  await sheet.setContent(bytes.toString());
  await expect(sheet.getByRole('heading', { level: 1 })).toHaveText('brief, for skein');
  await expect(sheet.getByRole('row', { name: /price label/ })).toContainText('= price, as price');
  await expect(sheet.getByText('Merino lace, undyed')).toBeVisible();
  // Pictures in one document do not take each other’s shapes.
  const ids = await sheet.locator('[id]').evaluateAll((all) => all.map(({ id }) => id));
  expect(ids.length).toBeGreaterThan(1);
  expect(new Set(ids).size).toBe(ids.length);
});

test('in right to left and with a script of its own the shapes are those of the letters', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'template=skein-brief&panel=picture');
  await expect(drawing(page)).toBeVisible();
  await screen(page).getByRole('checkbox', { name: 'from the right' }).check();
  await chooseKind(page, 'SVG, outlines');
  await expect(screen(page).getByRole('status')).toHaveText('');
  await expect(drawing(page)).toHaveAttribute('height', '120');
});

test('nothing that is served makes code of text: the policy would refuse it', () => {
  const folder = 'dist/client/_astro';
  const scripts = readdirSync(folder).filter((name) => name.endsWith('.js'));
  expect(scripts.length).toBeGreaterThan(20);
  expect(
    scripts.filter((name) =>
      /\bnew Function\(|\beval\(/.test(readFileSync(`${folder}/${name}`, 'utf8')),
    ),
  ).toEqual([]);
});
