import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Ajv from 'ajv/dist/2020';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { findingsOnce } from '../src/core/base';
import { edits, type Project, writeProject } from '../src/core/project';
import { neutralStyles } from '../src/core/templates';
import type { PartBox } from '../src/engine';
import { EngineData } from '../src/engine';
import { yarncard, yarncardBuilt } from '../tests/support/command-line';
import { ownFontFile } from '../tests/support/own-font';
import { openShop, quiet } from '../tests/support/shop';

const folder = mkdtempSync(join(tmpdir(), 'yarncard-'));
const file = (name: string, content: string): string => {
  writeFileSync(join(folder, name), content);
  return join(folder, name);
};

const stock =
  '{"stock":[{"id":"a","name":"Lace","maker":{"town":"Ousby"}},{"id":"b","name":"Sock"}]}';

describe('items', () => {
  test('come one a line, from a file or standard input', async () => {
    const expected = [
      '{"id":"a","name":"Lace","maker":{"town":"Ousby"}}',
      '{"id":"b","name":"Sock"}',
    ];
    expect((await yarncard(['items', file('s.json', stock)])).lines).toEqual(expected);
    expect((await yarncard(['items', '-'], stock)).lines).toEqual(expected);
    expect(yarncardBuilt(['items', '-'], stock)).toMatchObject({ lines: expected, status: 0 });
  });

  test('at a path', async () => {
    expect(
      (await yarncard(['items', '--at', '$.b', '-'], '{"a":[{"x":1}],"b":[{"y":2}]}')).lines,
    ).toEqual(['{"y":2}']);
  });
});

test('infer tells the types, with evidence as JSON', async () => {
  const path = file('s.json', stock);
  expect(JSON.parse((await yarncard(['infer', path, '--json'])).stdout)).toEqual({
    file: path,
    format: 'json',
    at: '$.stock[*]',
    count: 2,
    key: 'id',
    types: [
      {
        name: null,
        count: 2,
        fields: [
          {
            path: 'id',
            type: 'text',
            required: true,
            missing: 0,
            distinct: 2,
            decoding: null,
            better: [],
          },
          {
            path: 'name',
            type: 'text',
            required: true,
            missing: 0,
            distinct: 2,
            decoding: null,
            better: [],
          },
          {
            path: 'maker',
            type: 'record',
            required: false,
            missing: 1,
            distinct: 1,
            decoding: null,
            better: [],
          },
          {
            path: 'maker.town',
            type: 'text',
            required: true,
            missing: 1,
            distinct: 1,
            decoding: null,
            better: [],
          },
        ],
      },
    ],
  });
  expect((await yarncard(['infer', path])).stdout).toContain('maker: record, missing in 1');
});

