import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
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

const jobs = Array.from({ length: 60 }, (_, at) => ({
  id: `job-${at}`,
  title: `Warp ${at}`,
  share: at / 59,
  stars: (at % 11) / 2,
  waiting: at * 3,
  isUrgent: at % 3 === 0,
  colour: ['#a23a2c', '#2b5c86', 'weld', 'nothing of the kind'][at % 4],
}));

const inRow = (page: Page, words: string, selector: string) =>
  page
    .locator('section[aria-label="Rows"] .yc-row:not(.yc-spare)', { hasText: words })
    .locator(selector);

test('a row grows by parts that show a share, stars, a count, a yes, a colour', async ({
  page,
}) => {
  await page.goto('/');
  await dropFile(page, 'jobs.json', JSON.stringify(jobs));
  await page.getByRole('link', { name: 'Templates' }).click();
  await page
    .locator('section[aria-label="Parts"]')
    .getByRole('button', { name: /^title/ })
    .click();
  await insertPart(page, 'progress', 'under title');
  await expect(page.getByRole('textbox', { name: 'Value of value' })).toHaveText('share');
  await insertPart(page, 'rating', 'under share');
  await expect(page.getByRole('textbox', { name: 'Value of value' })).toHaveText('stars');
  await page.getByRole('group', { name: 'Steps' }).getByRole('button', { name: 'half' }).click();
  await page
    .locator('section[aria-label="Parts"]')
    .getByRole('button', { name: /^stack/ })
    .click();
  await insertPart(page, 'swatch', 'after stack');
  await expect(page.getByRole('textbox', { name: 'Value of colour' })).toHaveText('colour');
  await insertPart(page, 'switch', 'after colour');
  await expect(page.getByRole('textbox', { name: 'Value of on' })).toHaveText('isUrgent');
  await insertPart(page, 'badge', 'after');
  await expect(page.getByRole('textbox', { name: 'Value of text' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Value of text' }).fill('waiting');
  await page
    .getByRole('group', { name: 'At zero' })
    .getByRole('button', { name: 'leaves' })
    .click();

  await expect(inRow(page, 'Warp 1', '.yc-badge').first()).toHaveText('3');
  await expect(inRow(page, 'Warp 0', '.yc-badge')).toBeHidden();
  await expect(inRow(page, 'Warp 0', '.yc-switch')).toHaveAttribute('aria-checked', 'true');
  const swatch = (words: string) =>
    inRow(page, words, '.yc-swatch')
      .first()
      .evaluate((element) => getComputedStyle(element).backgroundColor);
  await expect.poll(() => swatch('Warp 0')).toBe('rgb(162, 58, 44)');
  // A colour of the project by its name; what is none is drawn as the kind says, and told of.
  await expect.poll(() => swatch('Warp 2')).toBe('rgb(124, 98, 6)');
  await expect(page.getByRole('button', { name: /^\d+ findings?$/ })).toBeVisible();
  const filled = (words: string, selector: string) =>
    inRow(page, words, selector)
      .first()
      .evaluate((element) => getComputedStyle(element).getPropertyValue('--yc-filled'));
  await expect.poll(() => filled('Warp 0', '.yc-progress')).toBe('0%');
  await expect.poll(() => filled('Warp 0', '.yc-rating')).toBe('0%');
  // Two and a half of five: two whole stars with the gaps behind them, and half a third.
  await expect.poll(() => filled('Warp 5', '.yc-rating')).toBe('50%');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);

  await saved(page);
  await page.reload();
  await expect(inRow(page, 'Warp 1', '.yc-badge').first()).toHaveText('3');
});

test('a row leads on, has a button with an icon in it, and what is hard to hit or to read is told of', async ({
  page,
}) => {
  await openDemo(page);
  const parts = page.locator('section[aria-label="Parts"]');
  await parts.getByRole('button', { name: /^row/ }).click();
  await addProperty(page, 'leads on');
  await expect(page.locator('section[aria-label="Rows"] .yc-leads-on').first()).toBeVisible();
  await insertPart(page, 'button', 'at the end of it');
  await page.getByRole('button', { name: 'fixed words' }).first().click();
  await page.getByRole('textbox', { name: 'Fixed text' }).fill('Reserve');
  await addProperty(page, 'icon');
  await page.getByRole('button', { name: 'one picture' }).click();
  const icon = page.getByRole('combobox', { name: 'Fixed icon' });
  await icon.fill('shopping-ba');
  await page.getByRole('option', { name: /^shopping-basket/ }).click();
  await expect(icon).toHaveValue('shopping-basket');
  const drawn = page.locator('section[aria-label="Rows"] .yc-button .yc-icon').first();
  await expect
    .poll(() => drawn.evaluate((each) => getComputedStyle(each).maskImage))
    .toContain('data:image/svg');
  await expect.poll(async () => (await rowsOf(page, 1))[0]).toContain('Reserve');
  // One step back takes the icon out of the part and out of the project.
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Undo|shopping/ }).first()).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await addProperty(page, 'tint rule');
  await page.getByRole('button', { name: /^\d+ findings?$/ }).click();
  await expect(page.locator('[data-finding=look-contrast]').first()).toContainText('hard to read');
});

