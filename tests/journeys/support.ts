import { test as base, expect, type Page } from '@playwright/test';

/** Every journey fails on an error that the page itself met, refusals of the security policy among them. */
export const test = base.extend<{ quiet: undefined; isNoisy: boolean }>({
  /** Where failing is what is tried. */
  isNoisy: [false, { option: true }],
  quiet: [
    async ({ page, isNoisy }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error') errors.push(message.text());
      });
      await use(undefined);
      if (!isNoisy) expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** The words of the rows in the window, or in one of two, from the top; each row as its labels' texts. */
export async function rowsOf(page: Page, max = 8, window = ''): Promise<string[][]> {
  return page.locator(`${window} .yc-sizer > .yc-row:not(.yc-spare)`).evaluateAll(
    (rows, count) =>
      rows
        .map((row) => ({
          at: Number(row.getAttribute('aria-posinset')),
          words: [...row.querySelectorAll('.yc-label')].map((label) => label.textContent ?? ''),
        }))
        .sort((a, b) => a.at - b.at)
        .slice(0, count)
        .map((row) => row.words),
    max,
  );
}

/** Drops a file on the page. */
export const dropFile = (page: Page, name: string, content: string | Buffer): Promise<void> =>
  dropFiles(page, [[name, content]]);

/** Drops files on the page, by their names. */
export async function dropFiles(
  page: Page,
  files: readonly (readonly [name: string, content: string | Buffer])[],
): Promise<void> {
  const transfer = await page.evaluateHandle(
    (all) => {
      const transfer = new DataTransfer();
      for (const { name, base64 } of all) {
        const bytes = Uint8Array.from(atob(base64), (char) => char.charCodeAt(0));
        transfer.items.add(new File([bytes], name));
      }
      return transfer;
    },
    files.map(([name, content]) => ({ name, base64: Buffer.from(content).toString('base64') })),
  );
  await page.locator('body > astro-island > div').dispatchEvent('drop', { dataTransfer: transfer });
}

/** Says what becomes of a document that came while a project was open. */
export async function become(page: Page, what: string | RegExp): Promise<void> {
  await page
    .getByRole('region', { name: 'What becomes of it' })
    .getByRole('button', { name: what })
    .click();
}

export async function openDemo(page: Page, station = 'templates', query = ''): Promise<void> {
  await page.goto(`/p/thrumwick/${station}${query === '' ? '' : `?${query}`}`);
  await expect(page.locator('.yc-sizer > .yc-row').first()).toBeVisible();
  // The rows are drawn before the station.
  await expect(page.locator('main h1')).toBeAttached();
}

export async function saved(page: Page): Promise<void> {
  await expect(page.locator('header [role=status]')).toHaveText('saved');
}

export const stations = ['data', 'templates', 'choices', 'list', 'hand-off'] as const;

/** Sets a property of the selected part that takes no room until then, with its value if it is said. */
export async function addProperty(page: Page, words: string): Promise<void> {
  const add = page.getByRole('combobox', { name: 'Add a property' });
  await add.fill(words);
  await add.press('Enter');
}

/** Puts a part of a kind in: `where` as the page says it, if it asks. */
export async function insertPart(page: Page, kind: string, where?: string): Promise<void> {
  await page.getByRole('button', { name: 'Insert', exact: true }).click();
  await page.getByRole('combobox', { name: 'What comes in' }).fill(kind);
  await page.getByRole('option', { name: kind, exact: true }).click();
  if (where !== undefined) await page.getByRole('button', { name: where }).click();
}