describe('infer', () => {
  const parcels = file(
    'parcels.csv',
    'code;sent;weight;paid\np-1;24.03.2026;1,5;yes\np-2;25.03.2026;0,75;no\np-3;31.03.2026;;yes\n',
  );

  test('says what reads better, and reads it so where that is asked for', async () => {
    expect((await yarncard(['infer', parcels])).stdout).toContain(
      'sent: text, reads better as date (dd.MM.yyyy), all 3',
    );
    const fields = JSON.parse((await yarncard(['infer', parcels, '--json', '--decoded'])).stdout)
      .types[0].fields;
    expect(
      fields.map((each: { path: string; type: string; decoding: unknown }) => [
        each.path,
        each.type,
        each.decoding,
      ]),
    ).toEqual([
      ['code', 'text', null],
      ['sent', 'date', { pattern: 'dd.MM.yyyy' }],
      ['weight', 'number', { decimal: ',' }],
      ['paid', 'boolean', { yes: ['yes', 'y'], no: ['no', 'n'] }],
    ]);
    expect((await yarncard(['items', parcels, '--decoded'])).lines[0]).toBe(
      '{"code":"p-1","sent":"2026-03-24","weight":1.5,"paid":true}',
    );
  });

  test('and eval take fields for what the application takes them for', async () => {
    const visits = file(
      'visits.json',
      '[{"id":1,"at":{"on":"03.05.2026","fee":"7,50"}},{"id":2,"at":{"on":"30.06.2026","fee":"8"}}]',
    );
    const { engine } = openShop(JSON.parse(readFileSync(visits, 'utf8')));
    const shown = await new EngineData(engine).readings.betterReadings('stock', undefined, quiet);
    const { fields } = JSON.parse((await yarncard(['infer', visits, '--json'])).stdout).types[0];
    expect(
      fields.flatMap(({ path, better }: { path: string; better: readonly unknown[] }) =>
        better.length === 0 ? [] : [[path, better]],
      ),
    ).toEqual(shown.map(({ path, ways }) => [path.join('.'), ways.map((way) => way.decoding)]));
    expect(shown.length).toBe(2);
    const asText = await yarncard(['eval', 'at.on', '--items', visits]);
    expect(asText.stdout).toBe('03.05.2026\n30.06.2026\n');
    expect(asText.stderr).toContain('at.on reads better as date (dd.MM.yyyy), all 2. --decoded');
    const asDate = await yarncard(['eval', 'at.on', '--items', visits, '--decoded']);
    expect([asDate.stdout, asDate.stderr]).toEqual(['2026-05-03\n2026-06-30\n', '']);
  });

  test('writes a JSON Schema that the items satisfy', async () => {
    const schema = JSON.parse((await yarncard(['infer', parcels, '--schema'])).stdout);
    const { default: formats } = await import('ajv-formats');
    const ajv = new Ajv({ ownProperties: true, strict: false });
    formats.default(ajv);
    const isValid = ajv.compile(schema);
    for (const line of (await yarncard(['items', parcels])).lines)
      expect(isValid(JSON.parse(line)), `${line} ${JSON.stringify(isValid.errors)}`).toBe(true);
  });

  test('declares types for code', async () => {
    const asRead = await yarncard(['infer', parcels, '--types', 'ts', '--decoded']);
    // As the items come: an empty text is there, too.
    expect(asRead.stdout).toMatch(/weight: string/);
    expect((await yarncard(['infer', parcels, '--types', 'go'])).stdout).toContain('struct');
    const done = await yarncard(['infer', parcels, '--types', 'klingon']);
    expect([done.status, done.stderr]).toEqual([2, expect.stringContaining('It can be ts, ')]);
  });
});

test('schema writes what project files are like: the demo is', async () => {
  const valid = new Ajv({ strict: false }).compile(JSON.parse((await yarncard(['schema'])).stdout));
  const demo = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
  expect(valid(demo)).toBe(true);
  expect(valid({ ...demo, yarncard: 1 })).toBe(false);
});

