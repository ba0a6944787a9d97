import fc from 'fast-check';
import { expect, test } from 'vitest';
import { contrastOn, nearestReadable } from './contrast';

test.each([
  ['#000', ['#fff'], 21],
  ['#ffffff', ['#fff'], 1],
  ['#777777', ['#ffffff'], 4.48],
  ['#767676', ['#ffffff'], 4.54],
  ['#ff0000', ['#ffffff'], 4],
  ['#0000ff', ['#ffffff'], 8.59],
  // Half of black on white is a grey; what is behind shows through in the same way.
  ['#00000080', ['#ffffff'], 4],
  ['#ffffff', ['#ffffff', '#00000080'], 3.98],
])('%s on %j has %d to 1', (colour, grounds, contrast) => {
  expect(contrastOn(colour, grounds)).toBeCloseTo(contrast, 1);
});

test('what is no colour has no contrast', () => {
  expect(contrastOn('woad', ['#fff'])).toBeUndefined();
});

const hex = fc
  .integer({ min: 0, max: 0xffffff })
  .map((value) => `#${value.toString(16).padStart(6, '0')}`);

test('the nearest colour that can be read has enough contrast; one that has is left as it is', () => {
  fc.assert(
    fc.property(hex, hex, (colour, ground) => {
      const nearest = nearestReadable(colour, [ground], 4.5);
      const enough = (contrastOn(colour, [ground]) ?? 0) >= 4.5;
      expect(contrastOn(nearest ?? '', [ground])).toBeGreaterThanOrEqual(4.5);
      if (enough) expect(nearest).toBe(colour);
    }),
  );
});
