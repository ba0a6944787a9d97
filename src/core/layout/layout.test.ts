import fc from 'fast-check';
import { expect, test } from 'vitest';
import { draftImage, draftLabel, draftStack } from '../templates';
import { cellSum, cellWidth } from './grid';
import { partHeight } from './height';
import { lineAt, lineTops } from './lines';

test('cells, gaps and edges fill the width', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 300, max: 2000 }),
      fc.integer({ min: 1, max: 12 }),
      fc.nat(20),
      fc.nat(20),
      (width, columns, gap, edge) => {
        fc.pre(2 * edge + (columns - 1) * gap < width);
        const cell = cellWidth(width, { columns, gap, edge });
        expect(cell * columns + gap * (columns - 1) + 2 * edge).toBeCloseTo(width, 6);
      },
    ),
  );
});

test('a width too small for gaps and edges gives cells of no width, not less', () => {
  expect(cellWidth(50, { columns: 4, gap: 20, edge: 20 })).toBe(0);
});

test('the sum is written as people write it', () => {
  expect(cellSum(360, { columns: 3, gap: 8, edge: 14 })).toBe(
    '(360 − 2 × 14 − 2 × 8) ÷ 3 = 105.33 px',
  );
  expect(cellSum(360, { columns: 1, gap: 8, edge: 0 })).toBe('360 ÷ 1 = 360 px');
});

test('the line at a height is the one that holds it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 60 }),
      fc.nat(12),
      fc.nat(12),
      fc.nat(6000),
      (heights, edge, gap, y) => {
        const tops = lineTops(heights, edge, gap);
        const line = lineAt(tops, y);
        expect(line).toBeGreaterThanOrEqual(0);
        expect(line).toBeLessThan(heights.length);
        if (y >= edge) expect(tops[line]).toBeLessThanOrEqual(y);
        if (line < heights.length - 1) expect(tops[line + 1]).toBeGreaterThan(y);
      },
    ),
  );
});

test('the height of all is its lines, gaps between them and both edges', () => {
  expect([...lineTops([10, 20, 30], 5, 2)]).toEqual([5, 17, 39, 74]);
  expect([...lineTops([], 5, 2)]).toEqual([0]);
});

test('heights add up downwards, and the highest counts across', () => {
  const title = draftLabel('a', 'x', 'title');
  const small = draftLabel('b', 'x', 'small');
  const words = draftStack('c', 'down', [title, small]);
  expect(partHeight(words)).toBe(20 + 2 + 16);
  const row = {
    ...draftStack('row', 'across', [draftImage('i', 'x'), words]),
    padding: { start: 16, end: 16, top: 10, bottom: 11 },
  };
  expect(partHeight(row)).toBe(40 + 21);
});
