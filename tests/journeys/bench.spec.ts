import AxeBuilder from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { dropFile, expect, openDemo, rowsOf, saved, test } from './support';

const parts = (page: Page) => page.locator('section[aria-label="Parts"]');
const selected = (page: Page) => parts(page).locator('[aria-current=true]');
const onBench = (page: Page, part: string) =>
  page.getByTestId('bench').locator(`[data-part="${part}"]`);
const bench = (page: Page) => page.locator('[data-keys=bench]');

async function dragTo(
  page: Page,
  from: Locator,
  to: { readonly x: number; readonly y: number },
  end: 'drop' | 'hold' = 'drop',
): Promise<void> {
  await from.hover();
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 6 });
  if (end === 'drop') await page.mouse.up();
}

const middleOf = async (locator: Locator, at = { x: 0.5, y: 0.5 }) => {
  // Rows are drawn anew with each edit: between two of them nothing is there.
  let box: Awaited<ReturnType<Locator['boundingBox']>> = null;
  await expect(async () => {
    box = await locator.boundingBox();
    expect(box).not.toBeNull();
  }).toPass();
  const { x, y, width, height } = box ?? { x: 0, y: 0, width: 0, height: 0 };
  return { x: x + width * at.x, y: y + height * at.y };
};

const outline = async (page: Page): Promise<readonly string[]> =>
  (await parts(page).locator('li button[title*="F2"] > span:first-child').allTextContents()).map(
    (text) => text.trim(),
  );

test('by key: from part to part, moved, wrapped, unwrapped, doubled, removed, each one undo step', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=name');
  const before = await outline(page);
  await page.keyboard.press('Alt+b');
  await expect(bench(page)).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(selected(page)).toHaveText(/maker-and-weight/);
  await page.keyboard.press('Escape');
  await expect(selected(page)).toHaveText(/words/);
  await page.keyboard.press('Enter');
  await expect(selected(page)).toHaveText(/^name/);
  await page.keyboard.press('Tab');
  await expect(selected(page)).toHaveText(/maker-and-weight/);

  // Out of its stack, which gives way.
  await page.keyboard.press('Alt+ArrowRight');
  await expect
    .poll(() => outline(page))
    .toEqual([...['row', 'picture', 'name', 'maker-and-weight', 'figures', 'price', 'in-stock']]);
  await page.keyboard.press('Control+g');
  await page.keyboard.press('Enter');
  await expect(selected(page)).toHaveText(/stack/);
  await page.keyboard.press('Control+Shift+g');
  await expect.poll(() => outline(page)).not.toContain('stack');
  await page.getByRole('button', { name: 'in-stock fit' }).click();
  await bench(page).focus();
  await page.keyboard.press('Control+d');
  await expect(selected(page)).toHaveText(/in-stock-2/);
  await page.keyboard.press('Delete');
  await expect.poll(() => outline(page)).not.toContain('in-stock-2');
  await expect(bench(page)).toBeFocused();
  for (let step = 0; step < 5; step += 1) await page.keyboard.press('Control+z');
  await expect.poll(() => outline(page)).toEqual(before);
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
  await expect(bench(page)).toBeFocused();
});

test('what can’t be done is grey and says why', async ({ page }) => {
  await openDemo(page, 'templates', 'part=row');
  const remove = page.getByRole('button', { name: 'Remove row' });
  await expect(remove).toBeDisabled();
  await expect(remove).toHaveAttribute('title', /The row itself stays/);
  await expect(page.getByRole('button', { name: 'Move before' })).toBeDisabled();
  await bench(page).focus();
  await page.keyboard.press('Delete');
  await expect(page.locator('[data-finding=edit-refused]')).toContainText(/The row itself stays/);
});

