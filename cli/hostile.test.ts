import { spawnSync } from 'node:child_process';
import { mkdtempSync, openSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import initSqlJs from 'sql.js';
import { describe, expect, test } from 'vitest';
import { yarncard, yarncardBuilt } from '../tests/support/command-line';

/* What a person in a hurry, a full disk or a file from elsewhere does to the command line. */

const folder = mkdtempSync(join(tmpdir(), 'yarncard-'));
const demo = 'public/demo/thrumwick.yarncard.json';
const trees = join(folder, 'trees.json');
writeFileSync(
  trees,
  '[{"id":"t-1","girth":12,"keeper":{"home":{"town":"Ings"}}},{"id":"t-2","girth":9}]',
);

/** One clear line, exit status 2, and never a stack. */
async function expectRefusal(args: readonly string[], words: RegExp, input: string | Buffer = '') {
  const { stderr, status } = await yarncard(args, input);
  expect([args.join(' '), status]).toEqual([args.join(' '), 2]);
  expect(stderr).toMatch(words);
  expect(stderr).not.toMatch(/\n\s+at /);
  expect(stderr.length).toBeLessThan(1_200);
}

describe('wrong use', () => {
  test.each<[readonly string[], RegExp]>([
    [['resolve', demo, '--locale', 'not a locale'], /names no locale/],
    [['explain', demo, '--key', 'x', '--part', 'name', '--locale', '-'], /names no locale/],
    [['explain', demo, '--key', 'none', '--part', 'name'], /has the key "none"/],
    [['format', '5', '--as', '{"as":"number"}', '--locale', 'xx-!!'], /names no locale/],
    [['check', demo, '--source', 'stock'], /--source has no effect without --items/],
    [['check', demo, '--at', '$'], /--at has no effect without --items/],
    [['resolve', demo, '--ratio', '2'], /--ratio has no effect without --width/],
    [['resolve', demo, '--direction', 'rtl'], /--direction has no effect without --width/],
    [['resolve', demo, '--width', '360', '--direction', 'up'], /no direction: ltr or rtl/],
    [['resolve', demo, '--width', '360', '--text-size', 'big'], /no text size in per cent/],
    [['resolve', demo, '--width', '360', '--density', 'airy'], /no density: compact/],
    [['resolve', demo, '--density', 'compact'], /--width/],
    [['infer', trees, '--schema', '--types', 'ts'], /--types has no effect with --schema/],
    [['infer', trees, '--json', '--schema'], /--json has no effect with --schema/],
    [
      ['eval', 'girth', '--from', trees, '--items', trees],
      /--from has no effect with an expression/,
    ],
    [
      ['eval', 'girth', '--items', trees, '--json', '--key', 'id'],
      /--key has no effect with --json/,
    ],
    [['items', trees, '--timeout', 'soon'], /--timeout takes a number of seconds/],
    [['items', join(folder, 'none.json')], /no such file/],
    [['items', join(trees, 'inside')], /no such file/],
    [['items', folder], /it is a folder/],
    [['items', `${folder}/${'x'.repeat(5_000)}`], /so long a name/],
    [['nothing'], /unknown command/],
    [['items', trees, '--nothing'], /unknown option/],
    [['resolve', trees], /is not a Yarn Card project/],
  ])('%j', (args, words) => expectRefusal(args, words));
});

describe('what begins with a minus sign', () => {
  test('is an expression, a value, and no option', async () => {
    expect((await yarncard(['eval', '-girth', '--items', trees])).stdout).toBe('-12\n-9\n');
    expect((await yarncard(['eval', '--items', trees, '--key', 'id', '-girth + 1'])).stdout).toBe(
      't-1\t-11\nt-2\t-8\n',
    );
    expect((await yarncard(['format', '-5', '--as', '{"as":"number"}'])).stdout).toBe('-5\n');
    expect((await yarncard(['eval', '--items', trees, '--', '-girth'])).stdout).toBe('-12\n-9\n');
    expect(yarncardBuilt(['eval', '-girth', '--itmes', trees]).status).toBe(2);
  });

  test('the version is told', async () => {
    const { version } = JSON.parse(readFileSync('package.json', 'utf8'));
    expect(yarncardBuilt(['--version']).stdout).toBe(`${version}\n`);
  });
});

test('nested fields are listed by path, and steps come as JSON', async () => {
  const { types } = JSON.parse((await yarncard(['infer', trees, '--json'])).stdout);
  const paths = types[0].fields.map(({ path }: { path: string }) => path);
  expect(paths).toEqual(['id', 'girth', 'keeper', 'keeper.home', 'keeper.home.town']);
  const { steps } = JSON.parse(
    (await yarncard(['eval', 'girth * 2', '--items', trees, '--json', '--explain'])).stdout,
  );
  expect(steps[0].at(-1).shown).toBe('24');
});

describe('files that are not ours', () => {
  const project = (change: (text: string) => string) => change(readFileSync(demo, 'utf8'));

  test('a project nested thousands deep where a shape is wrong is refused in words', async () => {
    for (const depth of [300, 3_000, 60_000]) {
      const deep = `${'['.repeat(depth)}${']'.repeat(depth)}`;
      const broken = project((text) => text.replace('"sources": [', `"sources": [${deep},`));
      await expectRefusal(['resolve', '-'], /levels deep|cannot be opened/, broken);
    }
  });

  test('no message echoes a long value', async () => {
    const long = 'x'.repeat(100_000);
    const broken = project((text) => text.replace('"locales": [', `"locales": ["${long}",`));
    await expectRefusal(['resolve', '-'], /cannot be opened/, broken);
    await expectRefusal(['items', '--at', `$.${long}`, '-'], /finds nothing/, '{"a":[{"b":1}]}');
    const { stderr } = await yarncard(['eval', long, '--items', trees]);
    expect(stderr.length).toBeLessThan(2_000);
    await expectRefusal(['eval', 'a', '--items', '-'], /JSON/, `{"a": ${long}`);
  });

  test('control characters never reach the terminal', async () => {
    const evil = '\u001b]0;owned\u0007\u009b31m\u202eabc\u007f';
    const items = JSON.stringify([{ id: evil, name: `a${evil}` }]);
    for (const args of [
      ['items', '-'],
      ['items', '-', '--decoded'],
      ['infer', '-'],
      ['infer', '-', '--json'],
      ['infer', '-', '--schema'],
      ['eval', 'name', '--items', '-', '--key', 'id'],
      ['eval', 'name + 1', '--items', '-'],
      ['eval', 'name', '--items', '-', '--json'],
      ['eval', 'name', '--items', '-', '--explain'],
      ['items', '--at', `$['${evil}']`, '-'],
    ]) {
      const { stdout, stderr } = await yarncard(args, items);
      // biome-ignore lint/suspicious/noControlCharactersInRegex: these are what must not come
      expect(stdout + stderr).not.toMatch(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u202e]/);
    }
    const [line = ''] = (await yarncard(['items', '-'], items)).stdout.split('\n');
    expect(JSON.parse(line)).toEqual(JSON.parse(items)[0]);
  });
});

test('a query without end is ended', async () => {
  const wasm = createRequire(import.meta.url).resolve('sql.js/dist/sql-wasm.wasm');
  const { Database } = await initSqlJs({ locateFile: () => wasm });
  const made = new Database();
  made.run('CREATE TABLE tree (id TEXT)');
  const path = join(folder, 'trees.db');
  writeFileSync(path, made.export());
  const endless =
    'WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n) SELECT count(*) AS c FROM n';
  const { stderr, status } = yarncardBuilt(['items', path, '--at', endless, '--timeout', '1']);
  expect(status).toBe(2);
  expect(stderr).toMatch(/more than 1 s/);
}, 60_000);

test('a full disk is said', async () => {
  const many = JSON.stringify(Array.from({ length: 20_000 }, (_, id) => ({ id, name: 'Lace' })));
  const { status, stderr } = spawnSync(process.execPath, ['bin/yarncard', 'items', '-'], {
    input: many,
    encoding: 'utf8',
    stdio: ['pipe', openSync('/dev/full', 'w'), 'pipe'],
  });
  expect([status, String(stderr)]).toEqual([2, 'yarncard: there is no room left to write to.\n']);
});
