import type { Page } from '@playwright/test';
import { become, dropFile, dropFiles, expect, rowsOf, saved, test } from './support';

const plants = (season: string, count: number): string =>
  JSON.stringify(
    Array.from({ length: count }, (_, at) => ({
      id: `${season}-${at}`,
      name: `${season} plant ${at}`,
      price: at,
    })),
  );

const firstRow = async (page: Page) => (await rowsOf(page, 1))[0]?.[0];

test('several files arrive at once, each asked about; an import that would take most away asks first', async ({
  page,
}) => {
  await page.goto('/');
  await dropFiles(page, [
    ['cut.json', '[{"a":1},{"a'],
    ['spring.json', plants('spring', 9)],
    ['autumn.json', plants('autumn', 7)],
    ['towns.csv', 'town,lat,lon\nIngs,54.3,-2.8\nOusby,54.7,-2.6\n'],
  ]);
  await expect.poll(() => firstRow(page)).toBe('spring plant 0');
  // One that cannot be read is said, and keeps nobody else away.
  await expect(page.getByRole('alert')).toContainText('cut.json is not valid JSON');
  await page.getByRole('button', { name: 'Put this message away' }).click();
  const question = page.getByRole('region', { name: 'What becomes of it' });
  await expect(question).toContainText('autumn.json came');
  await expect(question).toContainText('then 1 more file');

  // None of the items is there any more: nothing was taken up when it is left.
  await become(page, 'Import again into spring');
  const doubt = page.getByRole('region', { name: 'Whether the import is meant' });
  await expect(doubt).toContainText('None of the 9 items of spring is in autumn.json');
  await doubt.getByRole('button', { name: 'Leave it' }).click();
  await expect.poll(() => firstRow(page)).toBe('spring plant 0');

  // What is of other types can be no set, and is still asked about.
  await expect(question).toContainText('towns.csv came');
  await question.getByRole('button', { name: 'As a set of' }).click();
  await page.getByRole('menuitem', { name: /spring/ }).click();
  await expect(page.getByRole('alert')).toContainText('is not of the types of spring');
  await become(page, 'Leave it');

  // What is new is added, what did not come stays.
  await dropFile(
    page,
    'more.json',
    plants('spring', 2).replace('spring plant 0', 'spring plant 0, potted'),
  );
  await become(page, 'Import again into spring');
  await doubt.getByRole('button', { name: 'Add and update only' }).click();
  await expect.poll(() => firstRow(page)).toBe('spring plant 0, potted');
  await expect(page.getByText('0 added').first()).toBeVisible();
  await expect(page.locator('footer')).toContainText('9 items');
});

test('a file is a set of a source, and a list shows the items of a source like its own', async ({
  page,
}) => {
  await page.goto('/');
  await dropFile(page, 'spring.json', plants('spring', 5));
  await expect.poll(() => firstRow(page)).toBe('spring plant 0');
  await dropFile(page, 'late.json', plants('late', 3));
  await page.getByRole('button', { name: 'As a set of' }).click();
  await page.getByRole('menuitem', { name: /spring/ }).click();
  await expect.poll(() => firstRow(page)).toBe('late plant 0');

  await dropFile(page, 'autumn.json', plants('autumn', 4));
  await become(page, 'Add as a source');
  await expect.poll(() => firstRow(page)).toBe('autumn plant 0');
  await page.getByRole('link', { name: 'List' }).click();
  await page.getByRole('button', { name: 'Sources' }).click();
  await page.getByRole('menuitem', { name: /Items of spring/ }).click();
  await expect.poll(() => firstRow(page)).toBe('spring plant 0');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Sources' }).click();
  await page.getByRole('menuitem', { name: /^spring in their place/ }).click();
  await expect.poll(() => firstRow(page)).toBe('spring plant 0');
  await page.getByRole('button', { name: 'Sources' }).click();
  await page.getByRole('menuitem', { name: /its own/ }).click();
  await expect.poll(() => firstRow(page)).toBe('autumn plant 0');
});

test('a type without items is typed in; so is a heading without rows', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'New item type' }).click();
  await page.getByRole('textbox', { name: 'What one item is called' }).fill('boat');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Add an item' }).click();
  await expect(page.locator('footer')).toContainText('1 item');

  await dropFile(page, 'tides.csv', 'place,height,on\n');
  await become(page, 'Add as a source');
  await expect(page.getByRole('columnheader', { name: /height/ })).toBeVisible();
  await page.getByRole('button', { name: 'Add an item' }).click();
  await expect(page.locator('footer')).toContainText('1 item');
});

test('what is written out of habit is mended at a press, while completion is open', async ({
  page,
}) => {
  await page.goto('/');
  await dropFile(page, 'spring.json', plants('spring', 3));
  await page.getByRole('link', { name: 'Templates' }).click();
  const value = page.getByRole('textbox', { name: 'Value of text' });
  const write = async (words: string) => {
    await value.click();
    await page.keyboard.press('Control+A');
    await page.keyboard.type(words);
  };
  await write('UPPER(name)');
  await page.getByRole('button', { name: 'Write name.toUpperCase()' }).click();
  await expect.poll(() => firstRow(page)).toBe('SPRING PLANT 0');

  await write('IF(price > 1, "dear", pric)');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Control+ ');
  await expect(page.getByRole('option').first()).toBeVisible();
  await page.getByRole('button', { name: /^Write / }).click();
  await expect(value).toHaveText('price > 1 ? "dear" : price');

  await write('"costs {price}"');
  await expect(page.getByText('no value is put into them')).toBeVisible();
  await page.getByRole('button', { name: 'Write `costs ${price}`' }).click();
  await expect.poll(() => firstRow(page)).toBe('costs 0');
});
