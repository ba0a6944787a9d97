import fc from 'fast-check';
import { expect, test } from 'vitest';
import { leastMoves } from './moves';

/** Lists that come of one by taking a single thing elsewhere. */
function* afterOneMove(list: readonly number[]): Generator<readonly number[]> {
  for (let from = 0; from < list.length; from += 1) {
    const rest = list.toSpliced(from, 1);
    for (let to = 0; to < list.length; to += 1)
      if (to !== from) yield rest.toSpliced(to, 0, list[from] ?? 0);
  }
}

/** How many moves it takes at least from one order to another, by trying all. */
function fewest(before: readonly number[], after: readonly number[]): number {
  const wanted = after.join();
  const seen = new Set([before.join()]);
  let lists: readonly (readonly number[])[] = [before];
  for (let moves = 0; ; moves += 1) {
    if (lists.some((list) => list.join() === wanted)) return moves;
    lists = lists
      .flatMap((list) => [...afterOneMove(list)])
      .filter((list) => !seen.has(list.join()) && seen.add(list.join()));
  }
}

const orders = (max: number) =>
  fc.integer({ min: 0, max }).chain((count) =>
    fc.shuffledSubarray(
      Array.from({ length: count }, (_, at) => at),
      { minLength: count },
    ),
  );

test('no fewer moves would do, whatever is tried', () => {
  fc.assert(
    fc.property(orders(6), (after) => {
      const before = after.toSorted((one, other) => one - other);
      expect(leastMoves(after)).toHaveLength(fewest(before, after));
    }),
    { numRuns: 300 },
  );
});

test('what is left alone stands in its old order, also of very many', () => {
  fc.assert(
    fc.property(orders(400), (after) => {
      const moved = new Set(leastMoves(after));
      const left = after.filter((_, at) => !moved.has(at));
      expect(left).toEqual(left.toSorted((one, other) => one - other));
    }),
    { numRuns: 50 },
  );
  const many = Int32Array.from({ length: 100_000 }, (_, at) => (at === 0 ? 100_000 : at));
  expect(leastMoves(many)).toEqual([0]);
});
