import { expect, test } from 'vitest';
import { freeTurns, opening } from './turns';

const never = () => new Promise<never>(() => {});

test('what is asked for goes one after the other, and what fails stops nothing', async () => {
  const said: string[] = [];
  const slow = opening.take(async () => {
    await Promise.resolve();
    said.push('first');
  });
  const failing = opening.take(async () => {
    said.push('second');
    throw new Error('no');
  });
  const last = opening.take(async () => said.push('third'));
  await expect(failing).rejects.toThrow('no');
  await Promise.all([slow, last]);
  expect(said).toEqual(['first', 'second', 'third']);
});

test('behind what never ends nothing goes until turns are free', async () => {
  void opening.take(never);
  let isDone = false;
  void opening.take(async () => {
    isDone = true;
  });
  await Promise.resolve();
  expect(isDone).toBe(false);
  freeTurns();
  expect(await opening.take(async () => 'goes on')).toBe('goes on');
});
