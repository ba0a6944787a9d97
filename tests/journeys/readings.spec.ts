import { dropFile, expect, rowsOf, saved, test } from './support';

const trips = `id;trip;leaves;took;fee;who
1;Ousby;24.03.2026;1:30:00;1.234,50;Pell, Ida
2;Garth;25.03.2026;0:45:10;12,00;Fell, Ann
3;Ings;in spring;26:10:00;n/a;Reel, Jo
4;Marl;31.03.2026;2:00:05;99,90;Moss, Eve
`;

test('what reads better is offered until it is read or left, and being left is kept', async ({
  page,
}) => {
  await page.goto('/');
  await dropFile(page, 'trips.csv', trips);
  await page.getByRole('link', { name: 'Data' }).click();
  const better = page.getByRole('region', { name: 'Fields that read better' });
  await better.locator('summary').click();
  await better.getByRole('button', { name: 'Leave id as it is' }).click();
  await better.getByRole('button', { name: /^Read leaves as/ }).click();
  // It is there, but it is no date: that is not the same as missing.
  await expect(page.getByRole('row', { name: /Ings/ })).toContainText('in spring not read');
  await saved(page);
  await page.reload();
  await expect(better).toContainText('took as a duration, fee as a number');
  await expect(better).not.toContainText('id as');
  await page.getByRole('link', { name: 'Templates' }).click();
  const value = page.getByLabel('Value of text');
  await value.click();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('fee');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Read fee as number/ }).click();
  await expect.poll(() => rowsOf(page)).toEqual([['1234.5'], ['12'], [''], ['99.9']]);
});

test('another type says what it would lose, and how else it could be read', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'trips.csv', trips);
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('columnheader', { name: /fee/ }).click();
  const field = page.getByRole('region', { name: 'Field fee' });
  await field.getByRole('button', { name: /^Type/ }).click();
  await page.getByRole('menu').getByText('number', { exact: true }).click();
  const goes = page.getByRole('region', { name: 'What this would change' });
  await expect(goes).toContainText('4 items of trips have something else; the first is "1.234,50"');
  await goes.getByRole('button', { name: /^Read as number \(decimal comma/ }).click();
  await expect(page.getByRole('row', { name: /Ousby/ })).toContainText('1234.5');
  await page.getByRole('button', { name: /^Undo: Read as number/ }).click();
  await expect(page.getByRole('row', { name: /Ousby/ })).toContainText('1.234,50');
});

test('a field is split in two, and two are joined', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'trips.csv', trips);
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('columnheader', { name: /who/ }).click();
  await page.getByRole('button', { name: 'Split in two …' }).click();
  await page.getByLabel('Name of the first').fill('last name');
  await page.getByLabel('Name of the second').fill('first name');
  await page.getByRole('button', { name: 'Split it' }).click();
  await page.getByRole('button', { name: 'Join with …' }).click();
  await page.getByLabel('Name of both').fill('whole');
  await page.getByRole('button', { name: 'Join them' }).click();
  await expect(page.getByRole('button', { name: /^Undo: Join who and/ })).toBeVisible();
  await page.getByRole('link', { name: 'Templates' }).click();
  await page
    .getByRole('textbox', { name: 'Value of text' })
    .fill('`${item["first name"]} ${item["last name"]}`');
  await expect
    .poll(() => rowsOf(page))
    .toEqual([['Ida Pell'], ['Ann Fell'], ['Jo Reel'], ['Eve Moss']]);
});

test('a path is followed segment by segment, and gone back to; without its document that is said', async ({
  page,
}) => {
  await page.goto('/');
  const shelves = [{ yarns: [{ id: 'a' }, { id: 'b' }] }, { yarns: [{ id: 'c' }] }];
  await dropFile(page, 'shop.json', JSON.stringify({ shelves, page: 1 }));
  await page.getByRole('link', { name: 'Data' }).click();
  const path = page.getByLabel('JSONPath of the items');
  const steps = page.getByRole('region', { name: 'The path on the document' });
  await path.fill('$..yarns[?@.id != "a"]');
  await expect(steps).toContainText('2 values; the first is a record with id');
  await steps.getByRole('button', { name: '$..yarns', exact: true }).click();
  await expect(path).toHaveValue('$..yarns');
  await path.fill('$..yarns[*]');
  await path.press('Enter');
  const goes = page.getByRole('region', { name: 'What this would change' });
  await goes.getByRole('button', { name: 'Do it' }).click();
  await expect.poll(() => rowsOf(page)).toEqual([['a'], ['b'], ['c']]);
  await page.reload();
  await path.click();
  await expect(steps).toContainText('shop.json is not at hand any more');
});

test('fields called anything are shown like any other; what was not read within a record is told', async ({
  page,
}) => {
  await page.goto('/');
  const items = `[{"id":"x1","a.b":"Pell, Ida","a":{"b":"24.03.2026"},"":"1,5","__proto__":"3,5"},
    {"id":"x2","a.b":"Fell, Ann","a":{"b":"in spring"},"":"2,5","__proto__":"4,5"},
    {"id":"x3","a.b":"Reel, Jo","a":{"b":"25.03.2026"},"":"3,5","__proto__":"5,5"}]`;
  await dropFile(page, 'odd.json', items);
  await page.getByRole('link', { name: 'Data' }).click();
  const better = page.getByRole('region', { name: 'Fields that read better' });
  await expect(better).toContainText('a.b as a date, "" as a number, __proto__ as a number');
  await better.getByRole('button', { name: 'Read all so' }).click();
  await expect(page.getByRole('columnheader', { name: '""' })).toContainText('number');
  await expect(page.getByRole('row', { name: /x2/ })).toContainText('b not read');
  // The field "a.b", not the b of a.
  await page.getByRole('columnheader', { name: /^a\.b/ }).click();
  await expect(page.getByRole('region', { name: 'Field a.b' })).toContainText('3 texts');
});

test('a field that the address names is shown with its rows, however soon it is brought into sight', async ({
  page,
}) => {
  for (let n = 0; n < 6; n += 1) {
    await page.goto('/p/thrumwick/data?field=price');
    const rows = page.getByRole('region', { name: 'Items' }).locator('tr[aria-rowindex]');
    await expect(rows.nth(5)).toBeVisible();
    // Longer than a table that was scrolled needs to come to rest.
    await page.waitForTimeout(400);
    expect(await rows.count()).toBeGreaterThan(5);
    await page.evaluate(() => sessionStorage.clear());
  }
});
