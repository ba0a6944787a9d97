import { expect, test } from 'vitest';
import type { Json } from './json/json';
import { isDeeperThan } from './json/json';

const nested = (levels: number): Json => JSON.parse('['.repeat(levels) + ']'.repeat(levels));

test.each([
  [0, 1, false],
  [1, 1, false],
  [2, 1, true],
  [500, 500, false],
  [501, 500, true],
  [100_000, 500, true],
])('%i levels are more than %i: %s', (levels, max, isDeeper) => {
  expect(isDeeperThan(levels === 0 ? 'plain' : nested(levels), max)).toBe(isDeeper);
});
