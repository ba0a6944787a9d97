import { itemsAfter } from '../../src/core/items';
import { become, expect, openDemo, rowsOf, test } from './support';

test.use({ isNoisy: true });

test('the stand-in service: brought by its name, its items change, fail and come back', async ({
  page,
}) => {
  await openDemo(page, 'data');
  await page.getByRole('button', { name: /^Find or do/ }).click();
  await page.getByPlaceholder('Words of an item, or something to do').fill('stand-in');
  await page.getByRole('option', { name: /^Bring items of the stand-in/ }).click();
  await become(page, /new project/i);
  const [first] = itemsAfter({ seed: 1, count: 60 }, 0);
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe(first?.['name']);
  await page.getByRole('link', { name: 'Data' }).click();
  const driver = page.getByRole('region', { name: 'Stand-in service' });
  await driver.getByRole('button', { name: 'ten a second' }).click();
  const followed = page.getByRole('region', { name: 'How the address is asked' });
  await expect(followed).toContainText(/[1-9]\d* changed/);
  await driver.getByRole('button', { name: 'all fail' }).click();
  await expect(followed.getByRole('status')).toContainText('answered 503');
  await driver.getByRole('button', { name: 'none fails' }).click();
  await expect(followed).toContainText(/[1-9]\d* changed/);
  await driver.getByRole('button', { name: 'nothing happens' }).click();
  await expect(followed).toContainText('Fetched when you say so.');
});
