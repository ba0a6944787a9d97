import { expect, test } from 'vitest';
import { compareBoxes } from './boxes';

/** `npm run layout` takes 10,000 rows with seeds that nobody has seen. */
const count = Number(process.env['ROWS'] ?? 480) / 4;
const first = process.env['ROWS'] === undefined ? 51 : Date.now() % 1_000_000;

test.each([
  { ratio: 1, seed: first },
  { ratio: 1.25, seed: first + 1 },
  { ratio: 1.5, seed: first + 2 },
  { ratio: 2, seed: first + 3 },
])(
  'every box of a row, reused or new, stands where Chromium draws it at ratio $ratio, to 1/64 px',
  async (task) => {
    const { rows, boxes, wrong, unlikeFresh } = await compareBoxes({ ...task, count });
    if (process.env['ROWS'] !== undefined)
      console.log(
        `ratio ${task.ratio}, seed ${task.seed}: ${wrong.length} of ${rows} rows wrong (${boxes} boxes), ${wrong.filter(({ isOff }) => isOff).length} of another height, ${wrong.filter(({ isOff, isTold }) => isOff && !isTold).length} of them without a finding`,
      );
    expect(wrong).toEqual([]);
    expect(unlikeFresh).toEqual([]);
    expect(rows).toBe(count);
  },
);
