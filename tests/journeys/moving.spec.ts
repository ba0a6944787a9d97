import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { atOnce } from '../../src/core/base';
import { infer } from '../../src/core/items';
import { type Edit, edits, makeProject, writeProject } from '../../src/core/project';
import { type Finger, pointer, touch } from './fingers';
import { dropFile, expect, saved, test } from './support';

const shelves = ['attic', 'cellar', 'shop'];
const skeins = Array.from({ length: 24 }, (_, at) => ({
  no: `w-${100 + at}`,
  called: `Wool ${String(at).padStart(2, '0')}`,
  shelf: shelves[Math.floor(at / 8)] ?? '',
}));

/** Rows by their shelves, in an order that a reader changes. */
function projectText(...others: readonly ((list: string) => Edit)[]): string {
  const drafted = makeProject(
    'wool.json',
    { format: 'json', at: '$[*]', items: skeins },
    atOnce(infer(skeins, 'wool')),
  );
  const [list] = drafted.lists;
  const all = [
    edits.divide(list?.id ?? '', { by: 'shelf' }),
    edits.takeHabit(list?.id ?? '', 'reorders', true),
    ...others.map((edit) => edit(list?.id ?? '')),
  ];
  const project = all.reduce((made, edit) => {
    const next = edit.apply(made);
    if (!next.ok) throw new Error(next.error);
    return next.value;
  }, drafted);
  return [...writeProject(project, new Map([[project.sources[0]?.id ?? '', skeins]]))].join('');
}

const row = (page: Page, words: string) =>
  page.locator('.yc-sizer > .yc-row:not(.yc-spare)').filter({ hasText: words });
const lastTold = (page: Page) =>
  page.getByRole('log', { name: 'Events told' }).locator('summary').first();

/** The rows that are in the page, from above. */
const shown = (page: Page) =>
  page.locator('.yc-sizer > .yc-row:not(.yc-spare)').evaluateAll((rows) =>
    rows
      .map((each) => ({ y: each.getBoundingClientRect().y, words: each.textContent ?? '' }))
      .sort((one, other) => one.y - other.y)
      .flatMap(({ words }) => words.match(/Wool \d\d/)?.[0].slice(5) ?? []),
  );

async function open(
  page: Page,
  { text = projectText(), hands = 'touch' }: { text?: string; hands?: 'touch' | 'pointer' } = {},
): Promise<void> {
  await page.goto('/');
  await dropFile(page, 'wool.yarncard.json', text);
  await row(page, 'Wool 00').waitFor();
  await saved(page);
  const address = new URL(page.url());
  address.searchParams.set('hands', hands);
  await page.goto(address.href);
  await row(page, 'Wool 00').waitFor();
  await page.getByRole('button', { name: 'Lives', exact: true }).click();
}

async function drag(
  page: Page,
  finger: Finger,
  words: string,
  { onto, holdMs }: { readonly onto: string; readonly holdMs: number },
): Promise<void> {
  const [from, to] = [await row(page, words).boundingBox(), await row(page, onto).boundingBox()];
  if (from === null || to === null) throw new Error('it is not in sight');
  const [x, y] = [from.x + from.width / 2, from.y + from.height / 2];
  await finger.down(x, y);
  await page.waitForTimeout(holdMs);
  const [toX, toY] = [to.x + to.width * 0.6, to.y + to.height * 0.75];
  for (let step = 1; step <= 10; step += 1) {
    await finger.move(x + ((toX - x) * step) / 10, y + ((toY - y) * step) / 10);
    await page.waitForTimeout(20);
  }
  await expect(page.locator('.yc-lifted')).toHaveCount(1);
  await expect(page.locator('.yc-gap')).toHaveCount(1);
  await page.waitForTimeout(60);
  await finger.up();
  await expect(page.locator('.yc-lifted')).toHaveCount(0);
}

for (const kind of ['touch', 'mouse', 'pen'] as const)
  test(`by ${kind} a row is carried elsewhere, into other sections too; undo brings it back`, async ({
    page,
  }) => {
    await open(page, { hands: kind === 'mouse' ? 'pointer' : 'touch' });
    const session = await page.context().newCDPSession(page);
    const finger = kind === 'touch' ? touch(session) : pointer(session, kind);
    const holdMs = kind === 'mouse' ? 0 : 650;
    await drag(page, finger, 'Wool 00', { onto: 'Wool 02', holdMs });
    await expect
      .poll(async () => (await shown(page)).slice(0, 4))
      .toEqual(['01', '02', '00', '03']);
    await expect(lastTold(page)).toContainText('moved it after w-102');
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await shown(page)).slice(0, 3)).toEqual(['00', '01', '02']);
    await page.locator('.yc-list').evaluate((list) => {
      list.scrollTop = 120;
    });
    await drag(page, finger, 'Wool 05', { onto: 'Wool 08', holdMs });
    await expect(lastTold(page)).toContainText('moved it to section cellar');
    await expect.poll(() => shown(page)).toEqual(expect.arrayContaining(['08', '05', '09']));
    await saved(page);
    await page.reload();
    await page.locator('.yc-list').evaluate((list) => {
      list.scrollTop = 120;
    });
    await expect.poll(async () => (await shown(page)).join()).toContain('08,05,09');
  });

