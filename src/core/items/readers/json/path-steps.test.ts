import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pathFault, queryJson } from './json-path';
import { pathSteps } from './path-steps';

const root = {
  shop: {
    'the [first] "one"': [1],
    shelves: [
      {
        name: 'wool',
        yarns: [
          { id: 'a', price: 3 },
          { id: 'b', price: 9 },
        ],
      },
      { name: 'silk', yarns: [{ id: 'c', price: 20 }] },
    ],
  },
};

const said = async (at: string) => {
  const { steps, rest, wrong } = await pathSteps(root, at);
  const last = steps.at(-1);
  return { last: `${last?.path}: ${last?.there}`, count: steps.length, rest, wrong };
};

describe('a path on its document', () => {
  test.each([
    ['$.shop.shelves[0].name', '$.shop.shelves[0].name: the value "wool"', 5],
    [
      '$.shop.shelves[*].name',
      '$.shop.shelves[*].name: 2 values; the first is the value "wool"',
      5,
    ],
    ['$..yarns', '$..yarns: 2 values; the first is a list of 2', 2],
    [
      '$..yarns[?@.price > 5]',
      '$..yarns[?@.price > 5]: 2 values; the first is a record with id, price',
      3,
    ],
    ['$.shop.shelves[0:1].yarns', '$.shop.shelves[0:1].yarns: a list of 2', 5],
    ['$.shop[\'the [first] "one"\']', '$.shop[\'the [first] "one"\']: a list of 1', 3],
    ['$.shop["shelves","no"]', '$.shop["shelves","no"]: a list of 2', 3],
    ['$..[?@.id == "]"].x', '$: a record with shop', 1],
  ])('%s is followed, segment by segment', async (at, last, count) => {
    expect(await said(at)).toMatchObject({ last, count });
  });

  test('what leads nowhere, and what is no path, is told with where it begins', async () => {
    expect(await said('$.shop.shelfs[*]')).toMatchObject({ rest: '.shelfs[*]', wrong: undefined });
    expect((await said('$.shop[?@.]')).wrong).toMatch(/./);
    expect(await said('$.shop[')).toMatchObject({ count: 2, rest: '[', wrong: undefined });
  });

  test.each([
    ['$.links.next', undefined],
    ["$['next page'][0]", undefined],
    ['next', 'a path begins with $'],
    ['$.links[', ''],
    ['$..', ''],
    ['$[?@.]', ''],
  ])('%s is a path, or it is said why not', async (at, why) => {
    const fault = await pathFault(at);
    if (why === undefined) expect(fault).toBeUndefined();
    else expect(fault).toMatch(why === '' ? /./ : why);
  });

  test('every path that selects something is followed to its end', async () => {
    const segment = fc.constantFrom(
      ...['.shop', '.shelves', '..yarns', '[*]', '.*', '[0]', '[-1]', '[0,1]', '[::2]'],
      ...['[?@.price]', "['shop']", ' .shop', '..[0]', '..*', '[?length(@.id) == 1]'],
    );
    await fc.assert(
      fc.asyncProperty(fc.array(segment, { maxLength: 5 }), async (segments) => {
        const at = `$${segments.join('')}`;
        const found = await queryJson(at, root);
        if (!found.ok) throw new Error(`${at}: ${found.error}`);
        const { steps, rest } = await pathSteps(root, at);
        expect([rest === '', steps.length - 1 <= segments.length], at).toEqual([
          found.value.length > 0,
          true,
        ]);
        if (found.value.length > 0) expect(steps.length - 1, at).toBe(segments.length);
      }),
      { numRuns: 500 },
    );
  });
});
