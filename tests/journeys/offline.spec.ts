import { dropFile, expect, openDemo, rowsOf, saved, stations, test } from './support';

test.use({ serviceWorkers: 'allow' });

test('after the first visit everything works without the server, reload too', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await page.evaluate(() => navigator.serviceWorker.ready);
  await expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
    .toBe(true);
  await context.setOffline(true);
  await page.reload();
  await dropFile(page, 'boats.csv', 'id;name\n1;Gull\n2;Tern\n');
  await expect.poll(() => rowsOf(page)).toEqual([['Gull'], ['Tern']]);
  await saved(page);
  await page.reload();
  await expect.poll(() => rowsOf(page)).toEqual([['Gull'], ['Tern']]);
  for (const station of stations) {
    await page.goto(`/p/thrumwick/${station}`);
    await expect(page.locator('main').getByRole('heading').first()).toBeVisible();
  }
  await openDemo(page, 'templates');
  await page.getByRole('button', { name: 'by example' }).click();
  await expect(page.getByLabel(/^Words for/)).toBeVisible();
  await page.goto('/docs/expressions');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Expressions');
  await context.setOffline(false);
});
