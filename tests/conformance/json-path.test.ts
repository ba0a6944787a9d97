import { describe, expect, test } from 'vitest';
import type { Json } from '../../src/core/base';
// The query itself, not the items that are made of what it selects.
import { type JsonNode, queryJson } from '../../src/core/items/readers/json/json-path';

async function nodes(at: string, root: Json): Promise<readonly JsonNode[]> {
  const found = await queryJson(at, root);
  if (!found.ok) throw new Error(`${at}: ${found.error}`);
  return found.value;
}

/** What the standard's examples select. `sorted`: the standard leaves the order open. */
function examples(
  section: string,
  root: Json,
  all: readonly (readonly [string, readonly Json[]])[],
) {
  describe(`RFC 9535, ${section}`, () => {
    test.each(all)('%s', async (at, selected) => {
      const values = (await nodes(at, root)).map((node) => node.value);
      expect(values).toEqual(selected);
    });
  });
}

const book = [
  { category: 'reference', author: 'Nigel Rees', title: 'Sayings of the Century', price: 8.95 },
  { category: 'fiction', author: 'Evelyn Waugh', title: 'Sword of Honour', price: 12.99 },
  {
    category: 'fiction',
    author: 'Herman Melville',
    title: 'Moby Dick',
    isbn: '0-553-21311-3',
    price: 8.99,
  },
  {
    category: 'fiction',
    author: 'J. R. R. Tolkien',
    title: 'The Lord of the Rings',
    isbn: '0-395-19395-8',
    price: 22.99,
  },
];
const bicycle = { color: 'red', price: 399 };
const authors = book.map((each) => each.author);
examples('1.5 overview', { store: { book, bicycle } }, [
  ['$.store.book[*].author', authors],
  ['$..author', authors],
  ['$.store.*', [book, bicycle]],
  ['$.store..price', [...book.map((each) => each.price), 399]],
  ['$..book[2]', [book[2] ?? null]],
  ['$..book[2].author', ['Herman Melville']],
  ['$..book[2].publisher', []],
  ['$..book[-1]', [book[3] ?? null]],
  ['$..book[0,1]', book.slice(0, 2)],
  ['$..book[:2]', book.slice(0, 2)],
  ['$..book[?@.isbn]', book.slice(2)],
  ['$..book[?@.price<10]', [book[0] ?? null, book[2] ?? null]],
]);
examples('2.2.3 root', { k: 'v' }, [['$', [{ k: 'v' }]]]);
examples('2.3.1 names', { o: { 'j j': { 'k.k': 3 } }, "'": { '@': 2 } }, [
  ["$.o['j j']", [{ 'k.k': 3 }]],
  ["$.o['j j']['k.k']", [3]],
  ['$.o["j j"]["k.k"]', [3]],
  ['$["\'"]["@"]', [2]],
]);
examples('2.3.2 wildcards', { o: { j: 1, k: 2 }, a: [5, 3] }, [
  ['$[*]', [{ j: 1, k: 2 }, [5, 3]]],
  ['$.o[*]', [1, 2]],
  ['$.o[*, *]', [1, 2, 1, 2]],
  ['$.a[*]', [5, 3]],
]);
const letters = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
examples(
  '2.3.3 positions',
  ['a', 'b'],
  [
    ['$[1]', ['b']],
    ['$[-2]', ['a']],
    ['$[2]', []],
  ],
);
examples('2.3.4 slices', letters, [
  ['$[1:3]', ['b', 'c']],
  ['$[5:]', ['f', 'g']],
  ['$[1:5:2]', ['b', 'd']],
  ['$[5:1:-2]', ['f', 'd']],
  ['$[::-1]', [...letters].reverse()],
  ['$[::0]', []],
  ['$[-100:100]', letters],
]);

