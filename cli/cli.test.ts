import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, test } from 'vitest';

const folder = mkdtempSync(join(tmpdir(), 'yarncard-'));
const file = (name: string, content: string): string => {
  writeFileSync(join(folder, name), content);
  return join(folder, name);
};
const yarncard = (args: readonly string[], input = '') => {
  const { stdout, stderr, status } = spawnSync(process.execPath, ['bin/yarncard', ...args], {
    input,
    encoding: 'utf8',
  });
  return { stdout, stderr, status, lines: stdout.trimEnd().split('\n') };
};

beforeAll(() => {
  // The tests run after the build; without it their messages would mislead.
  readFileSync('bin/yarncard');
});

const stock =
  '{"stock":[{"id":"a","name":"Lace","maker":{"town":"Ousby"}},{"id":"b","name":"Sock"}]}';

describe('items', () => {
  test('come one a line, from a file or standard input', () => {
    const expected = [
      '{"id":"a","name":"Lace","maker":{"town":"Ousby"}}',
      '{"id":"b","name":"Sock"}',
    ];
    expect(yarncard(['items', file('s.json', stock)]).lines).toEqual(expected);
    expect(yarncard(['items', '-'], stock).lines).toEqual(expected);
  });

  test('at a path', () => {
    expect(yarncard(['items', '--at', '$.b', '-'], '{"a":[{"x":1}],"b":[{"y":2}]}').lines).toEqual([
      '{"y":2}',
    ]);
  });
});

test('infer tells the types, with evidence as JSON', () => {
  const path = file('s.json', stock);
  expect(JSON.parse(yarncard(['infer', path, '--json']).stdout)).toEqual({
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
          { path: 'id', type: 'text', required: true, missing: 0, distinct: 2, decoding: null },
          { path: 'name', type: 'text', required: true, missing: 0, distinct: 2, decoding: null },
          {
            path: 'maker',
            type: 'record',
            required: false,
            missing: 1,
            distinct: 1,
            decoding: null,
          },
        ],
      },
    ],
  });
  expect(yarncard(['infer', path]).stdout).toContain('maker: record, missing in 1');
});

describe('eval', () => {
  const path = file('e.json', stock);

  test('gives the value for each item, or why there is none', () => {
    expect(yarncard(['eval', 'maker.town', '--items', path, '--key', 'id']).lines).toEqual([
      'a\tOusby',
      'b\t(missing: this item has no maker)',
    ]);
    expect(JSON.parse(yarncard(['eval', 'maker.town', '--items', path, '--json']).stdout)).toEqual({
      expression: 'maker.town',
      type: 'text',
      values: ['Ousby', { missing: 'this item has no maker' }],
    });
  });

  test('takes many expressions, and ends with 1 if one of them is at fault', () => {
    const done = yarncard([
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

  test('explains each step', () => {
    expect(yarncard(['eval', 'maker.town', '--items', path, '--explain']).lines[0]).toBe(
      'maker { town } › town "Ousby"',
    );
  });
});

describe('resolve', () => {
  test('prints the demo’s rows in order, each part with its words or why there are none', () => {
    const done = yarncard(['resolve', 'public/demo/thrumwick.yarncard.json', '--json']);
    expect([done.status, done.stderr]).toEqual([0, '']);
    expect(done.lines.length).toBe(90);
    expect(JSON.parse(done.lines[0] ?? '')).toEqual({
      list: 'everything',
      entry: 'row',
      key: 'sk-0417',
      type: 'skein',
      template: 'skein-brief',
      parts: [
        { part: 'picture', text: 'skein-wool' },
        { part: 'name', text: 'Merino lace, undyed' },
        { part: 'maker-and-weight', text: 'Hollow Fell · 100 g' },
        { part: 'price', text: '14.5' },
        { part: 'in-stock', text: '12 left' },
      ],
    });
  });

  test('a broken binding opens, is said, and ends with 1', () => {
    const text = readFileSync('public/demo/thrumwick.yarncard.json', 'utf8').replace(
      '"expr": "material"',
      '"expr": "matter"',
    );
    const done = yarncard(['resolve', file('b.yarncard.json', text)]);
    expect(done.status).toBe(1);
    expect(done.stderr).toContain('There is no field "matter"');
    expect(done.lines.length).toBe(91);
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
  ])('%s', (_, args, input, message) => {
    const done = yarncard(args, input);
    expect([done.status, done.stdout]).toEqual([2, '']);
    expect(done.stderr).toMatch(message);
  });
});

test('--help lists the commands', () => {
  const { stdout, status } = yarncard(['--help']);
  expect(status).toBe(0);
  for (const command of ['items', 'infer', 'eval', 'resolve']) expect(stdout).toContain(command);
});
