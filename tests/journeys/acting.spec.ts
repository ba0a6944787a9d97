import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { atOnce } from '../../src/core/base';
import { infer } from '../../src/core/items';
import { type Edit, edits, makeProject, writeProject } from '../../src/core/project';
import { type Finger, pointer, touch } from './fingers';
import { dropFile, expect, saved, test } from './support';

const skeins = Array.from({ length: 60 }, (_, at) => ({
  no: `w-${100 + at}`,
  called: `Wool ${String(at).padStart(2, '0')}`,
  kept: at % 2 === 0,
  grams: 25 + at,
}));

/** A project whose rows do all that rows can do. */
function projectText(): string {
  const drafted = makeProject(
    'wool.json',
    { format: 'json', at: '$[*]', items: skeins },
    atOnce(infer(skeins, 'wool')),
  );
  const [template] = drafted.templates;
  const [list] = drafted.lists;
  if (template === undefined || list === undefined) throw new Error('nothing was drafted');
  const row = { template: template.id, part: template.row.id };
  const all: readonly Edit[] = [
    edits.addAction({ id: 'open', effect: { does: 'go', to: 'Details' } }),
    edits.addAction({ id: 'hold', payload: 'key' }),
    edits.addAction({
      id: 'remove',
      words: 'Take away',
      colour: 'madder',
      effect: { does: 'delete' },
    }),
    edits.addAction({
      ...{ id: 'double', words: 'Double it', payload: { expr: 'grams * 2' } },
      ...{ when: 'grams < 60', effect: { does: 'write', field: 'grams', value: 'grams * 2' } },
    }),
    edits.addAction({ id: 'kept', payload: { expr: '`${called} is ${kept ? "" : "not "}kept`' } }),
    edits.addAction({ id: 'buy', payload: { expr: 'called' } }),
    edits.set({ ...row, property: 'tap' }, 'open'),
    edits.set({ ...row, property: 'press' }, 'hold'),
    edits.set({ ...row, property: 'swipeStart' }, 'double'),
    edits.set({ ...row, property: 'swipeEnd' }, 'remove'),
    edits.insert(
      template.id,
      { within: template.row.id, at: 99 },
      {
        part: 'switch',
        id: 'keep',
        on: { expr: 'kept' },
        name: { expr: 'called' },
        change: 'kept',
      },
    ),
    edits.insert(
      template.id,
      { within: template.row.id, at: 99 },
      { part: 'button', id: 'buy', text: 'Buy', tap: 'buy' },
    ),
  ];
  const project = all.reduce((made, edit) => {
    const next = edit.apply(made);
    if (!next.ok) throw new Error(next.error);
    return next.value;
  }, drafted);
  const [source] = project.sources;
  return [...writeProject(project, new Map([[source?.id ?? '', skeins]]))].join('');
}

const row = (page: Page, words: string) =>
  page.locator('.yc-sizer > .yc-row').filter({ hasText: words });
const log = (page: Page) => page.getByRole('log', { name: 'Events told' });
/** Names of the events, the latest first. */
const told = (page: Page) => log(page).locator('summary b').allTextContents();

async function swipe(page: Page, finger: Finger, words: string, by: number): Promise<void> {
  const box = await row(page, words).boundingBox();
  if (box === null) throw new Error(`${words} is not in sight`);
  const [x, y] = [box.x + box.width / 2 - by / 4, box.y + 8];
  await finger.down(x, y);
  for (let step = 1; step <= 10; step += 1) {
    await finger.move(x + (by * step) / 10, y);
    await page.waitForTimeout(20);
  }
  await page.waitForTimeout(120);
  await finger.up();
}

test.beforeEach(async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'wool.yarncard.json', projectText());
  await row(page, 'Wool 00').waitFor();
  await page.getByRole('button', { name: 'Lives', exact: true }).click();
  await expect(log(page)).toBeVisible();
});

for (const kind of ['touch', 'mouse', 'pen'] as const)
  test(`by ${kind}, a row is tapped, pressed long and swiped, each told once`, async ({ page }) => {
    const session = await page.context().newCDPSession(page);
    const finger = kind === 'touch' ? touch(session) : pointer(session, kind);
    const box = await row(page, 'Wool 01').boundingBox();
    if (box === null) throw new Error('it is not in sight');
    const at = [box.x + 60, box.y + 10] as const;
    await finger.down(...at);
    await finger.up();
    await expect(page.getByRole('region', { name: 'Details' })).toContainText(
      '"called": "Wool 01"',
    );
    await page.getByRole('button', { name: 'Back' }).click();
    await expect.poll(() => told(page)).toEqual(['open']);

    await finger.down(...at);
    await page.waitForTimeout(650);
    await finger.up();
    await expect.poll(() => told(page)).toEqual(['hold', 'open']);

    await swipe(page, finger, 'Wool 02', -90);
    await page.getByRole('button', { name: 'Take away' }).click();
    await expect(row(page, 'Wool 02')).toHaveCount(0);
    await swipe(page, finger, 'Wool 03', -280);
    await expect(row(page, 'Wool 03')).toHaveCount(0);
    await expect.poll(() => told(page)).toEqual(['remove', 'remove', 'hold', 'open']);
    await page.keyboard.press('Control+z');
    await expect(row(page, 'Wool 03')).toHaveCount(1);
    await page.keyboard.press('Control+z');
    await expect(row(page, 'Wool 02')).toHaveCount(1);
  });

