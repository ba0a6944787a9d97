import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { JsonRecord } from '../../base';
import { explain } from '../explain/explain';
import { makeExpression } from '../expression';
import type { Field } from '../type';
import { plainText, type Value } from '../value';
import { functionTable } from '.';

const value = (text: string): Value => {
  const { findings, evaluate } = makeExpression(text, []);
  expect(findings).toEqual([]);
  return evaluate?.({});
};

describe('the table of functions', () => {
  test.each(functionTable.map((entry) => [entry.example[0], entry.example[1], entry.name]))(
    '%s gives %s',
    (example, result, name) => {
      expect(example).toContain(name);
      expect(plainText(value(example))).toBe(result);
    },
  );

  test('names each function once', () => {
    const names = functionTable.map(({ on, name }) => `${on ?? ''}.${name}`);
    expect(new Set(names).size).toBe(names.length);
  });
});

describe('our own functions', () => {
  test.each([
    ['sum([])', 0],
    ['average([])', undefined],
    ['smallest([])', undefined],
    ['largest(["b", "c", "a"])', 'c'],
    ['smallest(["2026-03-02", "2025-12-31"])', '2025-12-31'],
    ['sum(["ab", "c"], t => t.length)', 3],
    ['distinct([3, 1, 3, 2, 1]).join(" ")', '3 1 2'],
    ['distinct(["ab", "ac", "b"], t => t.at(0)).join(" ")', 'ab b'],
    ['daysBetween("2026-03-09", "2026-03-02")', -7],
    ['daysBetween("2024-02-28", "2024-03-01")', 2],
    ['addDays("2026-03-01", -1)', '2026-02-28'],
    ['addDays("2026-02-27T10:30:00Z", 3)', '2026-03-02T10:30:00Z'],
    ['addDays("9999-12-31", 1)', undefined],
    ['addDays("2026-03-01", 0.5)', undefined],
  ])('%s', (text, result) => {
    expect(value(text)).toEqual(result);
  });
});

describe('values that may be missing, put together', () => {
  const fields: readonly Field[] = [
    { name: 'street', type: 'text', required: false },
    { name: 'town', type: 'text', required: false },
    { name: 'houses', type: 'integer', required: false },
    { name: 'tags', type: 'list', of: { type: 'text' }, required: false },
  ];
  const put = 'joined(", ", street, town, houses)';

  test.each<[JsonRecord, string | undefined]>([
    [{ street: 'Am Markt', town: 'Ings', houses: 3 }, 'Am Markt, Ings, 3'],
    [{ street: 'Am Markt', town: ' ', houses: 0 }, 'Am Markt, 0'],
    [{ town: 'Ings' }, 'Ings'],
    [{ street: null, town: '' }, undefined],
  ])('%o is %s, and the trace says the same', (item, result) => {
    const { checked, evaluate, findings } = makeExpression(put, fields);
    expect(findings).toEqual([]);
    expect(evaluate?.(item)).toBe(result);
    if (checked === undefined) throw new Error('it is not checked');
    const told = explain(checked, item);
    expect(told.value).toBe(result);
    if (result === undefined) expect(told.missing).toContain('none of the values is there');
  });

  test('records and lists are refused, and a separator has to be there', () => {
    expect(makeExpression('joined(", ", tags)', fields).findings).toHaveLength(1);
    expect(makeExpression('joined(", ")', fields).findings).toHaveLength(1);
    expect(makeExpression('joined(street, town)', fields).evaluate?.({ town: 'Ings' })).toBe(
      undefined,
    );
  });
});

test('positions and other elements are those of ECMAScript', () => {
  const list = fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 8 });
  const position = fc.integer({ min: -10, max: 10 });
  fc.assert(
    fc.property(list, fc.integer({ min: 0, max: 4 }), position, (own, wanted, at) => {
      const text = JSON.stringify(own);
      expect(value(`${text}.indexOf(${wanted})`)).toBe(own.indexOf(wanted));
      expect(value(`${text}.lastIndexOf(${wanted})`)).toBe(own.lastIndexOf(wanted));
      expect(value(`${text}.findIndex(x => x > ${wanted})`)).toBe(own.findIndex((x) => x > wanted));
      expect(value(`${text}.findLast(x => x > ${wanted})`)).toBe(own.findLast((x) => x > wanted));
      expect(value(`${text}.toReversed()`)).toEqual(own.toReversed());
      const isThere = at < own.length && at >= -own.length;
      expect(value(`${text}.with(${at}, 9)`)).toEqual(isThere ? own.with(at, 9) : undefined);
    }),
    { numRuns: 60 },
  );
});

describe('nothing runs for ever or grows without end', () => {
  const many = '[1, 2, 3, 4, 5, 6, 7, 8, 9, 10]';
  const nested = (depth: number): string =>
    depth === 0 ? '1' : `sum(${many}, x => ${nested(depth - 1)})`;

  test.each([
    ['functions in functions', nested(9)],
    ['padding', '"a".padStart(1e9, "b")'],
    [
      'padding again and again',
      `${'"a"'}${'.padEnd(900000).replaceAll("", "bbbbbbbbbb")'.repeat(6)}`,
    ],
    [
      'replacing by all that stands before',
      `"${'a'.repeat(900)}"${'.replaceAll("a", "$`$`$`")'.repeat(8)}`,
    ],
    [
      'joining',
      `"${'a'.repeat(900)}".split("").map(a => "${'b'.repeat(900)}")${'.map(b => [b, b, b, b].join(b))'.repeat(20)}.join()`,
    ],
    [
      'lists put together',
      `[1]${'.concat([1, 2, 3])'.repeat(90)}.map(x => ${many}.map(y => ${many}.map(z => ${many}.length).length).length).length`,
    ],
  ])('%s', (_, text) => {
    const { evaluate, findings } = makeExpression(text, []);
    expect(findings).toEqual([]);
    const from = performance.now();
    const made = evaluate?.({});
    expect(performance.now() - from).toBeLessThan(20_000);
    expect(typeof made === 'string' ? made.length : 0).toBeLessThan(2 ** 29);
  });
});
