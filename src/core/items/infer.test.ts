import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { items as someItems } from '../../../tests/support/arbitrary';
import { atOnce } from '../base';
import { infer } from './infer';
import type { Item } from './item';
import { itemKeys } from './key';
import { keyReason } from './likely-key';
import { likelyTitle } from './title';

const known = (items: readonly Item[]) => atOnce(infer(items, 'stock'));

describe('a field is known from all items', () => {
  test('its type, and whether every item has it', () => {
    const { types } = known([
      { a: 1, b: 'x', c: null, d: [1, 2], e: { f: true } },
      { a: 1.5, b: 'y', d: ['x'], e: {} },
    ]);
    expect(types[0]?.fields).toEqual([
      { name: 'a', type: 'number', required: true, missingCount: 0 },
      { name: 'b', type: 'text', required: true, missingCount: 0 },
      { name: 'c', type: 'unknown', required: false, missingCount: 2 },
      { name: 'd', type: 'list', of: { type: 'text' }, required: true, missingCount: 0 },
      {
        name: 'e',
        type: 'record',
        fields: [{ name: 'f', type: 'boolean', required: false }],
        required: true,
        missingCount: 0,
      },
    ]);
  });

  test('plain values of several kinds read as text, and the mix is said', () => {
    const { types, findings } = known([
      { a: 1, id: 'x' },
      { a: 'two', id: 'y' },
    ]);
    expect(types[0]?.fields[0]).toMatchObject({ type: 'text' });
    expect(findings).toMatchObject([{ code: 'field-mixed' }]);
  });

  test('every key of every item is a field, whatever its name', () => {
    fc.assert(
      fc.property(someItems, (items) => {
        const names = new Set(
          known(items).types.flatMap((type) => type.fields.map((field) => field.name)),
        );
        expect(names).toEqual(new Set(items.flatMap((item) => Object.keys(item))));
      }),
    );
  });

  test('a field is required exactly if no item lacks it', () => {
    fc.assert(
      fc.property(someItems, (items) => {
        const { types, discriminator } = known(items);
        fc.pre(discriminator === undefined);
        for (const field of types[0]?.fields ?? []) {
          const missing = items.filter(
            (item) => !Object.hasOwn(item, field.name) || item[field.name] === null,
          );
          expect([field.required, field.missingCount]).toEqual([
            missing.length === 0,
            missing.length,
          ]);
        }
      }),
    );
  });
});

describe('several types in one source', () => {
  const shop = [
    { id: '1', kind: 'skein', name: 'Lace', grams: 100 },
    { id: '2', kind: 'tool', name: 'Spindle', material: 'ash' },
    { id: '3', kind: 'skein', name: 'Sock', grams: 50 },
    { id: '4', kind: 'tool', name: 'Reel', material: 'oak' },
  ];

  test('are told apart by the field that splits the shapes', () => {
    const { discriminator, types } = known(shop);
    expect(discriminator).toBe('kind');
    expect(types.map((type) => [type.value, type.count, type.fields.length])).toEqual([
      ['skein', 2, 4],
      ['tool', 2, 4],
    ]);
  });

  test('a field that differs in every item is no sign of types', () => {
    expect(known([{ id: 'a', x: 1 }, { id: 'b' }]).discriminator).toBeUndefined();
  });

  test('a field with few values that splits nothing does not make types', () => {
    const { discriminator } = known([
      { id: '1', colour: 'madder', note: 'x' },
      { id: '2', colour: 'woad' },
      { id: '3', colour: 'madder' },
      { id: '4', colour: 'woad', note: 'y' },
    ]);
    expect(discriminator).toBeUndefined();
  });
});

describe('the key', () => {
  test('is a field that tells all items apart, by its name first', () => {
    expect(
      known([
        { name: 'a', id: 7 },
        { name: 'b', id: 8 },
      ]).key,
    ).toBe('id');
    expect(
      known([
        { name: 'a', stock: 1 },
        { name: 'b', stock: 1 },
      ]).key,
    ).toBe('name');
  });

  test('that repeats is kept, and the two items are named', () => {
    const { key, findings } = known([{ id: 'a' }, { id: 'b' }, { id: 'a' }]);
    expect(key).toBe('id');
    expect(findings).toMatchObject([{ code: 'key-repeats', place: { item: 2 } }]);
    expect(findings[0]?.message).toContain('Items 1 and 3');
  });

  test('is no measure, even where the items stand in its order', () => {
    const items = Array.from({ length: 30 }, (_, at) => ({
      plate: `w-${at}`,
      called: `Wool ${at}`,
      turns: 25 + at,
      grams: 50 + at,
    }));
    expect(known(items).key).toBe('plate');
    expect(known(items.map(({ grams, turns }) => ({ grams, turns }))).key).toBe('turns');
  });

  test('that is not there is said', () => {
    expect(known([{ n: 1 }, { n: 1 }]).findings).toMatchObject([{ code: 'no-key' }]);
    expect(itemKeys([{ id: 'a' }, {}], 'id', 'stock').findings).toMatchObject([
      { code: 'key-missing' },
    ]);
  });

  test('gives every item a text of its own, whatever the items', () => {
    fc.assert(
      fc.property(someItems, fc.constantFrom('id', 'name', '__proto__', null), (items, field) => {
        const keys = itemKeys(items, field, 'stock');
        const texts = items.map((_, index) => keys.at(index));
        fc.pre(!texts.some((text) => /#\d+$/.test(text.replace(/#\d+$/, ''))));
        expect(texts.every((text) => text !== '')).toBe(true);
      }),
    );
  });
});

test('what all items say alike names none of them', () => {
  const items = ['Mill', 'Ford', 'Fell'].map((town) => ({ sort: 'Place of interest', town }));
  expect(likelyTitle(known(items).types[0]?.fields ?? [], items)).toEqual(['town']);
});

test.each([
  [{ id: 'sk-1', kind: 'skein', name: 'Merino lace', maker: 'Hollow Fell' }, 'name'],
  [{ sku: '8812', headline: 'Open dye house', body: 'All day long, in the yard.' }, 'headline'],
  [{ url: 'https://example.org/x', words: 'Soft and even' }, 'words'],
  [{ n: 1, of: 2 }, 'n'],
  [{ code: 'AT', name: { common: 'Upper Fell', official: 'The Fell' } }, 'name.common'],
  [{ type: 'Feature', properties: { place: 'By the mill', kind: 'well' } }, 'properties.place'],
])('the likeliest title of %o is %s', (item, title) => {
  const { types } = known([item, { ...item }]);
  expect(likelyTitle(types[0]?.fields ?? [], [item])?.join('.')).toBe(title);
});

test('a key says why it is one', () => {
  expect(keyReason('id', 400)).toBe('called like a key, and another in each of 400 items');
  expect(keyReason('town', 3)).toContain('no measure or remark');
  expect(keyReason(['day', 'shop'], 3)).toContain('no field alone tells all 3 items apart');
});
