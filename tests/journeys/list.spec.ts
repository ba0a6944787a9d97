import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { dropFile, expect, openDemo, saved, test } from './support';

const dyes = ['madder', 'weld', 'woad'];
const skeins = Array.from({ length: 90 }, (_, at) => ({
  no: `w-${100 + at}`,
  called: `Wool ${String(at).padStart(2, '0')}`,
  dye: dyes[at % 3],
  grams: 25 + at,
}));

/** The words of entries in the window, from the top, those of headings that stick where they are seen. */
const seen = (page: Page, count = 6): Promise<readonly string[]> =>
  page.locator('.yc-list').evaluate((list, max) => {
    const top = list.getBoundingClientRect().top;
    return [...list.querySelectorAll('.yc-row')]
      .filter((row) => row.closest('.yc-spare') === null)
      .map((row) => ({ y: row.getBoundingClientRect().top - top, text: row.textContent ?? '' }))
      .filter(({ y }) => y > -5)
      .sort((one, other) => one.y - other.y)
      .slice(0, max)
      .map(({ text }) => text);
  }, count);

/** The heading that stands right under the top of the list, or under its bar. */
const stuck = (page: Page): Promise<string | undefined> =>
  page.locator('.yc-list').evaluate((list) => {
    const bar = list.querySelector('.yc-bar-above')?.getBoundingClientRect();
    const top = bar?.bottom ?? list.getBoundingClientRect().top;
    const heading = [...list.querySelectorAll('.yc-heading')].find(
      (each) => Math.abs(each.getBoundingClientRect().top - top) < 1,
    );
    return heading?.textContent ?? undefined;
  });

async function scrollTo(page: Page, top: number): Promise<void> {
  await page.locator('.yc-list').evaluate((list, to) => {
    list.scrollTop = to;
  }, top);
}

const piece = (page: Page, name: string) =>
  page.getByRole('list', { name: 'What follows what' }).getByRole('button', { name });

