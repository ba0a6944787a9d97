import { expect, test } from 'vitest';
import { compareDrawings } from './drawings';

/** `npm run layout` takes 2,500 rows of a seed that nobody has seen; `SEED` takes one again that failed. */
const count = Number(process.env['ROWS'] ?? 400) / 4;
const unseen = process.env['ROWS'] === undefined ? 7 : Date.now() % 1_000_000;
const seed = Number(process.env['SEED'] ?? unseen);

test.each(['text', 'outlines'] as const)(
  'a row drawn as SVG with letters as %s is the row that the window shows, but for anti-aliasing',
  async (kind) => {
    const { rows, unlike } = await compareDrawings({ seed, count, kind });
    expect(
      unlike.map(({ at, pixels, of }) => `seed ${seed}, row ${at}: ${pixels} of ${of} pixels`),
    ).toEqual([]);
    expect(rows).toBe(count);
  },
);
