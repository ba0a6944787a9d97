import fc from 'fast-check';
import { expect, test } from 'vitest';
import { cellSum, cellWidth, stripCellWidth, stripSum } from './grid';
import { Lines, unitsOf } from './lines';

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

const lines = (heights: readonly number[], edge: number, gap: number) => {
  const table = {
    firsts: Int32Array.from(heights, (_, line) => line * 2),
    columns: new Uint8Array(heights.length).fill(2),
    heights: Int32Array.from(heights, unitsOf),
  };
  return new Lines(table, edge, gap);
};

test('a line stands where the lines above it end; the line at a height is the one that holds it', () => {
  const px = fc.integer({ min: 1, max: 90 * 64 }).map((units) => units / 64);
  fc.assert(
    fc.property(
      fc.array(px, { minLength: 1, maxLength: 700 }),
      fc.nat(12),
      fc.nat(12),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (heights, edge, gap, share) => {
        const all = lines(heights, edge, gap);
        const tops = [edge];
        for (const height of heights) tops.push((tops.at(-1) ?? 0) + height + gap);
        for (const [line, height] of heights.entries())
          expect([all.topPx(line), all.heightPxOf(line)]).toEqual([tops[line], height]);
        expect(all.heightPx).toBe((tops.at(-1) ?? 0) - gap + edge);
        const y = share * (all.heightPx + 10);
        const at = all.at(y);
        if (y >= edge) expect(all.topPx(at)).toBeLessThanOrEqual(y);
        if (at < all.count - 1) expect(all.topPx(at + 1)).toBeGreaterThan(y);
      },
    ),
    { numRuns: 60 },
  );
});

test('an entry stands in the line that begins with it or before it', () => {
  const all = lines([10, 20, 30], 5, 2);
  expect([0, 1, 2, 3, 4, 5].map((entry) => all.of(entry))).toEqual([0, 0, 1, 1, 2, 2]);
  expect([all.firstOf(1), all.columnsOf(1), all.count]).toEqual([2, 2, 3]);
});

test('a list without lines has no height', () => {
  expect([lines([], 5, 2).heightPx, lines([], 5, 2).count]).toEqual([0, 0]);
});

test('so many cells of a strip are in sight, with the gaps between them and the edge before them', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 200, max: 2_000 }),
      fc.integer({ min: 2, max: 12 }),
      fc.nat(24),
      fc.nat(24),
      (width, halves, gap, edge) => {
        const inSight = halves / 2;
        const cell = stripCellWidth(width, { cell: { inSight }, edge, gap });
        fc.pre(cell > 0 && cell < width - 2 * edge);
        const whole = Math.floor(inSight);
        const end = edge + whole * (cell + gap) + (inSight - whole) * cell;
        expect(end).toBeCloseTo(whole === inSight ? width - edge + gap : width);
      },
    ),
  );
  expect(stripCellWidth(300, { cell: 900, edge: 12, gap: 8 })).toBe(276);
  expect(stripSum(360, { cell: { inSight: 2.5 }, edge: 12, gap: 8 })).toBe(
    '(360 − 12 − 16) ÷ 2.5 = 132.8 px',
  );
});
