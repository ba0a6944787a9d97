import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { atOnce, seededRandom } from '../../src/core/base';
import { infer } from '../../src/core/items';
import { type Edit, edits, makeProject, writeProject } from '../../src/core/project';
import type { StandingPart } from '../../src/core/templates';
import { type Finger, pointer, touch } from './fingers';
import { dropFile, expect, saved, test } from './support';

const skeins = Array.from({ length: 60 }, (_, at) => ({
  no: `w-${100 + at}`,
  called: `Wool ${String(at).padStart(2, '0')}`,
  kept: at % 2 === 0,
  grams: 25 + at,
}));

/** A project whose rows do all that rows can do; more parts in them, as they are wished. */
function projectText(more: readonly StandingPart[] = []): string {
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
    edits.addAction({ id: 'pick', payload: 'key', effect: { does: 'select' } }),
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
    ...more.map((part) => edits.insert(template.id, { within: template.row.id, at: 99 }, part)),
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
  page.locator('.yc-sizer > .yc-row:not(.yc-spare)').filter({ hasText: words });
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

test('a control selects its row, and says so; a slider is turned by going across, in one step', async ({
  page,
}) => {
  await page.goto('/');
  await dropFile(
    page,
    'wool.yarncard.json',
    projectText([
      { part: 'checkbox', id: 'pick', name: 'Pick', change: 'pick' },
      {
        ...{
          part: 'slider',
          id: 'weight',
          name: 'Weight',
          width: { fixed: 60 },
          max: 100,
          step: 1,
        },
        value: { expr: 'grams' },
      },
    ]),
  );
  await row(page, 'Wool 00').waitFor();
  await page.getByRole('button', { name: 'Lives', exact: true }).click();
  const control = row(page, 'Wool 01').getByRole('checkbox', { name: 'Pick' });
  await control.click();
  await expect(control).toHaveAttribute('aria-checked', 'true');
  await expect(row(page, 'Wool 01')).toHaveClass(/yc-chosen/);
  await expect(row(page, 'Wool 02').getByRole('checkbox')).toHaveAttribute('aria-checked', 'false');
  await control.click();
  await expect(control).toHaveAttribute('aria-checked', 'false');
  await expect.poll(() => told(page)).toEqual(['pick', 'deselected', 'pick', 'selected']);
  for (const kind of ['touch', 'mouse', 'pen'] as const) {
    const session = await page.context().newCDPSession(page);
    const finger = kind === 'touch' ? touch(session) : pointer(session, kind);
    const slider = row(page, 'Wool 03').getByRole('slider');
    const box = await slider.boundingBox();
    if (box === null) throw new Error('it is not in sight');
    const y = box.y + box.height / 2;
    await finger.down(box.x + box.width * 0.3, y);
    for (let step = 3; step <= 8; step += 1) await finger.move(box.x + (box.width * step) / 10, y);
    await expect(slider).toHaveAttribute('aria-valuenow', '80');
    expect((await told(page))[0]).not.toBe('changed');
    await finger.up();
    await expect(log(page).locator('summary').first()).toContainText('wrote grams: 80');
    await page.keyboard.press('Control+z');
    await expect(slider).toHaveAttribute('aria-valuenow', '28');
    await page.getByRole('button', { name: 'Clear events' }).click();
  }
});

test('a control that has nothing to write asks what it should; then it writes that', async ({
  page,
}) => {
  const twice = {
    part: 'stepper',
    id: 'twice',
    name: 'Twice',
    value: { expr: 'grams * 2' },
  } as const;
  await page.goto('/');
  await dropFile(page, 'wool.yarncard.json', projectText([twice]));
  await row(page, 'Wool 00').waitFor();
  await page.getByRole('button', { name: 'Lives', exact: true }).click();
  const stepper = row(page, 'Wool 03').getByRole('spinbutton');
  const more = async () => {
    const { width = 0, height = 0 } = (await stepper.boundingBox()) ?? {};
    await stepper.click({ position: { x: width * 0.9, y: height / 2 } });
  };
  await more();
  const event = log(page).locator('details').first();
  await expect(event).toContainText('nothing: grams * 2 is no field');
  await event.locator('summary').click();
  await event.getByRole('button', { name: 'Choose what it writes' }).click();
  const does = page.getByRole('region', { name: 'Does' });
  await expect(does).toContainText('nothing: grams * 2 is no field, but comes of one or more');
  await does.getByRole('button', { name: 'Field that it writes' }).click();
  await page.getByRole('menuitem', { name: 'grams' }).click();
  await expect(does).toContainText('writesgrams');
  await expect(stepper).toHaveAttribute('aria-valuenow', '28');
  await more();
  await expect(log(page).locator('summary').first()).toContainText('wrote grams: 29');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});

/** Each row in the page by its item: all of its markup but where it stands, and what markup does not say. */
const rowStates = (page: Page) =>
  page.locator('.yc-sizer > .yc-row:not(.yc-spare)').evaluateAll((rows) =>
    rows.map((own): [string, string] => {
      if (!(own instanceof HTMLElement)) throw new Error('it is no row');
      const { transform: _, ...held } = {
        transform: own.style.transform,
        scrolled: [own, ...own.querySelectorAll('*')].some(
          ({ scrollLeft, scrollTop }) => scrollLeft + scrollTop !== 0,
        ),
        isFocused: own.contains(document.activeElement),
        animations: own.getAnimations({ subtree: true }).length,
        selected: getSelection()?.containsNode(own, true),
      };
      const copy = own.cloneNode(true);
      if (!(copy instanceof HTMLElement)) throw new Error('it is no row');
      copy.style.removeProperty('transform');
      copy.removeAttribute('tabindex');
      for (const part of copy.querySelectorAll('[tabindex]')) part.removeAttribute('tabindex');
      const words = own.textContent?.match(/Wool \d\d/)?.[0] ?? '';
      return [words, copy.outerHTML + JSON.stringify(held)];
    }),
  );

test('whatever is begun on rows, and however it is scrolled amid that, no row carries anything of another', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.getByRole('link', { name: 'List' }).click();
  await page.getByRole('button', { name: /^reader/ }).click();
  await page.getByRole('checkbox', { name: /^move rows/ }).check();
  const list = page.locator('.yc-list');
  const scrollTo = async (share: number) => {
    await list.evaluate((host, to) => {
      host.scrollTop = (host.scrollHeight - host.clientHeight) * to;
    }, share);
    await page.waitForTimeout(260);
  };
  const fresh = new Map<string, string>();
  for (let share = 0; share <= 1; share += 0.1) {
    await scrollTo(share);
    for (const [words, state] of await rowStates(page)) fresh.set(words, state);
  }
  expect(fresh.size).toBe(60);
  const random = seededRandom(20);
  const finger = touch(await page.context().newCDPSession(page));
  const mouse = pointer(await page.context().newCDPSession(page), 'mouse');
  for (let round = 0; round < 24; round += 1) {
    const box = await list.boundingBox();
    if (box === null) throw new Error('there is no list');
    const at = [box.x + 60, box.y + 60 + random() * (box.height - 120)] as const;
    const begun = Math.floor(random() * 5);
    if (begun === 0) {
      // Half swiped, and never let go before it is scrolled.
      await finger.down(...at);
      for (let step = 1; step < 6; step += 1) await finger.move(at[0] + 14 * step, at[1]);
      await scrollTo(random());
      await finger.up();
    } else if (begun === 1) {
      await mouse.down(...at);
      for (let step = 1; step < 5; step += 1) await mouse.move(at[0], at[1] + 9 * step);
      await page.keyboard.press('Escape');
      await scrollTo(random());
      await mouse.up();
      await page.keyboard.press('Control+z');
    } else if (begun === 2) {
      await page.mouse.click(...at, { button: 'right' });
      await scrollTo(random());
    } else if (begun === 3) {
      await list.focus();
      await page.keyboard.press('ArrowDown');
      await page.keyboard.press(' ');
      await page.keyboard.press('ArrowDown');
      await scrollTo(random());
      await page.keyboard.press('Escape');
    } else {
      await finger.down(...at);
      await page.waitForTimeout(560);
      await scrollTo(random());
      await finger.up();
    }
    await page.keyboard.press('Escape');
    await page.evaluate(() => {
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    });
    await scrollTo(random());
    await scrollTo(random());
    expect(
      await page.locator('.yc-actions, .yc-gap, .yc-lifted, .yc-menu:popover-open').count(),
    ).toBe(0);
    for (const [words, state] of await rowStates(page)) expect(state).toBe(fresh.get(words));
  }
});
