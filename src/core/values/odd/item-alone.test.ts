import { expect, test } from 'vitest';
import { makeExpression } from '../expression';
import type { Field } from '../type';
import { itemAlone } from './item-alone';

const text = (name: string): Field => ({ name, type: 'text', required: true });
const fields: readonly Field[] = [
  text('colour'),
  { name: 'code', type: 'integer', required: true },
  text('product name'),
  { name: 'tags', type: 'list', of: { type: 'text' }, required: false },
];

test('the whole item in a label shows by what it is known by, and says how to get one field', () => {
  const { evaluate, findings } = makeExpression('item', fields, 'text');
  expect(findings).toEqual([]);
  expect(evaluate?.({ code: 7, 'product name': 'Lace', colour: 'red' })).toBe('7 · Lace');
  expect(evaluate?.({ 'product name': 'Lace', colour: 'red' })).toBe('Lace');
  const [odd] = itemAlone('item', fields);
  expect(odd).toMatchObject({
    code: 'item-alone',
    severity: 'warning',
    message: 'This is the whole item: code and product name show for it.',
    mend: { text: 'item["product name"]' },
  });
  expect(itemAlone('item.code', fields)).toEqual([]);
});

test('an item without any such field, or where no words are wanted, stays a record', () => {
  const lists = fields.filter(({ type }) => type === 'list');
  expect(makeExpression('item', lists, 'text').findings).toMatchObject([{ code: 'not-showable' }]);
  expect(makeExpression('item', fields, 'any').checked?.type.type).toBe('record');
  expect(makeExpression('`${item}`', fields, 'text').findings[0]?.hint).toContain('colour, code');
});
