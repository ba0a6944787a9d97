import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { isCut } from '../layout';
import {
  draftImage,
  draftLabel,
  draftStack,
  neutralColours,
  neutralStyles,
  type StackPart,
} from '../templates';
import { allChosen, candidates, choicesOfItems, chosenIn } from './choose';
import { rowPlanOf } from './frame';
import type { List } from './list';
import { RowBoxes } from './row-boxes';
import { heightBy, plainHeightPx } from './row-height';
import type { FontedWords } from './row-label';
import { arrange, plansByChoice } from './sequence/arrange';
import { linesOf } from './sequence/lines';
import { oneSection } from './sequence/sections';

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
  const types = ['skein', 'tool', 'class'];
  const taken = choicesOfItems(Uint16Array.of(0, 1, 2, 3), candidates(list, types), () => true);
  const all = allChosen(list);
  expect([...taken].map((at) => chosenIn(all[at], undefined))).toEqual([
    ...['brief', null, 'plain', 'plain'],
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
      fc.property(types, plans, columns, (all, planOfChoice, columnCount) => {
        const planOfItem = plansByChoice(Int16Array.from(all), Int16Array.from(planOfChoice));
        const arranged = arrange({ planOfItem, sections: oneSection(planOfItem, undefined) });
        const table = linesOf(
          arranged,
          { ofPlans: Int32Array.from(heights), ofEntries: undefined },
          { columnCount },
        );
        const planOf = (type: number) => planOfChoice[type] ?? -1;
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

describe('the height of a row', () => {
  const words: StackPart = draftStack('c', 'down', [
    draftLabel('a', 'x', 'title'),
    draftLabel('b', 'x', 'small'),
  ]);
  const row: StackPart = {
    ...draftStack('row', 'across', [draftImage('i', 'x'), words]),
    padding: { start: 16, end: 16, top: 10, bottom: 11 },
  };
  const planOf = (own: StackPart) =>
    rowPlanOf(
      { id: 't', name: 't', type: 'x', row: own },
      { styles: neutralStyles, colours: neutralColours, spacing: [] },
    );

  test('adds up downwards, and the highest counts across', () => {
    expect(plainHeightPx(planOf(words))).toBe(20 + 2 + 16);
    expect(plainHeightPx(planOf(row))).toBe(40 + 21);
    expect(heightBy(planOf(row))).toBe('nothing');
    const leaving = draftLabel('b', { expr: 'x', else: null }, 'small');
    expect(heightBy(planOf({ ...words, children: [leaving] }))).toBe('values');
    const fixed = { ...words, height: { fixed: 30 }, children: [leaving] };
    expect(heightBy(planOf(fixed))).toBe('nothing');
  });

  test('hangs on the text once a label takes as many lines as it has', () => {
    const [title] = words.children;
    if (title === undefined) throw new Error('it was drafted');
    const plan = planOf({ ...words, children: [{ ...title, lines: 'all' } as typeof title] });
    const text = () => ({ isEmpty: false, width: 64_000, lineCount: () => 3 });
    expect(heightBy(plan)).toBe('texts');
    expect(heightBy({ ...plan, row: { ...plan.row, values: { height: { fixed: 9 } } } })).toBe(
      'nothing',
    );
    const boxes = new RowBoxes(plan, { ratio: 1.5, textSize: 1 });
    boxes.fill([]);
    boxes.measure(text);
    boxes.solve(100);
    expect(boxes.heightPx).toBe(60);
    expect(plainHeightPx(planOf(row), { ratio: 1, textSize: 2 })).toBe(40 + 2 + 32 + 21);
  });

  test('of a label that shrinks is that of the largest size in which its text fits', () => {
    const label = { ...draftLabel('a', 'x', 'title'), overflow: 'shrink', smallest: 11 } as const;
    const boxesOf = (own: object, widthPx: number) => {
      const boxes = new RowBoxes(planOf(draftStack('row', 'across', [{ ...label, ...own }])), {
        ratio: 1,
        textSize: 2,
      });
      // Twenty letters, each half as wide as it is high.
      const wide = (sizePx: number) => 20 * (sizePx / 2) * 64;
      boxes.measure(
        ([
          {
            font: { sizePx },
          } = { font: { sizePx: 0 } },
        ]) => ({
          isEmpty: false,
          width: wide(sizePx),
          lineCount: (room) => Math.ceil(wide(sizePx) / room),
        }),
      );
      boxes.solve(widthPx);
      return boxes;
    };
    const isCutIn = (widthPx: number) => {
      const own = boxesOf({}, widthPx).label('a');
      return own && isCut(own);
    };
    const by = (own: object, widthPx: number) => boxesOf(own, widthPx).shrunk[0]?.byPx;
    // The title has 15 px, at 200 % so 30: 300 px wide, and 20 px less with each step.
    expect([300, 299, 280, 260, 240, 100].map((width) => by({}, width))).toEqual([
      0, 1, 1, 2, 3, 4,
    ]);
    expect(boxesOf({}, 280).shrunk[0]?.wantsPx).toBeCloseTo(300, 1);
    expect(isCutIn(220)).toBe(false);
    expect(isCutIn(219)).toBe(true);
    expect(boxesOf({}, 219).heightPx).toBe(40);
    // Two lines: 150 px are enough for 30 px; in 140 one step less is.
    expect([150, 140].map((width) => by({ lines: 2 }, width))).toEqual([0, 1]);
    expect(by({ smallest: 20 }, 100)).toBe(0);
    expect(by({ overflow: 'ellipsis' }, 100)).toBeUndefined();
  });

  test('of a label with runs is that of lines as high as its highest run, in their fonts', () => {
    const label = {
      ...draftLabel('a', 'Lace', 'small'),
      weight: 700,
      lines: 'all',
      runs: [
        { part: 'run', id: 'b', text: { expr: 'x' }, style: { expr: 'y' } },
        { part: 'run', id: 'c', text: 'of\nwool', weight: 300, joined: true },
      ],
    } as const;
    const plan = planOf(draftStack('row', 'across', [label]));
    expect(heightBy(plan)).toBe('texts');
    const boxes = new RowBoxes(plan, { ratio: 1, textSize: 2 });
    const measuredAs = (style: string | undefined) => {
      boxes.fill(['Lace', 'and', style, 'of\nwool']);
      let asked: readonly FontedWords[] = [];
      boxes.measure((runs) => {
        asked = runs;
        return { isEmpty: false, width: 640, lineCount: () => 3 };
      });
      boxes.solve(100);
      return [
        boxes.heightPx,
        ...asked.map(({ words, font }) => `${font.weight} ${font.sizePx} ${words}`),
      ];
    };
    expect(measuredAs('value')).toEqual([
      120,
      '700 24 Lace',
      '700 24  ',
      '600 28 and',
      '300 24 of\nwool',
    ]);
    expect(measuredAs(undefined)).toEqual([
      96,
      '700 24 Lace',
      '700 24  ',
      '700 24 and',
      '300 24 of\nwool',
    ]);
  });

  test('takes no room for what has left, however many may, nor for what stands in it', () => {
    const leaving = Array.from({ length: 40 }, (_, at) =>
      draftLabel(`l${at}`, { expr: 'x', else: null }, 'body'),
    );
    const inner = {
      ...draftStack('inner', 'down', [draftLabel('in', 'x', 'body')]),
      leaves: { expr: 'x' },
    };
    const boxes = new RowBoxes(
      planOf({ ...draftStack('all', 'down', [...leaving, inner]), gap: 0 }),
      {
        ratio: 1,
        textSize: 1,
      },
    );
    const slots = planOf({ ...draftStack('all', 'down', [...leaving, inner]), gap: 0 }).slots;
    const valuesWithout = (...parts: readonly string[]) =>
      slots.map(({ part, property }) => {
        const isGone = parts.includes(part);
        return property === 'leaves' ? isGone : isGone ? undefined : 'x';
      });
    for (const gone of [['l35'], ['l0', 'l33'], ['inner'], []]) {
      boxes.fill(valuesWithout(...gone));
      boxes.measure(() => ({ isEmpty: false, width: 64, lineCount: () => 1 }));
      boxes.solve(300);
      expect(boxes.heightPx).toBe(20 * (41 - gone.length));
      for (const part of ['l0', 'l3', 'l33', 'l35', 'in'])
        expect(boxes.label(part) === undefined).toBe(
          gone.includes(part) || (part === 'in' && gone.includes('inner')),
        );
    }
  });
});