const compared = { obj: { x: 'y' }, arr: [2, 3] };
describe('RFC 9535, 2.3.5 comparisons', () => {
  test.each<[string, boolean]>([
    ['$.absent1 == $.absent2', true],
    ['$.absent1 <= $.absent2', true],
    ["$.absent == 'g'", false],
    ['$.absent1 != $.absent2', false],
    ["$.absent != 'g'", true],
    ['1 <= 2', true],
    ['1 > 2', false],
    ["13 == '13'", false],
    ["'a' <= 'b'", true],
    ["'a' > 'b'", false],
    ['$.obj == $.arr', false],
    ['$.obj != $.arr', true],
    ['$.obj == $.obj', true],
    ['$.obj != $.obj', false],
    ['$.arr == $.arr', true],
    ['$.arr != $.arr', false],
    ['$.obj == 17', false],
    ['$.obj != 17', true],
    ['$.obj <= $.arr', false],
    ['$.obj < $.arr', false],
    ['$.obj <= $.obj', true],
    ['$.arr <= $.arr', true],
    ['1 <= $.arr', false],
    ['1 >= $.arr', false],
    ['1 > $.arr', false],
    ['1 < $.arr', false],
    ['true <= true', true],
    ['true > true', false],
  ])('%s: %s', async (comparison, isTrue) => {
    expect((await nodes(`$[?${comparison}]`, compared)).length).toBe(isTrue ? 2 : 0);
  });
});

const o = { p: 1, q: 2, r: 3, s: 5, t: { u: 6 } };
const a = [3, 5, 1, 2, 4, 6, { b: 'j' }, { b: 'k' }, { b: {} }, { b: 'kilo' }];
examples('2.3.5 filters', { a, o, e: 'f' }, [
  ["$.a[?@.b == 'kilo']", [{ b: 'kilo' }]],
  ["$.a[?(@.b == 'kilo')]", [{ b: 'kilo' }]],
  ['$.a[?@>3.5]', [5, 4, 6]],
  ['$.a[?@.b]', [{ b: 'j' }, { b: 'k' }, { b: {} }, { b: 'kilo' }]],
  ['$[?@.*]', [a, o]],
  ['$[?@[?@.b]]', [a]],
  ['$.o[?@<3, ?@<3]', [1, 2, 1, 2]],
  ['$.a[?@<2 || @.b == "k"]', [1, { b: 'k' }]],
  ['$.a[?match(@.b, "[jk]")]', [{ b: 'j' }, { b: 'k' }]],
  ['$.a[?search(@.b, "[jk]")]', [{ b: 'j' }, { b: 'k' }, { b: 'kilo' }]],
  ['$.o[?@>1 && @<4]', [2, 3]],
  ['$.o[?@.u || @.x]', [{ u: 6 }]],
  ['$.a[?@.b == $.x]', [3, 5, 1, 2, 4, 6]],
  ['$.a[?@ == @]', a],
]);
examples(
  '2.4 functions',
  [
    { authors: ['a', 'b', 'c', 'd', 'e'], date: '1974-05-11', author: 'Bob', color: 'red' },
    { authors: ['🧶🧶'], date: '1974-06-11', author: 'robin', box: [{ color: 'blue' }] },
  ].map((each, id) => ({ id, ...each })),
  [
    ['$[?length(@.authors) >= 5].id', [0]],
    // Characters, not UTF-16 units.
    ['$[?length(@.authors[0]) == 2].id', [1]],
    ['$[?length(@) == 5].id', [0, 1]],
    ['$[?length(@.id) == 1].id', []],
    ['$[?count(@.authors.*) == 1].id', [1]],
    ['$[?match(@.date, "1974-05-..")].id', [0]],
    ['$[?match(@.author, "[BR]ob")].id', [0]],
    ['$[?search(@.author, "ob")].id', [0, 1]],
    ['$[?value(@..color) == "blue"].id', [1]],
  ],
);
examples('2.5.1 child segments', letters, [
  ['$[0, 3]', ['a', 'd']],
  ['$[0:2, 5]', ['a', 'b', 'f']],
  ['$[0, 0]', ['a', 'a']],
]);
const nested = [{ j: 4 }, { k: 6 }];
examples('2.5.2 descendants', { o: { j: 1, k: 2 }, a: [5, 3, nested] }, [
  ['$..j', [1, 4]],
  ['$..[0]', [5, { j: 4 }]],
  ['$..o', [{ j: 1, k: 2 }]],
  ['$.o..[*, *]', [1, 2, 1, 2]],
  ['$.a..[0, 1]', [5, 3, { j: 4 }, { k: 6 }]],
  ['$..[*]', [{ j: 1, k: 2 }, [5, 3, nested], 1, 2, 5, 3, nested, { j: 4 }, { k: 6 }, 4, 6]],
]);
examples('2.6 null', { a: null, b: [null], c: [{}], null: 1 }, [
  ['$.a', [null]],
  ['$.a[0]', []],
  ['$.a.d', []],
  ['$.b[0]', [null]],
  ['$.b[*]', [null]],
  ['$.b[?@]', [null]],
  ['$.b[?@==null]', [null]],
  ['$.c[?@.d==null]', []],
  ['$.null', [1]],
]);
examples('names that every object has', JSON.parse('{"__proto__":{"constructor":2},"a":{}}'), [
  ['$.__proto__.constructor', [2]],
  ['$.a.__proto__', []],
  ['$.a.toString', []],
  ['$..constructor', [2]],
]);

