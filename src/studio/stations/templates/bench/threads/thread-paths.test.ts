import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Box } from '../dragging/landing';
import { gatePx, threadEnd, threadPath } from './thread-paths';

/** Up to 25 words in rows and columns, as stacks lay them: none over another. */
const layout = fc
  .record({
    columns: fc.array(
      fc.record({
        width: fc.integer({ min: 8, max: 120 }),
        gap: fc.integer({ min: 0, max: 16 }),
        cells: fc.array(fc.integer({ min: 10, max: 24 }), { minLength: 1, maxLength: 5 }),
      }),
      { minLength: 1, maxLength: 5 },
    ),
    isFromRight: fc.boolean(),
  })
  .map(({ columns, isFromRight }) => {
    let left = 16;
    let height = 0;
    const boxes = columns.flatMap(({ width, gap, cells }) => {
      let top = 10;
      const own = cells.map((cell): Box => {
        const box = { left, top, width, height: cell };
        top += cell + 2;
        return box;
      });
      left += width + gap;
      height = Math.max(height, top);
      return own;
    });
    return { boxes, isFromRight, row: { left: 0, top: 0, width: left + 16, height: height + 10 } };
  });

const crosses = (box: Box, x: number, from: number, to: number): boolean =>
  x > box.left + 0.5 &&
  x < box.left + box.width - 0.5 &&
  Math.max(from, to) > box.top + 1 &&
  Math.min(from, to) < box.top + box.height - 1;

test('no thread goes over the words of another part, with 40 values and 25 parts', () => {
  fc.assert(
    fc.property(layout, ({ boxes, isFromRight, row }) => {
      const values = Math.ceil(40 / boxes.length);
      for (const [at, part] of boxes.entries()) {
        const words = boxes.filter((_, other) => other !== at);
        for (let index = 0; index < values; index += 1) {
          const end = threadEnd(part, { row, words, index, isFromRight });
          const edge = end.from === 'above' ? row.top : row.top + row.height;
          expect(words.filter((box) => crosses(box, end.x, end.y, edge))).toEqual([]);
          // It ends on its part, or where the row does.
          const isOnPart = end.x >= part.left && end.x <= part.left + part.width;
          expect(isOnPart || end.y === edge).toBe(true);
        }
      }
    }),
  );
});

test('a thread runs outside of the row and comes straight down onto its part', () => {
  const path = threadPath({ x: -60, y: 80 }, { x: 200, y: 20 }, { x: 4, y: -gatePx });
  expect(path).toMatch(/L190 -12Q200 -12 200 -2L200 20$/);
  // Along the border of the values first: what stands beneath the row has words.
  expect(path).toMatch(/^M-60 80Q-53 80 -53 70L-53 -2Q-53 -12 -43 -12L4 -12/);
});
