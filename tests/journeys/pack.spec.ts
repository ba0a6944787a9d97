import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import type { Page } from '@playwright/test';
import type { Expected, ExpectedEntry } from '../../src/core/handoff';
import { expect, test } from './support';

const types: Readonly<Record<string, string>> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.css': 'text/css',
  '.svg': 'image/svg+xml',
  '.json': 'application/json',
  '.woff2': 'font/woff2',
};

/** A pack of a project, as files. */
function packed(project: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'yarncard-pack-'));
  spawnSync(process.execPath, ['bin/yarncard', 'pack', project, '--out', folder]);
  return folder;
}

/** Opens the page of a pack from a server of its own that has its files, and the faces of rows. */
async function openPack(page: Page, folder: string): Promise<readonly string[]> {
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  page.on('pageerror', (error) => errors.push(error.message));
  await page.route('http://pack.test/**', (route) => {
    const { pathname } = new URL(route.request().url());
    if (pathname === '/favicon.ico') return route.fulfill({ status: 204 });
    const file = pathname.startsWith('/faces/')
      ? join('dist/client', pathname)
      : join(folder, decodeURIComponent(pathname === '/' ? '/index.html' : pathname));
    const contentType = types[extname(file)] ?? 'application/octet-stream';
    return route.fulfill({ body: readFileSync(file), contentType });
  });
  await page.goto('http://pack.test/');
  return errors;
}

/** What the rows of a list show, all of them at once. */
async function drawn(page: Page, { list, look, locale, now, width }: Expected['settings'][number]) {
  return page.evaluate(
    async (setting) => {
      const element = document.querySelector(`[list="${setting.list}"]`);
      if (!(element instanceof HTMLElement)) throw new Error('no such list');
      for (const other of document.querySelectorAll('main > section'))
        if (other instanceof HTMLElement) other.hidden = !other.contains(element);
      element.style.cssText = `border: 0; inline-size: ${setting.width}px; block-size: 30000px; --list-font: var(--faces)`;
      for (const name of ['look', 'locale', 'now'] as const)
        element.setAttribute(name, setting[name] ?? '');
      const frame = () => new Promise((done) => requestAnimationFrame(done));
      for (let n = 0; n < 4; n += 1) await frame();
      await document.fonts.ready;
      Reflect.get(element, 'refresh').call(element);
      for (let n = 0; n < 4; n += 1) await frame();
      const host = element.shadowRoot?.querySelector('.yc-list');
      const from = host?.getBoundingClientRect();
      const rows = [...(host?.querySelectorAll('.yc-row') ?? [])].filter(
        (row) => row.closest('.yc-spare') === null,
      );
      return rows
        .map((row) => {
          const box = row.getBoundingClientRect();
          const parts = [...row.querySelectorAll('[data-part]')].flatMap((part) => {
            const own = part.getBoundingClientRect();
            if (own.width === 0 && own.height === 0) return [];
            const isLabel = part.classList.contains('yc-label');
            const words = isLabel
              ? part.textContent
              : part.querySelector(':scope > .yc-label:not([data-part])')?.textContent;
            return [
              {
                part: part.getAttribute('data-part') ?? '',
                text: words?.replace('\u200b', ''),
                box: [own.x - box.x, own.y - box.y, own.width, own.height],
              },
            ];
          });
          return { y: box.y - (from?.y ?? 0), height: box.height, parts };
        })
        .sort((one, other) => one.y - other.y);
    },
    { list, look, locale, now, width },
  );
}

const words = ({ parts }: Pick<ExpectedEntry, 'parts'>) =>
  parts
    .filter(({ box, text }) => box !== undefined && text !== undefined && text !== '')
    .map(({ part, text }) => `${part}: ${text?.replaceAll('\u00ad', '')}`);

test('the rows of a pack are those of the window: words, places and boxes, without a word of the policy', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const folder = packed('public/demo/thrumwick.yarncard.json');
  const expected: Expected = JSON.parse(readFileSync(join(folder, 'expected.json'), 'utf8'));
  // Rows are where they go, at once.
  await page.emulateMedia({ reducedMotion: 'reduce' });
  const errors = await openPack(page, folder);
  await page.addStyleTag({ url: 'http://pack.test/faces/rows.css' });
  await page.evaluate(() =>
    document.documentElement.style.setProperty(
      '--faces',
      '"Row", "Row Emoji", "Row Arabic", "Row Hebrew", "Row Thai", sans-serif',
    ),
  );
  for (const setting of expected.settings) {
    const wanted = expected.entries.filter((entry) => entry.setting === setting.id);
    const isFlat = wanted.every(({ box: [x, , width] }) => x === 0 && width === setting.width);
    if (!isFlat) continue;
    const rows = await drawn(page, setting);
    expect([setting.id, rows.length]).toEqual([setting.id, wanted.length]);
    expect(rows.map((row) => words(row as never))).toEqual(wanted.map(words));
    // Faces of Japanese come from elsewhere.
    if (setting.locale === 'ja') continue;
    const off = wanted.flatMap(({ key, box: [, y, , height] }, at) => {
      const row = rows[at];
      const isOff =
        Math.abs((row?.y ?? 0) - y) > 0.1 || Math.abs((row?.height ?? 0) - height) > 0.1;
      return isOff ? [[key, [y, height], [row?.y, row?.height]]] : [];
    });
    expect([setting.id, off]).toEqual([setting.id, []]);
  }
  expect(errors).toEqual([]);
});