test.describe('the list as an app has it', () => {
  test.beforeEach(async ({ page }) => {
    await page.goto('/');
    await dropFile(page, 'wool.json', JSON.stringify(skeins));
    await page.locator('.yc-sizer > .yc-row').first().waitFor();
    await page.getByRole('link', { name: 'List' }).click();
    await piece(page, '+ heading').click();
    await page.getByRole('button', { name: 'dye', exact: true }).click();
    await expect(page.getByText('90 items · 93 entries')).toBeVisible();
  });

  test('sections stick their heading, fold by press and by key, and stay folded', async ({
    page,
  }) => {
    await expect
      .poll(() => seen(page, 2))
      .toEqual(['madder30', expect.stringContaining('Wool 00')]);
    await scrollTo(page, 300);
    await expect.poll(() => stuck(page)).toBe('madder30');
    await page.getByRole('button', { name: 'fold, open at first' }).click();
    const heading = page.locator('.yc-folds').filter({ hasText: 'madder' });
    await expect(heading).toHaveAttribute('aria-expanded', 'true');
    await heading.click();
    await expect(heading).toHaveAttribute('aria-expanded', 'false');
    await expect.poll(() => seen(page, 2)).toEqual(['madder30', 'weld30']);
    await heading.press('Enter');
    await expect(heading).toHaveAttribute('aria-expanded', 'true');
    await expect(heading).toBeFocused();
    await heading.press(' ');
    await expect.poll(() => seen(page, 2)).toEqual(['madder30', 'weld30']);

    // It is kept over another order, and undo takes back what was set, not what was folded.
    await page.getByRole('button', { name: 'down', exact: true }).click();
    await expect.poll(async () => (await seen(page, 1))[0]).toBe('woad30');
    await page.keyboard.press('Control+z');
    await expect.poll(() => seen(page, 2)).toEqual(['madder30', 'weld30']);
    await page.waitForTimeout(1_000);
    await page.reload();
    await expect.poll(() => seen(page, 2)).toEqual(['madder30', 'weld30']);
    await heading.click();
    await expect.poll(() => seen(page, 2)).toEqual(['madder30', expect.stringContaining('Wool')]);
    await heading.click();
    await expect.poll(() => seen(page, 2)).toEqual(['madder30', 'weld30']);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  });

  test('an index at the side leads to each section, by press and by key', async ({ page }) => {
    await page.getByRole('button', { name: 'A field: field' }).click();
    await page.getByRole('menuitem', { name: 'grams' }).click();
    await page.getByRole('checkbox', { name: 'an index of them at the side' }).check();
    const marks = page.getByRole('toolbar', { name: 'Sections' }).getByRole('button');
    await expect.poll(() => marks.count()).toBeGreaterThan(20);
    const [first, last] = [marks.first(), marks.last()];
    await expect(first).toHaveText('25');
    await expect(last).toHaveText('114');
    const middle = marks.nth(12);
    const name = await middle.textContent();
    await middle.click();
    await expect.poll(() => stuck(page)).toBe(`${name}1`);
    await first.click();
    await expect.poll(() => stuck(page)).toBe('251');
    await first.press('ArrowDown');
    const second = await marks.nth(1).textContent();
    await expect(marks.nth(1)).toBeFocused();
    await expect.poll(() => stuck(page)).toBe(`${second}1`);
  });

  test('settings that change ten times a second leave no row stale', async ({ page }) => {
    await page.getByRole('button', { name: 'fold, open at first' }).click();
    await piece(page, '+ insert').click();
    await page.getByRole('button', { name: 'Insert after every 6 rows' }).click();
    await piece(page, '+ filter box').click();
    await page.getByRole('checkbox', { name: 'called' }).check();
    const box = page.getByRole('searchbox', { name: 'Filter rows' });
    const words = ['wool', 'wool 3', '', 'zzz', '7', 'wool 5', ''];
    const edge = page.getByRole('separator', { name: 'Width of the device' });
    // Without waiting for what the former ones gave.
    const foldOne = (which: string) =>
      page
        .locator('.yc-list')
        .evaluateAll(
          (lists, selector) =>
            lists[0]?.querySelector<HTMLElement>(`.yc-track:not(.yc-spare) ${selector}`)?.click(),
          which,
        );
    for (let at = 0; at < 28; at += 1) {
      await box.fill(words[at % words.length] ?? '');
      if (at % 3 === 0) await edge.press(at % 2 === 0 ? 'ArrowLeft' : 'ArrowRight');
      if (at % 4 === 0) await foldOne('.yc-folds');
      await page.locator('.yc-list').evaluateAll(
        (lists, top) => {
          for (const list of lists) list.scrollTop = top;
        },
        (at * 137) % 2_000,
      );
    }
    await box.fill('wool');
    // All rows are compared.
    await piece(page, 'heading').click();
    await page.getByRole('button', { name: 'never fold' }).click();
    await expect(page.getByText('90 items · 108 entries')).toBeVisible();
    await scrollTo(page, 900);
    await page.waitForTimeout(500);
    const rows = () =>
      page.locator('.yc-list').evaluate((list) =>
        [...list.querySelectorAll('.yc-row')]
          .filter((row) => row.closest('.yc-spare') === null)
          .map((row) => {
            const { top, height, width } = row.getBoundingClientRect();
            const html = row.outerHTML.replace(/ id="yc-\d+"/g, '');
            return [Math.round(top * 64), height, width, html];
          })
          .sort(([one], [other]) => Number(one) - Number(other)),
      );
    const before = await rows();
    await page.reload();
    await page.locator('.yc-sizer > .yc-row').first().waitFor();
    await box.fill('wool');
    await expect(page.getByText('90 items · 108 entries')).toBeVisible();
    await scrollTo(page, 900);
    await expect.poll(rows).toEqual(before);
  });

  test('a heading says what comes of all items of its section', async ({ page }) => {
    await page.getByRole('button', { name: 'open it' }).click();
    await page
      .locator('[data-pane=outline], body')
      .getByText('count', { exact: true })
      .first()
      .click();
    const expression = page.getByRole('textbox', { name: 'Value of text' });
    await expression.click();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('sum(section.items, x => x.grams)');
    await expect.poll(async () => (await seen(page, 1))[0]).toContain('madder2055');
  });

  test('inserts, bars, header and footer stand where they are said to', async ({ page }) => {
    await piece(page, '+ insert').click();
    await page.getByRole('button', { name: 'Insert after every 6 rows' }).click();
    await page.getByRole('button', { name: 'each section anew' }).click();
    await expect(page.getByText('90 items · 108 entries')).toBeVisible();
    await expect.poll(async () => (await seen(page, 6))[4]).toBe('Write here what is to be said');
    for (const name of ['bar above', 'header', 'footer']) {
      await piece(page, `+ ${name}`).click();
      await page.getByRole('button', { name: /^Template of the/ }).click();
      await page.getByRole('menuitem', { name: 'A new one' }).click();
    }
    await expect(page.getByText('90 items · 110 entries')).toBeVisible();
    await scrollTo(page, 0);
    await expect.poll(() => seen(page, 3)).toEqual(['wool', 'wool90', 'madder30']);
    await scrollTo(page, 100_000);
    await expect(page.locator('.yc-list')).toContainText('90 in all');
    await expect.poll(() => stuck(page)).toBe('woad30');
    for (let step = 0; step < 6; step += 1) await page.keyboard.press('Control+z');
    await expect(page.getByText('90 items · 90 entries')).toBeVisible();
  });

  test('a filter box lets through and marks what is typed; states are seen by a press', async ({
    page,
  }) => {
    await piece(page, '+ filter box').click();
    await page.getByRole('checkbox', { name: 'called' }).check();
    const box = page.getByRole('searchbox', { name: 'Filter rows' });
    await box.fill('wool 1');
    await expect(page.getByText('90 items · 21 entries')).toBeVisible();
    const marked = () => page.evaluate(() => CSS.highlights.get('yc-found')?.size ?? 0);
    await expect.poll(marked).toBeGreaterThan(10);
    await box.fill('zzz');
    await expect(page.getByText('No row has these words.')).toBeVisible();
    await box.fill('');
    await expect(page.getByText('90 items · 93 entries')).toBeVisible();
    await expect.poll(marked).toBe(0);

    await piece(page, 'states').click();
    await page.getByRole('button', { name: 'See the list loading' }).click();
    await expect(page.locator('.yc-skeleton')).toHaveCount(12);
    await expect(page).toHaveURL(/state=loading/);
    await page.reload();
    await expect(page.locator('.yc-skeleton')).toHaveCount(12);
    await page.getByRole('button', { name: 'State: loading' }).click();
    await page.getByRole('menuitem', { name: 'as it is' }).click();
    await expect(page.getByText('90 items · 93 entries')).toBeVisible();
  });
});

