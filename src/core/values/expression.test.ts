import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { item as someItem } from '../../../tests/support/arbitrary';
import { atOnce, isRecord, type Json, type JsonRecord } from '../base';
import { infer } from '../items';
import { pathText } from './check/names';
import {
  type Environment,
  emptyEnvironment,
  type KnownFormat,
  type OtherSource,
} from './environment';
import { explain } from './explain/explain';
import { makeExpression } from './expression';
import { Missing } from './functions';
import { renameStep } from './rename';
import { kindOf } from './result-type';
import { printExpression } from './syntax/print';
import { readExpression } from './syntax/read';
import type { Field } from './type';
import { formatsUsed } from './uses';
import { plainText, type Value } from './value';

const fields: readonly Field[] = [
  { name: 'name', type: 'text', required: true },
  { name: 'price', type: 'number', required: false },
  { name: 'first name', type: 'text', required: true },
  { name: 'constructor', type: 'text', required: false },
  {
    name: 'maker',
    type: 'record',
    required: false,
    fields: [
      { name: 'town', type: 'text', required: false },
      { name: 'since', type: 'integer', required: true },
    ],
  },
  { name: 'tags', type: 'list', of: { type: 'text' }, required: true },
];

const item: JsonRecord = {
  name: 'Lace',
  'first name': 'Ada',
  maker: { town: 'Ousby', since: 1987 },
  tags: ['a'],
};

const evaluated = (text: string, of: JsonRecord = item): Value =>
  makeExpression(text, fields).evaluate?.(of);
const codesOf = (text: string, use: 'any' | 'text' = 'any') =>
  makeExpression(text, fields, use).findings.map((finding) => finding.code);

describe('an expression reads an item', () => {
  test.each<[string, Value]>([
    ['name', 'Lace'],
    ['item.name', 'Lace'],
    ['maker.town', 'Ousby'],
    ['maker?.town', 'Ousby'],
    ['item["first name"]', 'Ada'],
    ['"fixed"', 'fixed'],
    ['14.5', 14.5],
    ['price', undefined],
    ['price ?? "on request"', 'on request'],
    ['constructor', undefined],
    ['null ?? name', 'Lace'],
    ['`${name} · ${maker.since}`', 'Lace · 1987'],
    ['`${price} each`', ' each'],
    ['  name  ', 'Lace'],
    ['(name)', 'Lace'],
    ['price > 3', undefined],
    ['price > 3 ? "dear" : "cheap"', 'cheap'],
    ['!(price > 3)', true],
    ['price === null', true],
    ['price != undefined', false],
    ['"by " + maker.town + (item["first name"] ?? "")', 'by OusbyAda'],
    ['maker.since / 0', undefined],
    ['maker.since ** 999', undefined],
    ['tags[0] + tags[1]', 'a'],
    ['tags.map(t => t + name).join()', 'aLace'],
    ['index', undefined],
  ])('%s', (text, value) => {
    expect(evaluated(text)).toEqual(value);
  });

  test('a missing record gives missing, and never throws', () => {
    expect(evaluated('maker.town', { name: 'x' })).toBeUndefined();
    expect(evaluated('`${maker.town}!`', { name: 'x' })).toBe('!');
  });

  test('values of another type than the known one are missing; plain ones read as text', () => {
    expect(evaluated('price', { price: 'soon' })).toBeUndefined();
    expect(evaluated('maker.town', { maker: 'Ousby' })).toBeUndefined();
    expect(evaluated('name', { name: 7 })).toBe('7');
  });

  test('equals ECMAScript on present values', () => {
    // The engine itself is the reference; only tests may generate code.
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom('name', 'maker.town', 'maker?.since', '"é`$"', '7', 'item["first name"]'),
          {
            minLength: 1,
            maxLength: 4,
          },
        ),
        fc.boolean(),
        (parts, isTemplate) => {
          const text = isTemplate
            ? `\`a${parts.map((part) => `\${${part}}-`).join('')}\``
            : parts.join(' ?? ');
          const engine = new Function('item', `with (item) { return ${text} }`);
          expect(evaluated(text)).toEqual(engine(item));
        },
      ),
    );
  });
});

