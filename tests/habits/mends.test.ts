import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { JsonRecord } from '../../src/core/base';
import { makeExpression, type Value } from '../../src/core/values';
import { fields } from './fields';
import { mendedOf, rows } from './rows';

const written = fc.constantFrom(...rows.map((row) => row.written));

/** A slip of the hand: a letter left out, doubled or put elsewhere. */
const slipped = (text: fc.Arbitrary<string>) =>
  fc
    .tuple(text, fc.nat(), fc.constantFrom('', ' ', '.', '(', 'x', '"'))
    .map(([words, at, mark]) => {
      const place = at % (words.length + 1);
      return words.slice(0, place) + mark + words.slice(place + (mark === '' ? 1 : 0));
    });

const faulty = fc.oneof(
  written,
  slipped(written),
  fc
    .tuple(written, fc.constantFrom(' + ', ' and ', ' && ', ' ?? ', ', ', ' '), written)
    .map((all) => all.join('')),
  written.map((words) => `UPPER(${words})`),
  written.map((words) => `\`\${${words}}, \${nmae}\``),
);

test('a mend leaves fewer findings than there were, and none that is new', () => {
  let mendCount = 0;
  fc.assert(
    fc.property(faulty, fc.constantFrom('any', 'text', 'condition'), (text, use) => {
      const before = makeExpression(text, fields, use).findings;
      for (const { mend } of before) {
        if (mend === undefined) continue;
        mendCount += 1;
        const mended = text.slice(0, mend.from) + mend.text + text.slice(mend.to);
        const after = makeExpression(mended, fields, use).findings;
        expect(after.length).toBeLessThan(before.length);
        for (const { code } of after) expect(before.map((each) => each.code)).toContain(code);
      }
    }),
    { numRuns: 3_000 },
  );
  expect(mendCount).toBeGreaterThan(1_000);
});

describe('what is mended of ECMAScript means what it meant', () => {
  const word = fc.constantFrom('', 'Moss', 'old moss', 'Öl', 'x');
  const amount = fc.constantFrom(0, 1, 2.5, 7);
  const item: fc.Arbitrary<JsonRecord> = fc.record({
    name: word,
    kind: word,
    first: word,
    last: word,
    note: word,
    price: amount,
    qty: fc.constantFrom(0, 1, 4),
    sold: fc.boolean(),
    planted: fc.constant('2024-03-09'),
    maker: fc.record({ town: word }),
    tags: fc.array(word),
    sizes: fc.array(amount, { minLength: 1 }),
    visits: fc.array(
      fc.record({ cost: amount, note: word, on: fc.constant('2024-01-02'), done: fc.boolean() }),
    ),
  });
  const engine = (text: string, of: JsonRecord): unknown =>
    new Function('item', `with (item) { return ${text} }`)(structuredClone(of));
  const here = (text: string, of: JsonRecord): Value =>
    makeExpression(mendedOf(text) ?? text, fields).evaluate?.(of);

  test.each([
    'name.substring(1, 3)',
    'name.substr(1, 2)',
    'name.charAt(0).toUpperCase()',
    'name.concat(" ", kind)',
    'name.toLocaleUpperCase()',
    'name.search("moss") >= 0',
    'name ? name : "none"',
    '!name ? "none" : name',
    '!price ? "free" : "dear"',
    'visits.length ? "visited" : "new"',
    '!visits.length ? "new" : "visited"',
    '!!note ? 1 : 2',
    '!tags ? 1 : 2',
    'note && note.length > 1 ? 1 : 2',
    'price > 1 && visits.length ? 1 : 2',
    'kind === "x" || kind === "Moss" ? 1 : 2',
    '/moss/.test(name)',
    '/moss/i.test(name)',
    '/^Moss/.test(name)',
    '/moss$/.test(name)',
    'sizes.reduce((a, b) => a + b, 0)',
    'visits.reduce((all, v) => all + v.cost, 0)',
    'visits.filter(({ cost }) => cost > 1).length',
    'visits.map(v => { return v.cost }).join()',
    'sizes.sort((a, b) => a - b).join()',
    'tags.sort().join()',
    'tags.reverse().join()',
    'Math.max(...sizes)',
    'Math.min(...sizes)',
    '[...tags, name].join()',
    '[...tags].length',
    '[...new Set(tags)].join()',
    'new Set(tags).size',
    'tags.filter(Boolean).length >= 0',
    'parseInt("12")',
    'new Date(planted).getFullYear()',
    'new Date(planted).getMonth()',
    'new Date(planted).getDate()',
    '"town" in maker',
    'String(qty)',
    'qty.toString()',
    'Number.parseFloat("1.5")',
    'name.replace("M", "m")',
    'name.trimStart().length',
  ])('%s', (text) => {
    fc.assert(
      fc.property(item, (of) => {
        const mine = here(text, of);
        expect(mine ?? '').toEqual(engine(text, of) ?? '');
      }),
    );
  });

  test('|| with a stand-in says that what is empty stays, and is the same for all else', () => {
    const [finding] = makeExpression('note || "none"', fields).findings;
    expect(finding?.mend?.label).toContain('empty');
    fc.assert(
      fc.property(item, (of) => {
        if (of['note'] !== '')
          expect(here('note || "none"', of)).toBe(engine('note || "none"', of));
      }),
    );
  });
});
