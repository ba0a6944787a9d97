import fc from 'fast-check';
import { expect, test } from 'vitest';
import { anyExpression, holedItem, yarnFields } from '../../../tests/support/expressions';
import { atOnce } from '../base';
import { Columns, makeExpression, type Value } from '../values';
import { measured, measureOf } from './evidence';
import { spreadOf } from './spread';

const spread = (text: string, items: readonly object[], fields = yarnFields) => {
  const { checked } = makeExpression(text, fields);
  if (checked === undefined) throw new Error(text);
  return atOnce(spreadOf(checked, new Columns(items as never)));
};

test('what is missing and what stands at the ends is what looking at each item alone finds', () => {
  fc.assert(
    fc.property(anyExpression, fc.array(holedItem, { maxLength: 10 }), (text, items) => {
      const { checked, evaluate } = makeExpression(text, yarnFields);
      if (checked === undefined || evaluate === undefined) return;
      const values: Value[] = items.map((item) => evaluate(item));
      const { itemCount, missingCount, firstMissing, ends } = spread(text, items);
      expect([itemCount, missingCount, firstMissing]).toEqual([
        items.length,
        values.filter((value) => value === undefined).length,
        values.indexOf(undefined),
      ]);
      if (ends === undefined) return;
      if (ends.measure === 'truth') {
        expect(ends.trueCount).toBe(values.filter((value) => value === true).length);
        expect([ends.firstTrue, ends.firstFalse]).toEqual([
          values.indexOf(true),
          values.indexOf(false),
        ]);
        return;
      }
      const { measure, smallest, largest } = ends;
      expect(measure).toBe(measureOf(checked.type));
      const sizes = values.map((value) =>
        value === undefined ? Number.NaN : measured(measure, value),
      );
      const told = sizes.filter((size) => !Number.isNaN(size));
      // Zero below nothing is as small as zero.
      expect(sizes[smallest.item] === Math.min(...told)).toBe(true);
      expect(sizes[largest.item] === Math.max(...told)).toBe(true);
      expect([smallest.value, largest.value]).toEqual([
        values[smallest.item],
        values[largest.item],
      ]);
    }),
    { numRuns: Number(process.env['EXPRESSIONS'] ?? 2_000) },
  );
});

test('a date by its day, a list by its elements, records and nothing at all not', () => {
  const fields = [
    { name: 'on', type: 'date', required: false },
    { name: 'tags', type: 'list', of: { type: 'text' }, required: false },
    { name: 'maker', type: 'record', fields: [], required: false },
  ] as const;
  const items = [{ on: '2026-03-02', tags: ['a', 'b'], maker: {} }, { on: '2025-12-24' }, {}];
  expect(spread('on', items, fields).ends).toEqual({
    measure: 'date',
    smallest: { value: '2025-12-24', item: 1 },
    largest: { value: '2026-03-02', item: 0 },
  });
  expect(spread('tags', items, fields).ends).toMatchObject({ measure: 'elements' });
  expect(spread('maker', items, fields)).toEqual({
    itemCount: 3,
    missingCount: 2,
    firstMissing: 1,
    ends: undefined,
  });
  expect(spread('on', [], fields)).toMatchObject({ itemCount: 0, ends: undefined });
});
