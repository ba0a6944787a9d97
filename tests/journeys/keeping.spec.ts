import { dropFile, expect, openDemo, rowsOf, saved, test } from './support';

test('a second tab looks on and says so', async ({ page, context }) => {
  await openDemo(page, 'list');
  await saved(page);
  const second = await context.newPage();
  await second.goto('/p/thrumwick/list');
  await expect(second.locator('header [role=status]')).toContainText('open in another tab');
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await saved(page);
  await expect(second.getByRole('button', { name: 'grid', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a tab on the start page holds no project, and an edit is kept at once when it is left', async ({
  page,
  context,
}) => {
  await openDemo(page, 'list');
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await page.getByRole('button', { name: 'All projects' }).click();
  const second = await context.newPage();
  await openDemo(second, 'list');
  await saved(second);
  await expect(second.getByRole('button', { name: 'grid', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('where the browser has no room left it is said, and a file can be saved', async ({ page }) => {
  await page.addInitScript(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.goto('/');
  await dropFile(page, 'few.json', '[{"name":"Lace"},{"name":"Sock"}]');
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
  await expect(page.getByRole('alert')).toContainText('no room left');
  await expect(page.locator('header [role=status]')).toHaveText('not saved');
  const download = page.waitForEvent('download');
  await page.keyboard.press('Control+s');
  expect((await download).suggestedFilename()).toBe('few.yarncard.json');
});

test('where the browser keeps nothing it is said, and all else works', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('private', 'SecurityError');
    };
  });
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('keeps nothing');
  await dropFile(page, 'few.json', '[{"name":"Lace"},{"name":"Sock"}]');
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
});

test('several projects, each with its items', async ({ page }) => {
  await page.goto('/');
  for (const name of ['one', 'two']) {
    await dropFile(
      page,
      `${name}.json`,
      JSON.stringify([{ name: `Lace ${name}` }, { name: 'Sock' }]),
    );
    await expect.poll(() => rowsOf(page, 1)).toEqual([[`Lace ${name}`]]);
    await saved(page);
    await page.getByRole('button', { name: 'All projects' }).click();
  }
  await page.reload();
  await page.getByRole('button', { name: /one/ }).first().click();
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Lace one']]);
});

test('an address of a project that is not here says so', async ({ page }) => {
  await page.goto('/p/nowhere/data');
  await expect(page.getByRole('heading')).toHaveText('This browser has no project at this address');
  await page.getByRole('button', { name: 'To the start page' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Start with your items');
});

test('a file that is dropped while the demo is put among the projects is not lost', async ({
  page,
}) => {
  await page.addInitScript(() => {
    navigator.locks.request = new Proxy(navigator.locks.request, {
      async apply(request, _, asked) {
        await new Promise((resolve) => setTimeout(resolve, 2_000));
        return Reflect.apply(request, navigator.locks, asked);
      },
    });
  });
  await page.goto('/');
  await page.waitForTimeout(1_200);
  await dropFile(page, 'yarns.json', '[{"name":"Lace"},{"name":"Sock"}]');
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
});
