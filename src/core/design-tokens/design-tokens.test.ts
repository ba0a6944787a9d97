import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { neutralColours, neutralSpacing, neutralStyles, type TextStyle } from '../templates';
import { readTokens, writeTokens } from './index';
import { jsonSpans } from './json-spans';

function read(text: string) {
  const found = readTokens(text);
  if (!found.ok) throw new Error(found.error);
  return found.value;
}

const without = <T extends { readonly path: readonly string[] }>(all: readonly T[]) =>
  all.map(({ path: _, ...own }) => own);
const looksIn = (text: string) => {
  const { colours, styles, spacing } = read(text);
  return { colours: without(colours), styles: without(styles), spacing: without(spacing) };
};

/** A file as tools write it: groups with types, aliases, composite values, members nobody here knows. */
const brand = `{
  "$description": "Dyes of an invented wool shop",
  "color": {
    "$type": "color",
    "dye": {
      "madder": { "$value": { "colorSpace": "srgb", "components": [0.6353, 0.2275, 0.1725], "hex": "#a23a2c" }, "$description": "Root" },
      "sky":  { "$value": {"colorSpace":"oklch","components":[0.7,0.1,240],"hex":"#7aa8d8"} }
    },
    "text": { "$value": "{color.dye.madder}", "$deprecated": false }
  },
  "space": {
    "$type": "dimension",
    "snug": { "$value": { "value": 0.5, "unit": "rem" } },
    "odd": { "$value": { "value": 3, "unit": "em" } }
  },
  "type": {
    "head": {
      "$type": "typography",
      "$value": {
        "fontFamily": ["Some Face", "serif"],
        "fontSize": "{type.size}", "fontWeight": "semi-bold",
        "letterSpacing": { "value": 0.2, "unit": "px" }, "lineHeight": 1.25
      },
      "$extensions": { "org.example.tool": { "id": 17, "kept": [1, 2 , 3] } }
    },
    "size": { "$type": "dimension", "$value": { "value": 20, "unit": "px" } }
  },
  "edge": { "$type": "border", "$value": { "color": "{color.text}", "width": "1px", "style": "solid" } },
  "round": { "$type": "dimension", "$value": "{round}" }
}
`;

/** An older one: colours and lengths as texts. */
const older = `{"blue":{"$value":"#0af","$type":"color"},"gap":{"$value":"12px","$type":"dimension"},
"body":{"$type":"typography","$value":{"fontFamily":"Sans","fontSize":"14px","fontWeight":400,"lineHeight":1.5,"letterSpacing":"0px"}}}`;

/** One with nothing for us. */
const moving = `{"ease":{"$type":"cubicBezier","$value":[0.5,0,1,1]},"slow":{"$type":"duration","$value":{"value":400,"unit":"ms"}}}`;

