import type { Page } from '@playwright/test';
import { become, dropFile, expect, openDemo, rowsOf, saved, test } from './support';

test('a second tab looks on and says so', async ({ page, context }) => {
  await openDemo(page, 'list');
  await saved(page);
  const second = await context.newPage();
  await second.goto('/p/thrumwick/list');
  await expect(second.locator('header [role=status]')).toHaveText('another tab writes it');
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
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Projects in this browser' })).toContainText(
    'the demo',
  );
  await page.workers()[0]?.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
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

const csvOf = (...names: string[]) =>
  ['id,name', ...names.map((name, at) => `${at},${name}`)].join('\n');

test('a source that is removed and another of its name: undo brings back each with its own items', async ({
  page,
}) => {
  await openDemo(page, 'data');
  for (const names of [
    ['Gull', 'Tern'],
    ['Cutter', 'Ketch', 'Yawl'],
  ]) {
    await dropFile(page, 'boats.csv', csvOf(...names));
    await become(page, 'Add as a source');
    await expect.poll(() => rowsOf(page)).toEqual(names.map((name) => [name]));
    if (names.length === 2) await page.getByRole('button', { name: 'Remove boats' }).click();
  }
  await page.getByRole('button', { name: /^Undo: Add source/ }).click();
  await page.getByRole('button', { name: /^Undo: Remove source/ }).click();
  await page.getByRole('button', { name: /^boats/ }).click();
  await expect.poll(() => rowsOf(page)).toEqual([['Gull'], ['Tern']]);
  await saved(page);
  await page.reload();
  await expect.poll(() => rowsOf(page)).toEqual([['Gull'], ['Tern']]);
});

test('a second tab follows items too, cannot edit, and reads all anew when it takes over', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await dropFile(page, 'boats.csv', csvOf('Gull', 'Tern'));
  await saved(page);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByRole('region', { name: 'Open in another tab' })).toBeVisible();
  await dropFile(page, 'boats.csv', csvOf('Gull', 'Tern', 'Yawl'));
  await become(page, /^Import again into boats/);
  await saved(page);
  await expect.poll(() => rowsOf(second)).toEqual([['Gull'], ['Tern'], ['Yawl']]);
  await second.getByRole('link', { name: 'List' }).click();
  await second.getByRole('button', { name: 'grid', exact: true }).click();
  await expect(second.getByRole('alert')).toContainText('Another tab writes this project');
  await second.getByRole('button', { name: 'Take over here' }).click();
  await saved(second);
  await expect(page.getByRole('region', { name: 'Open in another tab' })).toBeVisible();
  await second.getByRole('button', { name: 'grid', exact: true }).click();
  await saved(second);
  await second.reload();
  await expect.poll(() => rowsOf(second)).toEqual([['Gull'], ['Tern'], ['Yawl']]);
  await expect(second.getByRole('button', { name: 'grid', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

/** When a project was kept last, as milliseconds. */
const keptAt = (page: Page, id: string): Promise<number> =>
  page.evaluate(
    (id) =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open('yarn-card');
        opening.onsuccess = () => {
          const asked = opening.result.transaction('projects').objectStore('projects').get(id);
          asked.onsuccess = () => {
            opening.result.close();
            resolve(asked.result.keptAt);
          };
        };
      }),
    id,
  );

test('what is changed without a rest is kept in the midst of it', async ({ page }) => {
  await openDemo(page, 'list');
  await saved(page);
  await page.evaluate(() => {
    const press = (words: string) =>
      [...document.querySelectorAll('button')].find((each) => each.textContent === words)?.click();
    let count = 0;
    setInterval(() => {
      count += 1;
      press(count % 2 === 0 ? 'list' : 'grid');
    }, 80);
  });
  const seen = new Set<number>([await keptAt(page, 'thrumwick')]);
  await expect
    .poll(async () => seen.add(await keptAt(page, 'thrumwick')).size, { timeout: 10_000 })
    .toBeGreaterThan(3);
});

test('a removed project can be brought back, at once and later', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'boats.csv', csvOf('Gull', 'Tern'));
  await saved(page);
  await page.getByRole('button', { name: 'All projects' }).click();
  const kept = page.getByRole('region', { name: 'Projects in this browser' });
  const remove = page.getByRole('button', { name: 'Remove boats from this browser' });
  await remove.click();
  await expect(kept).not.toContainText('boats');
  await page.getByRole('button', { name: 'Bring boats back' }).first().click();
  await expect(kept).toContainText('boats');
  await remove.click();
  await expect(kept).not.toContainText('boats');
  await page.reload();
  await page.getByText('1 removed project').click();
  await page.getByRole('listitem').getByRole('button', { name: 'Bring boats back' }).click();
  await kept.getByRole('button', { name: /^boats/ }).click();
  await expect.poll(() => rowsOf(page)).toEqual([['Gull'], ['Tern']]);
});

test('a database that never answers is said within seconds, and the tool goes on', async ({
  page,
}) => {
  // Requests that are never answered: neither success nor error nor blocked.
  const silence = () => {
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
  };
  await page.addInitScript(silence);
  page.on('worker', (worker) => void worker.evaluate(silence));
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('database does not answer', {
    timeout: 15_000,
  });
  await dropFile(page, 'few.json', '[{"name":"Lace"},{"name":"Sock"}]');
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
  await page.getByRole('link', { name: 'List' }).click();
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Undo: Grid/ })).toBeVisible();
  await expect(page.locator('header [role=status]')).toHaveText('not saved');
});

test('a worker that hangs is said within seconds; begun anew, nothing is lost', async ({
  page,
}) => {
  await openDemo(page, 'list');
  await saved(page);
  await page.workers()[0]?.evaluate(() => {
    setTimeout(() => {
      for (;;);
    }, 0);
  });
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await page.getByRole('button', { name: 'Begin anew' }).click({ timeout: 60_000 });
  await expect(page.locator('.yc-sizer > .yc-row').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'grid', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await saved(page);
});
