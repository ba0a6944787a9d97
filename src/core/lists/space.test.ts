import { expect, test } from 'vitest';
import { newLabel, newStack, type StackNode, solve } from '../layout';
import { spaceOf } from './space';

const units = 64;
/** A label whose words take so many px on one line. */
const words = (part: string, px: number) => {
  const label = newLabel(part);
  label.text = { isEmpty: px === 0, width: px * units, lineCount: () => 1 };
  label.lineHeight = 20 * units;
  return label;
};

function stackOf(direction: StackNode['direction'], ...children: StackNode['children']) {
  const stack = newStack('row');
  Object.assign(stack, { direction, children, gap: 10 * units });
  stack.padding = { start: 16 * units, end: 16 * units, top: 8 * units, bottom: 8 * units };
  return stack;
}

const said = (stack: StackNode) =>
  spaceOf(stack, units).parts.map(({ part, px, why }) => [part, px, why]);

test('parts beside each other: a fixed one, one as its words, one that takes what is left', () => {
  const mark = words('mark', 5);
  mark.width = { kind: 'fixed', units: 40 * units };
  const name = words('name', 300);
  name.width = { kind: 'share', share: 1 };
  const row = stackOf('across', mark, name, words('price', 60));
  solve(row, 360 * units);
  expect(spaceOf(row, units)).toMatchObject({ px: 360, paddingPx: 32, gapsPx: 20, freePx: 0 });
  expect(said(row)).toEqual([
    ['mark', 40, 'fixed'],
    ['name', 208, 'share'],
    ['price', 60, 'content'],
  ]);
  expect(spaceOf(row, units).parts.map(({ isCut }) => isCut)).toEqual([false, true, false]);
});

test('who wants more than there is gives way, down to the least that it may', () => {
  const least = words('least', 300);
  least.limits.minWidth = 200 * units;
  const row = stackOf('across', words('name', 400), least);
  solve(row, 342 * units);
  expect(said(row)).toEqual([
    ['name', 100, 'gives-way'],
    ['least', 200, 'least'],
  ]);
  solve(row, 1_000 * units);
  expect(said(row).map(([, , why]) => why)).toEqual(['content', 'content']);
  expect(spaceOf(row, units).freePx).toBe(1_000 - 32 - 10 - 700);
});

test('parts under each other share the height; over each other, each has all of it', () => {
  const high = words('high', 10);
  high.height = { kind: 'fixed', units: 50 * units };
  const down = stackOf('down', high, words('low', 10));
  solve(down, 360 * units);
  expect(said(down)).toEqual([
    ['high', 50, 'fixed'],
    ['low', 20, 'content'],
  ]);
  expect(spaceOf(down, units)).toMatchObject({ px: 96, paddingPx: 16, gapsPx: 10 });
  const full = words('full', 10);
  full.width = { kind: 'share', share: 1 };
  const over = stackOf('over', full, words('word', 30));
  solve(over, 360 * units);
  expect(said(over)).toEqual([
    ['full', 328, 'full'],
    ['word', 30, 'content'],
  ]);
});