test('what is around an item is known where it is said', () => {
  const evaluate = makeExpression(
    '`${index + 1} of ${count}, ${now.slice(0, 4)}`',
    fields,
  ).evaluate;
  const around = { index: 2, count: 9, now: '2026-03-02T10:00:00Z' };
  expect(evaluate?.(item, around)).toBe('3 of 9, 2026');
  expect(evaluate?.(item)).toBe(' of , ');
  const named = makeExpression('count', [{ name: 'count', type: 'integer', required: true }]);
  expect(named.evaluate?.({ count: 4 }, around)).toBe(4);
});

describe('what cannot be read says where and what to write', () => {
  test.each([
    ['', 'expression-empty'],
    ['nam', 'name-unknown'],
    ['maker.twon', 'step-unknown'],
    ['name.size', 'step-into-value'],
    ['`${maker}`', 'not-showable'],
    ['name +', 'expression-syntax'],
    ['name name', 'expression-syntax'],
    ['name = 1', 'expression-not-in-language'],
    ['f()', 'expression-not-in-language'],
    ['/x/', 'expression-not-in-language'],
    ['this', 'expression-not-in-language'],
    ['0042', 'number-leads-with-zero'],
    ['price + 08', 'number-leads-with-zero'],
    ['9007199254740993', 'number-loses-digits'],
    ['0x20000000000001', 'number-loses-digits'],
    ['1.00000000000000000001', 'number-loses-digits'],
    ['x'.repeat(10_001), 'expression-too-long'],
    ['('.repeat(200) + ')'.repeat(200), 'expression-too-deep'],
  ])('%.40s', (text, code) => {
    expect(codesOf(text)).toEqual([code]);
  });

  test('a record cannot stand on a label', () => {
    expect(codesOf('maker', 'text')).toEqual(['not-showable']);
    expect(codesOf('maker', 'any')).toEqual([]);
  });

  test.each([
    ['nmae', 'name'],
    ['maker.twon', 'maker.town'],
    ['name.seize', 'name'],
    ['name?.seize', 'name'],
  ])('the mend of %s gives %s', (text, mended) => {
    const mend = makeExpression(text, fields).findings[0]?.mend;
    expect(mend && text.slice(0, mend.from) + mend.text + text.slice(mend.to)).toBe(mended);
  });

  test('no text hangs or throws', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.string({ unit: fc.constantFrom(...'abn.?`${}[]()"\'\\ +') })),
        (text) => {
          const { evaluate, findings } = makeExpression(text, fields);
          expect(evaluate === undefined).toBe(findings.length > 0);
          evaluate?.(item);
        },
      ),
      { numRuns: 2_000 },
    );
    expect(codesOf('a'.repeat(1_000_000))).toEqual(['expression-too-long']);
    expect(codesOf(`${'('.repeat(4_000)}a${')'.repeat(4_000)}`)).toEqual(['expression-too-deep']);
  });
});

describe('the explanation', () => {
  const missingOf = (text: string, of: JsonRecord) => {
    const { checked } = makeExpression(text, fields);
    return checked && explain(checked, of).missing;
  };

  test('names the first step that was missing', () => {
    expect(missingOf('maker.town', {})).toBe('this item has no maker');
    expect(missingOf('maker.town', { maker: {} })).toBe('maker has no town');
    expect(missingOf('maker.town', { maker: null })).toBe('maker is null');
    expect(missingOf('price', { price: 'soon' })).toBe('price is text here, not number');
    expect(missingOf('price * 2', {})).toBe('this item has no price');
    expect(missingOf('maker.since / 0', item)).toBe('divided by zero');
    expect(missingOf('tags[4]', item)).toBe('tags has 1 elements, none at 4');
    expect(missingOf('tags.find(t => t === "b")', item)).toBe(
      'it is true for no element of the list',
    );
    expect(missingOf('average([price, price])', {})).toBe('there is nothing in the list');
  });

  test('agrees with the value, and gives a reason exactly where there is none', () => {
    fc.assert(
      fc.property(someItem, (of) => {
        const [type] = atOnce(infer([of], 'x')).types;
        for (const path of pathsOf(of)) {
          const { checked, evaluate } = makeExpression(pathText(path), type?.fields ?? []);
          if (checked === undefined || evaluate === undefined) continue;
          const { value, missing } = explain(checked, of);
          expect(value).toEqual(evaluate(of));
          expect(missing === undefined).toBe(value !== undefined);
        }
      }),
    );
  });
});

