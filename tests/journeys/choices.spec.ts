import { dropFile, expect, openDemo, rowsOf, test } from './support';

const parcels = Array.from({ length: 60 }, (_, at) => ({
  kind: at % 3 === 2 ? 'letter' : 'parcel',
  no: `P-${100 + at}`,
  whom: `Household ${at}`,
  ...(at % 3 === 2 ? { stamp: 'first', sender: `Mill ${at}` } : { grams: at * 40 }),
}));

test.describe('which template an item gets', () => {
  test.beforeEach(async ({ page }) => {
    await page.goto('/');
    await dropFile(page, 'post.json', JSON.stringify(parcels));
    await page.locator('.yc-sizer > .yc-row').first().waitFor();
    await page.getByRole('link', { name: 'Choices' }).click();
  });

  test('a condition takes items as it is typed, counted beside it, and says why', async ({
    page,
  }) => {
    const lines = page.locator('tr[data-choice]');
    await expect(lines).toHaveCount(3);
    await lines.nth(0).getByRole('button', { name: 'Choice 1: …' }).click();
    await page.getByRole('menuitem', { name: 'Another one before it' }).click();
    await expect(lines).toHaveCount(4);
    await expect(lines.nth(0).locator('[data-finding=choice-nothing-chosen]')).toBeVisible();
    await lines.nth(0).getByRole('button', { name: '+ condition' }).click();
    await page.getByRole('textbox', { name: 'Condition of choice 1' }).click();
    await page.keyboard.type('grams > 1000');
    await expect(lines.nth(0).getByTitle('Have the first of them at hand')).toHaveText('22');
    await lines.nth(0).getByRole('button', { name: 'leave them out' }).click();
    await expect(page.getByText('60 items · 38 entries')).toBeVisible();

    await lines.nth(0).getByTitle('Have the first of them at hand').click();
    const why = page.getByRole('region', { name: 'Why this one' });
    await expect(why).toContainText('parcel, grams > 1000: true, so it takes it');
    await expect(why).toContainText('so it is left out on purpose');
    await expect(lines.nth(0)).toHaveClass(/bg-chosen/);
  });

  test('choices are dragged and moved by keys; one that is never reached is mended at a press', async ({
    page,
  }) => {
    const lines = page.locator('tr[data-choice]');
    await page.getByRole('button', { name: 'A choice more' }).click();
    await page.getByRole('menuitem', { name: 'parcel' }).click();
    await expect(lines.nth(2).locator('[data-finding=choice-never-reached]')).toBeVisible();
    const handle = lines.nth(2).getByRole('button', { name: 'Choice 3: Alt with arrows' });
    const from = await handle.boundingBox();
    const to = await lines.nth(0).boundingBox();
    if (from === null || to === null) throw new Error('A line has no box.');
    await page.mouse.move(from.x + 6, from.y + 6);
    await page.mouse.down();
    await page.mouse.move(from.x + 6, to.y + 60, { steps: 4 });
    await page.mouse.move(from.x + 6, to.y + 4, { steps: 4 });
    await expect(lines.nth(0)).toHaveAttribute('data-lands', 'above');
    await page.mouse.up();
    await expect(lines.nth(0).locator('[data-finding=choice-nothing-chosen]')).toBeVisible();
    await page.getByRole('button', { name: 'Choice 1: Alt with arrows' }).focus();
    await page.keyboard.press('Alt+ArrowDown');
    await expect(page.getByRole('button', { name: 'Choice 2: Alt with arrows' })).toBeFocused();
    await expect(lines.nth(1).locator('[data-finding=choice-never-reached]')).toBeVisible();
    await lines.nth(1).getByRole('button', { name: 'remove it' }).click();
    await expect(lines).toHaveCount(3);
    await page.keyboard.press('Control+z');
    await expect(lines).toHaveCount(4);
  });

  test('a look more has templates of its own; windows and address show either, the row at hand stays', async ({
    page,
  }) => {
    await page.getByRole('button', { name: '+ look' }).click();
    await page.getByLabel('Name of the new look').fill('roomy');
    await page.keyboard.press('Enter');
    const line = page.locator('tr[data-choice]').nth(0);
    await line.getByRole('button', { name: 'Template for parcel in roomy' }).click();
    await page.getByRole('menuitem', { name: 'left out on purpose' }).click();
    await expect(
      line.getByRole('button', { name: 'Template for parcel in usual: plain' }),
    ).toBeVisible();

    const list = page.getByRole('region', { name: 'Rows', exact: true });
    await list.hover();
    await page.mouse.wheel(0, 600);
    await page.waitForTimeout(300);
    const letter = list.getByText(/Household (17|20)\b/).first();
    await letter.click();
    const before = await letter.boundingBox();
    const looks = page.getByRole('group', { name: 'Look', exact: true });
    await looks.getByRole('button', { name: 'roomy' }).click();
    await expect(page.getByText('60 items · 20 entries')).toBeVisible();
    await expect
      .poll(async () => Math.round((await letter.boundingBox())?.y ?? 0))
      .toBe(Math.round(before?.y ?? -1));
    await expect(page).toHaveURL(/look=roomy/);
    await page.reload();
    await expect(page.getByText('60 items · 20 entries')).toBeVisible();

    await page.getByRole('button', { name: 'Beside' }).click();
    const other = page.getByRole('group', { name: 'Look beside' });
    await other.getByRole('button', { name: 'usual' }).click();
    await expect
      .poll(() => rowsOf(page, 1, 'section[aria-label="Rows beside"]'))
      .toEqual([['Household 0']]);
    await expect
      .poll(() => rowsOf(page, 1, 'section[aria-label="Rows"]'))
      .toEqual([['Household 2']]);
  });
});

