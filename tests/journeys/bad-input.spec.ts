import { become, dropFile, expect, openDemo, rowsOf, saved, test } from './support';

const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

test('bad input is refused in words, and what was open stays', async ({ page }) => {
  await openDemo(page);
  await saved(page);
  const before = await rowsOf(page);
  const cases: readonly [string, string | Buffer, RegExp][] = [
    [
      'cut.json',
      '[{"a":1},\n{"a',
      /cut\.json is not valid JSON: a text is opened by a quote and never closed at line 2, column 2/,
    ],
    ['scalar.json', '42', /holds the single value 42/],
    ['deep.json', '['.repeat(20_000), /nests more than 200 levels deep at line 1/],
    ['nothing.json', '', /nothing\.json is empty: it has 0 bytes/],
    ['newer.yarncard.json', '{ "yarncard": 7, "name": "x" }', /written by a newer Yarn Card/],
    [
      'bent.yarncard.json',
      '{ "yarncard": 1, "name": "x" }',
      /bent\.yarncard\.json cannot be opened: sources/,
    ],
  ];
  for (const [name, content, message] of cases) {
    await dropFile(page, name, content);
    if (!name.endsWith('.yarncard.json')) await become(page, 'New project');
    await expect(page.getByRole('alert')).toHaveText(message);
    await page.getByRole('button', { name: 'Put this message away' }).click();
    await expect.poll(() => rowsOf(page)).toEqual(before);
    await page.getByRole('button', { name: 'Next item' }).click();
    await page.getByRole('button', { name: 'first', exact: true }).click();
  }
});

test('a picture without a project is no items', async ({ page }) => {
  await page.goto('/');
  await dropFile(page, 'picture.png', png);
  await expect(page.getByRole('alert')).toHaveText(/picture\.png is a picture \(PNG\)/);
});

test('strange but readable items are shown, and what was assumed is a finding', async ({
  page,
}) => {
  await page.goto('/');
  const cases: readonly [string, string | Buffer, RegExp, string][] = [
    [
      'ragged.csv',
      'name,stock\nLace,4\nSock\n',
      /1 row of ragged\.csv has another number of cells/,
      'Lace',
    ],
    ['open.csv', 'name,stock\nLace,4\n"Sock,3\n', /quote opened at line 3/, 'Lace'],
    [
      'latin.csv',
      Buffer.from('name,stock\nSmörgås,4\n', 'latin1'),
      /read as Windows-1252/,
      'Smörgås',
    ],
    [
      'long.json',
      '[{"name":"Lace","n":9007199254740993}]',
      /1 number in long\.json has more digits/,
      'Lace',
    ],
    [
      'twice.json',
      '[{"id":"a","name":"Lace"},{"id":"a","name":"Sock"},{"id":"b","name":"Lace"}]',
      /Items 1 and 2 of twice have the same key "a"/,
      'Lace',
    ],
  ];
  for (const [at, [name, content, message, first]] of cases.entries()) {
    await dropFile(page, name, content);
    if (at > 0) await become(page, 'New project');
    await expect.poll(async () => (await rowsOf(page, 1))[0]).toEqual([first]);
    await page
      .getByRole('button', { name: /finding/ })
      .first()
      .click();
    await expect(page.getByRole('dialog', { name: 'Findings' })).toContainText(message);
    await page.keyboard.press('Escape');
    expect(
      await page.getByRole('dialog', { name: 'Findings' }).getByRole('button').count(),
    ).toBeLessThanOrEqual(2);
  }
});

test('names that every object has are fields like any other', async ({ page }) => {
  await page.goto('/');
  await dropFile(
    page,
    'names.json',
    '[{"__proto__":"p","constructor":"c","toString":"t","name":"Lace"},{"name":"Sock"}]',
  );
  await expect.poll(() => rowsOf(page)).toEqual([['Lace'], ['Sock']]);
  await page.getByRole('link', { name: 'Templates' }).click();
  for (const [name, words] of [
    ['__proto__', 'p'],
    ['constructor', 'c'],
    ['toString', 't'],
  ] as const) {
    await page.getByRole('textbox', { name: 'Value of text' }).fill(name);
    await expect.poll(() => rowsOf(page)).toEqual([[words], ['']]);
  }
  await expect(page.getByRole('button', { name: '1 finding', exact: true })).toBeVisible();
});

test('markup in data stays words', async ({ page }) => {
  await page.goto('/');
  const words = '<img src=x onerror="document.title=1"><script>document.title=2</script>';
  await dropFile(
    page,
    'markup.json',
    JSON.stringify([
      { name: words, b: 1 },
      { name: 'Sock', b: 2 },
    ]),
  );
  await expect.poll(() => rowsOf(page, 1)).toEqual([[words]]);
  expect(await page.title()).toBe('Yarn Card');
});

