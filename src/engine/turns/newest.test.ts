import { expect, test } from 'vitest';
import type { Turns } from '../../core/base';
import { newest } from './newest';

function* counting(to: number): Turns<number> {
  for (let at = 0; at < to; at += 1) yield at / to;
  return to;
}

test('another question ends the one under way; the same one is answered once', async () => {
  const ask = newest<number>();
  let begun = 0;
  const count = (to: number) => () => {
    begun += 1;
    return Promise.resolve(counting(to));
  };
  const answers = [
    ask('three', count(3)),
    ask('two', count(2)),
    ask('two', count(2)),
    ask('two', count(2)),
  ];
  expect(await Promise.all(answers)).toEqual([undefined, 2, 2, 2]);
  expect(await ask('two', count(2))).toBe(2);
  expect(begun).toBe(2);
  expect(await ask('three', count(3))).toBe(3);
});

test('work that fails says so', async () => {
  const fail = () => Promise.reject(new Error('no items'));
  await expect(newest<number>()('any', fail)).rejects.toThrow('no items');
});
