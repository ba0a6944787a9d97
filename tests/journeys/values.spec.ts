import { addProperty, dropFile, expect, openDemo, rowsOf, saved, test } from './support';

const parcels = [
  {
    id: 'p-1',
    to: 'Ousby',
    weight: 1.5,
    currency: 'EUR',
    price: 1_234.5,
    sold: true,
    sent: '2026-03-02',
    lines: [{ of: 2 }, { of: 3 }],
  },
  {
    id: 'p-2',
    to: 'Ings',
    weight: 0.75,
    currency: 'SEK',
    price: 9,
    sold: false,
    sent: '2026-03-05',
    lines: [],
  },
];

test('an expression is completed with real values, mended in one press, and a field renamed from the caret', async ({
  page,
}) => {
  await page.goto('/');
  await dropFile(page, 'parcels.json', JSON.stringify(parcels));
  await page.getByRole('link', { name: 'Templates' }).click();
  const value = page.getByRole('textbox', { name: 'Value of text' });
  await value.click();
  await page.keyboard.press('Control+A');
  // Who knows the first letters does not wait for the list.
  await page.keyboard.type('curr');
  await page.keyboard.press('Tab');
  await expect(value).toHaveText('currency');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('wei');
  await expect(page.getByRole('option', { name: /weight/ })).toContainText('1.5');
  await page.keyboard.press('Tab');
  await page.keyboard.type(' * sum(lines, l => l.');
  await page.getByRole('option', { name: /^of/ }).click();
  await expect(value).toHaveText('weight * sum(lines, l => l.of)');
  await expect.poll(() => rowsOf(page)).toEqual([['7.5'], ['0']]);
  await expect(page.getByLabel('Trace')).toContainText('7.5');

  // What stands at the ends of all items is told as one types, and leads there.
  await expect(page.getByRole('button', { name: 'largest 7.5' })).toBeVisible();
  await page.getByRole('button', { name: 'smallest 0' }).click();
  await expect(page.getByText('item 2 of 2')).toBeVisible();
  await page.getByRole('button', { name: 'Item before' }).click();

  // A text plus a number is refused, with one press that puts it right.
  await value.fill('to + weight');
  await page.getByRole('button', { name: 'Write `${to}${weight}`' }).click();
  await expect.poll(() => rowsOf(page)).toEqual([['Ousby1.5'], ['Ings0.75']]);

  await value.fill('weight > 1 ? to : null');
  await expect.poll(() => rowsOf(page)).toEqual([['Ousby'], ['']]);
  await expect(page.getByText('1 item has no value here')).toBeVisible();
  await expect(page.getByRole('button', { name: 'none for 1 of 2 items' })).toBeVisible();
  await value.click();
  await page.keyboard.press('Home');
  await page.keyboard.press('F2');
  await page.getByLabel('New name of weight').fill('mass');
  await page.getByLabel('New name of weight').press('Enter');
  await expect(value).toHaveText('mass > 1 ? to : null');
  await expect.poll(() => rowsOf(page)).toEqual([['Ousby'], ['']]);
});

test('a format is proposed, kept once, edited where it is used, and follows the locale', async ({
  page,
}) => {
  await page.goto('/');
  await dropFile(page, 'parcels.json', JSON.stringify(parcels));
  await page.getByRole('link', { name: 'Templates' }).click();
  await page.getByRole('textbox', { name: 'Value of text' }).fill('price');
  await page.getByRole('button', { name: 'Format: as it is' }).click();
  await expect(page.getByRole('menuitem', { name: /new: money/ })).toContainText('€1,234.50');
  await page.getByRole('menuitem', { name: /new: money/ }).click();
  const rows = async () => (await rowsOf(page)).map(([words]) => words?.replace(/\s/g, ' '));
  await expect.poll(rows).toEqual(['€1,234.50', 'SEK 9.00']);
  await expect(page.getByLabel('Trace')).toContainText('money (en)');

  await page.getByRole('button', { name: 'Locale: en' }).click();
  await page.getByRole('menuitem', { name: /add de German/ }).click();
  await expect.poll(rows).toEqual(['1.234,50 €', '9,00 SEK']);
  const samples = page.getByLabel('Samples of the format');
  await expect(samples).toContainText('€1,234.50');
  await page.getByRole('group', { name: 'Format money' }).getByLabel('Digits at most').fill('0');
  await expect.poll(rows).toEqual(['1.235 €', '9 SEK']);

  // Another label takes the same format; its change reaches both.
  await page.getByRole('textbox', { name: 'Value of text' }).fill('sent');
  await expect(page.getByText('money cannot write text')).toBeVisible();
  await page.getByRole('button', { name: 'Format: money' }).click();
  await page.getByRole('menuitem', { name: 'as it is' }).click();
  await expect.poll(rows).toEqual(['2026-03-02', '2026-03-05']);
  await saved(page);
  await page.reload();
  await expect.poll(rows).toEqual(['2026-03-02', '2026-03-05']);
});