test('a project with a broken binding opens, with a finding that leads to it', async ({
  page,
  request,
}) => {
  const demo = await (await request.get('/demo/thrumwick.yarncard.json')).text();
  await page.goto('/');
  await dropFile(
    page,
    'broken.yarncard.json',
    demo.replace('"expr": "material"', '"expr": "materail"'),
  );
  await page.getByRole('button', { name: '1 finding', exact: true }).click();
  await page.getByRole('dialog', { name: 'Findings' }).getByRole('button').click();
  await expect(page.getByRole('textbox', { name: 'Value of text' })).toHaveText('materail');
  await page.getByRole('button', { name: 'Write material' }).click();
  await expect(page.getByText('no findings')).toBeVisible();
});

test('pictures of a project from elsewhere come only after a press, once a project', async ({
  page,
}) => {
  const asked: string[] = [];
  await page.route('http://pictures.invalid/**', (route) => {
    asked.push(route.request().url());
    return route.fulfill({
      contentType: 'image/svg+xml',
      body: '<svg xmlns="http://www.w3.org/2000/svg"/>',
    });
  });
  const project = {
    yarncard: 1,
    name: 'Boats',
    sources: [
      {
        id: 'boats',
        name: 'boats',
        from: { file: 'boats.json', format: 'json', at: '$[*]' },
        key: 'id',
        discriminator: null,
      },
    ],
    types: [
      {
        id: 'boat',
        name: 'boat',
        source: 'boats',
        value: null,
        fields: [
          { name: 'id', type: 'text', required: true },
          { name: 'picture', type: 'text', required: true },
        ],
      },
    ],
    templates: [
      {
        id: 'boat-plain',
        name: 'plain',
        type: 'boat',
        row: {
          part: 'stack',
          id: 'row',
          direction: 'across',
          gap: 4,
          align: 'centre',
          width: 'fit',
          children: [
            {
              part: 'image',
              id: 'picture',
              picture: { expr: 'picture' },
              widthPx: 40,
              heightPx: 40,
              shape: 'square',
              fit: 'cover',
            },
            { part: 'label', id: 'title', text: { expr: 'id' }, style: 'title', width: 'fit' },
          ],
        },
      },
    ],
    lists: [
      {
        id: 'boats',
        name: 'boats',
        source: 'boats',
        choices: [{ type: 'boat', template: 'boat-plain' }],
        otherwise: null,
        arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
      },
    ],
    pictures: [],
    items: [
      { source: 'boats', items: [{ id: 'b-1', picture: 'http://pictures.invalid/gull.svg' }] },
    ],
  };
  await page.goto('/');
  await dropFile(page, 'boats.yarncard.json', JSON.stringify(project));
  await expect.poll(() => rowsOf(page)).toEqual([['b-1']]);
  const bar = page.getByRole('region', { name: 'Pictures from outside' });
  await expect(bar).toContainText('pictures.invalid');
  await saved(page);
  await page.getByRole('button', { name: 'All projects' }).click();
  await expect(page.getByRole('button', { name: /^Boats/ })).toBeVisible();
  await page.goBack();
  await expect(bar).toBeVisible();
  expect(asked).toEqual([]);
  await bar.getByRole('button', { name: 'Load them' }).click();
  await expect.poll(() => asked.length).toBeGreaterThan(0);
  await saved(page);
  await page.reload();
  await expect.poll(() => rowsOf(page)).toEqual([['b-1']]);
  await expect(bar).toBeHidden();
});

test.describe('a part of the page that fails', () => {
  test.use({ isNoisy: true });

  test('leaves the rest alive, with the way back', async ({ page }) => {
    await openDemo(page, 'list');
    await page.getByRole('button', { name: 'grid', exact: true }).click();
    await saved(page);
    // What the station needs is gone for a moment: its code cannot be fetched.
    await page.route(/\/_astro\/choices\..*\.js/, (route) => route.abort());
    await page.reload();
    await page.getByRole('link', { name: 'Choices' }).click();
    const failed = page.getByRole('alert', { name: 'the Choices station failed' });
    await expect(failed).toContainText('The project is whole');
    await expect(page.locator('.yc-sizer > .yc-row').first()).toBeVisible();
    await page.unroute(/\/_astro\/choices\..*\.js/);
    await failed.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('columnheader', { name: 'when', exact: true })).toBeVisible();
  });
});
