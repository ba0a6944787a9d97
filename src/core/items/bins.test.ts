import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { binsOf } from './bins';

const of = (...values: number[]) => binsOf(Float64Array.from(values), true);
const ordinary = Array.from({ length: 40 }, (_, at) => at);

describe('how values spread', () => {
  test('one far value leaves the others in sight, and is counted beyond', () => {
    const { bins, beyond } = of(...ordinary, 9_000_000);
    expect(beyond).toEqual({ below: 0, above: 1 });
    expect(bins.length).toBeGreaterThan(10);
    expect(bins.at(-1)?.to).toBeLessThan(50);
  });

  test('far values on both sides are told apart', () => {
    expect(of(-5_000, ...ordinary, 7_000, 8_000, 9_000).beyond).toEqual({ below: 1, above: 3 });
  });

  test('what is no exception is shown: two heaps, a few values', () => {
    expect(of(...ordinary, ...ordinary.map((each) => each + 10_000)).beyond.above).toBe(0);
    expect(of(1, 2, 1_000_000).beyond.above).toBe(0);
  });

  test('every value is in a bin or beyond', () => {
    const number = fc.oneof(
      fc.integer({ min: -50, max: 50 }),
      fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e12, max: 1e12 }),
    );
    fc.assert(
      fc.property(fc.array(number, { minLength: 1, maxLength: 80 }), (values) => {
        const { bins, beyond } = binsOf(Float64Array.from(values), values.every(Number.isInteger));
        const inBins = bins.reduce((sum, { count }) => sum + count, 0);
        if (bins.length > 0) expect(inBins + beyond.below + beyond.above).toBe(values.length);
      }),
    );
  });
});