test('how a part looks follows from a value of each item; what cannot be is drawn as the nearest', async ({
  page,
}) => {
  await openDemo(page);
  await addProperty(page, 'opacity');
  await page.getByRole('button', { name: 'opacity by value' }).click();
  const opacity = page.getByRole('textbox', { name: 'Value of opacity' });
  const drawn = () =>
    page
      .locator('.yc-sizer [data-part=name]')
      .evaluateAll((names) => names.map((name) => getComputedStyle(name).opacity));
  await opacity.fill('stock < 5 ? 0.4 : 1');
  await expect.poll(async () => new Set(await drawn())).toEqual(new Set(['1', '0.4']));
  await expect(page.getByText('no findings')).toBeVisible();

  // Words are no opacity; a number past its bounds is the nearest.
  await opacity.fill('name');
  await expect(page.getByText('The opacity takes a number; this gives text.')).toBeVisible();
  await opacity.fill('stock');
  await page
    .getByRole('button', { name: /finding/ })
    .first()
    .click();
  await expect(page.getByText(/The opacity cannot be what 26 items say/)).toBeVisible();

  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'No opacity' }).click();
  await expect.poll(async () => new Set(await drawn())).toEqual(new Set(['1']));
  await expect(page.getByText('no findings')).toBeVisible();
});

test('a list and a yes or no have words through formats; a row knows its place', async ({
  page,
}) => {
  await openDemo(page);
  const value = page.getByRole('textbox', { name: 'Value of text' });
  await value.fill('`${index + 1}/${count}`');
  await expect.poll(() => rowsOf(page, 1).then(([row]) => row?.[0])).toBe('1/90');
  await value.fill('stock > 3');
  await page.getByRole('button', { name: /^Format: / }).click();
  await page.getByRole('menuitem', { name: /new: yes or no/ }).click();
  await page.getByLabel('If true').fill('plenty');
  await expect.poll(() => rowsOf(page, 1).then(([row]) => row?.[0])).toBe('plenty');
});

test('words for one item become a binding; the item that is asked for settles the plural', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'by example' }).click();
  await page.getByLabel('Words for Merino lace, undyed').fill('€14.50 · 12 skeins');
  const proposals = page.getByRole('list', { name: 'Proposals' });
  await expect(proposals.getByRole('listitem').first()).toContainText('format(price, "price")');
  const next = page.getByLabel('And for Vicuña, handspun, single ply?');
  await next.fill('€1,204.00 · 1 skein');
  await page.getByRole('button', { name: 'That is it' }).click();
  await proposals.getByRole('listitem').first().getByRole('button', { name: /^Take/ }).click();
  await expect
    .poll(async () => (await rowsOf(page, 20)).map(([title]) => title))
    .toEqual(expect.arrayContaining(['€14.50 · 12 skeins', '€27.00 · 2 skeins']));
  await page.getByRole('button', { name: /^Undo: name by example/ }).click();
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[0]).toBe('Merino lace, undyed');
});

test('a computed property is made by example, of what needs no format', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'parcels.json', JSON.stringify(parcels));
  await page.getByRole('link', { name: 'Data' }).click();
  await page.getByRole('button', { name: 'Compute a property' }).click();
  await page.getByLabel('Name of the computed property').fill('whither');
  await page.getByRole('button', { name: 'By example' }).click();
  await page.getByLabel(/^Words for/).fill('To OUSBY, by 7');
  await expect(page.getByRole('group', { name: 'What becomes of the words' })).toContainText(
    'OUSBY',
  );
  await page.getByRole('button', { name: 'Take `To ${to.toUpperCase()}, by 7`' }).click();
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('gridcell', { name: 'To INGS, by 7' })).toBeVisible();
});

