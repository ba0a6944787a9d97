// `npm run tries`: does in Chromium what a new user does first, and writes the table in docs/tries.md.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromiumArguments, chromiumPath, ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
const { serve } = await import('./serve.mjs');
const { chromium } = await import('@playwright/test');
const { freshItems, rowIsThere, stepper, tries } = await import('./tries/tries.mjs');

const server = await serve({ host: '127.0.0.1', port: 0 });
const address = `http://127.0.0.1:${server.address().port}`;
const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments });
const seed = Number(process.env.SEED ?? Date.now() % 1_000);
const lines = [];
for (const { name, max, run } of tries) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  const transfer = await page.evaluateHandle(
    (text) => {
      const data = new DataTransfer();
      data.items.add(new File([text], 'boats.json'));
      return data;
    },
    JSON.stringify(freshItems(seed)),
  );
  await page.locator('body > astro-island > div').dispatchEvent('drop', { dataTransfer: transfer });
  await page.locator('.yc-sizer > .yc-row').first().waitFor();
  await page.getByRole('link', { name: 'Templates' }).click();
  await page.locator('.yc-bench [data-part="title"]').waitFor();
  const does = stepper(page);
  const start = Date.now();
  await run(page, does);
  await rowIsThere(page);
  const seconds = (Date.now() - start) / 1_000;
  lines.push(
    `| ${name} | ${does.steps.length} | ${max} | ${does.steps.join(' · ')} | ${seconds.toFixed(1)} |`,
  );
  await page.close();
}
await browser.close();
server.close();

const text = `# A new user's tries

From a plain row to an image, a title, a second line and a value at the end, with items that were
made up for it (seed ${seed}), driven in Chromium by \`npm run tries\`. A step is a press, a drag or a
command key; letters that one types to name a value are none.

| how | steps | at most | which | seconds, driven |
| --- | --- | --- | --- | --- |
${lines.join('\n')}
`;
writeFileSync(join(root, 'docs/tries.md'), text);
console.log(text);
process.exit(0);