describe('check', () => {
  const demo = 'public/demo/thrumwick.yarncard.json';

  test('finds nothing in the demo', async () => {
    expect(await yarncard(['check', demo])).toMatchObject({ status: 0, stdout: 'No findings.\n' });
  });

  test('other items in its place: what does not fit is told with its item', async () => {
    const others = file(
      'others.json',
      '[{"id":"x","kind":"skein","name":7},{"id":"y","kind":"loom"}]',
    );
    const done = await yarncard(['check', demo, '--items', others, '--level', 'warning', '--json']);
    expect(done.status).toBe(1);
    const codes = done.lines.map((line) => JSON.parse(line).code);
    expect(codes).toContain('items-typeless');
    expect(codes).toContain('field-missing');
    expect((await yarncard(['check', demo, '--items', others])).status).toBe(0);
  });

  test('a broken binding is an error', async () => {
    const text = readFileSync(demo, 'utf8').replace('"expr": "material"', '"expr": "matter"');
    const done = await yarncard(['check', file('c.yarncard.json', text)]);
    expect(done.status).toBe(1);
    expect(done.lines[0]).toMatch(/^error: .*There is no field "matter"/);
  });

  test('in every look, not in the first alone', async () => {
    const project = JSON.parse(readFileSync(demo, 'utf8'));
    const card = project.templates.find(({ id }: { id: string }) => id === 'class-card');
    card.row.children[2].text = { expr: 'teacher' };
    const done = await yarncard(['check', file('looks.yarncard.json', JSON.stringify(project))]);
    expect(done.lines.join()).toMatch(/warning: class-card, who/);
  });

  test('what the window finds of the same project, and nothing else, as gravely', async () => {
    const items = [
      { id: 'a', name: 'Lace', made: '24.03.2026', fee: 'few', size: 's' },
      { id: 'a', name: '', made: 'in spring', fee: 3, size: 's' },
      { id: 'c', made: '25.03.2026', fee: 4, size: 's' },
    ];
    const { engine, make, project, type } = openShop(items);
    make(edits.decodeField({ type: type(), path: ['made'] }, { pattern: 'dd.MM.yyyy' }));
    make(edits.retypeField({ type: type(), path: ['fee'] }, 'number'));
    make(edits.requireField({ type: type(), path: ['name'] }, true));
    const [template] = project().templates;
    const place = { template: template?.id ?? '', part: 'title', property: 'text' };
    make(edits.bind(place, { expr: 'size === "xl" ? nane : "{name}"' }));
    const noticed = engine.update(project(), { from: 0, to: 0 }).findings;
    const window = findingsOnce([...noticed, ...engine.surveyNow().findings]);
    const text = [...writeProject(project(), new Map([['stock', items]]))].join('');
    const done = await yarncard(['check', file('own.yarncard.json', text), '--json']);
    expect(done.lines.map((each) => JSON.parse(each))).toEqual(JSON.parse(JSON.stringify(window)));
    expect(new Set(window.map(({ code }) => code)).size).toBeGreaterThan(4);
  });

  test('of no such source, or at no such level', async () => {
    const source = await yarncard(['check', demo, '--items', demo, '--source', 'nowhere']);
    expect([source.status, source.stderr]).toEqual([2, expect.stringContaining('The sources are')]);
    expect((await yarncard(['check', demo, '--level', 'note'])).status).toBe(2);
  });
});