test('typing on a part binds it, seen in the rows at each letter; Escape leaves all as it was', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=price');
  const before = await rowsOf(page, 3);
  await bench(page).focus();
  await page.keyboard.type('mak');
  const field = page.getByRole('combobox', { name: 'What price shows' });
  await expect(field).toBeFocused();
  await expect(page.getByRole('option', { name: /maker › name/ })).toBeVisible();
  await expect.poll(async () => (await rowsOf(page, 1))[0]).toContain('Hollow Fell');
  // A format that can’t write it goes with what it wrote.
  await page.keyboard.press('Escape');
  await expect.poll(() => rowsOf(page, 3)).toEqual(before);
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();

  await page.keyboard.type('=stock * 2');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await rowsOf(page, 1))[0]).toContain('€24.00');
  await expect(bench(page)).toBeFocused();
  await page.keyboard.press('Control+z');
  await page.keyboard.type('"for sale');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await rowsOf(page, 1))[0]).toContain('for sale');
  // What does not read says so and is not taken.
  await page.keyboard.type('=nothing.at.all');
  await expect(page.getByRole('option')).toHaveAttribute('aria-disabled', 'true');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'What price shows' })).toBeFocused();
});

test('a part is dragged: the real rows show it on the way, Escape puts it back, one undo', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=price');
  const before = await rowsOf(page, 2);
  const gap = await middleOf(onBench(page, 'picture'), { x: 1.15, y: 0.5 });
  await dragTo(page, onBench(page, 'price'), gap, 'hold');
  await expect(page.getByTestId('landing')).toBeVisible();
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('€14.50');
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect.poll(() => rowsOf(page, 2)).toEqual(before);
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();

  await dragTo(page, onBench(page, 'price'), gap);
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('€14.50');
  await page.getByRole('button', { name: 'Undo: Move price' }).click();
  await expect.poll(() => rowsOf(page, 2)).toEqual(before);
});

test('an edge, a gap and padding are dragged, with the number shown; twice on an edge fits it', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=price');
  const edge = page.locator('[data-edge=end]');
  const zoom = await page
    .getByTestId('bench')
    .evaluate((element) => element.getBoundingClientRect().width / 360);
  const from = await middleOf(edge);
  await dragTo(page, edge, { x: from.x + 20 * zoom, y: from.y }, 'hold');
  await expect(page.getByText(/^width \d+ px$/)).toBeVisible();
  await page.mouse.up();
  const width = page.getByRole('spinbutton', { name: 'Width in px' });
  await expect(width).toHaveValue(/^6\d$/);
  await page.locator('[data-edge=end]').dblclick();
  await expect(
    page.getByRole('group', { name: 'Width' }).locator('[aria-pressed=true]'),
  ).toHaveText('fit');

  await parts(page).getByRole('button', { name: /^row/ }).click();
  const gap = page.locator('[data-gap="1"]');
  const at = await middleOf(gap, { x: 0.5, y: 0.2 });
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x + 18 * zoom, at.y, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('spinbutton', { name: 'Gap' })).toHaveValue('30');
  const side = await middleOf(page.locator('[data-padding=start]'), { x: 0.5, y: 0.9 });
  await page.mouse.move(side.x, side.y);
  await page.mouse.down();
  await page.mouse.move(side.x + 10 * zoom, side.y, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Undo: Padding, row' })).toBeVisible();
  // By key: a px, and with Shift to the next step.
  await parts(page)
    .getByRole('button', { name: /^price/ })
    .click();
  await bench(page).focus();
  await page.keyboard.press('Control+ArrowRight');
  const px = Number(await width.inputValue());
  await page.keyboard.press('Control+ArrowRight');
  await expect(width).toHaveValue(String(px + 1));
  await page.keyboard.press('Control+Shift+ArrowRight');
  await expect.poll(async () => Number(await width.inputValue()) % 4).toBe(0);
});

