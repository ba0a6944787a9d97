import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { openShop } from '../../../tests/support/shop';
import type { Item } from '../items';
import type { Project } from '../project';
import {
  compareRows,
  expectedSettings,
  readRows,
  sampleOf,
  sampleSize,
  writeExpected,
  writePack,
} from '.';

const shop = (): Project => openShop().project();

describe('the sample', () => {
  const many = (count: number, kinds: readonly string[]): readonly Item[] =>
    Array.from({ length: count }, (_, at) => ({
      id: `i${at}`,
      kind: kinds[Math.min(at, kinds.length - 1)] ?? 'skein',
    }));

  test('is bounded, has each type, keeps the order, and is its own sample', () => {
    const project = shop();
    const source = project.sources[0]?.id ?? '';
    const items = new Map([[source, many(5_000, ['notice', 'tool', 'skein'])]]);
    const sample = sampleOf(project, items);
    const chosen = sample.get(source) ?? [];
    expect(chosen.length).toBeLessThanOrEqual(sampleSize);
    expect(chosen.length).toBeGreaterThan(sampleSize / 2);
    const places = chosen.map(({ id }) => Number(String(id).slice(1)));
    expect(places).toEqual(places.toSorted((one, other) => one - other));
    expect(places.at(-1)).toBe(4_999);
    expect(sampleOf(project, sample)).toEqual(sample);
  });

  test('of few items is all of them', () => {
    const project = shop();
    const source = project.sources[0]?.id ?? '';
    const items = many(sampleSize, ['skein']);
    expect(sampleOf(project, new Map([[source, items]])).get(source)).toEqual(items);
  });
});

test('settings vary one thing at a time; each has a name of its own', () => {
  const project: Project = {
    ...shop(),
    widths: [360, 480, 480],
    textSizes: [100, 200],
    locales: ['en', 'ar'],
  };
  const own = expectedSettings(project).filter(({ list }) => list === project.lists[0]?.id);
  expect(own.map(({ width, textSize, locale }) => [width, textSize, locale])).toEqual([
    [360, 100, 'en'],
    [480, 100, 'en'],
    [480, 100, 'en'],
    [360, 200, 'en'],
    [360, 100, 'ar'],
  ]);
  expect(own.at(-1)?.direction).toBe('rtl');
  expect(new Set(own.map(({ id }) => id)).size).toBe(own.length);
});

describe('the pack', () => {
  const packed = (project: Project) =>
    writePack({
      project,
      items: new Map(),
      contents: new Map(),
      expected: { yarncard: 1, project: project.name, settings: [], entries: [] },
      runtime: { script: 'var runtime = {};', signs: ['<svg/>'] },
      sheets: new Map([['skein-brief', '<!doctype html>\n']]),
      decoded: atob,
    });

  test('has the README first, tells of every file in it, and leads out of no folder', () => {
    const [readme, ...files] = packed(shop());
    expect(readme?.path).toBe('README.md');
    for (const { path, text } of files) {
      const line = path.replace(/^(signs|spec|pictures|fonts)\/.*/, '$1/');
      expect(readme?.text).toContain(`\`${line}\``);
      expect(path).toMatch(/^[a-z0-9-]+(\/[a-z0-9-]+)?(\.[a-z]+)+$/);
      if (path.endsWith('.json')) expect(() => JSON.parse(text)).not.toThrow();
      // A file of design tokens that was brought in stays byte for byte.
      if (path !== 'tokens.json') expect(text.endsWith('\n')).toBe(true);
    }
  });

  test('a name of a project becomes neither markup nor lines of the README', () => {
    const name = '# <b>`x`</b>\n| a | [b](javascript:c)';
    const [readme] = packed({ ...shop(), name });
    expect(readme?.text.split('\n')[0]).toBe(
      '# \\# \\<b\\>\\`x\\`\\</b\\> \\| a \\| \\[b\\]\\(javascript:c\\)',
    );
  });
});