describe('in a team', () => {
  const opened = openShop([
    { id: 'a', name: 'Lace' },
    { id: 'b', name: 'Sock' },
  ]);
  const template = opened.project().templates[0]?.id ?? '';
  const items = new Map([['stock', opened.engine.heldIn('stock')]]);
  const write = (name: string, project: Project) =>
    file(name, [...writeProject(project, items)].join(''));
  const base = opened.project();
  opened.make(edits.bind({ template, part: 'title', property: 'text' }, { expr: 'id' }));
  const bound = opened.project();
  opened.backTo(base);
  opened.make(edits.rename('Ousby shop'));
  const named = opened.project();

  test('rows go out as a table, as lines or as one list, with the same words', async () => {
    const tricky = [
      { id: 'a', name: 'Lace, "fine"' },
      { id: 'b', name: 'Sock\nwool' },
    ];
    const text = [...writeProject(base, new Map([['stock', tricky]]))].join('');
    const path = file('rows.yarncard.json', text);
    const table = (await yarncard(['resolve', path, '--as', 'csv'])).stdout.trim();
    const { data } = Papa.parse(table, {});
    expect(data).toEqual([
      ['list', 'entry', 'key', 'template', 'title'],
      ...tricky.map(({ id, name }) => ['stock', 'row', id, template, name]),
    ]);
    const lines = (await yarncard(['resolve', path, '--as', 'ndjson'])).lines.map((each) =>
      JSON.parse(each),
    );
    expect(JSON.parse((await yarncard(['resolve', path, '--as', 'json'])).stdout)).toEqual(lines);
    expect(lines.map(({ parts }) => parts[0].text)).toEqual(tricky.map(({ name }) => name));
    expect((await yarncard(['resolve', path, '--as', 'xml'])).status).toBe(2);
  });

  test('diff tells what is otherwise, and which rows read otherwise', async () => {
    const [old, fresh] = [write('old.json', base), write('new.json', bound)];
    const { lines, status } = await yarncard(['diff', old, fresh]);
    expect([lines, status]).toEqual([
      [
        `templates › ${template} › title › text › expr: "name" → "id"`,
        `stock: ${template}, title, text reads otherwise in 2 of 2 rows; the first is a: “Lace” → “a”`,
      ],
      0,
    ]);
    expect((await yarncard(['diff', old, old])).stdout).toBe('No differences.\n');
  });

  test('merge writes both sides’ changes in the place of ours; what meets is told, with 1', async () => {
    const paths = [write('b.json', base), write('o.json', bound), write('t.json', named)] as const;
    expect(await yarncard(['merge', ...paths])).toMatchObject({ status: 0, stderr: '' });
    const both = JSON.parse(readFileSync(paths[1], 'utf8'));
    expect([both.name, both.templates[0].row.children[0].text]).toEqual([
      'Ousby shop',
      { expr: 'id' },
    ]);
    expect((await yarncard(['check', paths[1]])).status).toBe(0);
    const other = write('x.json', { ...named, name: 'Ings shop' });
    const done = await yarncard(['merge', paths[0], paths[2], other]);
    expect([done.status, done.stderr]).toEqual([
      1,
      'name: "Ousby shop" here, "Ings shop" there; "Ousby shop" stays.\n',
    ]);
    // Twice the same is nothing new, whatever was not told apart before.
    expect((await yarncard(['merge', paths[1], paths[1], paths[1]])).status).toBe(0);
    expect(JSON.parse(readFileSync(paths[1], 'utf8'))).toEqual(both);
    const broken = file('broken.json', '{"yarncard": 2}');
    const before = readFileSync(paths[1], 'utf8');
    expect((await yarncard(['merge', paths[0], paths[1], broken])).status).toBe(2);
    expect(readFileSync(paths[1], 'utf8')).toBe(before);
  });
});

describe('eval', () => {
  const path = file('e.json', stock);

  test('gives the value for each item, or why there is none', async () => {
    expect((await yarncard(['eval', 'maker.town', '--items', path, '--key', 'id'])).lines).toEqual([
      'a\tOusby',
      'b\t(missing: this item has no maker)',
    ]);
    expect(
      JSON.parse((await yarncard(['eval', 'maker.town', '--items', path, '--json'])).stdout),
    ).toEqual({
      expression: 'maker.town',
      type: 'text',
      values: ['Ousby', { missing: 'this item has no maker' }],
    });
  });

  test('takes many expressions, and ends with 1 if one of them is at fault', async () => {
    const done = await yarncard([
      'eval',
      '--from',
      file('x.txt', 'name\nnmae\n'),
      '--items',
      path,
      '--json',
    ]);
    expect(done.status).toBe(1);
    expect(done.lines.map((line) => Object.keys(JSON.parse(line)))).toEqual([
      ['expression', 'type', 'values'],
      ['expression', 'errors'],
    ]);
    expect(JSON.parse(done.lines[1] ?? '').errors[0]).toMatchObject({
      code: 'name-unknown',
      from: 0,
      to: 4,
    });
  });

  test('explains each step', async () => {
    expect((await yarncard(['eval', 'maker.town', '--items', path, '--explain'])).lines[0]).toBe(
      'maker { town } › town "Ousby"',
    );
  });
});