test('every path of an item can be written and reads its value', () => {
  fc.assert(
    fc.property(someItem, (of) => {
      const [type] = atOnce(infer([of], 'x')).types;
      for (const path of pathsOf(of)) {
        const { evaluate, findings } = makeExpression(pathText(path), type?.fields ?? []);
        expect(findings).toEqual([]);
        expect(evaluate?.(of) ?? null).toEqual(at(of, path));
      }
    }),
  );
});

test('nothing but words reaches a label', () => {
  fc.assert(
    fc.property(someItem, (of) => {
      const [type] = atOnce(infer([of], 'x')).types;
      for (const path of pathsOf(of)) {
        const words = plainText(makeExpression(pathText(path), type?.fields ?? []).evaluate?.(of));
        if (typeof at(of, path) !== 'string') {
          expect(words ?? '').not.toMatch(/NaN|Infinity|undefined|null|\[object/);
        }
      }
    }),
  );
});

function pathsOf(record: JsonRecord): string[][] {
  return Object.entries(record).flatMap(([name, value]) => [
    [name],
    ...(isRecord(value) ? pathsOf(value).map((path) => [name, ...path]) : []),
  ]);
}

function at(record: JsonRecord, path: readonly string[]): Json {
  let value: Json = record;
  for (const step of path)
    value = isRecord(value)
      ? ((Object.getOwnPropertyDescriptor(value, step)?.value as Json) ?? null)
      : null;
  return value;
}

describe('lookup', () => {
  const fields: readonly Field[] = [{ name: 'maker', type: 'text', required: false }];
  const makers = new Map([['hf', { name: 'Hollow Fell' }]]);
  const sources = new Map<string, OtherSource>([
    [
      'makers',
      {
        fields: [{ name: 'name', type: 'text', required: true }],
        hasKey: true,
        find: (key) => makers.get(String(key)),
      },
    ],
    ['lines', { fields: [], hasKey: false, find: () => undefined }],
  ]);
  const made = (text: string) =>
    makeExpression(text, fields, 'text', { ...emptyEnvironment, sources });
  const value = (text: string, item: JsonRecord) => made(text).evaluate?.(item);

  test('finds the item of another source by its key, and goes into it', () => {
    expect(value('lookup("makers", maker).name', { maker: 'hf' })).toBe('Hollow Fell');
    expect(value('lookup("makers", maker)?.name ?? "by hand"', { maker: 'x' })).toBe('by hand');
    expect(value('lookup("makers", maker).name', {})).toBeUndefined();
  });

  test('says why there is none', () => {
    const { checked, environment } = made('lookup("makers", maker).name');
    const why = (item: JsonRecord) => checked && explain(checked, item, {}, environment).missing;
    expect(why({ maker: 'x' })).toBe('makers has no item with the key x');
    expect(why({})).toBe('this item has no maker');
  });

  test.each([
    ['lookup("makres", maker).name', 'source-unknown', 7, 15],
    ['lookup("lines", maker).x', 'source-without-key', 7, 14],
    ['lookup("makers", maker).nmae', 'step-unknown', 24, 28],
    ['lookup("makers", maker)', 'not-showable', 0, 23],
    ['lookup(maker, maker)', 'expression-not-in-language', 0, 20],
    ['lookup("makers")', 'expression-not-in-language', 0, 16],
    ['look("makers", maker)', 'expression-not-in-language', 0, 4],
  ])('%s: %s', (text, code, from, to) => {
    expect(made(text).findings[0]).toMatchObject({ code, place: { from, to } });
  });
});

describe('format', () => {
  const fields: readonly Field[] = [
    { name: 'price', type: 'number', required: false },
    { name: 'name', type: 'text', required: true },
  ];
  const price: KnownFormat = {
    words: 'money',
    takes: (type) => kindOf(type) === 'number',
    write: (value, item) =>
      value === 0 ? new Missing('nothing is free') : `${item['name']}: €${value}`,
  };
  const environment: Environment = { ...emptyEnvironment, formats: new Map([['price', price]]) };
  const made = (text: string) => makeExpression(text, fields, 'text', environment);

  test('writes a value inside an expression as a format of the project does', () => {
    const { evaluate } = made('`${format(price, "price")}!`');
    expect(evaluate?.({ name: 'Lace', price: 4 })).toBe('Lace: €4!');
    expect(evaluate?.({ name: 'Lace' })).toBe('!');
    expect(made('format(price, "price") ?? "free"').evaluate?.({ price: 0 })).toBe('free');
  });

  test('says why it wrote nothing', () => {
    const { checked } = made('format(price, "price")');
    const why = (item: JsonRecord) => checked && explain(checked, item, {}, environment);
    expect(why({ price: 0 })?.missing).toBe('nothing is free');
    expect(why({})?.missing).toBe('this item has no price');
    expect(why({ price: 4, name: 'Sock' })?.steps.at(-1)).toMatchObject({
      label: 'format price',
      shown: '"Sock: €4"',
    });
  });

  test.each([
    ['format(price, "prise")', 'format-unknown', 14, 21],
    ['format(name, "price")', 'format-unfit', 13, 20],
    ['format(price, name)', 'expression-not-in-language', 0, 19],
    ['format("price")', 'expression-not-in-language', 0, 15],
  ])('%s: %s', (text, code, from, to) => {
    expect(made(text).findings[0]).toMatchObject({ code, place: { from, to } });
  });

  test('is read again as it was written, and a field in it is renamed', () => {
    const text = '`${format(item["first name"] ?? price, "price")}!`';
    const read = readExpression(text);
    expect(read.ok && printExpression(read.value)).toBe(text);
    expect(renameStep('format( price , "price")', ['price'], 'cost')).toBe(
      'format( cost , "price")',
    );
    expect(formatsUsed(text)).toEqual(['price']);
  });

  test('a computed property is the same for every reader', () => {
    const { findings } = makeExpression('format(price, "price")', fields, 'property', environment);
    expect(findings[0]?.code).toBe('format-in-property');
  });
});

describe('the quick forms of conditions', () => {
  const fields: readonly Field[] = [
    { name: 'stock', type: 'number', required: true },
    { name: 'shade', type: 'text', required: true },
    { name: 'sold', type: 'boolean', required: true },
  ];
  const operator = fc.constantFrom('===', '!==', '<', '<=', '>', '>=');
  const fixed = fc.constantFrom('0', '-0', '5', '2.5');
  const number = fc.tuple(operator, fixed).map(([is, value]) => `stock ${is} ${value}`);
  const text = fc.constantFrom('===', '!==').map((is) => `shade ${is} "woad"`);
  const test = fc.oneof(number, text, fc.constantFrom('sold', '!sold', 'stock === null'));
  const expression = fc.oneof(
    fc.tuple(test, test).map(([a, b]) => `${a} ? "one" : ${b} ? "two" : "three"`),
    fc.tuple(test, test, test).map(([a, b, c]) => `${a} ? stock : ${b} ? 2 : ${c} ? 3 : 4`),
    fc.array(test, { minLength: 2, maxLength: 4 }).map((all) => all.join(' && ')),
    fc.tuple(test, test).map(([a, b]) => `(${a}) || (${b})`),
    test,
  );
  const value = fc.constantFrom<Json>(0, -0, 5, 2.5, 1e308, 'woad', 'weld', true, false, null, '5');
  const item = fc.dictionary(fc.constantFrom('stock', 'shade', 'sold'), value);

  it('give what the trace gives, also for items that are not as their type says', () => {
    fc.assert(
      fc.property(expression, item, (words, own) => {
        const { checked, evaluate } = makeExpression(words, fields);
        if (checked === undefined) return;
        expect(evaluate?.(own)).toEqual(explain(checked, own).value);
      }),
      { numRuns: 3_000 },
    );
  });
});
