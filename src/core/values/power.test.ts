import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { power } from './power';

const base = fc.double({ noNaN: true, noDefaultInfinity: true });

describe('powers', () => {
  test('of whole numbers are exact as long as a double can hold them', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 40 }), fc.nat(9), (own, exponent) => {
        const exact = BigInt(own) ** BigInt(exponent);
        if (exact >= -(2n ** 53n) && exact <= 2n ** 53n)
          expect(BigInt(power(own, exponent))).toBe(exact);
      }),
    );
  });

  test('with a negative exponent are the reciprocal, rounded once', () => {
    expect(power(7, -2)).toBe(1 / 49);
    expect(power(10, -320)).toBeGreaterThan(0);
  });

  test('are those of the engine but for the last bits, and of its kind at every edge', () => {
    fc.assert(
      fc.property(base, fc.integer({ min: -60, max: 60 }), (own, exponent) => {
        const [ours, engines] = [power(own, exponent), own ** exponent];
        if (!Number.isFinite(engines) || Math.abs(engines) < 1e-290) return;
        expect(Math.abs(ours - engines)).toBeLessThanOrEqual(Math.abs(engines) * 1e-13);
      }),
      { numRuns: 5_000 },
    );
    for (const own of [0, -0, 1, -1, 2, -2])
      for (const exponent of [0, 1, 2, 3, -1, -2, 0.5])
        expect(power(own, exponent)).toBe(own ** exponent);
  });

  test('with other exponents are the engine’s own', () => {
    fc.assert(
      fc.property(base, fc.double({ noNaN: true, min: -3, max: 3 }), (own, exponent) => {
        fc.pre(!Number.isInteger(exponent));
        expect(power(own, exponent)).toBe(exponent === 0.5 ? Math.sqrt(own) : own ** exponent);
      }),
    );
  });
});