describe('resolve', () => {
  test('prints the demo’s rows in order, each part with its words or why there are none', async () => {
    const done = await yarncard(['resolve', 'public/demo/thrumwick.yarncard.json', '--json']);
    expect([done.status, done.stderr]).toEqual([0, '']);
    expect(done.lines.length).toBe(301);
    expect(JSON.parse(done.lines[0] ?? '')).toEqual({
      list: 'everything',
      entry: 'row',
      key: 'sk-0417',
      type: 'skein',
      template: 'skein-brief',
      parts: [
        { part: 'picture', property: 'picture', text: 'skein-wool' },
        { part: 'name', property: 'text', text: 'Merino lace, undyed' },
        { part: 'maker-and-weight', property: 'text', text: 'Hollow Fell · 100 g' },
        { part: 'price', property: 'text', text: '€14.50' },
        { part: 'in-stock', property: 'text', text: '12 left' },
      ],
    });
  });

  test('in a look that is named, items have the templates of that look', async () => {
    const demo = 'public/demo/thrumwick.yarncard.json';
    const rich = ['resolve', demo, '--list', 'everything', '--look', 'rich', '--json'];
    const templates = (await yarncard(rich)).lines.map((line) => JSON.parse(line).template);
    expect(new Set(templates)).toEqual(new Set(['skein-rich', 'class-rich', 'tool-rich']));
    expect((await yarncard(['resolve', demo, '--look', 'bold'])).stderr).toContain(
      'The looks are brief, rich.',
    );
    expect((await yarncard(['resolve', demo, '--set', 'none'])).stderr).toContain(
      'The project has no sets.',
    );
  });

  test('tells what a part looks like from its words', async () => {
    const demo = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
    demo.templates[0].row.children[1].children[0].width = { expr: 'stock * 2' };
    const path = file('wide.yarncard.json', JSON.stringify(demo));
    expect((await yarncard(['resolve', path])).lines[1]).toBe(
      'sk-0417\t[skein-wool]\tMerino lace, undyed\tHollow Fell · 100 g\t€14.50\t12 left',
    );
    const [first = ''] = (await yarncard(['resolve', path, '--json'])).lines;
    expect(JSON.parse(first).parts).toContainEqual({ part: 'name', property: 'width', text: '24' });
  });

  test('with a width, every part has its box, and a row is as high as its text', async () => {
    const demo = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
    demo.templates[0].row.children[1].children[0].lines = 'all';
    const path = file('lines.yarncard.json', JSON.stringify(demo));
    const done = yarncardBuilt(['resolve', path, '--width', '360', '--json']);
    expect([done.status, done.stderr]).toEqual([0, '']);
    const rows = done.lines.map((line) => JSON.parse(line));
    const boxesOf = (key: string) => rows.find((row) => row.key === key).boxes;
    expect(boxesOf('sk-0417')[0]).toEqual({ part: 'row', x: 0, y: 0, width: 360, height: 60 });
    // As high as the window has it.
    expect(boxesOf('sk-0419')[0].height).toBe(118);
    expect(boxesOf('sk-0419').find(({ part }: { part: string }) => part === 'name').lines).toBe(4);
    const text = yarncardBuilt(['resolve', path, '--width', '360']).lines;
    expect(text.find((line) => line.startsWith('sk-0419'))).toMatch(/\t118 px$/);
    expect((await yarncard(['resolve', path, '--width', 'wide'])).stderr).toContain(
      'is no width in px',
    );
    const large = ['--width', '360', '--text-size', '200', '--direction', 'rtl', '--json'];
    const first = JSON.parse(yarncardBuilt(['resolve', path, ...large]).lines[0] ?? '');
    const boxOf = (name: string) => first.boxes.find((box: PartBox) => box.part === name);
    // Three lines of 40 px and one of 32, a gap of 2, paddings of 10; the picture stands at the right.
    expect(boxOf('row').height).toBe(174);
    expect(boxOf('picture').x).toBe(360 - 16 - 40);
  });

  test('knows the fonts of a project’s own, and how wide its runs are', () => {
    const demo = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
    const price = demo.templates[0].row.children[2].children[0];
    price.runs = [{ part: 'run', id: 'each', text: 'each', style: 'own' }];
    const own = { name: 'own', size: 14, lineHeight: 24, weight: 400, colour: 'ink' };
    const styled = (family: string) => {
      const textStyles = [...neutralStyles, { ...own, family }];
      const fonts = [{ name: 'Fell', content: 'fell' }];
      const contents = { ...demo.contents, fell: readFileSync(ownFontFile).toString('base64') };
      return file(
        `${family}.yarncard.json`,
        JSON.stringify({ ...demo, textStyles, fonts, contents }),
      );
    };
    const [inOwn, inOthers] = ['Fell', 'Gone'].map((family) => {
      const done = yarncardBuilt(['resolve', styled(family), '--width', '360', '--json']);
      expect(done.status).toBe(0);
      const { boxes } = JSON.parse(done.lines[0] ?? '');
      return boxes.find(({ part }: PartBox) => part === price.id);
    });
    expect([inOwn.height, inOthers.height]).toEqual([24, 24]);
    expect(inOwn.width).not.toBe(inOthers.width);
    expect(Math.abs(inOwn.width - inOthers.width)).toBeLessThan(6);
  });

  test('checks boxes at the widths and text sizes that the project names', async () => {
    const demo = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
    expect(
      (await yarncard(['check', file('demo.yarncard.json', JSON.stringify(demo))])).lines,
    ).toEqual(['No findings.']);
    const named = { ...demo, widths: [320, 360], textSizes: [100, 200] };
    const done = yarncardBuilt(['check', file('at.yarncard.json', JSON.stringify(named))]);
    expect([done.status, done.stderr]).toEqual([0, '']);
    expect(done.lines).toContainEqual(
      expect.stringMatching(
        /^note: skein-brief, name, text: “name” of “skein-brief” is cut off in 28 of 30 rows at/,
      ),
    );
  });

  test('a broken binding opens, is said, and ends with 1', async () => {
    const text = readFileSync('public/demo/thrumwick.yarncard.json', 'utf8').replace(
      '"expr": "material"',
      '"expr": "matter"',
    );
    const done = await yarncard(['resolve', file('b.yarncard.json', text)]);
    expect(done.status).toBe(1);
    expect(done.stderr).toContain('There is no field "matter"');
    expect(done.lines.length).toBe(305);
  });
});

