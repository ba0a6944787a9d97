import { describe, expect, test } from 'vitest';
import { comparedTexts, constantsLikeHoles, emptyEnvironment, type Field } from '..';

const fields: readonly Field[] = [
  { name: 'name', type: 'text', required: true },
  { name: 'price', type: 'number', required: false },
  {
    name: 'maker',
    type: 'record',
    required: true,
    fields: [{ name: 'town', type: 'text', required: true }],
  },
];

function mendedOf(text: string): string | undefined {
  const [finding] = constantsLikeHoles(text, fields, emptyEnvironment);
  if (finding !== undefined)
    expect(finding).toMatchObject({ code: 'constant-like-hole', severity: 'warning' });
  const mend = finding?.mend;
  return mend && text.slice(0, mend.from) + mend.text + text.slice(mend.to);
}

describe('words that look as if a value were to stand in them', () => {
  test.each([
    ['"{name}"', '`${name}`'],
    ["'Hello $name'", '`Hello ${name}`'],
    ['"${name}, {maker.town}"', '`${name}, ${maker.town}`'],
    ['"\\(name)"', '`${name}`'],
    ['"{{ name }} at <%= price %>"', '`${name} at ${price}`'],
    ['"#{name} %price%"', '`${name} ${price}`'],
    ['price > 3 ? "{name}" : name', 'price > 3 ? `${name}` : name'],
    ['"{name.toUpperCase()}"', '`${name.toUpperCase()}`'],
  ])('%s', (text, mended) => {
    expect(mendedOf(text)).toBe(mended);
  });

  test.each([
    '"name"',
    '"{nmae}"',
    '"100 %"',
    '"$5 for {it}"',
    '"{}"',
    '`${name}`',
    'name',
    '"{3}"',
    '"${nmae}, {name}"',
  ])('are not %s', (text) => {
    expect(mendedOf(text)).toBeUndefined();
  });
});

test('comparisons with texts are told with what is compared and where', () => {
  const text = 'maker.town === "Ousby" || "x" !== name ? 1 : price === 3';
  expect(
    comparedTexts(text).map(({ of, value, span }) => [of, value, text.slice(span.from, span.to)]),
  ).toEqual([
    ['maker.town', 'Ousby', '"Ousby"'],
    ['name', 'x', '"x"'],
  ]);
});
