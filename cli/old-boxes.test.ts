import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import type { PartBox } from '../src/engine';
import { yarncardBuilt } from '../tests/support/command-line';

/*
 * Rows of files that were made long ago keep their boxes. The reference was written by the first
 * build that knew boxes; it changes only where a design changes what old rows are.
 */

const file = 'tests/fixtures/version-1.yarncard.json';
const reference: Readonly<Record<string, readonly string[]>> = JSON.parse(
  readFileSync('tests/fixtures/version-1.boxes.json', 'utf8'),
);

interface Row {
  readonly key: string;
  readonly boxes: readonly PartBox[];
}

const inShort = ({ key, boxes }: Row): string =>
  [
    key,
    ...boxes.map(({ part, x, y, width, height }) => [part, x, y, width, height].join(' ')),
  ].join('; ');

test.each(Object.entries(reference))('rows of a file of the first version, %s', (options, rows) => {
  const { lines, status } = yarncardBuilt(['resolve', file, '--json', ...options.split(' ')]);
  expect(status).toBe(0);
  expect(lines.map((line) => inShort(JSON.parse(line)))).toEqual(rows);
});