describe('a file of design tokens', () => {
  test('gives colours, styles and lengths, through groups and aliases', () => {
    expect(looksIn(brand)).toEqual({
      colours: [
        { name: 'dye-madder', light: '#a23a2c', dark: '#a23a2c' },
        { name: 'dye-sky', light: '#7aa8d8', dark: '#7aa8d8' },
        { name: 'text', light: '#a23a2c', dark: '#a23a2c' },
      ],
      styles: [
        {
          ...{ name: 'head', size: 20, lineHeight: 25, weight: 600, colour: 'ink' },
          letterSpacing: 0.2,
        },
      ],
      spacing: [
        { name: 'snug', px: 8 },
        { name: 'size', px: 20 },
      ],
    });
    expect(looksIn(older)).toEqual({
      colours: [{ name: 'blue', light: '#00aaff', dark: '#00aaff' }],
      styles: [{ name: 'body', size: 14, lineHeight: 21, weight: 400, colour: 'ink' }],
      spacing: [{ name: 'gap', px: 12 }],
    });
  });

  test('has what is not understood listed, each with why', () => {
    expect(read(brand).others).toEqual([
      { path: 'space.odd', why: 'it is no length in px or rem' },
      { path: 'edge', why: 'nothing here is a border' },
      { path: 'round', why: 'round leads to round' },
    ]);
    expect(read(moving).others.map(({ path }) => path)).toEqual(['ease', 'slow']);
  });

  test.each([brand, older, moving])('comes out byte for byte if nothing was changed', (text) => {
    expect(writeTokens(looksIn(text), text)).toBe(text);
  });

  test('has only that changed which was changed; all else stays byte for byte', () => {
    const looks = looksIn(brand);
    const changed = writeTokens(
      {
        colours: looks.colours.map((each) =>
          each.name === 'text' ? { ...each, dark: '#ffffff' } : each,
        ),
        styles: looks.styles.map((each) => ({ ...each, size: 24, lineHeight: 30 })),
        spacing: [...looks.spacing, { name: 'vast', px: 64 }],
      },
      brand,
    );
    const after = looksIn(changed);
    expect(after.colours[2]).toEqual({ name: 'text', light: '#a23a2c', dark: '#ffffff' });
    expect(after.styles[0]).toMatchObject({ size: 24, lineHeight: 30, weight: 600 });
    expect(after.spacing.at(-1)).toEqual({ name: 'vast', px: 64 });
    for (const line of brand.split('\n').filter((each) => /17|Some Face|oklch|border/.test(each)))
      expect(changed).toContain(line);
  });

  test('a style that refers to another one has its own values once it is changed', () => {
    const text = `{"text":{"$type":"typography","a":{"$value":{"fontSize":"14px","lineHeight":1.5}},"b":{"$value":"{text.a}"}}}`;
    const looks = looksIn(text);
    const styles = looks.styles.map((each) =>
      each.name === 'b' ? { ...each, weight: 700 } : each,
    );
    const after = looksIn(writeTokens({ ...looks, styles }, text)).styles;
    expect(after).toEqual(styles);
  });

  test.each([
    ['no JSON', 'wool'],
    ['a list', '[]'],
    ['an object without tokens', '{"a": {"b": 1}}'],
    ['groups without end', `${'{"a":'.repeat(40)}{"$value":1}${'}'.repeat(40)}`],
    ['what is too large', `{"a": "${'x'.repeat(2_000_001)}"}`],
  ])('%s is none', (_, text) => {
    expect(readTokens(text).ok).toBe(false);
  });

  test('names that every object has are names; references to them lead nowhere', () => {
    const odd = `{"__proto__":{"$type":"color","constructor":{"$value":"#123456"}},"x":{"$type":"color","$value":"{toString}"}}`;
    expect(looksIn(odd).colours).toEqual([
      { name: 'constructor', light: '#123456', dark: '#123456' },
    ]);
    expect(read(odd).others).toEqual([{ path: 'x', why: 'there is no token toString' }]);
    expect(writeTokens(looksIn(odd), odd)).toBe(odd);
  });
});

test.each(['wool', '{"a', '', '[', '{"a": {"$value": "'])(
  'over “%s”, which is no file of tokens, a new one is written',
  (text) => {
    const looks = { colours: neutralColours, styles: neutralStyles, spacing: neutralSpacing };
    expect(writeTokens(looks, text)).toBe(writeTokens(looks));
  },
);

test('the looks of a project go out and come in again', () => {
  const looks = { colours: neutralColours, styles: neutralStyles, spacing: neutralSpacing };
  const text = writeTokens(looks);
  expect(looksIn(text)).toEqual(looks);
  expect(read(text).others).toEqual([]);
  expect(writeTokens(looks, text)).toBe(text);
});

const hex = fc
  .integer({ min: 0, max: 0xffffff })
  .map((value) => `#${value.toString(16).padStart(6, '0')}`);
const name = fc.stringMatching(/^[a-z][a-z0-9 ]{0,10}$/);
const unique = { selector: (each: { readonly name: string }) => each.name };
const looks = fc.record({
  colours: fc.uniqueArray(fc.record({ name, light: hex, dark: hex }), unique),
  spacing: fc.uniqueArray(fc.record({ name, px: fc.integer({ min: 0, max: 200 }) }), unique),
  styles: fc.uniqueArray(
    fc.record({
      ...{ name, colour: name, size: fc.integer({ min: 4, max: 100 }) },
      ...{ lineHeight: fc.integer({ min: 4, max: 200 }), weight: fc.constantFrom(100, 450, 900) },
    }),
    unique,
  ) as fc.Arbitrary<TextStyle[]>,
});

test('any looks come in as they went out, after others too', () => {
  fc.assert(
    fc.property(looks, looks, (first, second) => {
      fc.pre(first.colours.length + first.spacing.length + first.styles.length > 0);
      expect(looksIn(writeTokens(first))).toEqual(first);
      const both = looksIn(writeTokens(second, writeTokens(first)));
      expect(both.colours).toEqual(expect.arrayContaining(second.colours));
      expect(both.spacing).toEqual(expect.arrayContaining(second.spacing));
      expect(both.styles).toEqual(expect.arrayContaining(second.styles));
    }),
  );
});

test('the places of values are those of the text, however it is written', () => {
  fc.assert(
    fc.property(fc.dictionary(fc.string(), fc.jsonValue()), fc.nat(3), (document, indent) => {
      const text = JSON.stringify(document, null, indent);
      for (const [key, span] of jsonSpans(text).members)
        expect(JSON.parse(text.slice(span.from, span.to))).toEqual(JSON.parse(text)[key]);
    }),
  );
});
