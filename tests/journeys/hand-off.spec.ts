import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { expect, openDemo, test } from './support';

/** The page's own storage in the place of a folder that a reader would choose. */
const withFolder = () => {
  window.showDirectoryPicker = async () => {
    const root = await navigator.storage.getDirectory();
    return root.getDirectoryHandle('shop-app', { create: true });
  };
};

test('what will be written is seen, written into a folder, and told by what is otherwise later', async ({
  page,
}) => {
  await page.addInitScript(withFolder);
  await openDemo(page);
  await page.getByRole('link', { name: 'Hand-off' }).click();
  const files = page.getByRole('navigation', { name: 'Files' });
  await expect(files.getByRole('link').first()).toContainText('README.md', { timeout: 30_000 });
  await expect(files).toContainText('Nothing was handed off from this browser yet.');
  await files.getByRole('link', { name: 'expected.json' }).click();
  await expect(page.getByRole('region', { name: 'The file' })).toContainText('"yarncard": 1');
  await page.getByRole('button', { name: 'Write into a folder' }).click();
  await expect(
    page.getByRole('status').filter({ hasText: 'files written to shop-app' }),
  ).toBeVisible();
  await expect(files).toContainText('Nothing is otherwise than at the last hand-off');

  await page.goto('/p/thrumwick/templates?template=skein-brief&part=price');
  await page.getByRole('button', { name: 'Remove price' }).first().click();
  await page.getByRole('link', { name: 'Hand-off' }).click();
  await expect(files.getByRole('link', { name: /project.yarncard.json/ })).toContainText('~', {
    timeout: 30_000,
  });
  await files.getByRole('link', { name: /project.yarncard.json/ }).click();
  await expect(page.getByRole('region', { name: 'The file' })).toContainText('"id": "price"');
  await expect(page.getByRole('listitem').filter({ hasText: 'removed:' }).first()).toBeVisible();
  // Somebody wrote into one of the files meanwhile.
  await page.evaluate(async () => {
    const root = await navigator.storage.getDirectory();
    const folder = await root.getDirectoryHandle('shop-app');
    const writing = await (await folder.getFileHandle('README.md')).createWritable();
    await writing.write('ours');
    await writing.close();
  });
  await page.getByRole('button', { name: /^Write \d changed to shop-app$/ }).click();
  await expect(page.getByRole('alert')).toContainText('shop-app has README.md, not as handed off.');
  await page.getByRole('button', { name: 'Overwrite' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^\d files written/ })).toBeVisible();
});

test('a zip has the files that are listed', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Hand-off' }).click();
  const files = page.getByRole('navigation', { name: 'Files' });
  await expect(files.getByRole('link').first()).toBeVisible({ timeout: 30_000 });
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a zip' }).click();
  const saved = await download;
  expect(saved.suggestedFilename()).toBe('Thrumwick shop.zip');
  const entries = unzipSync(readFileSync(await saved.path()));
  const listed = await files
    .getByRole('link')
    .evaluateAll((links) => links.map((link) => link.querySelector('span')?.textContent ?? ''));
  expect(Object.keys(entries)).toEqual(listed.map((path) => `Thrumwick shop/${path}`));
});
