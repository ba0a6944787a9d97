import { expect, openDemo, saved, test } from './support';

test('boxes are checked at the widths that a project names, and each finding leads to its row', async ({
  page,
}) => {
  await openDemo(page, 'list');
  const checked = page.getByRole('region', { name: 'Checked at' });
  const widths = checked.getByLabel('Widths that are checked');
  await widths.fill('360, narrow');
  await widths.press('Enter');
  await expect(checked.getByRole('alert')).toContainText('whole number from 120 to 2000 px');
  await widths.fill('360, 320');
  await widths.press('Enter');
  await expect(checked.getByRole('alert')).toBeHidden();
  await expect(widths).toHaveValue('320, 360');
  const cut = checked.getByRole('button', {
    name: /“name” of “skein-brief” is cut off in 5 of 30 rows at 320 px/,
  });
  await expect(cut).toBeVisible();

  await checked.getByLabel('Text sizes that are checked').fill('100 200');
  await checked.getByLabel('Text sizes that are checked').press('Tab');
  await expect(
    checked.getByRole('button', { name: /28 of 30 rows at 320 px × 200 %/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo: Check text sizes 100, 200' }).click();
  await saved(page);
  await page.reload();
  await expect(widths).toHaveValue('320, 360');
  await cut.click();
  await expect(page).toHaveURL(/\/templates\?.*part=name/);
  await expect(page.getByRole('contentinfo')).toContainText('Gotland lambswool, slate');
});
