import { describe, expect, test } from 'vitest';
import { makeExpression } from '../expression';
import { plainText, type Value } from '../value';
import { functionNames, functionTable, methodNames, refusedFunctions } from '.';

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

  test('names each function once, and refuses none that it has', () => {
    const names = functionTable.map(({ on, name }) => `${on ?? ''}.${name}`);
    expect(new Set(names).size).toBe(names.length);
    for (const name of Object.keys(refusedFunctions))
      expect(functionNames.has(name) || methodNames.has(name)).toBe(false);
  });

  test.each(Object.entries(refusedFunctions))('%s( says what to write instead', (name, instead) => {
    for (const text of [`${name}(1)`, `"a".${name}(1)`])
      expect(makeExpression(text, []).findings).toMatchObject([
        { code: 'expression-not-in-language', hint: instead },
      ]);
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