test('several parts: what is set is set in all, in one step', async ({ page }) => {
  await openDemo(page, 'templates', 'part=price');
  await onBench(page, 'in-stock').click({ modifiers: ['Shift'] });
  await expect(selected(page)).toHaveCount(2);
  await expect(page.getByRole('region', { name: 'Shows' })).toContainText('2 parts are selected');
  await expect(page.getByText('differs')).toBeVisible();
  await page
    .getByRole('group', { name: 'Align' })
    .getByRole('button', { name: 'centre', exact: true })
    .click();
  for (const part of ['price', 'in-stock'])
    await expect(onBench(page, part)).toHaveCSS('text-align', 'center');
  await page.keyboard.press('Control+z');
  await expect(onBench(page, 'price')).not.toHaveCSS('text-align', 'center');
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
});

test('parts are copied as text and pasted into another project, with what they need', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page, 'templates', 'part=figures');
  await bench(page).focus();
  await page.keyboard.press('Control+c');
  const text = await page.evaluate(() => navigator.clipboard.readText());
  expect(JSON.parse(text)).toMatchObject({ yarncard: 2, parts: [{ id: 'figures' }] });

  await page.goto('/');
  await dropFile(
    page,
    'looms.json',
    JSON.stringify([{ title: 'Countermarch', price: 900, stock: 2 }]),
  );
  await page.locator('.yc-sizer > .yc-row').first().waitFor();
  await page.getByRole('link', { name: 'Templates' }).click();
  await parts(page)
    .getByRole('button', { name: /^title/ })
    .click();
  await bench(page).focus();
  await page.keyboard.press('Control+v');
  await expect(selected(page)).toHaveText(/figures/);
  await expect(page.locator('[data-finding=pasted-with]')).toContainText(
    /Came along: .*format price/,
  );
  await expect.poll(async () => (await rowsOf(page, 1))[0]).toContain('2 left');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await rowsOf(page, 1))[0]).toEqual(['Countermarch']);
  // What is no piece is said to be none.
  await page.evaluate(() => navigator.clipboard.writeText('{"yarncard": 2, "parts": 3}'));
  await bench(page).focus();
  await page.keyboard.press('Control+v');
  await expect(page.locator('[data-finding=edit-refused]')).toContainText(/can’t be read: parts/);
});

test('a part is hidden while one edits; the project knows nothing of it', async ({ page }) => {
  await openDemo(page, 'templates', 'part=price');
  await bench(page).focus();
  await page.keyboard.press('Shift+H');
  await expect(onBench(page, 'price')).toHaveCSS('visibility', 'hidden');
  await expect(page.getByText('hidden here: price')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
  await page.getByText('hidden here: price').click();
  await expect(onBench(page, 'price')).toHaveCSS('visibility', 'visible');
});

test('a finger moves a part as a mouse does', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  await openDemo(page, 'templates', 'part=price');
  const from = await middleOf(onBench(page, 'price'));
  const to = await middleOf(onBench(page, 'picture'), { x: 1.15, y: 0.5 });
  const touch = await context.newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number, y: number) =>
    touch.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x, y }],
    });
  await send('touchStart', from.x, from.y);
  for (let step = 1; step <= 8; step += 1)
    await send(
      'touchMove',
      from.x + ((to.x - from.x) * step) / 8,
      from.y + ((to.y - from.y) * step) / 8,
    );
  await send('touchEnd', to.x, to.y);
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('€14.50');
  await context.close();
});

test('a template as text: the rows follow what reads, faults are told at their place, both ways', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=price');
  await page.getByRole('button', { name: 'As text' }).first().click();
  const panel = page.getByRole('region', { name: 'As text' });
  const text = panel.getByRole('textbox', { name: 'The template as text' });
  await expect(text).toContainText('"id": "price"');
  await text.click();
  await page.keyboard.press('Control+Home');
  await page.keyboard.type('x');
  await expect(panel.getByRole('status')).toHaveText('No value begins so.');
  await page.keyboard.press('Backspace');
  await expect(panel.getByRole('status')).toContainText('It reads');
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
  // The bench changes the text, and a part that is pressed there is shown in it.
  await parts(page)
    .getByRole('button', { name: /^price/ })
    .click();
  await bench(page).focus();
  await page.keyboard.press('Control+d');
  await expect(text).toContainText('price-2');
});