describe('format', () => {
  test.each([
    [['14.5', '--as', '{"as":"money","currency":"EUR"}', '--locale', 'de'], '14,50\u00a0€'],
    [['2026-03-02', '--as', '{"as":"date","pattern":"d. MMMM","date":"long"}'], '2. March'],
    [['["woad","weld"]', '--as', '{"as":"list"}'], 'woad and weld'],
    [
      [
        '3',
        '--as',
        '{"as":"money","currency":{"expr":"shop.code"}}',
        '--item',
        '{"shop":{"code":"JPY"}}',
      ],
      '¥3',
    ],
    [
      ['1', '--as', '{"as":"message","message":"{$value :number} of {$n}"}', '--item', '{"n":3}'],
      '1 of 3',
    ],
  ])('%j', async (args, text) => {
    expect((await yarncard(['format', ...args])).lines).toEqual([text]);
  });

  test('that cannot write the value ends with 1, one that is wrong with 2', async () => {
    const soon = await yarncard(['format', 'soon', '--as', '{"as":"number"}']);
    expect([soon.status, soon.stderr]).toEqual([1, 'yarncard: "soon" is not a number\n']);
    const json = await yarncard(['format', 'soon', '--as', '{"as":"number"}', '--json']);
    expect(JSON.parse(json.stdout)).toEqual({ missing: '"soon" is not a number' });
    for (const as of ['{"as":"gold"}', '{"as":"money","display":"gold"}', 'number'])
      expect((await yarncard(['format', '1', '--as', as])).status).toBe(2);
    expect(
      (await yarncard(['format', '1', '--as', '{"as":"number"}', '--locale', 'de utsch'])).status,
    ).toBe(2);
  });
});

