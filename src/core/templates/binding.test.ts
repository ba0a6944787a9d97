import { describe, expect, test } from 'vitest';
import { NoText } from '../formats';
import type { Field } from '../values';
import { addressOf } from './address';
import { bindSlot } from './bind-value';
import { bindText } from './bind-words';
import type { Binding } from './bound';
import { kinds } from './parts';
import type { EntryValue } from './parts/entry-value';
import { leftOut } from './parts/long-text';
import type { Property } from './property';
import { neutralStyles } from './styles';
import { neutralColours } from './tokens';

const fields: readonly Field[] = [
  { name: 'price', type: 'number', required: false },
  { name: 'oldPrice', type: 'number', required: false },
  { name: 'note', type: 'text', required: false },
];
const formats = [{ id: 'money', name: 'Money', as: 'money', currency: 'EUR' }] as const;
const tokens = { styles: neutralStyles, colours: neutralColours, spacing: [] };
const bound = (binding: Binding) =>
  bindText(binding, {
    fields,
    sources: new Map(),
    formats,
    tokens,
    hasPicture: () => true,
    locale: 'en',
  });
const text = (binding: Binding, item: Record<string, string | number>) => bound(binding).text(item);

describe('what stands in for a missing value', () => {
  test('is words, or nothing where the part leaves', () => {
    expect(text({ expr: 'price', format: 'money', else: 'ask' }, {})).toBe('ask');
    expect(text({ expr: 'price', format: 'money', else: null }, {})).toBeUndefined();
    expect(text({ expr: 'price', format: 'money', else: null }, { price: 4 })).toBe('€4.00');
  });

  test('is there for an empty text where that counts as missing', () => {
    const note = { expr: 'note', else: 'no note' } as const;
    expect(text(note, { note: ' ' })).toBe(' ');
    expect(text({ ...note, emptyIsMissing: true }, { note: ' ' })).toBe('no note');
    expect(text({ ...note, emptyIsMissing: true }, { note: 'kept dry' })).toBe('kept dry');
    expect(text({ expr: 'note', else: null, emptyIsMissing: true }, { note: '' })).toBeUndefined();
    expect(
      text({ expr: 'note', else: { expr: 'price' }, emptyIsMissing: true }, { note: '', price: 4 }),
    ).toBe('4');
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

describe('what a size, a number of lines or a style follows', () => {
  const { width, lines, style, language } = kinds.label.properties;
  const scope = {
    fields,
    sources: new Map(),
    formats,
    tokens,
    hasPicture: () => true,
    locale: 'en',
  };
  const drawn = (declared: Property, expr: string, item = {}) => {
    const { findings, value, unfit } = bindSlot({ expr }, declared, scope);
    return [findings.map(({ code }) => code), value(item), unfit(item)];
  };

  test('a colour is one of the project, or one as items have it; nothing else is drawn', () => {
    const { colour } = kinds.label.properties;
    const given = (name: string) => drawn(colour, 'note', { note: name });
    for (const known of ['woad', '#a32', '#aa3322', '#AA332280'])
      expect(given(known)[1]).toBe(known);
    for (const other of ['red', '#ab', '#12345', 'url(x)', '#fff;top:0', 'var(--x)', '__proto__'])
      expect(given(other).slice(1)).toEqual([
        undefined,
        expect.stringMatching(/^it is none of ink, /),
      ]);
    expect(drawn(colour, 'note')).toEqual([[], undefined, undefined]);
  });

  test.each<[Property, string, object, EntryValue]>([
    [width, 'price', { price: 80 }, 80],
    [width, 'price > 5 ? "fit" : price', { price: 9 }, 'fit'],
    [width, 'price', {}, 'fit'],
    [kinds.image.properties.height, 'price', {}, 40],
    [lines, 'price', { price: 3 }, 3],
    [lines, 'price > 5 ? "all" : 1', { price: 9 }, 'all'],
    [language, 'note', { note: 'zh-Hant' }, 'zh-Hant'],
    [language, 'note', {}, undefined],
    [style, 'price > 5 ? "title" : "small"', { price: 9 }, 'title'],
  ])('%#: a value that it takes', (declared, expr, item, value) => {
    expect(drawn(declared, expr, item)).toEqual([[], value, undefined]);
  });

  test.each<[Property, string, object, EntryValue, string]>([
    [width, 'price', { price: -3 }, 0, 'it is not within 0 and 2000'],
    [lines, 'price', { price: 2.5 }, 2, 'it is no whole number'],
    [lines, 'price', { price: 0 }, 1, 'it is not within 1 and 100'],
    [
      language,
      'note',
      { note: 'Klingon!' },
      undefined,
      'it names no language, such as en or de-AT',
    ],
    [style, 'note', { note: 'huge' }, 'body', 'it is none of title, body, small, value'],
  ])('%#: the nearest that it takes, or its default', (declared, expr, item, value, why) => {
    expect(drawn(declared, expr, item)).toEqual([[], value, why]);
  });

  test('what it can never be is said where it is written', () => {
    expect(drawn(width, 'price > 5')[0]).toEqual(['value-unfit']);
    expect(drawn(width, 'price > 5 ? "wide" : 3')[0]).toEqual(['word-unknown']);
    expect(drawn(kinds.image.properties.width, '"fit"')[0]).toEqual(['value-unfit']);
    expect(drawn(lines, '"some"')[0]).toEqual(['word-unknown']);
  });
});

test('a row lays out some thousand characters of a text, and says how many it left', () => {
  const declared = kinds.label.properties.text;
  const slot = bindSlot({ expr: 'note' }, declared, {
    ...{ fields, sources: new Map(), formats, tokens, hasPicture: () => true, locale: 'en' },
  });
  const laid = (note: string) => String(slot.value({ note }));
  expect(laid('x'.repeat(4_000))).toBe('x'.repeat(4_000));
  expect(leftOut(laid('x'.repeat(4_000)))).toBeUndefined();
  expect(laid(`${'x'.repeat(3_999)}🧶 and more`)).toBe(`${'x'.repeat(3_999)} … (+11)`);
  expect(leftOut(laid('x'.repeat(1_000_000)))).toMatch(
    /^a row lays out 4.000 characters, and the text has 996.000 more$/,
  );
});
