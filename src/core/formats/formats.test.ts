import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Value } from '../values';
import { families, itemOptions, makeFormatter, NoText } from '.';
import type { Format } from './format';

const locales = (
  'en en-GB en-IN de de-AT de-CH fr fr-CA fr-CH es es-MX it pt pt-PT nl sv da nb fi pl cs sk hu ro bg ' +
  'el tr ru uk ar ar-EG he fa hi bn th vi id ja ko zh zh-TW'
).split(' ');

const around = { item: { currency: 'SEK', n: 3 }, now: '2026-03-02T10:00:00Z', options: {} };

function written(format: Format, value: Value, locale = 'en', more = {}): string {
  const text = makeFormatter(format, locale)(value, { ...around, ...more });
  return text instanceof NoText ? `no text: ${text.reason}` : text;
}

test('there are forty locales to hold against', () => {
  expect(locales.length).toBeGreaterThanOrEqual(40);
});

describe.each(locales)('numbers and dates in %s are as Intl writes them', (locale) => {
  const amount = fc.oneof(
    fc.constantFrom(0, -0, 1, 2, 5, 11, 21, 0.5, 1_234_567.891, -14.5, 1e21, 1e-7),
    fc.double({ noNaN: true, noDefaultInfinity: true }),
    fc.integer({ min: -2_000, max: 2_000 }),
  );
  const day = fc.date({
    min: new Date('0100-01-01'),
    max: new Date('9998-12-31'),
    noInvalidDate: true,
  });

  test('numbers, percents, money, units', () => {
    const cases: readonly [Format, Intl.NumberFormatOptions][] = [
      [{ as: 'number' }, {}],
      [
        { as: 'number', minDigits: 2, maxDigits: 2 },
        { minimumFractionDigits: 2, maximumFractionDigits: 2 },
      ],
      [
        { as: 'number', compact: 'short' },
        { notation: 'compact', compactDisplay: 'short' },
      ],
      [
        { as: 'number', grouping: false, sign: 'always' },
        { useGrouping: false, signDisplay: 'always' },
      ],
      [{ as: 'percent' }, { style: 'percent' }],
      [
        { as: 'money', currency: 'EUR' },
        { style: 'currency', currency: 'EUR' },
      ],
      [
        { as: 'money', currency: 'JPY', display: 'name' },
        { style: 'currency', currency: 'JPY', currencyDisplay: 'name' },
      ],
      [
        { as: 'unit', unit: 'gram' },
        { style: 'unit', unit: 'gram', unitDisplay: 'short' },
      ],
    ];
    const made = cases.map(([format, options]) => ({
      text: makeFormatter(format, locale),
      intl: new Intl.NumberFormat(locale, options),
    }));
    fc.assert(
      fc.property(amount, (value) => {
        for (const { text, intl } of made) expect(text(value, around)).toBe(intl.format(value));
      }),
      { numRuns: 60 },
    );
  });

  test('dates and moments', () => {
    const text = makeFormatter({ as: 'date', date: 'long' }, locale);
    const moment = makeFormatter(
      { as: 'date', date: 'short', time: 'medium', zone: 'Asia/Tokyo' },
      locale,
    );
    const long = new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' });
    const there = new Intl.DateTimeFormat(locale, {
      dateStyle: 'short',
      timeStyle: 'medium',
      timeZone: 'Asia/Tokyo',
    });
    fc.assert(
      fc.property(day, (at) => {
        const iso = at.toISOString();
        const midnight = Date.parse(iso.slice(0, 10));
        expect(text(iso.slice(0, 10), around)).toBe(long.format(midnight));
        expect(moment(iso, around)).toBe(there.format(at));
      }),
      { numRuns: 40 },
    );
  });

  test('lists and distances from now', () => {
    const tags = ['woad', 'weld', 'madder'];
    expect(written({ as: 'list' }, tags, locale)).toBe(new Intl.ListFormat(locale).format(tags));
    expect(written({ as: 'relative' }, '2026-03-05', locale)).toBe(
      new Intl.RelativeTimeFormat(locale, { numeric: 'auto' }).format(3, 'day'),
    );
    for (const date of ['2026-05-20', '2025-11-02', '2026-03-03T23:30:00Z'])
      expect(written({ as: 'relative', unit: 'day' }, date, locale)).toMatch(/\p{N}|\p{L}/u);
  });

  test('days from now are counted, however many, by the calendar', () => {
    expect(written({ as: 'relative', unit: 'day' }, '2026-05-20', 'en')).toBe('in 79 days');
    expect(written({ as: 'relative', unit: 'day' }, '2025-12-02', 'en')).toBe('90 days ago');
    expect(written({ as: 'relative', unit: 'day' }, '2026-03-03T00:30:00Z', 'en')).toBe('tomorrow');
  });
});