test('a grid of as many columns as fit says its sum, and is as it says', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'wool.json', JSON.stringify(skeins));
  await page.locator('.yc-sizer > .yc-row').first().waitFor();
  await page.getByRole('link', { name: 'List' }).click();
  await page.getByRole('button', { name: 'grid', exact: true }).click();
  await page.getByRole('button', { name: 'as many as fit' }).click();
  const least = page.getByRole('spinbutton', { name: 'Least width of a cell' });
  await least.fill('100');
  await expect(page.getByTestId('sum')).toHaveText('(360 − 2 × 12 − 2 × 8) ÷ 3 = 106.67 px');
  await expect(page.getByText('3 columns; 4 from 448 px on')).toBeVisible();
  // Chromium keeps lengths in 1/64 px.
  const farthest = (widthPx: number) =>
    page
      .locator('.yc-sizer > .yc-row:not(.yc-spare)')
      .evaluateAll(
        (rows, wanted) =>
          Math.max(...rows.map((row) => Math.abs(row.getBoundingClientRect().width - wanted))),
        widthPx,
      );
  await expect.poll(() => farthest(320 / 3)).toBeLessThan(1 / 32);
  await page.getByRole('button', { name: /^Device:/ }).click();
  await page.getByRole('menuitem', { name: /^small tablet/ }).click();
  await expect(page.getByTestId('sum')).toHaveText('(600 − 2 × 12 − 4 × 8) ÷ 5 = 108.8 px');
  await expect.poll(() => farthest(108.8)).toBeLessThan(1 / 32);
});