describe('a comparison', () => {
  const rows = {
    entries: [
      {
        ...{ setting: 's', entry: 'row', key: 'a', template: 'skein', box: [0, 0, 360, 56] },
        parts: [
          { part: 'title', box: [12, 8, 200, 20], text: 'Lace', lines: 1 },
          { part: 'photo', box: [300, 8, 40, 40], shows: { picture: 'lace' } },
        ],
      },
      { ...{ setting: 's', entry: 'row', key: 'b', template: 'skein' }, parts: [] },
    ],
  };
  const how = { file: 'actual.json', tolerancePx: 1 };
  const codes = (change: (copy: { entries: Entry[] }) => void, expected = rows) => {
    const actual = { entries: structuredClone(rows.entries) as Entry[] };
    change(actual);
    return compareRows(expected, actual, how).findings.map(({ code }) => code);
  };
  interface Entry {
    setting: string;
    entry: string;
    key: string;
    template?: string;
    box?: number[];
    parts: { part: string; text?: string; box?: number[]; lines?: number }[];
  }
  const first = (copy: { entries: Entry[] }): Entry => copy.entries[0] as Entry;
  const title = (copy: { entries: Entry[] }) => first(copy).parts[0] as Entry['parts'][number];

  test('finds each kind of difference, and nothing where there is none', () => {
    expect(codes(() => {})).toEqual([]);
    expect(codes((copy) => copy.entries.pop())).toEqual(['rows-missing']);
    expect(codes((copy) => copy.entries.push({ key: 'c', ...base, parts: [] }))).toEqual([
      'rows-unexpected',
    ]);
    expect(codes((copy) => Object.assign(first(copy), { template: 'tool' }))).toEqual([
      'rows-of-other-template',
    ]);
    expect(codes((copy) => first(copy).parts.shift())).toEqual(['part-not-drawn']);
    expect(codes((copy) => first(copy).parts.push({ part: 'extra', text: 'New' }))).toEqual([
      'part-not-expected',
    ]);
    expect(codes((copy) => Object.assign(title(copy), { text: 'Lace ' }))).toEqual([
      'words-differ',
    ]);
    expect(codes((copy) => Object.assign(title(copy), { lines: 2 }))).toEqual(['lines-differ']);
    expect(codes((copy) => Object.assign(title(copy), { box: [12, 8, 201.1, 20] }))).toEqual([
      'boxes-differ',
    ]);
    expect(codes((copy) => Object.assign(title(copy), { box: [12, 8, 200.9, 20] }))).toEqual([]);
  });
  const base = { setting: 's', entry: 'row', template: 'skein' };

  test('long words that differ in their middle only are different', () => {
    const long = (middle: string) => ({
      entries: [
        {
          ...{ setting: 's', entry: 'row', key: 'a', template: 'skein' },
          parts: [{ part: 'title', text: `${'a'.repeat(400)}${middle}${'b'.repeat(400)}` }],
        },
      ],
    });
    const { findings } = compareRows(long('x'), long('y'), how);
    expect(findings.map(({ code }) => code)).toEqual(['words-differ']);
    expect(findings[0]?.message.length).toBeLessThan(600);
  });

  test('rows of one key are told apart by their order; what differs alike is one finding', () => {
    const entry = (text: string) => ({
      ...{ setting: 's', entry: 'heading', key: 'k', template: 't' },
      parts: [{ part: 'name', text }],
    });
    const { findings, rowCount } = compareRows(
      { entries: [entry('a'), entry('b'), entry('c')] },
      { entries: [entry('a'), entry('x'), entry('y')] },
      how,
    );
    expect(rowCount).toBe(3);
    expect(findings.map(({ message }) => message)).toEqual([
      't, name reads otherwise in 2 rows; the first is the heading "k" in "s": "x" instead of "b".',
    ]);
  });

  test('what is written is read again the same', () => {
    const text = writeExpected({
      ...{ yarncard: 1, project: 'Shop', settings: [] },
      entries: rows.entries as never,
    });
    const read = readRows(text, 'expected.json');
    expect(read.ok && compareRows(rows, read.value, how).findings).toEqual([]);
  });

  test('any text at all is read or refused in words', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        const read = readRows(text, 'x.json');
        if (!read.ok) expect(read.error.message).toContain('x.json');
      }),
    );
    const read = readRows('{"entries":[{"setting":"s","entry":"row","key":7}]}', 'x.json');
    expect(read).toMatchObject({ ok: false, error: { code: 'not-rows' } });
  });
});
