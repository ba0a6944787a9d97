// Strings that want to become markup, script, requests or prototypes, in every place that takes one.
import { chromiumArguments, chromiumPath } from '../chromium.mjs';

const run = 'window.__hit=(window.__hit||0)+1';
export const strings = [
  `<img src=x onerror="${run}">`,
  `<script>${run}</script>`,
  `"><svg onload="${run}">`,
  `javascript:${run}`,
  `\${(${run})}`,
  `{{constructor.constructor('${run}')()}}`,
  `__proto__`,
  `constructor.prototype`,
  `</style><style>@import url(http://evil.invalid/x)</style>`,
  `url(http://evil.invalid/y)`,
  `http://evil.invalid/z.png`,
  `data:text/html,<script>${run}</script>`,
  `\u202e\u2066\u0000\ud800`,
  `<iframe srcdoc="<script>parent.${run}</script>"></iframe>`,
];

/** Figures: strings, places, executions, requests to elsewhere, errors of the page. */
export async function hostile(address) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments });
  const figures = { strings: strings.length, places: 0, executions: 0, requests: 0, errors: 0 };
  for (const text of strings) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    page.on('request', (request) => {
      if (new URL(request.url()).host === 'evil.invalid') figures.requests += 1;
    });
    page.on('pageerror', () => {
      figures.errors += 1;
    });
    page.on('dialog', (dialog) => {
      figures.executions += 1;
      void dialog.dismiss();
    });
    figures.places = await everywhere(page, address, text);
    figures.executions += await page.evaluate(() => window.__hit ?? 0);
    figures.executions += await page.evaluate(() => Number('polluted' in {}));
    await page.close();
  }
  await browser.close();
  return figures;
}

/** Puts the string into each place; gives how many there are. */
async function everywhere(page, address, text) {
  const items = [
    { id: text, name: text, [text === '__proto__' ? 'own' : text]: text, deep: { name: text } },
    { id: 'b', name: 'Tern', deep: { name: 'x' } },
  ];
  await page.goto(address);
  await page.getByLabel('Items as text').fill(JSON.stringify(items));
  await page.getByRole('button', { name: 'Show as rows' }).click();
  await page.locator('.yc-sizer > .yc-row').first().waitFor();
  const fill = async (field) => {
    await field.fill(text);
    await field.press('Enter');
  };
  await fill(page.getByLabel('Project name'));
  await fill(page.getByLabel('Name of the source'));
  await fill(page.getByLabel(/^Name of the type/).first());
  await fill(page.getByLabel('Filter items'));
  await page.getByLabel('Filter items').fill('');
  await fill(page.getByLabel('JSONPath of the items')).catch(() => {});
  await page.getByRole('link', { name: 'Templates' }).click();
  await page.getByRole('textbox', { name: 'Value of text' }).fill(text);
  await page.waitForTimeout(200);
  await page.getByRole('textbox', { name: 'Value of text' }).fill(JSON.stringify(text));
  await page.getByRole('button', { name: 'fixed words' }).click();
  await page.locator('main').getByRole('textbox').first().fill(text);
  await page.getByRole('button', { name: 'by example' }).click();
  await page.getByLabel(/^Words for/).fill(text);
  await page.waitForTimeout(300);
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('Words of an item').fill(text);
  await page.keyboard.press('Enter');
  for (const station of ['Choices', 'List', 'Hand-off', 'Data'])
    await page.getByRole('link', { name: station, exact: true }).click();
  await page.getByText('saved', { exact: true }).waitFor();
  await page.goto(`${address}p/${encodeURIComponent(text.toWellFormed())}/data`).catch(() => {});
  await page.goto(address);
  await page.locator('.yc-row').first().waitFor();
  await page.waitForTimeout(300);
  return 14;
}