test.describe('strips', () => {
  test.beforeEach(async ({ page }) => {
    await page.goto('/');
    await dropFile(page, 'wool.json', JSON.stringify(skeins));
    await page.locator('.yc-sizer > .yc-row').first().waitFor();
    await page.getByRole('link', { name: 'List' }).click();
  });

  /** Of the strip that stands at this place from the top, as far as it is in sight. */
  const cellsOf = (page: Page, at: number) =>
    page.locator('.yc-strip-line:not(.yc-spare) .yc-strip').evaluateAll((strips, nth) => {
      const strip = strips.toSorted(
        (one, other) => one.getBoundingClientRect().top - other.getBoundingClientRect().top,
      )[nth];
      const box = strip?.getBoundingClientRect();
      return [...(strip?.querySelectorAll('.yc-row:not(.yc-spare)') ?? [])]
        .map((row) => ({ box: row.getBoundingClientRect(), text: row.textContent ?? '' }))
        .filter((row) => box && row.box.right > box.left + 12 && row.box.left < box.right)
        .sort((one, other) => one.box.left - other.box.left)
        .map(({ text }) => text.slice(0, 7));
    }, at);
  const scrollStrip = (page: Page, at: number, left: number) =>
    page.locator('.yc-strip-line:not(.yc-spare) .yc-strip').evaluateAll(
      (strips, [nth = 0, to = 0]) => {
        const strip = strips.toSorted(
          (one, other) => one.getBoundingClientRect().top - other.getBoundingClientRect().top,
        )[nth];
        strip?.scrollTo({ left: to, behavior: 'instant' });
      },
      [at, left],
    );

  test('the rows of each section are scrolled sideways, rest at a cell, and stay where they were', async ({
    page,
  }) => {
    await page.getByRole('button', { name: 'strip', exact: true }).click();
    await expect.poll(() => cellsOf(page, 0)).toEqual(['Wool 00', 'Wool 01', 'Wool 02']);
    await page.getByLabel('Cells in sight').fill('2');
    await expect(page.getByTestId('strip-sum')).toHaveText('(360 − 24 − 8) ÷ 2 = 164 px');
    await expect.poll(() => cellsOf(page, 0)).toEqual(['Wool 00', 'Wool 01', 'Wool 02']);
    await scrollStrip(page, 0, 172 * 40 + 60);
    await expect.poll(async () => (await cellsOf(page, 0))[0]).toBe('Wool 40');
    const left = () => page.locator('.yc-strip').evaluate((strip) => strip.scrollLeft);
    await expect.poll(left).toBe(172 * 40);

    // Sections: a strip each, kept apart.
    await piece(page, '+ heading').click();
    await page.getByRole('button', { name: 'dye', exact: true }).click();
    await expect
      .poll(async () => [(await cellsOf(page, 0))[0], (await cellsOf(page, 1))[0]])
      .toEqual(['Wool 00', 'Wool 01']);
    await scrollStrip(page, 1, 172 * 5);
    await expect.poll(async () => (await cellsOf(page, 1))[0]).toBe('Wool 16');
    expect((await cellsOf(page, 0))[0]).toBe('Wool 00');
    // Out of sight and back, and over an edit that changes where the strip stands.
    await page.getByRole('button', { name: 'fold, open at first' }).click();
    await page.locator('.yc-folds').filter({ hasText: 'madder' }).click();
    await expect.poll(async () => (await cellsOf(page, 0))[0]).toBe('Wool 16');
    await page.locator('.yc-folds').filter({ hasText: 'madder' }).click();
    await expect.poll(async () => (await cellsOf(page, 1))[0]).toBe('Wool 16');
    // The item at hand is brought into sight, down and sideways.
    await page.getByRole('button', { name: 'Next item' }).click();
    await page.getByRole('button', { name: 'last', exact: true }).click();
    await expect.poll(async () => cellsOf(page, 2)).toContain('Wool 89');
    // Another list begins where it begins.
    await page.getByRole('button', { name: 'This list' }).click();
    await page.getByRole('menuitem', { name: /^Duplicate it/ }).click();
    await scrollTo(page, 0);
    await expect.poll(async () => (await cellsOf(page, 1))[0]).toBe('Wool 01');
    expect((await new AxeBuilder({ page }).include('.yc-list').analyze()).violations).toEqual([]);
  });

  test('by keys and from right to left; the rows of one template among others', async ({
    page,
  }) => {
    await page.getByRole('group', { name: 'In strips' }).getByRole('checkbox').check();
    await expect.poll(() => cellsOf(page, 0)).toEqual(['Wool 00', 'Wool 01', 'Wool 02']);
    await page.locator('.yc-strip').focus();
    for (let at = 0; at < 12; at += 1) await page.keyboard.press('ArrowRight');
    await expect.poll(async () => (await cellsOf(page, 0))[0]).not.toBe('Wool 00');
    await page.keyboard.press('Control+z');
    await expect(page.locator('.yc-strip-line:not(.yc-spare)')).toHaveCount(0);
    await expect.poll(() => seen(page, 1)).toEqual([expect.stringContaining('Wool 00')]);

    await page.getByRole('button', { name: 'strip', exact: true }).click();
    await page.getByRole('button', { name: /^Locale/ }).click();
    await page.getByRole('menuitem', { name: 'add ar' }).click();
    await expect
      .poll(async () => (await cellsOf(page, 0)).toReversed())
      .toEqual(['Wool 00', 'Wool 01', 'Wool 02']);
    await scrollStrip(page, 0, -140 * 20);
    await expect.poll(async () => (await cellsOf(page, 0)).at(-1)).toMatch(/^Wool (19|20)/);
  });
});

