import { expect, test } from 'vitest';
import { nearestValue } from './nearest-value';
import type { Field } from './type';

const text = (name: string): Field => ({ name, type: 'text', required: false });
const fields: readonly Field[] = [
  text('town'),
  text('name'),
  { name: 'price', type: 'number', required: false },
  { name: 'maker', type: 'record', required: false, fields: [text('town'), text('toun')] },
  { name: 'by', type: 'record', required: false, fields: [text('town')] },
];
const item = { name: 'Lace', price: 4, maker: { toun: 'Ousby' }, by: { town: 'Garth' } };

test.each([
  ['maker.town', 0, 10, 'maker.toun', 'maker.toun', 'maker.town ?? maker.toun'],
  ['`in ${town}`', 6, 10, 'name', '`in ${name}`', '`in ${town ?? name}`'],
  ['town + "!"', 0, 4, 'name', 'name + "!"', '(town ?? name) + "!"'],
])(
  'where %s is missing, the nearest value of its kind is %s',
  (expr, from, to, near, replaced, besides) => {
    expect(nearestValue(expr, { from, to }, fields, item)).toMatchObject({
      expr: near,
      replaced,
      besides,
    });
  },
);

test('there is none where no other value is of that kind, or nothing is read', () => {
  expect(nearestValue('price', { from: 0, to: 5 }, fields, { name: 'x' })).toBeUndefined();
  expect(nearestValue('null', { from: 0, to: 4 }, fields, item)).toBeUndefined();
  expect(nearestValue('1 +', { from: 0, to: 1 }, fields, item)).toBeUndefined();
});