test('a finger that goes down the list scrolls it, and does nothing else', async ({ page }) => {
  const finger = touch(await page.context().newCDPSession(page));
  const box = await row(page, 'Wool 03').boundingBox();
  if (box === null) throw new Error('it is not in sight');
  await finger.down(box.x + 60, box.y + 10);
  for (let step = 1; step <= 10; step += 1)
    await finger.move(box.x + 60 + step, box.y + 10 - 15 * step);
  await finger.up();
  await expect
    .poll(() => page.locator('.yc-list').evaluate((list) => list.scrollTop))
    .toBeGreaterThan(60);
  await page.waitForTimeout(700);
  expect(await told(page)).toEqual([]);
});

test('all of it by keys: rows, their menu, their controls; and axe finds nothing', async ({
  page,
}) => {
  await page.getByRole('region', { name: 'Rows', exact: true }).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(row(page, 'Wool 01')).toBeFocused();
  await page.keyboard.press('Shift+F10');
  await expect(page.getByRole('menuitem')).toHaveText(['Double it', 'Take away', 'hold']);
  await expect(page.getByRole('menuitem', { name: 'Double it' })).toBeFocused();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(row(page, 'Wool 01')).toBeFocused();
  await expect(log(page).locator('summary').first()).toContainText('wrote grams: 52');
  await page.keyboard.press('Shift+F10');
  await expect(page.getByRole('menuitem', { name: 'Double it' })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Escape');
  await expect(row(page, 'Wool 01')).toBeFocused();

  await page.keyboard.press('Tab');
  const control = row(page, 'Wool 01').getByRole('switch');
  await expect(control).toBeFocused();
  await expect(control).toHaveAttribute('aria-checked', 'false');
  await page.keyboard.press(' ');
  await expect(control).toHaveAttribute('aria-checked', 'true');
  await expect(log(page).locator('summary').first()).toContainText('wrote kept: true');
  await expect(page.getByTestId('announced')).toHaveText('kept: wrote kept: true');
  await page.keyboard.press('ArrowLeft');
  await expect(control).toHaveAttribute('aria-checked', 'false');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await told(page))[0]).toBe('buy');
});

test('what is not allowed can’t be chosen; what is handed over stands in the log', async ({
  page,
}) => {
  await page.locator('.yc-list').evaluate((list) => {
    list.scrollTop = list.scrollHeight;
  });
  await row(page, 'Wool 59').click({ button: 'right' });
  await expect(page.getByRole('menuitem', { name: 'Double it' })).toBeDisabled();
  await page.getByRole('menuitem', { name: 'hold' }).click();
  await expect.poll(() => told(page)).toEqual(['hold']);
  await row(page, 'Wool 58').getByText('Buy').click();
  await expect.poll(() => told(page)).toEqual(['buy', 'hold']);
  await log(page).locator('summary').first().click();
  await expect(log(page).locator('pre').first()).toHaveText('"Wool 58"');
  await page.getByRole('searchbox', { name: 'Filter events' }).fill('nothing like it');
  await expect(log(page)).toContainText('None of 2 events');
  await page.getByRole('searchbox', { name: 'Filter events' }).fill('');
  await page.getByRole('button', { name: 'Clear events' }).click();
  await expect(log(page).locator('summary')).toHaveCount(0);
});

test('rows that are selected stay so by their keys, and an open swipe is no other row’s', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'List' }).click();
  await page.getByRole('button', { name: /^reader/ }).click();
  await page.getByRole('button', { name: 'several' }).click();
  await row(page, 'Wool 01').getByText('Wool 01').click();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(row(page, 'Wool 01')).toHaveClass(/yc-chosen/);
  await row(page, 'Wool 03').getByText('Wool 03').click();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.locator('.yc-chosen')).toHaveCount(2);
  const mouse = pointer(await page.context().newCDPSession(page), 'mouse');
  await swipe(page, mouse, 'Wool 04', -90);
  await expect(page.locator('.yc-actions')).toHaveCount(1);
  await page.locator('.yc-list').evaluate((list) => {
    list.scrollTop = 2_000;
  });
  await expect(page.locator('.yc-actions')).toHaveCount(0);
  await expect(page.locator('.yc-sizer > .yc-chosen')).toHaveCount(0);
  const moved = page
    .locator('.yc-row')
    .evaluateAll(
      (rows) =>
        rows.filter((each) => each instanceof HTMLElement && each.style.translate !== '').length,
    );
  expect(await moved).toBe(0);
  await page.locator('.yc-list').evaluate((list) => {
    list.scrollTop = 0;
  });
  await expect(page.locator('.yc-chosen')).toHaveCount(2);
  // After a swipe that came to nothing, the next press is none of its own.
  await row(page, 'Wool 02').click({ button: 'right' });
  await expect(page.getByRole('menu')).toBeVisible();
  await page.keyboard.press('Escape');
  await row(page, 'Wool 01').getByText('Wool 01').click();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect.poll(async () => (await told(page)).slice(0, 2)).toEqual(['deselected', 'open']);
  await saved(page);
  await page.reload();
  await expect(log(page)).toBeVisible();
});
