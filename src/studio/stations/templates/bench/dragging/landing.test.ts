import { describe, expect, test } from 'vitest';
import { draftImage, draftLabel, draftStack, type StackPart } from '../../../../../core/templates';
import { type Box, type Dragged, landedAt } from './landing';

const row: StackPart = draftStack('row', 'across', [
  draftImage('picture', { expr: 'picture' }),
  draftStack('words', 'down', [
    draftLabel('name', { expr: 'name' }, 'title'),
    draftLabel('second', { expr: 'id' }, 'small'),
  ]),
  draftLabel('price', { expr: 'price' }, 'value'),
]);

/** A row of 400 × 60: picture, words, price, with 12 px between. */
const boxes: Readonly<Record<string, Box>> = {
  row: { left: 0, top: 0, width: 400, height: 60 },
  picture: { left: 16, top: 10, width: 40, height: 40 },
  words: { left: 68, top: 10, width: 220, height: 40 },
  name: { left: 68, top: 10, width: 220, height: 20 },
  second: { left: 68, top: 34, width: 220, height: 16 },
  price: { left: 300, top: 20, width: 84, height: 20 },
};

const over = (dragged: Partial<Dragged> = {}): Dragged => ({
  ...{ root: row, boxOf: (part) => boxes[part], isFromRight: false, moved: [], isValue: false },
  ...dragged,
});

const told = (x: number, y: number, dragged: Partial<Dragged> = {}): string => {
  const landed = landedAt({ x, y }, over(dragged));
  if (landed === undefined) return 'nowhere';
  if (landed.kind === 'part') return `on ${landed.part}`;
  const { landing } = landed;
  return 'within' in landing
    ? `${landing.within} ${landing.at}`
    : `${landing.side} ${landing.beside}`;
};

describe('where something lands', () => {
  test.each<[string, number, number, string]>([
    ['in the gap after the picture', 62, 30, 'row 1'],
    ['at the start of the row', 4, 30, 'row 0'],
    ['at the end of the row', 396, 30, 'row 3'],
    ['between two lines of a stack', 150, 32, 'words 1'],
    ['at the end of an inner stack', 150, 46, 'words 2'],
    ['on the first half of a part: before it', 310, 30, 'row 2'],
    ['on its second half: after it', 375, 30, 'row 3'],
    ['at its lower edge: under it, in a stack of their own', 340, 38, 'below price'],
    ['at the side of a line: beside it', 280, 20, 'after name'],
    ['outside of the row', 500, 30, 'nowhere'],
  ])('%s', (_, x, y, expected) => {
    expect(told(x, y)).toBe(expected);
  });

  test('a value lands on the part that it is let go on, and in gaps', () => {
    expect(told(340, 30, { isValue: true })).toBe('on price');
    expect(told(36, 30, { isValue: true })).toBe('on picture');
    expect(told(62, 30, { isValue: true })).toBe('row 1');
  });

  test('nothing lands in what is moved', () => {
    expect(told(150, 20, { moved: ['words'] })).toMatch(/^row/);
  });

  test('where rows run from the right, the first place is at the right', () => {
    const mirrored = Object.fromEntries(
      Object.entries(boxes).map(([id, box]) => [id, { ...box, left: 400 - box.left - box.width }]),
    );
    const fromRight = { isFromRight: true, boxOf: (part: string) => mirrored[part] };
    expect(told(396, 30, fromRight)).toBe('row 0');
    expect(told(338, 30, fromRight)).toBe('row 1');
    expect(told(4, 30, fromRight)).toBe('row 3');
    expect(told(400 - 280, 20, fromRight)).toBe('after name');
  });

  test('in a row without parts it is the first', () => {
    expect(told(100, 30, { root: { ...row, children: [] } })).toBe('row 0');
  });
});
