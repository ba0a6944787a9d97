// `npm run shots`: one current picture of each main view, from the demo, into docs/screenshots/.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromiumArguments, chromiumPath, ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
const { serve } = await import('./serve.mjs');
const { chromium } = await import('@playwright/test');

const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const server = await serve({ host: '127.0.0.1', port: 0 });
const address = `http://127.0.0.1:${server.address().port}`;
const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments });

const views = [
  { name: 'start', path: '/', scheme: 'light' },
  { name: 'data', path: '/p/thrumwick/data', scheme: 'light' },
  { name: 'field', path: '/p/thrumwick/data?field=price', scheme: 'light' },
  { name: 'pictures', path: '/p/thrumwick/data?panel=pictures', scheme: 'light' },
  { name: 'templates', path: '/p/thrumwick/templates?part=price', scheme: 'light' },
  { name: 'templates-dark', path: '/p/thrumwick/templates?part=maker-and-weight', scheme: 'dark' },
  {
    name: 'by-example',
    path: '/p/thrumwick/templates?part=name',
    scheme: 'light',
    press: 'by example',
    words: '€14.50 · Hollow Fell · 12 skeins',
  },
  { name: 'styles', path: '/p/thrumwick/templates?panel=styles&style=title', scheme: 'light' },
  { name: 'colours', path: '/p/thrumwick/templates?panel=colours', scheme: 'dark' },
  { name: 'choices', path: '/p/thrumwick/choices', scheme: 'light' },
  { name: 'list', path: '/p/thrumwick/list?list=whole-shop&piece=insert', scheme: 'light' },
  { name: 'strip', path: '/p/thrumwick/list?list=whole-shop&look=rich&item=60', scheme: 'light' },
  {
    name: 'beside',
    path: '/p/thrumwick/templates?part=name&beside=narrow-phone&beside-list=shop-window',
    scheme: 'light',
  },
  {
    name: 'shared-part',
    path: '/p/thrumwick/templates?template=skein-rich&part=price',
    scheme: 'light',
  },
  {
    name: 'drafts',
    path: '/p/thrumwick/templates?template=tool-brief&panel=drafts',
    scheme: 'light',
  },
  {
    name: 'compare',
    path: '/p/thrumwick/templates?template=skein-brief&panel=compare',
    scheme: 'dark',
  },
  {
    name: 'as-a-picture',
    path: '/p/thrumwick/templates?template=skein-rich&part=name&panel=picture',
    scheme: 'light',
    check: ['longest name', 'shortest name'],
  },
  {
    name: 'living',
    path: '/p/thrumwick/templates?list=shop-window&panel=actions&lives=yes',
    scheme: 'light',
    press: 'Book',
  },
  { name: 'hand-off', path: '/p/thrumwick/hand-off', scheme: 'light' },
];

for (const { name, path, scheme, press, words, check = [] } of views) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: scheme,
  });
  const page = await context.newPage();
  // The clock stands still, so that a picture changes only with what it shows.
  await page.clock.setFixedTime(new Date('2026-03-21T10:30:00'));
  await page.goto(`${address}${path}`);
  await page.waitForFunction(
    () => document.fonts.status === 'loaded' && document.readyState === 'complete',
  );
  await page.waitForTimeout(3000);
  const pressed = page.getByRole('button', { name: press, exact: true }).first();
  if (press !== undefined) await pressed.click();
  if (words !== undefined) await page.getByLabel(/^Words for/).fill(words);
  for (const each of check) await page.getByRole('checkbox', { name: each }).check();
  await page.waitForTimeout(800);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
  await context.close();
}
await browser.close();
server.close();
server.closeAllConnections();
process.exit(0);
