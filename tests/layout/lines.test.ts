import { expect, test } from 'vitest';
import { compareLines } from './lines';

const widths = [52, 80, 150.5, 270.25, 360];

test.each([
  { ratio: 1, breaks: 'browser', seed: 20_261_128 },
  { ratio: 1.5, breaks: 'browser', seed: 4_711 },
  { ratio: 2, breaks: 'browser', seed: 12 },
] as const)('lines of all scripts are as many as Chromium draws at ratio $ratio', async (task) => {
  const { count, wrong } = await compareLines({ ...task, perScript: 3, widths });
  expect(wrong).toEqual([]);
  expect(count).toBe(300);
});

test('the breaks of the command line give the same lines but in Khmer', async () => {
  const { count, wrong } = await compareLines({
    ...{ ratio: 1, breaks: 'node', seed: 99, perScript: 3, widths },
  });
  expect(wrong.filter(({ script }) => script !== 'khmer' && script !== 'mixed')).toEqual([]);
  expect(count).toBe(300);
});

test.each([
  { ratio: 1, seed: 5 },
  { ratio: 1.25, seed: 6 },
])('lines of several runs are as many as Chromium draws at ratio $ratio', async (task) => {
  const { count, wrong } = await compareLines({
    ...{ ...task, breaks: 'browser', perScript: 3, widths, maxRuns: 4 },
  });
  expect(wrong).toEqual([]);
  expect(count).toBe(300);
});

test('lines are as many where letters stand apart, and in a font of the project’s own', async () => {
  const { count, wrong } = await compareLines({
    ...{ ratio: 1.5, seed: 7, breaks: 'browser', perScript: 3, widths, maxRuns: 2, isSet: true },
  });
  expect(wrong).toEqual([]);
  expect(count).toBe(300);
});
