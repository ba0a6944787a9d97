import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { atOnce, type Json } from '../base';
import type { ValueType } from '../values';
import { gatherEvidence } from './evidence';

const evidence = (values: readonly Json[], type: ValueType['type']) =>
  atOnce(
    gatherEvidence(
      values.map((v) => ({ v })),
      ['v'],
      { type } as ValueType,
    ),
  );

describe('evidence of a field', () => {
  test('missing is told from null and from empty', () => {
    const items = [{ v: 'a' }, {}, { v: null }, { v: '' }];
    expect(atOnce(gatherEvidence(items, ['v'], { type: 'text' }))).toMatchObject({
      itemCount: 4,
      presentCount: 2,
      nullCount: 1,
      emptyCount: 1,
      firstMissing: 1,
      distinctCount: 2,
    });
  });

  test('the ends name their items', () => {
    expect(evidence(['Sock', 'Merino lace', 'Mo'], 'text')).toMatchObject({
      measure: 'chars',
      smallest: { value: 'Mo', item: 2 },
      largest: { value: 'Merino lace', item: 1 },
    });
    expect(evidence(['2026-03-02', '2025-01-01'], 'date')).toMatchObject({
      measure: 'date',
      smallest: { value: '2025-01-01', item: 1 },
    });
  });

  test('what stands most often', () => {
    const { frequent } = evidence(['ash', 'oak', 'ash', 'elm', 'oak', 'ash'], 'text');
    expect(frequent).toEqual([
      { value: 'ash', count: 3 },
      { value: 'oak', count: 2 },
    ]);
  });

  test('inside records, and only of some items', () => {
    const items = [{ maker: { town: 'Ousby' } }, { maker: 'none' }, { maker: { town: 'Alston' } }];
    const { presentCount, itemCount } = atOnce(
      gatherEvidence(items, ['maker', 'town'], { type: 'text' }, (at) => at > 0),
    );
    expect([presentCount, itemCount]).toEqual([1, 2]);
  });

  test('the bins and what lies beyond them hold every number once', () => {
    const numbers = fc.array(fc.double({ noNaN: true, noDefaultInfinity: true }), { minLength: 1 });
    fc.assert(
      fc.property(numbers, (values) => {
        const { bins, beyond, smallest, largest } = evidence(values, 'number');
        const isWithin = (value: number) =>
          value >= Number(smallest?.value) && value <= Number(largest?.value);
        expect(values.every(isWithin)).toBe(true);
        expect(values).toContain(smallest?.value);
        expect(values).toContain(largest?.value);
        if (bins.length > 0)
          expect(bins.reduce((sum, bin) => sum + bin.count, beyond.below + beyond.above)).toBe(
            values.length,
          );
      }),
    );
  });
});