test('the focus is never lost by an edit, and the bench has no fault that axe finds', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=price');
  await page.getByRole('button', { name: 'Duplicate', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Duplicate', exact: true })).toBeFocused();
  await page.getByRole('button', { name: /^Remove price-2/ }).press('Enter');
  await expect(page.locator(':focus')).toHaveCount(1);
  for (let step = 0; step < 2; step += 1) {
    await page.keyboard.press('Control+z');
    await expect(page.locator(':focus')).toHaveCount(1);
  }
  for (const panel of ['', '&panel=text', '&panel=drafts', '&panel=compare']) {
    await openDemo(page, 'templates', `part=price${panel}`);
    await page.waitForTimeout(500);
    const { violations } = await new AxeBuilder({ page }).analyze();
    expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
  }
});

test('a draft is taken, another takes its place until something was changed by hand', async ({
  page,
}) => {
  const items = Array.from({ length: 20 }, (_, at) => ({
    ...{ id: `l-${at}`, title: `Loom ${'abcdefghijklmnopqrst'[at]}`, maker: `Works ${at}` },
    ...{ price: 900 + at, shafts: 2 + (at % 7) },
  }));
  await page.goto('/');
  await dropFile(page, 'looms.json', JSON.stringify(items));
  await page.locator('.yc-sizer > .yc-row').first().waitFor();
  await page.getByRole('link', { name: 'Templates' }).click();
  const draft = async (name: RegExp) => {
    await page.getByRole('button', { name: 'Draft', exact: true }).click();
    await page.getByRole('button', { name }).click();
  };
  await draft(/^plain/);
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Loom a', '€900.00']]);
  await draft(/^two lines/);
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Loom a', 'Works 0', '€900.00']]);
  await page.keyboard.press('Alt+b');
  await page.keyboard.press('Delete');
  await draft(/^detailed/);
  // It comes beside what was changed by hand.
  await expect(page.getByRole('button', { name: 'loom detailed' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect.poll(() => rowsOf(page, 1)).toEqual([['Works 0', '€900.00']]);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'loom detailed' })).toBeVisible();
});

test('a template is given to another type: what has no match is told, and both stand side by side', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'template=skein-brief');
  await page.getByRole('button', { name: 'This template: …' }).click();
  await page.getByRole('menuitem', { name: 'Give it to tool' }).click();
  await expect(page.getByRole('region', { name: 'Compare' })).toBeVisible();
  await expect(page.locator('[data-finding=given-without]')).toContainText('Not there: ');
  await page.getByRole('button', { name: /^Undo: Give template skein-brief/ }).click();
  await expect(page.getByRole('button', { name: 'tool brief-2' })).toHaveCount(0);
});

test('a page that goes away in the midst of a drag has kept what was there before it', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=price');
  await saved(page);
  const before = await rowsOf(page, 2);
  const gap = await middleOf(onBench(page, 'picture'), { x: 1.15, y: 0.5 });
  await dragTo(page, onBench(page, 'price'), gap, 'hold');
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('€14.50');
  // Longer than anything waits to be kept.
  await page.waitForTimeout(1_200);
  await page.reload();
  await expect.poll(() => rowsOf(page, 2)).toEqual(before);
  await dragTo(page, onBench(page, 'price'), gap);
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('€14.50');
  await saved(page);
  await page.reload();
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('€14.50');
});

test('the bench is drawn larger and smaller by wheel and key, and fits again', async ({ page }) => {
  await openDemo(page, 'templates', 'part=name');
  const width = () =>
    page.getByTestId('bench').evaluate((element) => element.getBoundingClientRect().width);
  const fitting = await width();
  await bench(page).focus();
  await page.keyboard.press('-');
  await expect.poll(width).toBeLessThan(fitting - 10);
  const smaller = await width();
  await page.keyboard.press('+');
  await expect.poll(width).toBeGreaterThan(smaller + 10);
  await onBench(page, 'name').hover();
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, 400);
  await page.keyboard.up('Control');
  await expect.poll(width).toBeLessThan(fitting - 10);
  await page.keyboard.press('0');
  await expect.poll(width).toBe(fitting);
});

