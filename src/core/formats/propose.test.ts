import { describe, expect, test } from 'vitest';
import type { Field, ResultType } from '../values';
import { families, proposeFormats } from '.';

const fields: readonly Field[] = [{ name: 'currency', type: 'text', required: true }];
const first = (name: string, type: ResultType, beside = fields) =>
  proposeFormats([name], type, beside)[0]?.format;

describe('a format is proposed from type and name', () => {
  test.each<[string, ResultType, object]>([
    ['price', { type: 'number' }, { as: 'money', currency: { expr: 'currency' } }],
    ['discount', { type: 'number' }, { as: 'percent' }],
    ['grams', { type: 'integer' }, { as: 'unit', unit: 'gram' }],
    ['fileSize', { type: 'integer' }, { as: 'bytes' }],
    ['minutes', { type: 'integer' }, { as: 'duration', of: 'minutes' }],
    ['stock', { type: 'integer' }, { as: 'number' }],
    ['score', { type: 'number' }, { as: 'number', minDigits: 2 }],
    ['dyedOn', { type: 'date' }, { as: 'date', date: 'medium' }],
    ['seenAt', { type: 'datetime' }, { as: 'date', time: 'short' }],
    ['opens', { type: 'time' }, { as: 'date', time: 'short' }],
    ['soaked', { type: 'duration' }, { as: 'duration' }],
    ['sold', { type: 'boolean' }, { as: 'yesNo' }],
    ['tags', { type: 'list', of: { type: 'text' } }, { as: 'list' }],
    ['name', { type: 'text' }, { as: 'text' }],
  ])('%s', (name, type, format) => {
    expect(first(name, type)).toMatchObject(format);
    for (const proposal of proposeFormats([name], type, fields))
      expect(families[proposal.format.as].takes(type)).toBe(true);
  });

  test('without a field for the currency, a fixed one', () => {
    expect(first('price', { type: 'number' }, [])).toEqual({ as: 'money', currency: 'EUR' });
  });

  test('records have none', () => {
    expect(proposeFormats(['maker'], { type: 'record', fields: [] }, [])).toEqual([]);
  });
});

test('money has the currency of its own record, else of one around it', () => {
  const text = { type: 'text', required: true } as const;
  const amount = { name: 'amount', type: 'number', required: true } as const;
  const fare: Field = {
    name: 'fare',
    type: 'record',
    required: true,
    fields: [amount, { name: 'currency', ...text }],
  };
  const fee: Field = { name: 'fee', type: 'record', required: true, fields: [amount] };
  const fields: readonly Field[] = [fare, fee, { name: 'currency', ...text }];
  const currencyOf = (path: readonly string[], all = fields) => {
    const format = proposeFormats(path, amount, all)[0]?.format;
    return format?.as === 'money' ? format.currency : undefined;
  };
  expect(currencyOf(['fare', 'amount'])).toEqual({ expr: 'fare.currency' });
  expect(currencyOf(['fee', 'amount'])).toEqual({ expr: 'currency' });
  expect(currencyOf(['amount'])).toEqual({ expr: 'currency' });
  expect(currencyOf(['fee', 'amount'], [fee, fare])).toBe('EUR');
});