describe('RFC 9535, 2.7 normalised paths', () => {
  test.each<[string, Json, string]>([
    ['$.a', { a: 1 }, "$['a']"],
    ['$[1]', [1, 2], '$[1]'],
    ['$[-3]', [1, 2, 3, 4, 5], '$[2]'],
    ['$.a.b[1:2]', { a: { b: [1, 2] } }, "$['a']['b'][1]"],
    ['$["\\u0061"]', { a: 1 }, "$['a']"],
    ['$["\'"]', { "'": 1 }, "$['\\'']"],
  ])('%s', async (at, root, path) => {
    expect((await nodes(at, root)).map((node) => node.getPath({ form: 'canonical' }))).toEqual([
      path,
    ]);
  });
});

describe('RFC 9535: what is no JSONPath is refused', () => {
  test.each([
    // 2.1 and 2.2: the whole.
    '',
    'a',
    ' $',
    '$ ',
    '@.a',
    '$.',
    '$..',
    '$. a',
    '$.1a',
    '$.a b',
    // 2.3: selectors.
    '$[',
    '$[]',
    '$[a]',
    '$[\'a"]',
    "$['\\x']",
    '$["\\ud800"]',
    '$["\u0000"]',
    '$[01]',
    '$[-0]',
    '$[1.0]',
    '$[9007199254740992]',
    '$[1:2:3:4]',
    '$[1:02]',
    '$[0,]',
    // 2.3.5: filters.
    '$[?]',
    '$[?1]',
    '$[?true]',
    "$[?'a']",
    '$[?@.a=1]',
    '$[?@.* == 1]',
    '$[?@..a == 1]',
    '$[?@.a == [1]]',
    '$[?@.a == 01]',
    // 2.4.3: well-typedness.
    '$[?length(@.*) < 3]',
    '$[?count(1) == 1]',
    '$[?count(foo(@.*)) == 1]',
    "$[?match(@.timezone, 'Europe/.*') == true]",
    '$[?value(@..color)]',
    '$[?length(@.a)]',
    '$[?length() == 1]',
    '$[?length(@.a, @.b) == 1]',
    '$[?length (@.a) == 1]',
    '$[?bar(@.a)]',
  ])('%j', async (at) => {
    expect((await queryJson(at, { a: [1] })).ok).toBe(false);
  });
});

/** Where the package differs from the standard, as `docs/files` tells; this fails when it no longer does. */
describe('known differences from RFC 9535', () => {
  test('a control character cannot be written as an escape', async () => {
    expect((await queryJson('$["\\u000B"]', { '\u000b': 1 })).ok).toBe(false);
  });

  test.each(['$[?@.a == 1 == 2]', '$[?!@.a == 1]'])('%s is taken', async (at) => {
    expect((await queryJson(at, { a: [1] })).ok).toBe(true);
  });
});
