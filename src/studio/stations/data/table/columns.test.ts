import fc from 'fast-check';
import { expect, test } from 'vitest';
import { columnIdOf, pathOfColumn } from './columns';

test('every path has a text of its own, whatever its names hold', () => {
  const name = fc.oneof(
    fc.constantFrom('a', 'a.b', '.', '\\', '\\.', '', '__proto__'),
    fc.string(),
  );
  const path = fc.array(name, { minLength: 1, maxLength: 3 });
  fc.assert(
    fc.property(path, (own) => {
      expect(pathOfColumn(columnIdOf(own))).toEqual(own);
    }),
  );
  expect(columnIdOf(['a.b'])).not.toBe(columnIdOf(['a', 'b']));
  expect(columnIdOf(['maker', 'town'])).toBe('maker.town');
});
