import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { arrange, linesOf, plansByType } from './arrange';
import { chooser } from './choose';
import type { List } from './list';

const list: List = {
  id: 'shop',
  name: 'Shop',
  source: 'stock',
  choices: [
    { type: 'skein', template: 'brief' },
    { type: 'tool', template: null },
  ],
  otherwise: 'plain',
  arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
};

test('a choice takes its type, may leave it out, and otherwise takes the rest', () => {
  const choose = chooser(list);
  expect([choose('skein'), choose('tool'), choose('class'), choose(undefined)]).toEqual([
    'brief',
    null,
    'plain',
    'plain',
  ]);
});

describe('the sequence', () => {
  const types = fc.array(fc.nat(3), { maxLength: 60 });
  const plans = fc.tuple(
    fc.integer({ min: -1, max: 2 }),
    fc.integer({ min: -1, max: 2 }),
    fc.integer({ min: -1, max: 2 }),
  );
  const heights = [40, 58, 72];
  const columns = fc.integer({ min: 1, max: 5 });

  test('is the items in their order without those left out; a line is as high as its highest cell', () => {
    fc.assert(
      fc.property(types, plans, columns, (all, planOfType, columnCount) => {
        const arranged = arrange(plansByType(Uint16Array.from(all), Int16Array.from(planOfType)));
        const table = linesOf(arranged, Int32Array.from(heights), columnCount);
        const planOf = (type: number) => planOfType[type] ?? -1;
        const kept = all.flatMap((type, item) =>
          planOf(type) < 0 ? [] : [{ item, plan: planOf(type) }],
        );
        expect([...arranged.items]).toEqual(kept.map((each) => each.item));
        expect([...arranged.plans]).toEqual(kept.map((each) => each.plan));
        const lines = Array.from({ length: Math.ceil(kept.length / columnCount) }, (_, line) =>
          Math.max(
            ...kept
              .slice(line * columnCount, (line + 1) * columnCount)
              .map((each) => heights[each.plan] ?? 0),
          ),
        );
        expect([...table.heights]).toEqual(lines);
        expect([...table.firsts]).toEqual(lines.map((_, line) => line * columnCount));
        expect([...arranged.kinds]).toEqual(kept.map(() => 0));
      }),
    );
  });
});
