import { createReadStream, mkdtempSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumArguments, chromiumPath } from './chromium.mjs';
import { root } from './setup.mjs';

const types = {
  js: 'text/javascript',
  css: 'text/css',
  json: 'application/json',
  wasm: 'application/wasm',
  woff2: 'font/woff2',
};

/** Heights of all rows, ours against the browser laying the same rows out. */
export async function benchHeights(itemCount, median, note) {
  const { build } = await import('esbuild');
  const { chromium } = await import('@playwright/test');
  const folder = mkdtempSync(join(tmpdir(), 'yarn-card-bench-'));
  await build({
    absWorkingDir: root,
    entryPoints: { heights: 'tests/bench/heights.ts' },
    outdir: folder,
    bundle: true,
    splitting: true,
    minify: true,
    format: 'esm',
    logLevel: 'warning',
  });
  const files = {
    '/': join(root, 'tests/bench/heights.html'),
    '/render.css': join(root, 'src/render/render.css'),
  };
  const server = createServer((request, response) => {
    const path = new URL(request.url, 'http://x').pathname;
    const isPublic = path.startsWith('/faces/') || path.startsWith('/measures/');
    response.setHeader('Content-Type', types[path.split('.').pop()] ?? 'text/html');
    createReadStream(files[path] ?? join(isPublic ? join(root, 'public') : folder, path))
      .on('error', () => response.writeHead(404).end())
      .pipe(response);
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  const runs = [];
  for (let run = 0; run < 3; run += 1) {
    // A browser of its own each time: both begin without anything kept.
    const browser = await chromium.launch({
      executablePath: chromiumPath,
      args: chromiumArguments,
    });
    const page = await browser.newPage();
    page.on('pageerror', (error) => console.error(error));
    await page.goto(`http://127.0.0.1:${server.address().port}/`);
    await page.evaluate(() => document.fonts.ready);
    runs.push(await page.evaluate((count) => window.heightsBench.heights(count), itemCount));
    await browser.close();
  }
  server.closeAllConnections();
  server.close();
  const of = (whose, pick) => median(runs.map((run) => pick(run[whose])));
  const cold = ([first]) => first;
  const again = ([, ...widths]) => median(widths);
  const against = 'Chromium laying them out';
  note('heights of a thousand rows, cold', against, of('ours', cold), of('theirs', cold), 0.02);
  note('… in another width', against, of('ours', again), of('theirs', again), 0.01);
  const off = Math.max(...runs.map((run) => run.off));
  if (off > 0) throw new Error(`${off} rows have another height than Chromium gives them`);
}
