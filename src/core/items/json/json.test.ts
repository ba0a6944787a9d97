import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { json } from '../../../../tests/support/arbitrary';
import { atOnce } from '../../base';
import { coveringList, listPath, scanJson } from './scan';
import { findJsonFault, positionAt } from './strict';

const isJson = (text: string): boolean => {
  try {
    JSON.parse(text);
    return true;
  } catch {
    return false;
  }
};

/** JSON texts with something put in, taken out or changed. */
const nearJson = fc
  .tuple(
    json,
    fc.constantFrom(0, 2),
    fc.nat(),
    fc.constantFrom('', ',', '"', '{', ']', '\\', '0', '-', '.', 'e', ' ', '\n', 'tru', '\u0001'),
    fc.nat(2),
  )
  .map(([value, indent, at, put, cut]) => {
    const text = JSON.stringify(value, null, indent);
    const place = at % (text.length + 1);
    return text.slice(0, place) + put + text.slice(place + cut);
  });

describe('the strict reader', () => {
  test('finds a fault exactly where the engine finds one', () => {
    fc.assert(
      fc.property(nearJson, (text) => {
        expect(findJsonFault(text) === undefined).toBe(isJson(text));
      }),
      { numRuns: 3_000 },
    );
  });

  test('names a place in the text, up to which the text could still become JSON', () => {
    fc.assert(
      fc.property(nearJson, (text) => {
        const fault = findJsonFault(text);
        if (fault === undefined) return;
        expect(fault.offset).toBeGreaterThanOrEqual(0);
        expect(fault.offset).toBeLessThanOrEqual(text.length);
        expect(fault.wrong).not.toBe('');
      }),
      { numRuns: 1_000 },
    );
  });

  test.each<[string, number, string]>([
    ['[1,]', 3, 'a comma stands before ]'],
    ['{a:1}', 1, 'a name in double quotes was expected, not "a"'],
    ['{"a" 1}', 5, 'a colon was expected, not "1"'],
    ['[1 2]', 3, 'a comma or ] was expected, not "2"'],
    ['[01]', 1, 'a number is malformed'],
    ['["\\x"]', 2, '\\x is not an escape of JSON'],
    ['["\\u12"]', 2, '\\u needs four hexadecimal digits'],
    ['["a\nb"]', 3, 'a line break or control character stands inside a text'],
    ['{"a":', 5, 'the document ends where a value was expected'],
    ['\n[{"a":1', 8, 'the document ends inside an object that opens at line 2'],
    ['1 1', 2, '"1" after the end of the document'],
  ])('%s', (text, offset, wrong) => {
    expect(findJsonFault(text)).toEqual({ offset, wrong });
  });
});

test.each<[string, number, number, number]>([
  ['abc', 1, 1, 2],
  ['a\nb', 2, 2, 1],
  ['a\r\nb', 3, 2, 1],
  ['a\rb', 2, 2, 1],
  ['a\n\n', 3, 3, 1],
])('the position in %j of %i is line %i, column %i', (text, offset, line, column) => {
  expect(positionAt(text, offset)).toEqual({ line, column });
});

describe('the scan for lists', () => {
  test('finds every list at its place, with its length', () => {
    fc.assert(
      fc.property(
        json,
        json,
        fc.array(fc.record({ a: json }), { minLength: 1, maxLength: 5 }),
        (before, after, list) => {
          const text = JSON.stringify({
            before: { x: before },
            'a b': [null, { it: list }],
            after,
          });
          // The outer list is found first: what stands inside its elements is part of an item.
          const { lists, trouble } = atOnce(scanJson(JSON.stringify({ before, it: list })));
          expect(trouble).toBeUndefined();
          const found = lists.find((each) => listPath(each.path) === '$.it[*]');
          expect(found?.elementCount).toBe(list.length);
          expect(atOnce(scanJson(text)).lists.map((each) => listPath(each.path))).toContain(
            "$['a b'][*]",
          );
        },
      ),
    );
  });

  test('the one that is most of a text is what it is about', () => {
    const covering = (value: unknown) => {
      const text = JSON.stringify(value);
      return coveringList(atOnce(scanJson(text)).lists, text)?.path;
    };
    expect(covering({ tags: [1, 2], rows: [{ name: 'Merino' }, { name: 'Sock' }] })).toEqual([
      'rows',
    ]);
    expect(covering({ name: 'a long name of one record', tags: [1, 2] })).toBeUndefined();
    expect(covering({ rows: [{ name: 'one alone, however long' }] })).toBeUndefined();
    expect(covering({ a: 1 })).toBeUndefined();
  });

  test('many short lists are left soon', () => {
    const records = Array.from({ length: 500 }, (_, at) => [`k${at}`, { at, tags: [1, 2] }]);
    const { lists, isScattered } = atOnce(scanJson(JSON.stringify(Object.fromEntries(records))));
    expect(isScattered).toBe(true);
    expect(lists.length).toBeLessThan(50);
  });

  test('a text cut anywhere gives whole elements only', () => {
    const list = Array.from({ length: 5 }, (_, i) => ({
      id: i,
      words: `},{"id" ${i}`,
      of: [[{ x: '\\"' }]],
    }));
    const text = JSON.stringify({ rows: list });
    for (let cut = 0; cut <= text.length; cut += 1) {
      const head = text.slice(0, cut);
      const found = coveringList(atOnce(scanJson(head)).lists, head);
      if (found === undefined || found.holds !== 'records') continue;
      const whole: unknown = JSON.parse(`[${head.slice(found.start + 1, found.wholeUntil)}]`);
      expect(list.slice(0, Array.isArray(whole) ? whole.length : -1)).toEqual(whole);
    }
  });
});
