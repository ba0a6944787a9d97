import fc from 'fast-check';
import type { JsonRecord } from '../../src/core/base';
import type { Field } from '../../src/core/values';

/** The fields of the items that expressions are made for. */
export const yarnFields: readonly Field[] = [
  { name: 'name', type: 'text', required: true },
  { name: 'dye', type: 'text', required: true },
  { name: 'price', type: 'number', required: true },
  { name: 'stock', type: 'integer', required: true },
  { name: 'sold', type: 'boolean', required: true },
  { name: 'tags', type: 'list', of: { type: 'text' }, required: true },
  { name: 'sizes', type: 'list', of: { type: 'number' }, required: true },
  {
    name: 'maker',
    type: 'record',
    required: true,
    fields: [
      { name: 'town', type: 'text', required: true },
      { name: 'since', type: 'integer', required: true },
    ],
  },
  {
    name: 'reviews',
    type: 'list',
    of: {
      type: 'record',
      fields: [
        { name: 'by', type: 'text', required: true },
        { name: 'stars', type: 'integer', required: true },
      ],
    },
    required: true,
  },
];

const words = fc.oneof(
  fc.string({ maxLength: 12 }),
  fc.string({ unit: 'grapheme', maxLength: 8 }),
  fc.constantFrom('', ' ', 'Merino lace', '$&', "$`$'", 'é', 'ﬁ', '👩‍🌾 wool', 'ı', 'ß', '0'),
);
const numbers = fc.oneof(
  fc.constantFrom(0, -0, 1, -1, 0.1, 0.2, 2 ** 53, 1e308, 5e-324, 1e21, 1e-7),
  fc.integer({ min: -100, max: 100 }),
  fc.double({ noNaN: true, noDefaultInfinity: true }),
);

export const yarnItem: fc.Arbitrary<JsonRecord> = fc.record({
  name: words,
  dye: words,
  price: numbers,
  stock: fc.integer({ min: -5, max: 50 }),
  sold: fc.boolean(),
  tags: fc.array(words, { maxLength: 4 }),
  sizes: fc.array(numbers, { maxLength: 4 }),
  maker: fc.record({ town: words, since: fc.integer({ min: 1900, max: 2026 }) }),
  reviews: fc.array(fc.record({ by: words, stars: fc.integer({ min: 0, max: 5 }) }), {
    maxLength: 4,
  }),
});

/** An item in which anything may be missing, null, or of another type than it should be. */
export const holedItem: fc.Arbitrary<JsonRecord> = fc
  .tuple(yarnItem, fc.dictionary(fc.constantFrom(...yarnFields.map(({ name }) => name)), hole()))
  .map(([item, holes]) => {
    const made: Record<string, JsonRecord[string]> = { ...item };
    for (const [name, value] of Object.entries(holes))
      if (value === 'gone') delete made[name];
      else made[name] = value;
    return made;
  });

function hole() {
  return fc.constantFrom(
    'gone',
    null,
    null,
    7,
    true,
    'text',
    [],
    [null, 3, 'x', {}],
    {},
    { town: null, stars: 'many' },
    Number.POSITIVE_INFINITY,
  );
}

const small = fc.integer({ min: -3, max: 6 }).map(String);

type Kind = 'number' | 'text' | 'boolean' | 'texts' | 'numbers' | 'reviews';

const pair = (
  a: fc.Arbitrary<string>,
  b: fc.Arbitrary<string>,
  join: (a: string, b: string) => string,
) => fc.tuple(a, b).map(([one, other]) => join(one, other));

