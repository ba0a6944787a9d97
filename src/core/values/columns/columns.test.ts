import fc from 'fast-check';
import { expect, test } from 'vitest';
import {
  anyExpression,
  holedItem,
  yarnFields,
  yarnItem,
} from '../../../../tests/support/expressions';
import { makeExpression } from '../expression';
import type { Value } from '../value';
import { blockLength, Columns, isMissing, isTrue } from './columns';
import { type Pass, passOver } from './pass';

/** All values of a pass, read as those who count read them. */
function valuesOf(pass: Pass, count: number): Value[] {
  const values: Value[] = [];
  for (let from = 0; from < count; from += blockLength) {
    const length = Math.min(blockLength, count - from);
    const read = reader(pass, from);
    for (let i = 0; i < length; i += 1) values.push(read(i));
  }
  return values;
}

function reader(pass: Pass, from: number): (i: number) => Value {
  switch (pass.by) {
    case 'numbers': {
      const block = pass.blocks(from);
      return (i) => (Number.isNaN(block[i]) ? undefined : block[i]);
    }
    case 'conditions': {
      const block = pass.blocks(from);
      return (i) => (block[i] === isMissing ? undefined : block[i] === isTrue);
    }
    case 'texts': {
      const block = pass.texts.codes(from);
      return (i) => pass.texts.table[block[i] ?? -1];
    }
    case 'items':
      return (i) => pass.valueAt(from + i);
  }
}

const runs = Number(process.env['EXPRESSIONS'] ?? 3_000);

test('a pass over columns gives each item what the expression gives it alone', () => {
  const ways = new Set<string>();
  fc.assert(
    fc.property(
      anyExpression,
      fc.array(fc.oneof(yarnItem, holedItem), { minLength: 1, maxLength: 12 }),
      (text, items) => {
        const { checked, evaluate } = makeExpression(text, yarnFields);
        if (checked === undefined || evaluate === undefined) return;
        const pass = passOver(checked, new Columns(items));
        ways.add(pass.by);
        expect(valuesOf(pass, items.length)).toEqual(items.map((item) => evaluate(item)));
      },
    ),
    { numRuns: runs },
  );
  expect([...ways].sort()).toEqual(['conditions', 'items', 'numbers', 'texts']);
});

const fields = [
  { name: 'price', type: 'number', required: false },
  { name: 'stock', type: 'integer', required: true },
  { name: 'shade', type: 'text', required: false },
  { name: 'isNew', type: 'boolean', required: false },
] as const;
const shades = ['madder', 'woad', undefined, 'weld'];
const many = Array.from({ length: 3 * blockLength + 5 }, (_, at) => ({
  stock: at % 7,
  ...(at % 3 > 0 && { price: at / 8, isNew: at % 2 === 0 }),
  ...(shades[at % 4] !== undefined && { shade: shades[at % 4] ?? '' }),
}));

test.each<[string, Pass['by']]>([
  ['price * stock', 'numbers'],
  ['(-(price ?? 0)) ** 2 % 7', 'numbers'],
  ['price > 20 ? price / stock : stock', 'numbers'],
  ['isNew && price > 20 && shade !== "woad"', 'conditions'],
  ['!isNew || shade >= "w"', 'conditions'],
  ['price === null', 'conditions'],
  ['shade !== null', 'conditions'],
  ['isNew ?? stock <= 3', 'conditions'],
  ['shade', 'texts'],
  ['stock === 0 ? "sold out" : shade ?? "undyed"', 'texts'],
  ['`${shade} ${stock}`', 'items'],
  ['Math.round(price)', 'items'],
])('%s goes by %s, block after block', (text, by) => {
  const { checked, evaluate } = makeExpression(text, fields);
  if (checked === undefined) throw new Error(text);
  const pass = passOver(checked, new Columns(many));
  expect(pass.by).toBe(by);
  expect(valuesOf(pass, many.length)).toEqual(many.map((item) => evaluate?.(item)));
});

test('texts that hardly repeat get no table', () => {
  const { checked } = makeExpression('shade', fields);
  const all = Array.from({ length: 5_000 }, (_, at) => ({ shade: `shade ${at}`, stock: 1 }));
  if (checked === undefined) throw new Error();
  expect(passOver(checked, new Columns(all)).by).toBe('items');
});

test('an expression that asks where its item stands is told', () => {
  const { checked } = makeExpression('index + 1', fields);
  if (checked === undefined) throw new Error();
  const columns = new Columns(many, (at) => ({ index: many.length - at }));
  expect(valuesOf(passOver(checked, columns), 2)).toEqual([many.length + 1, many.length]);
});