test('a list takes in the items of another source: after its own, merged, or in a section for each', async ({
  page,
}) => {
  await openDemo(page, 'list', 'list=door');
  await expect(page.getByText('8 items · 8 entries')).toBeVisible();
  await page.getByRole('button', { name: /^Sources/ }).click();
  await page.getByRole('menuitem', { name: /^stock/ }).click();
  await expect(page.getByText('98 items · 98 entries')).toBeVisible();
  await page.keyboard.press('Escape');
  await piece(page, '+ heading').click();
  await page.getByRole('button', { name: 'one for each source' }).click();
  await expect(page.getByText('98 items · 100 entries')).toBeVisible();
  await expect.poll(async () => (await seen(page, 1))[0]).toBe('notices8');
  await expect(page.getByText('the source that items are of')).toBeVisible();
  await expect(page.getByText('There is no expression yet')).toHaveCount(0);
  await page.getByRole('button', { name: 'last', exact: true }).click();
  await expect.poll(() => stuck(page)).toMatch(/^stock90/);

  // Its choices are there, and all of it is one step each.
  await page.getByRole('link', { name: 'Choices' }).click();
  await expect(page.getByRole('button', { name: /^Type of choice 3/ })).toHaveText('class');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('8 items · 8 entries')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText('8 items · 8 entries')).toBeVisible();
});

test('to assistive technology a section is a list under its heading, with its rows in order', async ({
  page,
}) => {
  await openDemo(page, 'list', 'list=whole-shop');
  const tree = await page.context().newCDPSession(page);
  await tree.send('Accessibility.enable');
  /** The lists within that of the rows: what each is called, and how its first rows begin. */
  const sections = async (): Promise<readonly (readonly [string, readonly string[]])[]> => {
    const { nodes } = await tree.send('Accessibility.getFullAXTree');
    const byId = new Map(nodes.map((node) => [node.nodeId, node]));
    const words = (id: string): string => {
      const { role, name, childIds = [] } = byId.get(id) ?? {};
      return role?.value === 'StaticText' ? String(name?.value) : childIds.map(words).join(' ');
    };
    return nodes
      .filter(
        ({ role, name }) =>
          role?.value === 'list' && /^(Skeins|Tools|Classes)/.test(name?.value ?? ''),
      )
      .map((list) => [
        String(list.name?.value),
        (list.childIds ?? []).map((id) => words(id).trim().slice(0, 3)),
      ]);
  };
  await expect.poll(async () => (await sections())[0]?.[0]).toBe('Skeins 30');
  const [[, rowsOfFirst = []] = []] = await sections();
  const inOrder = await page.locator('.yc-list').evaluate((list) => {
    const rows = [...list.querySelectorAll('.yc-sizer > .yc-row:not(.yc-spare)')];
    const top = (row: Element) => row.getBoundingClientRect().top;
    return rows
      .toSorted((one, other) => top(one) - top(other))
      .map((row) => row.querySelector('.yc-label')?.textContent?.trim().slice(0, 3));
  });
  const from = inOrder.indexOf(rowsOfFirst[0]);
  expect(rowsOfFirst.length).toBeGreaterThan(2);
  expect(inOrder.slice(from, from + rowsOfFirst.length)).toEqual(rowsOfFirst);
  // It follows what is scrolled.
  await scrollTo(page, 1_500);
  await expect
    .poll(async () => (await sections()).map(([name]) => name)[0])
    .toMatch(/^(Tools|Skeins)/);
  expect((await new AxeBuilder({ page }).include('.yc-list').analyze()).violations).toEqual([]);
});