/** The events that the lists of a page tell from now on, in short. */
async function listen(page: Page, names: readonly string[]): Promise<() => Promise<unknown[]>> {
  await page.evaluate((all) => {
    const heard: unknown[] = [];
    Reflect.set(window, 'heard', heard);
    for (const name of all)
      document.addEventListener(name, (event) => {
        if (event instanceof CustomEvent)
          heard.push([name, event.detail.key, event.detail.payload]);
      });
  }, names);
  return () => page.evaluate(() => Reflect.get(window, 'heard'));
}

test('what rows are for reaches the app, with what it hands over; controls write items, unless it is prevented', async ({
  page,
}) => {
  const project = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
  const template = project.templates.find(({ id }: { readonly id: string }) => id === 'class-rich');
  const called = { part: 'switch', id: 'is-off', on: { expr: 'cancelled' }, name: 'Called off' };
  template.row.children.push(called);
  const file = join(mkdtempSync(join(tmpdir(), 'yarncard-')), 'shop.yarncard.json');
  writeFileSync(file, JSON.stringify(project));
  const errors = await openPack(page, packed(file));
  const heard = await listen(page, ['book', 'press']);
  const list = page.locator('[list="shop-window"]');
  const row = list.getByRole('listitem').filter({ hasText: 'Plying and finishing' });
  await row.getByText('Book', { exact: true }).click();
  await expect.poll(heard).toEqual([
    ['book', 'cl-33', 'Plying and finishing'],
    ['press', 'cl-33', undefined],
  ]);
  const off = row.getByRole('switch', { name: 'Called off' });
  const isOff = () =>
    list.evaluate((element) => {
      const items: readonly { id: string; cancelled: boolean }[] = Reflect.get(element, 'items');
      return items.find(({ id }) => id === 'cl-33')?.cancelled;
    });
  await expect(off).toHaveAttribute('aria-checked', 'false');
  await page.evaluate(() =>
    document.addEventListener('change', (event) => event.preventDefault(), { once: true }),
  );
  await off.click();
  await expect(off).toHaveAttribute('aria-checked', 'false');
  expect(await isOff()).toBe(false);
  await off.click();
  await expect(off).toHaveAttribute('aria-checked', 'true');
  expect(await isOff()).toBe(true);
  expect(errors).toEqual([]);
});

test('a hundred thousand items of any height: the rows that are in sight, wherever one is; changes keep their place', async ({
  page,
}) => {
  const folder = packed('public/demo/thrumwick.yarncard.json');
  await openPack(page, folder);
  const list = page.locator('[list="shop-window"]');
  await list.evaluate((element) => {
    const some: Record<string, unknown>[] = Reflect.get(element, 'items');
    const many = Array.from({ length: 100_000 }, (_, at) => ({
      ...some[at % some.length],
      id: `it-${at}`,
      name: `Item ${at} ${'with a long name '.repeat(at % 5)}`,
    }));
    Reflect.set(element, 'items', many);
  });
  const rows = list.locator('.yc-list');
  await expect(rows.getByText('Item 0', { exact: false }).first()).toBeVisible();
  expect(
    await list.evaluate((element) => Reflect.get(element, 'scrollToKey').call(element, 'it-77777')),
  ).toBe(true);
  const wanted = rows.getByText('Item 77777', { exact: false });
  await expect(wanted).toBeVisible();
  const before = await wanted.evaluate((element) => element.getBoundingClientRect().y);
  await list.evaluate((element) => {
    Reflect.get(element, 'apply').call(element, { removed: ['it-5', 'it-6', 'it-7'] });
  });
  await expect
    .poll(() => list.evaluate((element) => Reflect.get(element, 'items').length))
    .toBe(99_997);
  await expect
    .poll(() => wanted.evaluate((element) => element.getBoundingClientRect().y))
    .toBe(before);
});