test('a mouse that stands for a finger scrolls, and takes up what it stays on', async ({
  page,
}) => {
  await open(page);
  const mouse = pointer(await page.context().newCDPSession(page), 'mouse');
  const box = await row(page, 'Wool 05').boundingBox();
  if (box === null) throw new Error('it is not in sight');
  await mouse.down(box.x + 60, box.y + 10);
  for (let step = 1; step <= 10; step += 1) await mouse.move(box.x + 60, box.y + 10 - 12 * step);
  await mouse.up();
  expect(await page.locator('.yc-list').evaluate((list) => list.scrollTop)).toBe(120);
  await expect(lastTold(page)).toHaveCount(0);
  await drag(page, mouse, 'Wool 05', { onto: 'Wool 06', holdMs: 650 });
  await expect(lastTold(page)).toContainText('moved it after w-106');
});

test('a finger that does not stay scrolls the list, and moves nothing', async ({ page }) => {
  await open(page);
  const finger = touch(await page.context().newCDPSession(page));
  const box = await row(page, 'Wool 03').boundingBox();
  if (box === null) throw new Error('it is not in sight');
  await finger.down(box.x + 60, box.y + 10);
  for (let step = 1; step <= 10; step += 1) await finger.move(box.x + 60, box.y + 10 - 15 * step);
  await finger.up();
  await expect
    .poll(() => page.locator('.yc-list').evaluate((list) => list.scrollTop))
    .toBeGreaterThan(60);
  await expect(page.locator('.yc-lifted')).toHaveCount(0);
  await expect(lastTold(page)).toHaveCount(0);
});

test('by keys: taken up, moved a step, a page, to an end, put down or back; told at each step', async ({
  page,
}) => {
  await open(page);
  const said = page.getByTestId('announced');
  await page.getByRole('region', { name: 'Rows', exact: true }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(row(page, 'Wool 00')).toBeFocused();
  await page.keyboard.press(' ');
  await expect(said).toHaveText('w-100 is taken up');
  await page.keyboard.press('ArrowDown');
  await expect(said).toHaveText('after w-101, 2 of 24');
  await page.keyboard.press('End');
  await expect(said).toHaveText('after w-123, 24 of 24');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
  await page.keyboard.press('Home');
  await expect(said).toHaveText('before w-100, 1 of 24');
  await page.keyboard.press('PageDown');
  await expect(said).toHaveText('after w-110, 11 of 24');
  await page.keyboard.press('Escape');
  await expect(said).toHaveText('w-100 stays where it was');
  await expect(page.locator('.yc-gap')).toHaveCount(0);
  await page.keyboard.press(' ');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(said).toHaveText('after w-102, 3 of 24');
  await page.keyboard.press(' ');
  await expect.poll(async () => (await shown(page)).slice(0, 4)).toEqual(['01', '02', '00', '03']);
  await expect(said).toHaveText('moved: moved it after w-102');
  await expect(row(page, 'Wool 00')).toBeFocused();
});

test('what is carried goes where it is let go, whatever comes and goes meanwhile', async ({
  page,
}) => {
  await open(page, {
    hands: 'pointer',
    text: projectText(
      () => edits.addAction({ id: 'remove', effect: { does: 'delete' } }),
      (list) => ({
        name: 'Tap',
        apply: (project) => {
          const [template] = project.templates;
          const place = { template: template?.id ?? '', part: template?.row.id ?? '' };
          return edits
            .set({ ...place, property: 'tap' }, list === '' ? '' : 'remove')
            .apply(project);
        },
      }),
    ),
  });
  await row(page, 'Wool 01').click();
  await expect(row(page, 'Wool 01')).toHaveCount(0);
  const mouse = pointer(await page.context().newCDPSession(page), 'mouse');
  const [from, to] = [
    await row(page, 'Wool 03').boundingBox(),
    await row(page, 'Wool 05').boundingBox(),
  ];
  if (from === null || to === null) throw new Error('it is not in sight');
  await mouse.down(from.x + 60, from.y + 10);
  for (let step = 1; step <= 8; step += 1)
    await mouse.move(
      from.x + 60,
      from.y + 10 + ((to.y + to.height * 0.7 - from.y - 10) * step) / 8,
    );
  await page.keyboard.press('Control+z');
  await expect(row(page, 'Wool 01')).toHaveCount(1);
  await expect(page.locator('.yc-lifted')).toHaveText(/Wool 03/);
  // It is over another row by now: there it goes.
  await page.waitForTimeout(200);
  await mouse.up();
  await expect(lastTold(page)).toContainText(/moved it after w-10[45]/);
  const [, key] = /after w-1(\d\d)/.exec((await lastTold(page).textContent()) ?? '') ?? [];
  await expect.poll(async () => (await shown(page)).join()).toContain(`${key},03`);
});

test('cells of a grid are carried beside others; a sorted list says why it stays as it is', async ({
  page,
}) => {
  await open(page, {
    hands: 'pointer',
    text: projectText(
      (list) => edits.divide(list, undefined),
      (list) => edits.arrangeAs(list, { kind: 'grid', columns: 2, gap: 8, edge: 8 }),
    ),
  });
  const mouse = pointer(await page.context().newCDPSession(page), 'mouse');
  await drag(page, mouse, 'Wool 00', { onto: 'Wool 03', holdMs: 0 });
  await expect(lastTold(page)).toContainText('moved it after w-103');
  await open(page, {
    hands: 'pointer',
    text: projectText((list) => edits.sortBy(list, [{ by: 'called' }])),
  });
  await drag(page, mouse, 'Wool 00', { onto: 'Wool 02', holdMs: 0 });
  await expect(lastTold(page)).toContainText('nothing: the list is sorted');
});
