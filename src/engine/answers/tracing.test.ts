import { describe, expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { everything, openShop } from '../../../tests/support/shop';
import { edits } from '../../core/project';
import { trace, tryFormats } from './tracing';

const place = { template: 'stock-plain', part: 'title', property: 'text' } as const;

const goods = [
  { id: 'a', name: 'Lace', price: 14.5, currency: 'EUR' },
  { id: 'b', name: 'Sock', price: 9, currency: 'gold' },
  { id: 'c', name: 'Slub', currency: 'EUR' },
];

function open() {
  const shop = openShop(goods);
  const made = edited(
    shop.project(),
    edits.addFormat({ id: 'money', name: 'Money', as: 'money', currency: { expr: 'currency' } }),
    edits.bind(place, { expr: 'price * 2', format: 'money', else: 'ask' }),
  );
  shop.engine.update(made, everything);
  return shop.engine;
}

const traceOf = (item: number) => trace(open(), place, item);

describe('the trace', () => {
  test('ends with the format and the locale that wrote the value', () => {
    const trace = traceOf(0);
    expect(trace?.steps.map(({ label, shown }) => [label, shown])).toEqual([
      ['price', '14.5'],
      ['*', '29'],
      ['Money (en)', '"€29.00"'],
    ]);
    expect(trace).toMatchObject({ text: '€29.00', instead: undefined });
  });

  test('says why a format has no text for a value, and that the stand-in shows', () => {
    expect(traceOf(1)).toMatchObject({
      text: 'ask',
      instead: [],
      missing: '“gold” is no code of a currency',
    });
  });

  test('of a missing value names the first step that was missing', () => {
    expect(traceOf(2)).toMatchObject({
      text: 'ask',
      instead: [],
      missing: 'this item has no price',
    });
  });
});

describe('formats are tried without touching the project', () => {
  test('by format, locale and item; what has no text says why', () => {
    const written = tryFormats(open(), {
      place,
      expr: 'price',
      formats: [undefined, { as: 'money', currency: { expr: 'currency' } }],
      locales: ['en', 'de'],
      items: [0, 2],
    });
    expect(written.flat(2).map((each) => Object.values(each)[0]?.replace(/\s/g, ' '))).toEqual([
      ...['14.5', 'missing', '14.5', 'missing'],
      ...['€14.50', 'missing', '14,50 €', 'missing'],
    ]);
  });
});

test('all rows are shown in another locale', () => {
  const engine = open();
  engine.showLocale('de');
  const { entries } = engine.view(everything);
  expect(entries.map((entry) => entry.values[0]?.toString().replace(/\s/g, ' '))).toEqual([
    '29,00 €',
    'ask',
    'ask',
  ]);
});

test('a row knows where it stands, and the time', () => {
  const { engine, project } = openShop(goods);
  const words = '`${index + 1} of ${count} on ${now.slice(0, 10)}`';
  engine.update(edited(project(), edits.bind(place, { expr: words })), everything);
  const { entries } = engine.view(everything);
  expect(entries.map((entry) => entry.values[0])).toEqual([
    '1 of 3 on 2026-03-02',
    '2 of 3 on 2026-03-02',
    '3 of 3 on 2026-03-02',
  ]);
});

test('a decoded value is told as it came and as it was read; what is not decoded says why', () => {
  const { engine, project, type } = openShop();
  const decoded = edited(
    project(),
    edits.decodeField({ type: type(), path: ['made'] }, { pattern: 'dd.MM.yyyy' }),
    edits.bind(place, { expr: 'made', else: { expr: 'name' } }),
  );
  engine.update(decoded, everything);
  const stepsOf = (item: number) => trace(engine, place, item);
  expect(stepsOf(0)?.steps.map(({ label, shown }) => [label, shown])).toEqual([
    ['as it came', '"24.03.2026"'],
    ['made, read as dd.MM.yyyy', '"2026-03-24"'],
  ]);
  const missing = stepsOf(2);
  expect(missing?.steps.map(({ shown, isUnread = false }) => [shown, isUnread])).toEqual([
    ['"in spring"', false],
    ['not read', true],
  ]);
  expect(missing?.missing).toContain('in spring');
  expect([missing?.text, missing?.instead?.map(({ shown }) => shown)]).toEqual([
    'Slub',
    ['"Slub"'],
  ]);
});
