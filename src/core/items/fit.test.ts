import { describe, expect, test } from 'vitest';
import { atOnce, type Json } from '../base';
import type { Field } from '../values';
import { reshaper } from './decoding';
import { misfits } from './fit';
import type { Item } from './item';

const fitOf = (raw: readonly Item[], fields: readonly Field[]) => {
  const reshape = reshaper(fields);
  return atOnce(
    misfits({
      source: 'stock',
      raw,
      items: reshape === undefined ? raw : raw.map((item) => reshape(item)),
      typeIndexes: new Uint16Array(raw.length),
      types: [{ name: 'skein', fields }],
      discriminator: null,
    }),
  );
};

describe('items that are not what their type says', () => {
  test('lack a value that every item should have', () => {
    const found = fitOf(
      [{ name: 'Lace' }, {}, { name: null }],
      [{ name: 'name', type: 'text', required: true }],
    );
    expect(found).toMatchObject([{ code: 'field-missing', place: { item: 1, field: 'name' } }]);
    expect(found[0]?.message).toContain('2 items of stock lack it');
  });

  test('have a value of another kind', () => {
    const found = fitOf(
      [{ grams: 100 }, { grams: '100 g' }, { grams: 2.5 }],
      [{ name: 'grams', type: 'integer', required: true }],
    );
    expect(found).toMatchObject([{ code: 'field-of-other-type', place: { item: 1 } }]);
    expect(found[0]?.message).toContain('the first is "100 g" in item 2');
  });

  test('have a value that the decoding cannot read, and that is not told as missing', () => {
    const found = fitOf(
      [{ made: '24.03.2026' }, { made: '2026-03-24' }],
      [{ name: 'made', type: 'date', required: true, decode: { pattern: 'dd.MM.yyyy' } }],
    );
    expect(found).toMatchObject([{ code: 'not-decoded', place: { item: 1 } }]);
  });

  test.each<[Field['type'], readonly Json[], Json]>([
    ['date', ['2026-03-02', '2026-03-02T10:00:00Z'], 'in spring'],
    ['date', ['2024-02-29'], '2026-02-29'],
    ['datetime', ['2026-03-02T10:00:00+01:00', '2026-03-02'], 'soon'],
    ['time', ['10:30', '10:30:05'], 'noon'],
    ['duration', ['PT1H30M'], 'an hour'],
  ])('have a text that is no %s', (type, right, wrong) => {
    const fields = [{ name: 'made', type, required: true } as Field];
    const found = fitOf(
      [...right, wrong].map((made) => ({ made })),
      fields,
    );
    expect(found).toMatchObject([
      { code: 'field-of-other-type', place: { item: right.length, field: 'made' } },
    ]);
  });

  test('have a value inside a record that the decoding cannot read', () => {
    const on: Field = {
      name: 'on',
      from: 'date',
      type: 'date',
      required: true,
      decode: { pattern: 'dd.MM.yyyy' },
    };
    const found = fitOf(
      [{ at: { date: '24.03.2026' } }, { at: { date: 'soon' } }, {}],
      [{ name: 'at', type: 'record', required: false, fields: [on] }],
    );
    expect(found).toMatchObject([{ code: 'not-decoded', place: { item: 1, field: 'at.on' } }]);
    expect(found[0]?.message).toContain('1 value of "at.on"');
  });

  test('are of no type that is known', () => {
    const raw: readonly Item[] = [{ kind: 'skein' }, { kind: 'tool' }, {}];
    const found = atOnce(
      misfits({
        source: 'stock',
        raw,
        items: raw,
        typeIndexes: Uint16Array.from([0, 1, 1]),
        types: [{ name: 'skein', fields: [{ name: 'kind', type: 'text', required: true }] }],
        discriminator: 'kind',
      }),
    );
    expect(found).toMatchObject([{ code: 'items-typeless', place: { item: 1 } }]);
    expect(found[0]?.message).toContain('"kind" is "tool" in item 2');
  });

  test.each<[Field['type'], Json, boolean]>([
    ['text', 12, true],
    ['text', { a: 1 }, false],
    ['number', 1.5, true],
    ['number', '1.5', false],
    ['boolean', 'yes', false],
    ['date', '2026-03-24', true],
    ['date', 20260324, false],
    ['unknown', [1], true],
  ])('%s takes %j: %s', (type, value, isFit) => {
    const field = { name: 'x', required: true, type } as Field;
    expect(fitOf([{ x: value }], [field]).length).toBe(isFit ? 0 : 1);
  });
});