test('Alt over another part measures how far it is, in px of the window', async ({ page }) => {
  await openDemo(page, 'templates', 'part=name');
  await onBench(page, 'picture').hover();
  await page.keyboard.down('Alt');
  const middle = await middleOf(onBench(page, 'picture'));
  await page.mouse.move(middle.x + 3, middle.y);
  // The gap of the row.
  await expect(page.locator('.bg-madder', { hasText: /^12$/ })).toBeVisible();
  await page.keyboard.up('Alt');
  await expect(page.locator('.bg-madder', { hasText: /^12$/ })).toHaveCount(0);
});

test('the border between two parts that share the room is dragged: their shares', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=figures');
  await page.getByRole('group', { name: 'Width' }).getByRole('button', { name: 'share' }).click();
  await parts(page).getByRole('button', { name: /^row/ }).click();
  const border = await middleOf(page.locator('[data-shares]'));
  await page.mouse.move(border.x, border.y);
  await page.mouse.down();
  await page.mouse.move(border.x + 60, border.y, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Undo: Shares/ })).toBeVisible();
  await parts(page)
    .getByRole('button', { name: /^words/ })
    .click();
  await expect
    .poll(async () => Number(await page.getByRole('spinbutton', { name: /share/i }).inputValue()))
    .toBeGreaterThan(1);
});

test('a thread is pulled off, and laid to a property, in one step each', async ({ page }) => {
  await openDemo(page, 'templates', 'part=price');
  const end = () => page.getByRole('button', { name: /^Thread from price to text of price/ });
  const before = await rowsOf(page, 1);
  const colour = await middleOf(page.getByText('style', { exact: true }).first());
  const from = await middleOf(end());
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(colour.x, colour.y, { steps: 6 });
  await expect(page.getByText('→ style of price')).toBeVisible();
  await page.mouse.up();
  await expect(
    page.getByRole('button', { name: 'Undo: Lay price → style of price' }),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Lay/ }).click();
  await expect.poll(() => rowsOf(page, 1)).toEqual(before);
  await end().press('Delete');
  await expect(end()).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: Pull price off price' }).click();
  await expect(end()).toHaveCount(1);
});

test('F2 names the part, on the bench too; whatever it is called, it goes on as it is', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=price');
  const field = page.getByRole('textbox', { name: /^Name of / });
  await bench(page).focus();
  await page.keyboard.press('F2');
  await field.fill('left as it was');
  await page.keyboard.press('Escape');
  await expect(bench(page)).toBeFocused();
  await expect(selected(page)).toHaveText(/^price/);
  for (const name of ['constructor', 'to-string', 'p-icon', '__proto__']) {
    await page.keyboard.press('F2');
    await field.fill(name);
    await page.keyboard.press('Enter');
    await expect(bench(page)).toBeFocused();
    await page.keyboard.press('Control+ArrowRight');
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await rowsOf(page, 1))[0]).toContain('€14.50');
  }
});

test('a part that is to be kept once asks what its inputs are; the rows stay as they were', async ({
  page,
}) => {
  await openDemo(page, 'templates', 'part=maker-and-weight');
  const before = await rowsOf(page, 3);
  await page.getByRole('button', { name: /^Share maker-and-weight/ }).click();
  const asked = page.getByRole('group', { name: 'its inputs are' });
  await expect(
    asked.getByRole('button', { name: 'the fields that it reads', pressed: true }),
  ).toBeFocused();
  await page.keyboard.press('2');
  await expect(asked.getByRole('button', { name: 'text of maker-and-weight' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(asked).toHaveCount(0);
  await expect.poll(() => rowsOf(page, 3)).toEqual(before);
  await page
    .getByRole('button', { name: 'Undo: Share maker-and-weight as maker-and-weight' })
    .click();
  await expect.poll(() => rowsOf(page, 3)).toEqual(before);
});