test('a missing value: its nearest path by one press, another value, or the part leaves', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'maker-and-weight share 1' }).click();
  const value = page.getByRole('textbox', { name: 'Value of text' });
  await value.fill('dye');
  const price = page.locator('.yc-sizer > .yc-row', { hasText: 'Merino lace' });
  await price.locator('[data-part=name]').click();
  await page.getByRole('button', { name: 'maker-and-weight share 1' }).click();
  const trace = page.getByRole('region', { name: 'Trace' });
  await expect(trace).toContainText('this item has no dye');
  await trace.getByRole('button', { name: 'dye missing' }).click();
  await expect(value).toBeFocused();
  await trace.getByRole('button', { name: /^or / }).click();
  await expect(value).toHaveText(/^dye \?\? \w+$/);
  await value.fill('dye');
  await page.getByRole('button', { name: /^What stands in/ }).click();
  await page.getByRole('menuitem', { name: 'another value' }).click();
  await page.getByRole('textbox', { name: 'Value if missing' }).fill('maker.town');
  await expect.poll(async () => (await rowsOf(page, 1))[0]?.[1]).toBe('Ousby');
  await expect(trace).toContainText('if missing');
  await page.getByRole('button', { name: /^What stands in/ }).click();
  await page.getByRole('menuitem', { name: 'the part leaves' }).click();
  await expect(price.locator('[data-part=maker-and-weight]')).toBeHidden();
  await expect(page.getByRole('banner')).toContainText('no findings');
});

test('a label leads to an address of the web, a mailbox or a telephone, and nowhere else', async ({
  page,
}) => {
  await page.goto('/');
  const people = [
    'ada@thrumwick.example',
    'javascript:alert(1)',
    '+44 17 68 55',
    'www.garth.example',
  ];
  await dropFile(page, 'people.json', JSON.stringify(people.map((to, id) => ({ id, to }))));
  await page.getByRole('link', { name: 'Templates' }).click();
  await page.getByRole('textbox', { name: 'Value of text' }).fill('to');
  await addProperty(page, 'link');
  const links = page.locator('.yc-sizer > .yc-row:not(.yc-spare) a');
  await expect
    .poll(() => links.evaluateAll((all) => all.map((link) => link.getAttribute('href'))))
    .toEqual(['mailto:ada@thrumwick.example', null, 'tel:+44176855', 'https://www.garth.example']);
  await links.nth(1).click();
  await page.getByRole('button', { name: 'its link' }).click();
  await expect(page.getByRole('region', { name: 'Trace' })).toContainText(
    'is no address of http, https, mailto or tel',
  );
  await expect(page).toHaveURL(/templates/);
  await page.getByRole('button', { name: 'No link' }).click();
  await expect(links).toHaveCount(0);
});

test('a condition is a table: lines of when and value, each with its items', async ({ page }) => {
  await openDemo(page);
  await page.locator('section[aria-label="Parts"]').getByRole('button', { name: /^name/ }).click();
  await addProperty(page, 'colour when grams < 60 madder');
  const table = page.getByRole('group', { name: 'When' });
  await expect(table.getByRole('textbox', { name: 'When 1' })).toHaveText('grams < 60');
  await expect(table.getByRole('combobox', { name: 'Value 1' })).toHaveValue('madder');
  const few = Number.parseInt(
    (await table
      .getByRole('button', { name: /^[1-9]\d* items?$/ })
      .first()
      .textContent()) ?? '',
    10,
  );
  await table.getByRole('button', { name: 'Another line' }).click();
  const second = table.getByRole('textbox', { name: 'When 2' });
  // A line that is new takes the focus by itself: all of it is selected once it has.
  await expect(async () => {
    await second.fill('stock === 0');
    await expect(second).toHaveText('stock === 0', { timeout: 1_000 });
  }).toPass();
  await table.getByRole('combobox', { name: 'Value 2' }).selectOption('ash');
  await expect(second).toHaveText('stock === 0');
  const falls = table.getByText(/^\d+ items?$/);
  await expect(falls).toHaveCount(3);
  const counts = (await falls.allTextContents()).map((words) => Number.parseInt(words, 10));
  expect(counts[0]).toBe(few);
  expect(counts.reduce((sum, each) => sum + each, 0)).toBe(30);
  const looks = page.getByRole('region', { name: 'Looks like' });
  await looks.getByRole('button', { name: 'As text' }).click();
  await expect(page.getByRole('textbox', { name: 'Value of colour' })).toHaveText(
    'grams < 60 ? "madder" : stock === 0 ? "ash" : null',
  );
  await page.getByRole('button', { name: 'As a table' }).click();
  await table.getByRole('button', { name: 'Take away line 1' }).click();
  await expect(table.getByRole('textbox', { name: 'When 1' })).toHaveText('stock === 0');
});
