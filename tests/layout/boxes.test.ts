import { expect, test } from 'vitest';
import { compareBoxes } from './boxes';

test.each([
  { ratio: 1, seed: 31 },
  { ratio: 1.25, seed: 32 },
  { ratio: 2, seed: 33 },
])(
  'every box of a row stands where Chromium draws it at ratio $ratio, to 1/64 px',
  async (task) => {
    const { rows, wrong } = await compareBoxes({ ...task, count: 120 });
    expect(wrong).toEqual([]);
    expect(rows).toBe(120);
  },
);
