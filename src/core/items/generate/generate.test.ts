import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { atOnce } from '../../base';
import type { Field } from '../../values';
import { infer } from '../infer';
import type { Item } from '../item';
import { type GeneratorTask, itemGenerator, nastyItems } from '.';

const stock: readonly Item[] = Array.from({ length: 60 }, (_, i) =>
  i % 3 === 0
    ? {
        id: `to-${i}`,
        kind: 'tool',
        name: `Drop spindle ${['ash', 'oak'][i % 2]}`,
        wood: ['ash', 'oak'][i % 2] ?? '',
      }
    : {
        id: `sk-${i}`,
        kind: 'skein',
        name: `Merino lace in ${['weld', 'woad', 'madder'][i % 3]} number ${i}`,
        price: 8 + (i % 7) * 1.5,
        grams: (i % 4) * 25,
        dyed: i % 5 === 0 ? null : `2026-03-${10 + (i % 9)}`,
        maker: { town: ['Ousby', 'Alston'][i % 2] ?? '' },
        lots: Array.from({ length: i % 3 }, (_, n) => ({ n })),
      },
);
const task: GeneratorTask = { seed: 7, key: ['id'], discriminator: 'kind', rules: {} };
const make = (count: number, more: Partial<GeneratorTask> = {}) => {
  const next = itemGenerator(stock, { ...task, ...more });
  return Array.from({ length: count }, next);
};

describe('made items', () => {
  test('the same seed makes the same, another makes others', () => {
    expect(make(50)).toEqual(make(50));
    expect(make(50)).not.toEqual(make(50, { seed: 8 }));
  });

  test('they are of the types of those that are there, and their keys tell them apart', () => {
    const shapeOf = (items: readonly Item[]) => {
      const { types, key, discriminator } = atOnce(infer(items, 'x'));
      const names = types.map((type) => [
        type.value,
        type.fields.map((f) => [f.name, f.type]).sort(),
      ]);
      return { key, discriminator, names: names.sort() };
    };
    expect(shapeOf(make(2_000))).toEqual(shapeOf(stock));
  });

  test('numbers and lengths stay within what was found, missing ones stay as frequent', () => {
    const skeins = make(3_000).filter((item) => item['kind'] === 'skein');
    for (const item of skeins) {
      expect(item['price']).toBeGreaterThanOrEqual(8);
      expect(item['price']).toBeLessThanOrEqual(17);
    }
    const missing = skeins.filter((item) => item['dyed'] === null).length / skeins.length;
    expect(missing).toBeGreaterThan(0.1);
    expect(missing).toBeLessThan(0.3);
  });

  test('a rule takes the place of the evidence', () => {
    const items = make(40, {
      discriminator: null,
      rules: {
        price: { make: 'amounts', from: 1, to: 2, decimals: 2 },
        dyed: { make: 'dates', around: '2026-11-25', days: 3 },
        picture: { make: 'in turn', values: ['a.svg', 'b.svg'] },
        lots: { make: 'list', max: 2, of: { make: 'names' } },
      },
    });
    for (const [index, item] of items.entries()) {
      expect(Number(item['price'])).toBeGreaterThanOrEqual(1);
      expect(String(item['dyed'])).toMatch(/^2026-11-2[2-8]$/);
      expect(item['picture']).toBe(index % 2 === 0 ? 'a.svg' : 'b.svg');
    }
  });

  test('whatever the items are, making more does not throw', () => {
    const items = fc.array(fc.dictionary(fc.string(), fc.jsonValue(), { maxKeys: 4 }), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(items, fc.integer(), (like, seed) => {
        const next = itemGenerator(like as Item[], { ...task, seed, discriminator: null, key: [] });
        for (let n = 0; n < 5; n += 1) next();
      }),
    );
  });
});

test('the nasty ones: one trouble at a time, the rest ordinary, every optional field missing', () => {
  const fields: Field[] = [
    { name: 'id', type: 'text', required: true },
    { name: 'name', type: 'text', required: true },
    { name: 'price', type: 'number', required: false },
    { name: 'dyed', from: 'on', type: 'date', required: false, decode: { pattern: 'yyyy-MM-dd' } },
  ];
  const example = { id: 'sk-1', name: 'Lace', price: 3, on: '2026-03-02' };
  const items = nastyItems([{ name: 'skein', value: null, fields }], () => example, {
    key: ['id'],
    discriminator: null,
  });
  const byKey = new Map(items.map((item) => [item['id'], item]));
  expect(byKey.get('nasty skein: empty text')).toMatchObject({ name: '', price: 3 });
  expect(byKey.get('nasty skein: negative')).toMatchObject({ name: 'Lace', price: -1234.5 });
  expect(byKey.get('nasty skein: far past')).toMatchObject({ on: '0001-01-01' });
  expect(Object.keys(byKey.get('nasty skein: every optional field missing') ?? {})).toEqual([
    'id',
    'name',
  ]);
  expect(byKey.size).toBe(items.length);
});