test('items stand as keys sort them, in any locale; one without a value last or first', async ({
  page,
}) => {
  await page.goto('/');
  const words = ['Zwirn', 'Ärmel', 'Öse', 'Apfel', 'Zopf'];
  const own = words.map((name, at) => ({ id: at, name, ...(at % 2 === 0 && { price: 9 - at }) }));
  await dropFile(page, 'notions.json', JSON.stringify(own));
  await page.locator('.yc-sizer > .yc-row').first().waitFor();
  await page.getByRole('link', { name: 'List', exact: true }).click();
  const order = page.getByRole('region', { name: 'Order' });
  await order.getByRole('button', { name: 'A key more' }).click();
  await page.getByRole('menuitem', { name: 'name' }).click();
  const names = async () => (await rowsOf(page)).map(([name]) => name);
  await expect.poll(names).toEqual(['Apfel', 'Ärmel', 'Öse', 'Zopf', 'Zwirn']);
  await page.getByRole('button', { name: /^Locale/ }).click();
  await page.getByRole('menuitem', { name: 'add sv' }).click();
  await expect.poll(names).toEqual(['Apfel', 'Zopf', 'Zwirn', 'Ärmel', 'Öse']);

  await order.getByRole('button', { name: 'A key more' }).click();
  await page.getByRole('menuitem', { name: 'price' }).click();
  await order.getByRole('button', { name: 'Key 2 earlier' }).click();
  await order.getByRole('button', { name: 'down', exact: true }).first().click();
  await expect.poll(names).toEqual(['Zwirn', 'Öse', 'Zopf', 'Apfel', 'Ärmel']);
  await order.getByRole('button', { name: 'missing first' }).first().click();
  await expect.poll(names).toEqual(['Apfel', 'Ärmel', 'Zwirn', 'Öse', 'Zopf']);
  await page.getByRole('textbox', { name: 'Key 1 of the order' }).fill('-(price ?? 0)');
  await expect.poll(names).toEqual(['Apfel', 'Ärmel', 'Zopf', 'Öse', 'Zwirn']);
  await page.getByRole('button', { name: 'Remove key 2' }).click();
  await page.getByRole('button', { name: 'Remove key 1' }).click();
  await expect(order).toContainText('items stand as they came');
  await expect.poll(names).toEqual(words);
});

test('several lists of a project: shown in turn, duplicated, named, arranged apart, removed', async ({
  page,
}) => {
  await openDemo(page, 'list');
  await page.getByRole('button', { name: 'This list' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate it' }).click();
  await expect(page).toHaveURL(/list=everything-in-the-shop-2/);
  await page.getByRole('button', { name: 'This list' }).click();
  await page.getByRole('menuitem', { name: 'Name it' }).click();
  await page
    .getByRole('textbox', { name: 'Name of list Everything in the shop 2' })
    .fill('By name');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('By name');
  await page.getByRole('button', { name: 'A key more' }).click();
  await page.getByRole('menuitem', { name: 'name', exact: true }).click();
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).not.toBe('Merino lace, undyed');
  await page.getByRole('button', { name: 'List: By name' }).click();
  await page.getByRole('menuitem', { name: 'In the shop window' }).click();
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('Merino lace, undyed');
  await expect(page.locator('.yc-sizer .yc-link, .yc-sizer a').first()).toBeAttached();
  await page.getByRole('button', { name: 'List: In the shop window' }).click();
  await page.getByRole('menuitem', { name: 'By name' }).click();
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('By name');
  await page.getByRole('button', { name: 'This list' }).click();
  await page.getByRole('menuitem', { name: 'Remove it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Everything in the shop');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('button', { name: /^List:/ })).toBeVisible();
});
