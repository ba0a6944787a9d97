import { spawnSync } from 'node:child_process';
import { dropFile, expect, insertPart, openDemo, rowsOf, saved, test } from './support';

const parcels = {
  meta: { page: 1 },
  data: {
    parcels: [
      {
        id: 'p-1',
        kind: 'parcel',
        title: 'Parcel to Ousby',
        lines: 4,
        to: { town: 'Ousby' },
        label: 'skein-madder',
      },
      { id: 'n-1', kind: 'note', title: 'Closed on Monday', words: 'Stock taking' },
      {
        id: 'p-2',
        kind: 'parcel',
        title: 'Parcel to Garth',
        lines: 1,
        to: { town: 'Garth' },
        label: 'none',
      },
      { id: 'n-2', kind: 'note', title: 'Scales are back', words: 'By the door' },
      { id: 'p-3', kind: 'parcel', title: 'Parcel without a town', lines: 9, label: 'none' },
    ],
  },
};

test('from dropped items to real rows, and out again', async ({ page, browser }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: /Thrumwick shop/ }).first()).toContainText(
    '90 items',
  );
  await expect(page.locator('.yc-row .yc-label', { hasText: 'Merino lace' })).toBeVisible();

  await dropFile(page, 'parcels.json', JSON.stringify(parcels));
  await expect(page).toHaveURL(/\/p\/parcels-.*\/data/);
  await expect(page.getByLabel('JSONPath of the items')).toHaveValue('$.data.parcels[*]');
  await expect(page.getByRole('main')).toContainText('5 items');
  await expect
    .poll(() => rowsOf(page))
    .toEqual([
      ['Parcel to Ousby'],
      ['Closed on Monday'],
      ['Parcel to Garth'],
      ['Scales are back'],
      ['Parcel without a town'],
    ]);
  await saved(page);

  // Another field for the label: the first letters find it.
  await page.getByRole('link', { name: 'Templates' }).click();
  const value = page.getByRole('textbox', { name: 'Value of text' });
  await value.fill('tow');
  await page.getByRole('option', { name: /to\.town/ }).click();
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Ousby']]);
  await expect(page.getByLabel('Trace')).toContainText('"Ousby"');
  await page.getByRole('button', { name: /Undo: Bind to to\.town/ }).click();
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Parcel to Ousby']]);

  // A second label under it, a value at the end, an image at the start.
  await insertPart(page, 'label', 'under title');
  await value.fill('`to ${to.town}`');
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Parcel to Ousby', 'to Ousby']]);
  await insertPart(page, 'label', 'at the end of the row');
  await value.fill('lines');
  await value.blur();
  await expect
    .poll(() => rowsOf(page, 3))
    .toEqual([
      ['Parcel to Ousby', 'to Ousby', '4'],
      ['Closed on Monday'],
      ['Parcel to Garth', 'to Garth', '1'],
    ]);
  await insertPart(page, 'image', 'at the start of the row');
  await expect(page.getByTestId('bench').locator('img')).toBeVisible();

  // The second type gets a second template of its own.
  await page.getByRole('link', { name: 'Choices' }).click();
  await page.getByRole('button', { name: 'Template for note: plain' }).click();
  await page.getByRole('menuitem', { name: 'a new template' }).click();
  await expect(page.getByRole('button', { name: 'Template for note: plain-2' })).toBeVisible();
  await page.getByRole('row', { name: /note/ }).getByRole('button', { name: 'edit' }).click();
  await value.fill('words');
  await expect
    .poll(() => rowsOf(page, 2))
    .toEqual([['Parcel to Ousby', 'to Ousby', '4'], ['Stock taking']]);

  // A grid of three, and back.
  await page.getByRole('link', { name: 'List', exact: true }).click();
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await page.getByRole('spinbutton', { name: 'Columns', exact: true }).fill('3');
  await expect(page.getByTestId('sum')).toHaveText('(360 − 2 × 12 − 2 × 8) ÷ 3 = 106.67 px');
  await expect
    .poll(() =>
      page
        .locator('.yc-sizer > .yc-row:not(.yc-spare)')
        .first()
        .evaluate((row) => row.getBoundingClientRect().width),
    )
    .toBeCloseTo(106.67, 1);
  await page.getByRole('button', { name: 'list', exact: true }).click();
  await saved(page);

  // Reload: all is there.
  const words = await rowsOf(page);
  await page.reload();
  await expect.poll(() => rowsOf(page)).toEqual(words);

  // As a file, to the command line and to another browser profile: the same words.
  const download = page.waitForEvent('download');
  await page.keyboard.press('Control+s');
  const path = await (await download).path();
  const resolved = spawnSync(process.execPath, ['bin/yarncard', 'resolve', path, '--json'], {
    encoding: 'utf8',
  });
  // The type has another template now.
  expect(resolved.stderr).toContain('No list chooses the template "note-plain"');
  const lines = resolved.stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line));
  const pictureParts = new Set(['label', 'image']);
  expect(
    lines.map((line) =>
      line.parts
        .filter((each: { part: string }) => !pictureParts.has(each.part))
        .map((each: { text?: string }) => each.text ?? ''),
    ),
  ).toEqual(words);

  const other = await browser.newContext();
  const there = await other.newPage();
  await there.goto('/');
  await there.getByLabel('A file of items or a project').setInputFiles({
    name: 'parcels.yarncard.json',
    mimeType: 'application/json',
    buffer: await import('node:fs/promises').then((fs) => fs.readFile(path)),
  });
  await expect.poll(() => rowsOf(there)).toEqual(words);
  await other.close();
});

