import { freshItems, rowIsThere, stepper, tries } from '../../scripts/tries/tries.mjs';
import { dropFile, expect, test } from './support';

for (const { name, max, run } of tries) {
  test(`from a plain row to image, title, second line and value: ${name}`, async ({ page }) => {
    await page.goto('/');
    await dropFile(page, 'boats.json', JSON.stringify(freshItems(7)));
    await page.locator('.yc-sizer > .yc-row').first().waitFor();
    await page.getByRole('link', { name: 'Templates' }).click();
    await page.locator('.yc-bench [data-part="title"]').waitFor();
    const does = stepper(page);
    await run(page, does);
    await rowIsThere(page);
    expect(does.steps.length, does.steps.join(' · ')).toBeLessThanOrEqual(max);
  });
}