test.describe('icons that do not come', () => {
  test.use({ isNoisy: true });
  test('are told of', async ({ page }) => {
    await page.route('**/icons.json', (route) => route.abort());
    await openDemo(page);
    await page
      .locator('section[aria-label="Parts"]')
      .getByRole('button', { name: /^picture/ })
      .click();
    await page.getByRole('button', { name: 'one picture' }).click();
    await expect(page.locator('[data-finding=icons-not-here]')).toContainText(
      'could not be fetched',
      {
        timeout: 15_000,
      },
    );
  });
});

test('inline markup is emphasis, strong words, code and links, and never code that runs', async ({
  page,
}) => {
  const notes = [
    'A *soft* and **strong** `k2tog`',
    '[the book](https://example.org/book) or [a trap](javascript:alert(1))',
    '<img src=x onerror=alert(1)> **<b>bold</b>**',
  ];
  await page.goto('/');
  const items = notes.map((title, at) => ({ id: `n-${at}`, title }));
  await dropFile(page, 'notes.json', JSON.stringify(items));
  await page.getByRole('link', { name: 'Templates' }).click();
  await page
    .locator('section[aria-label="Parts"]')
    .getByRole('button', { name: /^title/ })
    .click();
  await addProperty(page, 'markup');
  const rows = page.locator('section[aria-label="Rows"] .yc-row:not(.yc-spare)');
  await expect(rows.locator('em')).toHaveText('soft');
  await expect(rows.locator('strong').first()).toHaveText('strong');
  await expect(rows.locator('code')).toHaveText('k2tog');
  await expect(rows.getByText('the book')).toHaveAttribute('href', 'https://example.org/book');
  await expect(rows.getByText('a trap')).not.toHaveAttribute('href', /./);
  await expect(rows.locator('strong').nth(1)).toHaveText('<b>bold</b>');
  await expect(rows.locator('img, b')).toHaveCount(0);
});

test('a stack stands for each element of a list, with words for those that are too many', async ({
  page,
}) => {
  const items = Array.from({ length: 20 }, (_, at) => ({
    ...{ id: `k-${at}`, title: `Kettle ${at}` },
    dyes: Array.from({ length: at % 8 }, (_each, dye) => ({ name: `dye ${dye}`, grams: dye * 5 })),
  }));
  await page.goto('/');
  await dropFile(page, 'kettles.json', JSON.stringify(items));
  await page.getByRole('link', { name: 'Templates' }).click();
  await page
    .locator('section[aria-label="Parts"]')
    .getByRole('button', { name: /^title/ })
    .click();
  await insertPart(page, 'each of dyes', 'under');
  const shown = (title: string) =>
    inRow(page, title, '.yc-badge, [data-part$="more"]').filter({ visible: true });
  await expect(shown('Kettle 2')).toHaveText(['dye 0', 'dye 1']);
  await expect(shown('Kettle 7')).toHaveText(['dye 0', 'dye 1', 'dye 2', 'dye 3', 'dye 4', '+2']);
  await expect(shown('Kettle 8')).toHaveCount(0);
  await page.locator('section[aria-label="Parts"]').getByRole('button', { name: /^name/ }).click();
  await page.getByRole('textbox', { name: 'Value of text' }).fill('each.grams');
  await expect(shown('Kettle 2')).toHaveText(['0', '5']);
  await saved(page);
  await page.reload();
  await expect(shown('Kettle 2')).toHaveText(['0', '5']);
});

