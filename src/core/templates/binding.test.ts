import { describe, expect, test } from 'vitest';
import { NoText } from '../formats';
import type { Field } from '../values';
import { addressOf } from './address';
import { bindText } from './bind-words';
import type { Binding } from './bound';

const fields: readonly Field[] = [
  { name: 'price', type: 'number', required: false },
  { name: 'oldPrice', type: 'number', required: false },
  { name: 'note', type: 'text', required: false },
];
const formats = [{ id: 'money', name: 'Money', as: 'money', currency: 'EUR' }] as const;
const bound = (binding: Binding) =>
  bindText(binding, { fields, sources: new Map(), formats, locale: 'en' });
const text = (binding: Binding, item: Record<string, string | number>) => bound(binding).text(item);

describe('what stands in for a missing value', () => {
  test('is words, or nothing where the part leaves', () => {
    expect(text({ expr: 'price', format: 'money', else: 'ask' }, {})).toBe('ask');
    expect(text({ expr: 'price', format: 'money', else: null }, {})).toBeUndefined();
    expect(text({ expr: 'price', format: 'money', else: null }, { price: 4 })).toBe('€4.00');
  });

  test('is another value, in the same format if that can write it', () => {
    const price = { expr: 'price', format: 'money' };
    expect(text({ ...price, else: { expr: 'oldPrice' } }, { oldPrice: 5 })).toBe('€5.00');
    expect(text({ ...price, else: { expr: 'note' } }, { note: 'ask Ada' })).toBe('ask Ada');
    expect(text({ expr: 'note', else: { expr: '`€${price}`' } }, { price: 2 })).toBe('€2');
    expect(text({ ...price, else: { expr: 'oldPrice' } }, {})).toBeUndefined();
  });

  test('is checked like the value itself', () => {
    expect(bound({ expr: 'price', else: { expr: 'oldPrise' } }).findings).toMatchObject([
      { code: 'stand-in', message: 'What stands in: There is no field "oldPrise".' },
    ]);
  });
});

describe('an address', () => {
  test.each([
    ['https://thrumwick.example/a?b=c#d', 'https://thrumwick.example/a?b=c#d'],
    ['HTTP://thrumwick.example', 'HTTP://thrumwick.example'],
    [' www.thrumwick.example/wool ', 'https://www.thrumwick.example/wool'],
    ['ada@thrumwick.example', 'mailto:ada@thrumwick.example'],
    ['mailto:ada@thrumwick.example?subject=Wool', 'mailto:ada@thrumwick.example?subject=Wool'],
    ['+44 (1768) 55-01', 'tel:+44176855 01'.replace(' ', '')],
    ['tel:112233', 'tel:112233'],
  ])('is made of %s', (value, address) => {
    expect(addressOf(value)).toBe(address);
  });

  test.each([
    'javascript:alert(1)',
    ' JavaScript:alert(1)',
    'java\tscript:alert(1)',
    'data:text/html,x',
    'vbscript:x',
    'file:///etc/passwd',
    'blob:https://a.example/b',
    '//thrumwick.example',
    'https:thrumwick',
    'https:///x',
    'mailto:javascript:alert(1)',
    'tel:javascript:alert(1)',
    'wool',
    '',
  ])('is never made of %j', (value) => {
    expect(addressOf(value)).toBeInstanceOf(NoText);
  });
});