/** Well-typed expressions, as texts with brackets round everything. */
export const typedExpressions = fc.letrec<Record<Kind, string>>((tie) => {
  const [number, text, boolean] = [tie('number'), tie('text'), tie('boolean')];
  const [texts, numberList, reviews] = [tie('texts'), tie('numbers'), tie('reviews')];
  const depth = { depthSize: 'small', withCrossShrink: true } as const;
  return {
    number: fc.oneof(
      depth,
      fc.constantFrom('price', 'stock', 'maker.since', '1', '0', '2.5', '(-3)', '1e21'),
      pair(number, number, (a, b) => `(${a} + ${b})`),
      pair(number, number, (a, b) => `(${a} - ${b})`),
      pair(number, number, (a, b) => `(${a} * ${b})`),
      pair(number, number, (a, b) => `(${a} / ${b})`),
      pair(number, number, (a, b) => `(${a} % ${b})`),
      pair(number, small, (a, b) => `((${a}) ** (${b}))`),
      number.map((a) => `(-${a})`),
      fc
        .tuple(fc.constantFrom('abs', 'round', 'floor', 'ceil', 'trunc', 'sign'), number)
        .map(([name, a]) => `Math.${name}(${a})`),
      fc
        .tuple(fc.constantFrom('min', 'max'), number, number)
        .map(([name, a, b]) => `Math.${name}(${a}, ${b})`),
      fc.tuple(boolean, number, number).map(([c, a, b]) => `(${c} ? ${a} : ${b})`),
      text.map((a) => `${a}.length`),
      texts.map((a) => `${a}.length`),
      pair(text, text, (a, b) => `${a}.indexOf(${b})`),
      numberList.map((a) => `sum(${a})`),
      numberList.map((a) => `average(${a})`),
      numberList.map((a) => `smallest(${a})`),
      reviews.map((a) => `sum(${a}, r => r.stars)`),
      reviews.map((a) => `largest(${a}, r => r.stars)`),
      pair(numberList, small, (a, b) => `${a}.at(${b})`),
      pair(numberList, small, (a, b) => `${a}[${b}]`),
      numberList.map((a) => `${a}.find(x => x > 1)`),
      pair(number, number, (a, b) => `(${a} ?? ${b})`),
    ),
    text: fc.oneof(
      depth,
      fc.constantFrom('name', 'dye', 'maker.town', '"Lace"', '""', '"$&é"', '"👩‍🌾"'),
      pair(text, text, (a, b) => `(${a} + ${b})`),
      pair(text, number, (a, b) => `\`\${${a}} · \${${b}}\``),
      boolean.map((a) => `\`so: \${${a}}\``),
      fc
        .tuple(text, fc.constantFrom('trim', 'toUpperCase', 'toLowerCase'))
        .map(([a, name]) => `${a}.${name}()`),
      fc.tuple(text, small, small).map(([a, b, c]) => `${a}.slice(${b}, ${c})`),
      pair(text, small, (a, b) => `${a}.at(${b})`),
      fc.tuple(text, text, text).map(([a, b, c]) => `${a}.replaceAll(${b}, ${c})`),
      fc.tuple(text, small, text).map(([a, b, c]) => `${a}.padStart(${b}, ${c})`),
      fc.tuple(text, small, text).map(([a, b, c]) => `${a}.padEnd(${b}, ${c})`),
      pair(texts, text, (a, b) => `${a}.join(${b})`),
      numberList.map((a) => `${a}.join()`),
      fc.tuple(boolean, text, text).map(([c, a, b]) => `(${c} ? ${a} : ${b})`),
      pair(texts, small, (a, b) => `${a}[${b}]`),
      reviews.map((a) => `${a}.map(r => r.by).join("; ")`),
    ),
    boolean: fc.oneof(
      depth,
      fc.constantFrom('sold', 'true', 'false'),
      fc
        .tuple(number, fc.constantFrom('<', '<=', '>', '>=', '===', '!==', '==', '!='), number)
        .map(([a, op, b]) => `(${a} ${op} ${b})`),
      fc
        .tuple(text, fc.constantFrom('<', '>=', '===', '!=='), text)
        .map(([a, op, b]) => `(${a} ${op} ${b})`),
      pair(boolean, boolean, (a, b) => `(${a} && ${b})`),
      pair(boolean, boolean, (a, b) => `(${a} || ${b})`),
      pair(boolean, boolean, (a, b) => `(${a} === ${b})`),
      boolean.map((a) => `(!${a})`),
      fc
        .tuple(text, fc.constantFrom('startsWith', 'endsWith', 'includes'), text)
        .map(([a, name, b]) => `${a}.${name}(${b})`),
      pair(texts, text, (a, b) => `${a}.includes(${b})`),
      pair(numberList, number, (a, b) => `${a}.some(x => x > ${b})`),
      pair(numberList, number, (a, b) => `${a}.every((x, i) => x + i < ${b})`),
      text.map((a) => `(${a} !== null)`),
    ),
    texts: fc.oneof(
      depth,
      fc.constantFrom('tags', '["woad", "weld"]', '(tags ?? [])'),
      pair(text, text, (a, b) => `[${a}, ${b}]`),
      pair(text, text, (a, b) => `${a}.split(${b})`),
      pair(texts, texts, (a, b) => `${a}.concat(${b})`),
      texts.map((a) => `${a}.toSorted()`),
      texts.map((a) => `${a}.map((t, i) => t + \`\${i}\`)`),
      texts.map((a) => `distinct(${a})`),
      pair(texts, text, (a, b) => `${a}.filter(t => t !== ${b})`),
    ),
    numbers: fc.oneof(
      depth,
      fc.constantFrom('sizes', '[3, 1, 2]', '[0.5]'),
      numberList.map((a) => `${a}.toSorted((a, b) => a - b)`),
      pair(numberList, number, (a, b) => `${a}.map(x => x * ${b})`),
      fc.tuple(numberList, small, small).map(([a, b, c]) => `${a}.slice(${b}, ${c})`),
      reviews.map((a) => `${a}.map(r => r.stars)`),
    ),
    reviews: fc.oneof(
      depth,
      fc.constant('reviews'),
      reviews.map((a) => `${a}.filter(r => r.stars > 2)`),
      reviews.map((a) => `${a}.toSorted((a, b) => b.stars - a.stars)`),
      reviews.map((a) => `distinct(${a}, r => r.by)`),
    ),
  };
});

export const anyExpression = fc.oneof(
  typedExpressions.number,
  typedExpressions.text,
  typedExpressions.boolean,
  typedExpressions.texts,
  typedExpressions.numbers,
);
