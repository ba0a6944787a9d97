import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { addProperty, dropFile, expect, openDemo, saved, test } from './support';

/** Rows in the window whose height is not that of their content. */
const rowsOff = (page: Page) =>
  page.evaluate(() => {
    const host = document.querySelector('section[aria-label="Rows"]');
    const rows = [
      ...(host?.querySelectorAll<HTMLElement>('.yc-sizer > .yc-row:not(.yc-spare)') ?? []),
    ];
    return rows.flatMap((row) => {
      const copy = row.cloneNode(true);
      if (!(copy instanceof HTMLElement) || !(host instanceof HTMLElement)) return [];
      Object.assign(copy.style, {
        position: 'static',
        contain: 'none',
        transform: 'none',
        height: 'auto',
      });
      const box = document.createElement('div');
      box.className = 'yc-list scheme-light';
      box.lang = host.lang;
      Object.assign(box.style, { contain: 'none', position: 'absolute', overflow: 'visible' });
      box.append(copy);
      document.body.append(box);
      const { height } = copy.getBoundingClientRect();
      box.remove();
      const own = Number.parseFloat(row.style.height);
      return Math.abs(height - own) < 1 / 64 ? [] : [`${row.textContent} ${own} for ${height}`];
    });
  });

const heightOf = (page: Page, words: string) =>
  page
    .locator('section[aria-label="Rows"] .yc-row:not(.yc-spare)', { hasText: words })
    .evaluate((row) => row.getBoundingClientRect().height);

async function takeAllLines(page: Page): Promise<void> {
  await page.getByRole('group', { name: 'Lines' }).getByRole('button', { name: 'all' }).click();
}

test('a label takes all its lines: each row is as high as its texts, in every width', async ({
  page,
}) => {
  await openDemo(page, 'templates');
  await page.getByRole('contentinfo').getByRole('button', { name: 'longest' }).click();
  await page.getByRole('region', { name: 'Rows' }).getByText('Handspun Shetland').click();
  expect(await heightOf(page, 'Handspun Shetland')).toBe(60);
  const cuts = page.getByText('rows at 360 px');
  await expect(cuts).toHaveText('cut in 2 of 30 rows at 360 px, whole from 835 px; widest 696 px');
  await takeAllLines(page);
  await expect(cuts).toHaveText('whole in all 30 rows at 360 px; 4 lines at most; widest 696 px');
  await expect.poll(() => heightOf(page, 'Handspun Shetland')).toBe(118);
  await expect.poll(() => rowsOff(page)).toEqual([]);

  await page.getByRole('button', { name: /^Device/ }).click();
  await page.getByRole('menuitem', { name: /^tablet/ }).click();
  await expect.poll(() => heightOf(page, 'Handspun Shetland')).toBeLessThan(118);
  const inTablet = await heightOf(page, 'Handspun Shetland');
  await expect.poll(() => rowsOff(page)).toEqual([]);
  await saved(page);
  await page.reload();
  await expect(page.locator('.yc-sizer > .yc-row').first()).toBeVisible();
  await expect.poll(() => heightOf(page, 'Handspun Shetland')).toBe(inTablet);
});

test('20,000 rows of all scripts are as high as they are drawn, wherever one scrolls', async ({
  page,
}) => {
  const words =
    'merino lace spun by hand in an iron pot 手紡ぎ羊毛 صوف ناعم हाथ ऊन 손으로 자은 羊毛线 шерсть'.split(
      ' ',
    );
  const items = Array.from({ length: 20_000 }, (_, at) => ({
    id: `w-${at}`,
    name: Array.from(
      { length: 1 + ((at * 7) % 13) },
      (_, i) => words[(at * 5 + i * i) % words.length],
    ).join(' '),
  }));
  await page.goto('/');
  await dropFile(page, 'wool.json', JSON.stringify(items));
  await saved(page);
  await page.getByRole('link', { name: 'Templates' }).click();
  await page
    .getByRole('region', { name: 'Parts' })
    .getByRole('button', { name: /^title/ })
    .click();
  await takeAllLines(page);
  const list = page.getByRole('region', { name: 'Rows', exact: true });
  for (const share of [0, 0.31, 0.7, 1]) {
    await list.evaluate((host, to) => {
      host.scrollTop = host.scrollHeight * to;
    }, share);
    await expect.poll(() => rowsOff(page)).toEqual([]);
  }
  await expect(list.getByText(items.at(-1)?.name ?? '', { exact: true })).toBeInViewport();
});

test('who looks at the end of a list stays there while its rows get their heights', async ({
  page,
}) => {
  const items = Array.from({ length: 30_000 }, (_, at) => ({
    id: `w-${at}`,
    name: 'шерсть, ручное прядение, '.repeat(1 + (at % 6)).trim(),
  }));
  await page.goto('/');
  await dropFile(page, 'wool.json', JSON.stringify(items));
  await saved(page);
  await page.getByRole('link', { name: 'Templates' }).click();
  const list = page.getByRole('region', { name: 'Rows', exact: true });
  await expect(page.getByRole('contentinfo')).toContainText(/30.000 entries/);
  await list.evaluate((host) => {
    host.scrollTop = host.scrollHeight;
  });
  await page
    .getByRole('region', { name: 'Parts' })
    .getByRole('button', { name: /^title/ })
    .click();
  await takeAllLines(page);
  const heights = () => list.evaluate(({ scrollHeight }) => scrollHeight);
  const rough = await heights();
  await expect.poll(heights).not.toBe(rough);
  await expect(list.locator('[aria-setsize="30000"][aria-posinset="30000"]')).toBeInViewport({
    ratio: 0.9,
  });
});

