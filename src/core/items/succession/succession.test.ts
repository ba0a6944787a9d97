import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Item } from '../item';
import {
  freshPositions,
  gonePositions,
  isInPlace,
  type Succession,
  successionOf,
} from './succession';
import { Successor } from './successor';

const items: readonly Item[] = Array.from({ length: 400 }, (_, at) => ({ at }));

/** What any succession is: everything that stayed is itself, everything else fresh or gone. */
function expectSound(next: Succession): void {
  const stayed = next.runs.flatMap(({ at, old, count }) =>
    Array.from({ length: count }, (_, each) => ({ at: at + each, old: old + each })),
  );
  for (const { at, old } of stayed) expect(next.items[at]).toBe(next.before[old]);
  const positions = [...stayed.map(({ at }) => at), ...freshPositions(next)];
  expect(positions.sort((a, b) => a - b)).toEqual([...next.items.keys()]);
  const before = [...stayed.map(({ old }) => old), ...gonePositions(next)];
  expect(before.sort((a, b) => a - b)).toEqual([...next.before.keys()]);
}

const cut = fc.record({
  at: fc.nat(399),
  removed: fc.nat(40),
  added: fc.nat(40),
  isMoved: fc.boolean(),
});

describe('what a list has of the one before, by the items alone', () => {
  test('is the very same, or looked at anew', () => {
    fc.assert(
      fc.property(fc.array(cut, { maxLength: 6 }), (cuts) => {
        const after = items.slice();
        for (const { at, removed, added, isMoved } of cuts) {
          const taken = after.splice(at, removed);
          const fresh = Array.from({ length: added }, () => ({ at: -1 }));
          after.splice(isMoved ? 0 : at, 0, ...(isMoved ? taken : fresh));
        }
        const next = successionOf(items, after);
        expectSound(next);
        const known = new Set(items);
        if (!cuts.some((each) => each.isMoved))
          expect(freshPositions(next).filter((at) => known.has(after[at] ?? {}))).toEqual([]);
      }),
      { numRuns: 500 },
    );
  });

  test('is found where one is replaced, one joins or some go', () => {
    const fresh = { at: -1 };
    expect(freshPositions(successionOf(items, items.with(7, fresh)))).toEqual([7]);
    expect(freshPositions(successionOf(items, [...items, fresh]))).toEqual([400]);
    expect(gonePositions(successionOf(items, items.toSpliced(3, 2)))).toEqual([3, 4]);
    expect(successionOf(items, []).runs).toEqual([]);
    expect(successionOf([], [fresh]).runs).toEqual([]);
    expect(isInPlace(successionOf(items, items.with(7, fresh)))).toBe(true);
    expect(isInPlace(successionOf(items, items.toSpliced(7, 0, fresh)))).toBe(false);
  });
});

const step = fc.oneof(
  fc.record({ do: fc.constant('replace' as const), at: fc.nat(60) }),
  fc.record({ do: fc.constant('insert' as const), at: fc.nat(60), count: fc.nat(5) }),
  fc.record({ do: fc.constant('remove' as const), positions: fc.array(fc.nat(60)) }),
  fc.record({ do: fc.constant('remove' as const), positions: fc.constant([...Array(130).keys()]) }),
  fc.record({ do: fc.constant('move' as const), at: fc.nat(60), to: fc.nat(60) }),
  fc.record({ do: fc.constant('clear' as const) }),
);

test('a list that is changed step by step knows where each item stood', () => {
  fc.assert(
    fc.property(fc.array(step, { maxLength: 8 }), fc.nat(150), (steps, count) => {
      const before = items.slice(0, count);
      const next = new Successor(before);
      const plain = before.slice();
      for (const each of steps) {
        const fresh = { at: -1 };
        if (each.do === 'replace') {
          const at = Math.min(each.at, plain.length);
          next.replace(at, fresh);
          plain[at] = fresh;
        } else if (each.do === 'insert') {
          next.insert(each.at, Array(each.count).fill(fresh));
          plain.splice(each.at, 0, ...Array(each.count).fill(fresh));
        } else if (each.do === 'remove') {
          next.remove(new Set(each.positions));
          const gone = new Set(each.positions);
          plain.splice(0, plain.length, ...plain.filter((_, at) => !gone.has(at)));
        } else if (each.do === 'move') {
          if (each.at >= plain.length) continue;
          next.move(each.at, each.to);
          plain.splice(each.to, 0, ...plain.splice(each.at, 1));
        } else {
          next.clear();
          plain.length = 0;
        }
      }
      const made = next.finish();
      expect(made.items).toEqual(plain);
      expectSound(made);
      const kept = new Set(before);
      expect(freshPositions(made).some((at) => kept.has(made.items[at] ?? {}))).toBe(false);
    }),
    { numRuns: 500 },
  );
});
