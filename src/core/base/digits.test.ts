import fc from 'fast-check';
import { expect, test } from 'vitest';
import { keepsDigits } from './digits';

test.each([
  ['9007199254740992', true],
  ['9007199254740993', false],
  ['12345678901234567890', false],
  ['0.1', true],
  ['0.10000000000000000000001', false],
  ['1e21', true],
  ['1e999', false],
])('%s comes back whole from a number: %s', (written, isKept) => {
  expect(keepsDigits(written)).toBe(isKept);
});

test('what a number is written as comes back whole', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
      expect(keepsDigits(String(value))).toBe(true);
    }),
  );
});

test('a whole number does if, and only if, it is that number again', () => {
  fc.assert(
    fc.property(fc.bigInt({ min: -(10n ** 22n), max: 10n ** 22n }), (whole) => {
      if (keepsDigits(String(whole))) expect(BigInt(Number(whole))).toBe(whole);
    }),
  );
});