describe('each family', () => {
  test.each<[Format, Value, string]>([
    [{ as: 'number', maxDigits: 1 }, 14.55, '14.6'],
    [{ as: 'number', minDigits: 2, maxDigits: 1 }, 14.5, '14.50'],
    [{ as: 'percent', of: 100 }, 12.5, '13%'],
    [{ as: 'percent', of: 100, maxDigits: 1 }, 12.5, '12.5%'],
    [{ as: 'money', currency: { expr: 'currency' } }, 14.5, 'SEK 14.50'],
    [{ as: 'unit', unit: 'kilometer-per-hour', width: 'long' }, 30, '30 kilometers per hour'],
    [{ as: 'bytes' }, 0, '0 bytes'],
    [{ as: 'bytes' }, 1, '1 byte'],
    [{ as: 'bytes' }, 999, '999 bytes'],
    [{ as: 'bytes', of: 1024 }, 1_000, '1,000 bytes'],
    [{ as: 'bytes', of: 1024 }, 1_024, '1 kB'],
    [{ as: 'bytes', of: 1024 }, 1_536, '1.5 kB'],
    [{ as: 'bytes', of: 1024 }, 1_048_576, '1 MB'],
    [{ as: 'bytes' }, 47_100_000, '47.1 MB'],
    [{ as: 'bytes' }, -1_500, '-1.5 kB'],
    [{ as: 'date' }, '2026-03-02', 'Mar 2, 2026'],
    [{ as: 'date', time: 'short' }, '14:30', '2:30 PM'],
    [
      { as: 'date', date: 'short', time: 'short', zone: 'Europe/Vienna' },
      '2026-07-01T10:00:00Z',
      '7/1/26, 12:00 PM',
    ],
    [
      { as: 'date', date: 'short', time: 'short', zone: 'Europe/Vienna' },
      '2026-07-01T10:00:00',
      '7/1/26, 10:00 AM',
    ],
    [{ as: 'relative' }, '2026-03-02', 'today'],
    [{ as: 'relative' }, '2026-03-01', 'yesterday'],
    [{ as: 'relative' }, '2026-03-02T09:59:50Z', '10 seconds ago'],
    [{ as: 'relative' }, '2026-03-02T12:40:00Z', 'in 3 hours'],
    [{ as: 'relative', width: 'short' }, '2025-03-02', 'last yr.'],
    [{ as: 'duration' }, 'PT1H30M', '1 hour, 30 minutes'],
    [{ as: 'duration', width: 'short' }, 'P1DT2H', '1 day, 2 hr'],
    [{ as: 'duration', width: 'digital' }, 3_905, '1:05:05'],
    [{ as: 'duration', width: 'digital' }, 65, '1:05'],
    [{ as: 'duration', of: 'minutes', width: 'narrow' }, 95, '1h 35m'],
    [{ as: 'duration' }, 0, '0 seconds'],
    [{ as: 'duration' }, -60, '−1 minute'],
    [{ as: 'list', join: 'or' }, ['woad', null, 3], 'woad or 3'],
    [{ as: 'yesNo', yes: 'sold', no: 'free' }, true, 'sold'],
    [{ as: 'yesNo', yes: 'sold', no: 'free' }, false, 'free'],
    [{ as: 'text', change: 'upper' }, 'straße', 'STRASSE'],
    [{ as: 'text', change: 'sentence' }, 'ébène noir', 'Ébène noir'],
    [{ as: 'text', change: 'title' }, 'merino lace', 'Merino Lace'],
    [{ as: 'text', change: 'initials' }, 'Tamsin de Reeve', 'TDR'],
    [{ as: 'text', change: 'trim' }, '  wool ', 'wool'],
    [{ as: 'message', message: '{$value :number} of {$n}' }, 2, '2 of 3'],
  ])('%j of %j is %s', (format, value, text) => {
    const options = { currency: 'SEK' };
    expect(written(format, value, 'en', { options }).replace(/\s/g, ' ')).toBe(text);
  });

  test('a Turkish i has its own capital', () => {
    expect(written({ as: 'text', change: 'upper' }, 'kırmızı ip', 'tr')).toBe('KIRMIZI İP');
  });

  test.each<[Format, Value, RegExp]>([
    [{ as: 'number' }, 'soon', /"soon" is not a number/],
    [{ as: 'money', currency: { expr: 'currency' } }, 3, /the currency is missing/],
    [{ as: 'money', currency: 'euro' }, 3, /“euro” is no code of a currency/],
    [{ as: 'unit', unit: 'skein' }, 3, /“skein” is no unit/],
    [{ as: 'date' }, '30.02.2026', /is not a date/],
    [{ as: 'date', zone: 'Mars/North' }, '2026-03-02', /“Mars\/North” is no time zone/],
    [{ as: 'date', pattern: 'yyyy-JJ' }, '2026-03-02', /“JJ” is no field/],
    [{ as: 'relative' }, 3, /3 is not a date/],
    [{ as: 'duration' }, 'an hour', /is not a duration/],
    [{ as: 'list' }, 'woad', /is not a list/],
    [{ as: 'yesNo', yes: 'a', no: 'b' }, 1, /is not true or false/],
    [{ as: 'text', change: 'upper' }, ['a'], /is not text/],
    [{ as: 'message', message: '{$value' }, 1, /the message cannot be used/],
    [{ as: 'message', message: '{$dye}' }, 1, /\$dye is missing/],
    [{ as: 'message', message: '{$value :nothing}' }, 1, /no function :nothing/],
  ])('%j of %j says why it has no text', (format, value, reason) => {
    expect(written(format, value)).toMatch(reason);
  });

  test('can be begun with, and takes what it is for', () => {
    for (const family of Object.values(families)) expect(family.draft.as).toBe(family.as);
    expect(families.money.takes({ type: 'integer' })).toBe(true);
    expect(families.list.takes({ type: 'list', of: { type: 'record', fields: [] } })).toBe(false);
    expect(itemOptions({ as: 'money', currency: { expr: 'code' } })).toEqual([
      ['currency', 'code'],
    ]);
  });

  test('gives the same again and again, whatever came between', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ noNaN: true, noDefaultInfinity: true })), (values) => {
        const text = makeFormatter({ as: 'number', maxDigits: 3 }, 'de');
        const once = values.map((value) => text(value, around));
        expect(values.map((value) => text(value, around))).toEqual(once);
      }),
    );
  });
});