describe('what gestures hand over', () => {
  const demoFile = 'public/demo/thrumwick.yarncard.json';

  test('stands with each row, allowed or not', async () => {
    const { lines } = await yarncard([
      ...['resolve', demoFile, '--list', 'shop-window', '--actions', '--json'],
    ]);
    const rows = lines.map((line) => JSON.parse(line));
    const soldOut = rows.find(({ key }) => key === 'sk-0418');
    expect(rows.every(({ actions }) => Array.isArray(actions))).toBe(true);
    expect(soldOut.actions.map(({ action }: { action: string }) => action)).toEqual([
      ...['open', 'sell', 'take-off'],
    ]);
    const sell = rows.flatMap(({ actions }) => actions).filter(({ action }) => action === 'sell');
    expect(sell.some(({ allowed }) => allowed) && sell.some(({ allowed }) => !allowed)).toBe(true);
    expect(sell[0]).toMatchObject({ part: 'row', gesture: 'swipeStart', type: 'text' });
    const { lines: told } = await yarncard([
      'resolve',
      demoFile,
      '--list',
      'shop-window',
      '--actions',
    ]);
    expect(
      told.filter((line) => line.includes('swipe from the end on row\ttake-off\t')),
    ).toHaveLength(30);
  });

  test('is explained step by step', async () => {
    const args = ['explain', demoFile, '--list', 'shop-window', '--key', 'sk-0417', '--action'];
    const sell = await yarncard([...args, 'sell']);
    expect(sell.lines.slice(0, 3)).toEqual(['if stock\t12', 'if >\ttrue', 'allowed\tyes']);
    expect(sell.lines.at(-1)).toBe('handed over\t"one of Merino lace, undyed"');
    expect((await yarncard([...args, 'nothing'])).status).toBe(2);
    const both = ['--part', 'name'];
    expect((await yarncard([...args, 'sell', ...both])).status).toBe(2);
    expect((await yarncard(args.slice(0, -1))).status).toBe(2);
  });
});

describe('explain', () => {
  const demo = 'public/demo/thrumwick.yarncard.json';

  test('tells each step to the words of a part', async () => {
    const { lines, status } = await yarncard([
      'explain',
      demo,
      '--key',
      'sk-0417',
      '--part',
      'name',
    ]);
    expect(status).toBe(0);
    expect(lines).toEqual(['name\t"Merino lace, undyed"', 'text\tMerino lace, undyed']);
  });

  test('a key or a part that is not there is said', async () => {
    const nobody = await yarncard(['explain', demo, '--key', 'nobody', '--part', 'name']);
    expect([nobody.status, nobody.stderr]).toEqual([
      2,
      'yarncard: No row of the list has the key "nobody".\n',
    ]);
    const part = await yarncard(['explain', demo, '--key', 'sk-0417', '--part', 'nose']);
    expect(part.status).toBe(2);
    expect(part.stderr).toContain('no part "nose"');
  });
});

describe('wrong use and unreadable input end with 2 and one line', () => {
  test.each<[string, readonly string[], string, RegExp]>([
    [
      'no such file',
      ['items', '/nowhere.json'],
      '',
      /^yarncard: \/nowhere\.json: there is no such file/,
    ],
    ['cut short', ['items', '-'], '[{"a":1},\n{"a"', /standard input:2:5: .* line 2, column 5/],
    ['a newer project', ['resolve', '-'], '{ "yarncard": 99 }', /newer Yarn Card/],
    [
      'no such list',
      ['resolve', 'public/demo/thrumwick.yarncard.json', '--list', 'x'],
      '',
      /The lists are everything/,
    ],
    ['no expression', ['eval', '--items', '-'], '[{"a":1}]', /eval needs an expression/],
    ['an unknown command', ['weave'], '', /unknown command/],
  ])('%s', async (_, args, input, message) => {
    const done = await yarncard(args, input);
    expect([done.status, done.stdout]).toEqual([2, '']);
    expect(done.stderr).toMatch(message);
  });
});

test('--help lists the commands', async () => {
  const { stdout, status } = await yarncard(['--help']);
  expect(status).toBe(0);
  for (const command of ['items', 'infer', 'eval', 'format', 'explain', 'resolve', 'check'])
    expect(stdout).toContain(command);
});