test('undo and redo by name, with keys', async ({ page }) => {
  await openDemo(page, 'list');
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Undo: Grid of 2' })).toBeEnabled();
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Redo: Grid of 2' })).toBeEnabled();
  await expect(page.getByRole('button', { name: 'list', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.keyboard.press('Control+Shift+Z');
  await expect(page.getByRole('button', { name: 'grid', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a value dragged onto a part feeds it; dragged into the row it becomes a part', async ({
  page,
}) => {
  await openDemo(page);
  const bench = page.getByTestId('bench');
  const values = page.getByRole('region', { name: 'Values' });
  await values.getByRole('button', { name: /^stock/ }).dragTo(bench.locator('[data-part=name]'));
  // It is called after what it shows now.
  await expect(bench.locator('[data-part=stock]')).toHaveText('12');
  await expect(page.locator('[data-thread="stock/text/stock"]')).toBeAttached();
  await values
    .getByRole('button', { name: /^currency/ })
    .dragTo(bench.locator('.yc-row'), { targetPosition: { x: 6, y: 6 } });
  await expect(bench.locator('[data-part=currency]')).toHaveText('EUR');
  await expect.poll(async () => (await rowsOf(page, 1))[0]).toContain('EUR');
});

test('the item at hand: by a press on its row, by step, by words, by asking', async ({ page }) => {
  await openDemo(page);
  const bar = page.getByRole('contentinfo');
  await page
    .locator('.yc-sizer > .yc-row', { hasText: 'Drum carder' })
    .locator('.yc-label')
    .first()
    .click();
  await expect(bar).toContainText('item 4 of 90');
  await expect(page.getByTestId('bench')).toContainText('Drum carder');
  await expect(page).toHaveURL(/template=tool-brief&part=name&item=4/);
  await page.getByRole('button', { name: 'Next item' }).click();
  await expect(bar).toContainText('item 5 of 90');
  await bar.getByRole('button', { name: 'last' }).click();
  await expect(bar).toContainText('item 90 of 90');
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder('Words of an item')).toBeFocused();
  await page.keyboard.type('Vicuña');
  await page.keyboard.press('Enter');
  await expect(bar).toContainText('Vicuña, handspun');
  await page.reload();
  await expect(bar).toContainText('Vicuña, handspun');
});

test('typed items become rows; a project can be removed', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Items as text').fill('name,stock\nLace,4\nSock,7\n');
  await page.getByRole('button', { name: 'Show as rows' }).click();
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
  await saved(page);
  await page.getByRole('button', { name: 'All projects' }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: '2 items' })
    .getByRole('button', { name: /Remove/ })
    .click();
  await expect(page.getByRole('listitem').filter({ hasText: '2 items' })).toHaveCount(0);
});

test('everything that the story needs goes by keyboard', async ({ page }) => {
  await openDemo(page, 'data');
  await page.keyboard.press('Alt+2');
  await expect(page).toHaveURL(/templates/);
  await page.getByRole('button', { name: /^dyedOn/ }).focus();
  await page.keyboard.press('Enter');
  await expect
    .poll(() => rowsOf(page, 1))
    .toEqual([['2026-03-02', 'Hollow Fell · 100 g', '€14.50', '12 left']]);
  await page.getByRole('button', { name: 'Insert', exact: true }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('lab');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Undo: Insert label/ })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Ctrl Shift Z');
});