test('a part is kept once: used for items of another type, changed in one place for both', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'template=skein-brief&part=figures');
  await page.getByRole('button', { name: /^Share figures/ }).click();
  await expect(page.getByRole('region', { name: 'Shared part figures' })).toContainText('1 use');
  await page.getByRole('button', { name: 'class brief' }).click();
  await page.locator('section[aria-label="Parts"]').getByRole('button', { name: /^free/ }).click();
  await insertPart(page, 'figures', 'after free');
  const outline = page.locator('section[aria-label="Parts"]');
  await expect(page.getByRole('region', { name: 'Shared part figures' })).toContainText('2 uses');

  // A class has no stock: what is free of it feeds the input.
  await page.getByRole('button', { name: 'Feed it' }).click();
  const stock = page.getByRole('textbox', { name: 'Value of inputs.stock' });
  await stock.fill('free');
  await expect(inRow(page, 'Plying and finishing', '.yc-label').last()).toHaveText('4 left');

  // A first press takes it as a whole, the next one what is in it.
  await outline.getByRole('button', { name: /^free/ }).click();
  const inner = page.getByTestId('bench').locator('[data-part="figures/in-stock"]');
  await inner.click();
  await expect(outline.locator('[aria-current=true]')).toContainText('figures');
  await inner.click();
  await expect(outline.locator('[aria-current=true]')).toContainText('in-stock');
  await expect(page.getByText('all 2 uses show each change')).toBeVisible();
  await page.getByRole('textbox', { name: 'Value of text' }).fill('stock * 100');
  await expect(inRow(page, 'Plying and finishing', '.yc-label').last()).toHaveText('400 left');
  await expect(inRow(page, 'Merino lace, undyed', '.yc-label').last()).toHaveText('1,200 left');

  const undo = page.getByRole('button', { name: /^Undo|^Nothing to undo/ });
  while (await undo.isEnabled()) await undo.click();
  await expect(inRow(page, 'Merino lace, undyed', '.yc-label').last()).toHaveText('12 left');
  await expect(inRow(page, 'Plying and finishing', '.yc-label').last()).toHaveText('4 places');
  const redo = page.getByRole('button', { name: /^Redo|^Nothing to redo/ });
  while (await redo.isEnabled()) await redo.click();
  await expect(inRow(page, 'Merino lace, undyed', '.yc-label').last()).toHaveText('1,200 left');
  await saved(page);
  await page.reload();
  await expect(inRow(page, 'Merino lace, undyed', '.yc-label').last()).toHaveText('1,200 left');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

test('a property is set by the same words in find or do, and bound by a value dropped on its end', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'template=skein-brief&part=in-stock');
  await page.getByRole('button', { name: /^Find or do/ }).click();
  const words = page.getByPlaceholder('Words of an item, or something to do');
  await words.fill('colour when stock < 5 madder');
  await page.getByRole('option', { name: /^colour stock < 5/ }).click();
  await expect(inRow(page, 'Cobweb Shetland', '.yc-label').last()).toHaveCSS(
    'color',
    'rgb(162, 58, 44)',
  );
  await expect(page.getByRole('button', { name: /^Undo: Bind to stock < 5/ })).toBeVisible();

  await addProperty(page, 'weight 700');
  await page
    .locator('[data-pane=values]')
    .getByRole('button', { name: /^grams/ })
    .dragTo(page.locator('[data-pane=properties]').getByText('weight', { exact: true }));
  await expect(page.getByRole('textbox', { name: 'Value of weight' })).toHaveText('grams');

  // Words that a picture tells keep their names.
  await page
    .locator('section[aria-label="Parts"]')
    .getByRole('button', { name: /^figures/ })
    .click();
  const runs = page.getByRole('group', { name: 'Runs' });
  await runs.getByRole('button', { name: 'across' }).click();
  await expect(page.locator('section[aria-label="Parts"]')).toContainText('across · gap 2');
});
