import { existsSync, readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { type Browser, chromium, type Page } from '@playwright/test';
import { chromiumArguments, chromiumPath } from '../../scripts/chromium.mjs';
import { families } from '../../scripts/fonts/families.mjs';
import { ownFontFile } from '../support/own-font';

const origin = 'http://layout.test';

/** What the window's list says to its text. */
export const rowCss =
  'text-rendering:geometricPrecision;text-spacing-trim:space-all;text-autospace:no-autospace';

/** A page of Chromium with the faces of rows, and nothing else in it. */
export async function openPage(ratio: number): Promise<{ page: Page; close: () => Promise<void> }> {
  const browser: Browser = await chromium.launch({
    executablePath: chromiumPath,
    // Not what Playwright emulates: only so lengths are cut to 1/64 of a device px.
    args: [...chromiumArguments, `--force-device-scale-factor=${ratio}`],
  });
  const page = await browser.newPage({ viewport: null });
  const files = new Map<string, string>();
  const css = families().flatMap(({ family, slices }) =>
    slices.map(({ file, unicodeRange }) => {
      files.set(`/${basename(file)}`, file);
      return `@font-face{font-family:'${family}';font-weight:100 900;src:url(/${basename(file)}) format('woff2');unicode-range:${unicodeRange}}`;
    }),
  );
  css.push(`@font-face{font-family:'Row Box';font-weight:100 900;src:url(/box.ttf)}`);
  files.set('/box.ttf', 'public/faces/box.ttf');
  css.push(`@font-face{font-family:'Own own';font-weight:100 900;src:url(/own.woff2)}`);
  files.set('/own.woff2', ownFontFile);
  await page.route(`${origin}/**`, (route) => {
    const file = files.get(new URL(route.request().url()).pathname);
    if (file !== undefined && existsSync(file))
      return route.fulfill({ body: readFileSync(file), contentType: 'font/woff2' });
    return route.fulfill({
      contentType: 'text/html',
      body: `<!doctype html><meta charset="utf-8"><style>body{margin:0}${css.join('')}</style>`,
    });
  });
  await page.goto(`${origin}/`);
  return { page, close: () => browser.close() };
}

/** Has all faces loaded that texts take. */
export async function loadFaces(page: Page, texts: readonly string[], font: string): Promise<void> {
  await page.evaluate(
    async ({ texts, font }) => {
      const probe = document.createElement('div');
      probe.style.cssText = `font:16px/20px ${font}`;
      await document.fonts.load("16px 'Own own'");
      probe.append(
        ...texts.map((text) => {
          const line = document.createElement('p');
          line.textContent = text;
          return line;
        }),
      );
      document.body.append(probe);
      let wasAt = -1;
      for (;;) {
        probe.getBoundingClientRect();
        await document.fonts.ready;
        await new Promise((done) => setTimeout(done, 60));
        const at = [...document.fonts].filter(({ status }) => status === 'loaded').length;
        if (at === wasAt && document.fonts.status === 'loaded') break;
        wasAt = at;
      }
      probe.remove();
    },
    { texts: [...texts], font },
  );
}