test('a stack says how high it is in all rows, who takes its room, and what a fixed height cuts', async ({
  page,
}) => {
  await page.goto('/p/thrumwick/templates?template=skein-brief&part=row');
  const shows = page.getByRole('region', { name: 'Shows' });
  await expect(shows).toContainText('30 rows: 60 px high at 360 px');
  const room = page.getByRole('figure', { name: 'Who takes the room' });
  await expect(room).toContainText('width 360');
  await expect(room.getByRole('button', { name: 'picture: 40 px: fixed' })).toBeVisible();
  await expect(
    room.getByRole('button', { name: /words: [\d.]+ px: gets what is left/ }),
  ).toBeVisible();

  await addProperty(page, 'height');
  const height = page.getByRole('group', { name: 'Height', exact: true });
  await height.getByRole('button', { name: 'fixed' }).click();
  await page.getByRole('spinbutton', { name: 'Height in px' }).fill('44');
  await expect(shows).toContainText('what is in them is higher in 30 of 30 rows');
  await expect.poll(() => heightOf(page, 'Cobweb Shetland')).toBe(44);
  await shows.getByRole('button', { name: '60 px holds all' }).click();
  await expect(shows).not.toContainText('higher in');
  await expect.poll(() => heightOf(page, 'Cobweb Shetland')).toBe(60);

  await room.getByRole('button', { name: 'words' }).click();
  await expect(page).toHaveURL(/part=words/);
  const name = room.getByRole('button', { name: 'name: 20 px: takes what its words need first' });
  await expect(name).toBeVisible();
});

test('a property without a default begins with a value; a picture of some aspect is as high as its width says', async ({
  page,
}) => {
  await page.goto('/p/thrumwick/templates?template=skein-brief&part=picture');
  const add = (property: string) => addProperty(page, property);
  await add('aspect');
  await page.getByRole('spinbutton', { name: 'Aspect' }).fill('0.5');
  await expect.poll(() => heightOf(page, 'Cobweb Shetland')).toBe(80 + 20);
  await expect.poll(() => rowsOff(page)).toEqual([]);
  await add('least width');
  await expect(page.getByRole('spinbutton', { name: 'Least width' })).toHaveValue('40');
  await page.getByRole('spinbutton', { name: 'Least width' }).fill('60');
  await expect.poll(() => heightOf(page, 'Cobweb Shetland')).toBe(120 + 20);
  await expect.poll(() => rowsOff(page)).toEqual([]);

  // Words in a language of their own have its forms of Han characters.
  await page.getByLabel('Parts', { exact: true }).getByRole('button', { name: /^name/ }).click();
  await add('language');
  await page.getByRole('textbox', { name: 'Language' }).fill('zh-Hant');
  const name = page.locator('section[aria-label="Rows"] .yc-row [data-part=name][lang]').first();
  await expect(name).toHaveAttribute('lang', 'zh-Hant');
  await expect(name).toHaveCSS('font-family', /Khmer", "Row Chinese traditional"/);
});

test('a text that is too long shrinks until it fits, in the window and beside; how far is told', async ({
  page,
}) => {
  await page.goto('/p/thrumwick/templates?template=skein-brief&part=name');
  await addProperty(page, 'if too long');
  const tooLong = page.getByRole('group', { name: 'If too long' });
  await tooLong.getByRole('button', { name: 'shrink' }).click();
  const told = page.getByText('rows at 360 px');
  await expect(told).toHaveText(
    'cut in 1 of 30 rows at 360 px, whole from 604 px; smaller in 2, by 5 px at most; widest 696 px',
  );
  const sizes = () =>
    page
      .locator('section[aria-label="Rows"] .yc-row:not(.yc-spare) [data-part=name]')
      .evaluateAll((names) => [...new Set(names.map((name) => getComputedStyle(name).fontSize))]);
  await page.getByRole('button', { name: 'by 5 px at most' }).click();
  await expect.poll(sizes).toContain('10px');
  await page.getByRole('button', { name: '604 px' }).click();
  await expect(told).toHaveCount(0);
  await expect(page.getByText('rows at 604 px')).toHaveText(/^whole in all 30 rows/);
  await expect.poll(() => rowsOff(page)).toEqual([]);

  // No text is smaller any more, in rows that were used before, too.
  await tooLong.getByRole('button', { name: 'ellipsis' }).click();
  await expect.poll(sizes).toEqual(['15px']);
});

test('rows that hang on texts are as high as they are from the start, in both windows', async ({
  page,
}) => {
  const demo = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
  const isShown = ({ id }: { readonly id: string }) => id === 'shop-window';
  const others = demo.lists.filter((list: { readonly id: string }) => !isShown(list));
  const turned = { ...demo, name: 'Turned', lists: [...demo.lists.filter(isShown), ...others] };
  await page.goto('/');
  await dropFile(page, 'turned.yarncard.json', JSON.stringify(turned));
  const long = page.locator('.yc-sizer > .yc-row:not(.yc-spare)', {
    hasText: 'Drum carder, loan by the week',
  });
  await expect(long).toHaveCSS('height', '112px');
  await openDemo(page, 'templates', 'beside=narrow-phone&beside-list=shop-window');
  const beside = page.locator('section[aria-label="Rows beside"]');
  await expect(
    beside.locator('.yc-sizer > .yc-row:not(.yc-spare)', {
      hasText: 'Drum carder, loan by the week',
    }),
  ).toHaveCSS('height', '112px');
});
