import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import type { Expected } from '../src/core/handoff';
import { yarncardBuilt } from '../tests/support/command-line';

const demo = 'public/demo/thrumwick.yarncard.json';
const newFolder = (): string => mkdtempSync(join(tmpdir(), 'yarncard-pack-'));

/** The files of a folder with their content. */
const filesIn = (folder: string): Record<string, string> =>
  Object.fromEntries(
    readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile())
      .map((entry) => join(entry.parentPath, entry.name))
      .sort()
      .map((path) => [path.slice(folder.length + 1), readFileSync(path, 'utf8')]),
  );

test('a pack is the same in every time zone, and when it is made of itself; only what differs is written', () => {
  const folder = newFolder();
  const zone = process.env['TZ'];
  process.env['TZ'] = 'Asia/Tokyo';
  const first = yarncardBuilt(['pack', demo, '--out', folder]);
  process.env['TZ'] = 'America/Los_Angeles';
  const again = yarncardBuilt(['pack', join(folder, 'project.yarncard.json'), '--out', folder]);
  if (zone === undefined) delete process.env['TZ'];
  else process.env['TZ'] = zone;
  const files = filesIn(folder);
  const count = Object.keys(files).length;
  expect(first.lines.at(-1)).toBe(`${count} files of ${count} written to ${folder}.`);
  expect(again.lines.at(-1)).toBe(`0 files of ${count} written to ${folder}.`);
  writeFileSync(join(folder, 'README.md'), 'ours');
  const dry = yarncardBuilt(['pack', demo, '--out', folder, '--dry-run']);
  expect(dry.lines).toContain('changed\tREADME.md');
  expect(readFileSync(join(folder, 'README.md'), 'utf8')).toBe('ours');
  yarncardBuilt(['pack', demo, '--out', folder]);
  expect(filesIn(folder)).toEqual(files);
});

test('nothing is written through a link that leads out of the folder', () => {
  const [folder, elsewhere] = [newFolder(), newFolder()];
  symlinkSync(elsewhere, join(folder, 'items'));
  const { status, stderr } = yarncardBuilt(['pack', demo, '--out', folder]);
  expect([status, stderr]).toEqual([2, expect.stringContaining('leads out of')]);
  expect(readdirSync(elsewhere)).toEqual([]);
  expect(existsSync(join(folder, 'README.md'))).toBe(false);
});

test('where a file has to be a folder, or a folder a file, nothing is written', () => {
  const folders = [newFolder(), newFolder()] as const;
  writeFileSync(join(folders[0], 'items'), 'not a folder');
  mkdirSync(join(folders[1], 'tokens.json'));
  for (const folder of folders) {
    const { status, stderr } = yarncardBuilt(['pack', demo, '--out', folder]);
    expect([status, stderr]).toEqual([2, expect.stringContaining('Nothing was written.')]);
    expect(readdirSync(folder).length).toBe(1);
  }
});

test('rows as expected pass, others are told by what differs, with 1', () => {
  const folder = newFolder();
  const expected = join(folder, 'expected.json');
  writeFileSync(expected, yarncardBuilt(['expect', demo]).stdout);
  expect(yarncardBuilt(['compare', expected, expected])).toMatchObject({ status: 0 });
  const rows = JSON.parse(readFileSync(expected, 'utf8'));
  for (const entry of rows.entries)
    for (const part of entry.parts) if (part.part === 'price') part.text = `${part.text}!`;
  const actual = join(folder, 'actual.json');
  writeFileSync(actual, JSON.stringify(rows));
  const { lines, status } = yarncardBuilt(['compare', expected, actual, '--json']);
  const codes = new Set(lines.map((line) => JSON.parse(line).code));
  expect([status, [...codes]]).toEqual([1, ['words-differ']]);
  expect(yarncardBuilt(['compare', expected, actual, '--tolerance', 'a bit']).status).toBe(2);
  expect(yarncardBuilt(['compare', expected, demo])).toMatchObject({ status: 2 });
});

test('rows whose heights hang on texts stand where they are drawn, also in the first list of a project', () => {
  const project = JSON.parse(readFileSync(demo, 'utf8'));
  project.lists.reverse();
  project.locales = ['ja', 'ar'];
  const file = join(newFolder(), 'shop.yarncard.json');
  writeFileSync(file, JSON.stringify(project));
  const expected: Expected = JSON.parse(yarncardBuilt(['expect', file]).stdout);
  const off = expected.entries.filter(
    ({ setting, box, parts }) =>
      !setting.startsWith('door') && Math.abs(box[3] - (parts[0]?.box?.[3] ?? 0)) > 0.02,
  );
  expect(expected.entries.length).toBeGreaterThan(100);
  expect(off).toEqual([]);
});

test('a row or a list is drawn as SVG, the same each time; what is not there is refused', () => {
  const row = yarncardBuilt(['draw', demo, '--key', 'cl-33', '--scheme', 'dark']);
  expect(row.stdout).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="360"/);
  expect(yarncardBuilt(['draw', demo, '--key', 'cl-33', '--scheme', 'dark']).stdout).toBe(
    row.stdout,
  );
  const list = yarncardBuilt(['draw', demo, '--list', 'door', '--letters', 'text']);
  expect(list.stdout).toContain('Closed');
  for (const wrong of [
    ['--key', 'nobody'],
    ['--list', 'nowhere'],
    ['--look', 'none'],
    ['--locale', 'x-'],
    ['--width', 'wide'],
    ['--scheme', 'sepia'],
    ['--letters', 'runes'],
  ])
    expect([wrong, yarncardBuilt(['draw', demo, ...wrong]).status]).toEqual([wrong, 2]);
});
