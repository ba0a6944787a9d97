import fc from 'fast-check';
import { expect, test } from 'vitest';
import { makeExpression } from '../expression';
import type { Field } from '../type';
import { type Cases, casesIn, fallsOn, textOfCases } from './cases';

test('a chain of conditions with constants as results is a table', () => {
  expect(casesIn('stock < 5 ? "madder" : (stock < 20) ? "weld" : null')).toEqual({
    cases: [
      { when: 'stock < 5', value: 'madder' },
      { when: 'stock < 20', value: 'weld' },
    ],
    otherwise: null,
  });
  expect(casesIn('isNew ? -2 : 1.5')).toEqual({
    ...{ cases: [{ when: 'isNew', value: -2 }], otherwise: 1.5 },
  });
});

test.each([
  'stock',
  '"madder"',
  'isNew ? dye : "ink"',
  'isNew ? (isOld ? 1 : 2) : 3',
  'isNew ?',
  '',
])('“%s” is none', (text) => {
  expect(casesIn(text)).toBeUndefined();
});

test('the last value alone is an expression, too', () => {
  expect(textOfCases({ cases: [], otherwise: 'ink' })).toBe('"ink"');
});

const value = fc.oneof(
  ...[fc.string(), fc.integer(), fc.boolean(), fc.constant(null)],
  // Expressions take no whole numbers that are not exact.
  fc.double({ noNaN: true, min: -(2 ** 53), max: 2 ** 53 }).filter((each) => !Object.is(each, -0)),
);
const when = fc.constantFrom(
  ...['a', 'a && b', 'a || b ?? c', '!a', 'n < 5', 'a ? b : c', 'f === "?:" ', '`${n}` === "1"'],
);
const table: fc.Arbitrary<Cases> = fc.record({
  cases: fc.array(fc.record({ when: when.map((each) => each.trim()), value }), { minLength: 1 }),
  otherwise: value,
});

test('a table is written as an expression and read again as the same table', () => {
  fc.assert(
    fc.property(table, (cases) => {
      fc.pre(cases.cases.every((each) => each.when !== 'a || b ?? c'));
      expect(casesIn(textOfCases(cases))).toEqual(cases);
    }),
  );
});

const fields: readonly Field[] = ['a', 'b', 'c'].map((name) => ({
  ...{ name, type: 'boolean', required: false },
}));

test('every item falls on one line', () => {
  const cases = fc.array(
    fc.record({ when: fc.constantFrom('a', 'b', 'a && c', '!b'), value: fc.constant('x') }),
    { minLength: 1, maxLength: 5 },
  );
  const item = fc.record(
    { a: fc.boolean(), b: fc.boolean(), c: fc.boolean() },
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(cases, item, (lines, of) => {
      const all = { cases: lines, otherwise: null };
      const on = [...lines, undefined].filter(
        (_, at) => makeExpression(fallsOn(all, at), fields).evaluate?.(of) === true,
      );
      expect(on).toHaveLength(1);
    }),
  );
});
