import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { durationOfSeconds, type Json, secondsOfDuration } from '../../base';
import type { Decoding, Field } from '../../values';
import {
  betterReading,
  decoder,
  isThere,
  proposeDecodings,
  reshaper,
  settledWay,
  slipsIn,
  typeDecoded,
  whyNotDecoded,
} from '.';

const decode = (decoding: Decoding, raw: Json) => {
  const made = decoder(decoding);
  if (!made.ok) throw new Error(made.error);
  const value = made.value(raw);
  return value.ok ? value.value : `not: ${value.error}`;
};

describe('dates by Unicode patterns', () => {
  test.each<[string, string, Json]>([
    ['yyyy-MM-dd', '2026-03-02', '2026-03-02'],
    ['d MMM yyyy', '2 Mar 2026', '2026-03-02'],
    ['d MMM yyyy', '2 march 2026', '2026-03-02'],
    ['EEE, d MMM yyyy', 'Mon, 2 Mar 2026', '2026-03-02'],
    ['M/d/yy', '3/2/26', '2026-03-02'],
    ['M/d/yy', '3/2/76', '1976-03-02'],
    ['yyyyMMdd', '20260302', '2026-03-02'],
    ["yyyy-MM-dd'T'HH:mm:ssX", '2026-03-02T10:30:00+02:00', '2026-03-02T08:30:00Z'],
    ["yyyy-MM-dd'T'HH:mm:ss.SSSX", '2026-03-02T10:30:00.250Z', '2026-03-02T10:30:00.250Z'],
    ['yyyy-MM-dd HH:mm', '2026-03-02 10:30', '2026-03-02T10:30:00'],
    ['h:mm a', '12:05 AM', '00:05:00'],
    ['h:mm a', '12:05 p.m.', '12:05:00'],
    ["h 'o''clock' a", "3 o'clock pm", '15:00:00'],
    ['yyyy-MM-dd', '2026-02-29', 'not: there is no day 29 in that month'],
    ['yyyy-MM-dd', '2024-02-29', '2024-02-29'],
    ['yyyy-MM-dd', 'spring', 'not: “spring” does not fit there'],
    ['yyyy-MM-dd', '2026-03-02 late', 'not: “ late” is left over'],
    ['yyyy-MM-dd', '2026-03', 'not: it ends too soon'],
    ['HH:mm', '24:10', 'not: there is no hour 24'],
  ])('%s reads %s', (pattern, text, expected) => {
    expect(decode({ pattern }, text)).toBe(expected);
  });

  test('names of months in other languages', () => {
    expect(decode({ pattern: 'd. MMMM yyyy', locale: 'de' }, '2. März 2026')).toBe('2026-03-02');
    expect(decode({ pattern: 'd MMM yyyy', locale: 'fr' }, '14 févr. 2026')).toBe('2026-02-14');
  });

  test('every date that is written by a pattern is read again', () => {
    const days = fc.date({
      min: new Date('0100-01-01'),
      max: new Date('9999-12-31'),
      noInvalidDate: true,
    });
    fc.assert(
      fc.property(days, fc.constantFrom('en', 'de', 'fr', 'sv', 'it'), (date, locale) => {
        const iso = date.toISOString().slice(0, 10);
        const [year, month, day] = iso.split('-');
        expect(decode({ pattern: 'dd/MM/yyyy' }, `${day}/${month}/${year}`)).toBe(iso);
        const words = new Intl.DateTimeFormat(locale, { month: 'long', timeZone: 'UTC' });
        const text = `${Number(day)} ${words.format(date)} ${year}`;
        expect(decode({ pattern: 'd MMMM yyyy', locale }, text)).toBe(iso);
        const stamp = date.toISOString().replace('.000Z', 'Z');
        const pattern = stamp.includes('.')
          ? "yyyy-MM-dd'T'HH:mm:ss.SSSX"
          : "yyyy-MM-dd'T'HH:mm:ssX";
        expect(decode({ pattern }, stamp)).toBe(stamp);
      }),
    );
  });

  test('no text makes a pattern throw, and what is read is a date of the calendar', () => {
    fc.assert(
      fc.property(fc.string(), fc.stringMatching(/^[\dyMdHmsa:./ -]{0,20}$/), (text, pattern) => {
        const made = decoder({ pattern });
        for (const each of [text, pattern]) {
          const value = made.ok ? made.value(each) : undefined;
          if (value?.ok && typeDecoded({ pattern }) === 'date')
            expect(new Date(`${value.value}T00:00:00Z`).toISOString()).toContain(value.value);
        }
      }),
    );
  });

  test.each([
    ['yyyy-mm-dd', 'yyyy-MM-dd'],
    ['YYYY-MM-dd', 'yyyy-MM-dd'],
    ['yyyy-MM-DD', 'yyyy-MM-dd'],
    ['hh:mm', 'HH:mm'],
    ['HH:MM', 'HH:mm'],
  ])('the slip in %s is caught', (pattern, instead) => {
    expect(slipsIn(pattern)).toContainEqual(expect.objectContaining({ instead }));
  });

  test.each(['yyyy-MM-dd', "d MMM yyyy 'at' h:mm a", 'HH:mm:ss.SSS'])(
    '%s has no slip',
    (pattern) => {
      expect(slipsIn(pattern)).toEqual([]);
    },
  );
});

test.each<[Decoding, Json, Json]>([
  [{ epoch: 'seconds' }, 1_772_409_600, '2026-03-02T00:00:00Z'],
  [{ epoch: 'milliseconds' }, '1772409600000', '2026-03-02T00:00:00Z'],
  [{ epoch: 'seconds' }, 1e300, 'not: beyond the years that a date can have'],
  [{ decimal: ',' }, '1.234,50', 1234.5],
  [{ decimal: ',' }, '1 234,5', 1234.5],
  [{ decimal: '.' }, "1'234.5", 1234.5],
  [{ decimal: ',' }, '12.34', 'not: not a number'],
  [{ yes: ['ja'], no: ['nein'] }, 'JA', true],
  [{ yes: ['ja'], no: ['nein'] }, 'vielleicht', 'not: neither of the words'],
])('%o reads %o', (decoding, raw, expected) => {
  expect(decode(decoding, raw)).toBe(expected);
});

describe('proposals from the values', () => {
  const first = (name: string, values: readonly Json[]) => proposeDecodings(name, values)[0];
  test('a pattern, with what does not fit counted', () => {
    expect(first('dyed', ['2026-03-02', '2025-12-05', 'spring'])).toEqual({
      decoding: { pattern: 'yyyy-MM-dd' },
      fits: 2,
      of: 3,
    });
  });
  test('day and month are not guessed where the values do not settle them', () => {
    const both = proposeDecodings('on', ['03/02/2026', '05/06/2026']);
    expect(both.map((each) => 'pattern' in each.decoding && each.decoding.pattern)).toEqual(
      expect.arrayContaining(['dd/MM/yyyy', 'MM/dd/yyyy']),
    );
    const settled = proposeDecodings('on', ['03/02/2026', '25/06/2026']);
    expect(settled[0]?.decoding).toEqual({ pattern: 'dd/MM/yyyy' });
  });
  test('epochs by name and size, decimal commas, words for yes and no', () => {
    expect(first('createdAt', [1_772_409_600, 1_772_409_601])?.decoding).toEqual({
      epoch: 'seconds',
    });
    expect(first('grams', [1_772_409_600])).toBeUndefined();
    expect(first('price', ['14,50', '1.200,00'])?.decoding).toEqual({ decimal: ',' });
    expect(first('in stock', ['ja', 'nein', 'ja'])?.decoding).toMatchObject({ yes: ['ja', 'j'] });
  });
  test('nothing for plain texts', () => {
    expect(proposeDecodings('name', ['Merino lace', 'Alpaca mist 2'])).toEqual([]);
  });
});

describe('items as their type wants them', () => {
  const text = (name: string, more: Partial<Field> = {}): Field =>
    ({ name, type: 'text', required: true, ...more }) as Field;

  test('nothing to do: items stay as they were read', () => {
    expect(reshaper([text('name')])).toBeUndefined();
  });

  test('fields under other names, decoded, also inside records and lists', () => {
    const reshape = reshaper([
      text('title', { from: 'name' }),
      {
        name: 'maker',
        required: true,
        type: 'record',
        fields: [text('since', { decode: { pattern: 'd.M.yyyy' } })],
      },
      {
        name: 'lots',
        required: true,
        type: 'list',
        of: { type: 'record', fields: [text('n', { from: 'no' })] },
      },
    ]);
    const item = {
      id: 1,
      name: 'Lace',
      title: 'old',
      maker: { since: '2.3.2026' },
      lots: [{ no: 'a' }],
    };
    expect(reshape?.(item)).toEqual({
      id: 1,
      title: 'Lace',
      maker: { since: '2026-03-02' },
      lots: [{ n: 'a' }],
    });
  });

  test('two fields can swap names', () => {
    expect(
      reshaper([text('a', { from: 'b' }), text('b', { from: 'a' })])?.({ a: '1', b: '2' }),
    ).toEqual({
      a: '2',
      b: '1',
    });
  });

  test('what does not decode is missing, and says why', () => {
    const field: Field = {
      name: 'on',
      type: 'date',
      required: true,
      decode: { pattern: 'yyyy-MM-dd' },
    };
    expect(reshaper([field])?.({ on: 'spring' })).toEqual({});
    expect(whyNotDecoded(field, 'spring')).toBe(
      '"spring" is not a date: “spring” does not fit there',
    );
    expect(whyNotDecoded(field, '2026-03-02')).toBeUndefined();
  });

  test('__proto__ is only a name', () => {
    const item = JSON.parse('{"__proto__": "x", "a": "1"}');
    const out = reshaper([text('b', { from: 'a' })])?.(item);
    expect(JSON.stringify(out)).toBe('{"__proto__":"x","b":"1"}');
  });
});

const valuesOf = (values: readonly Json[]): Parameters<typeof betterReading>[2] => ({
  itemCount: values.length,
  of: (every) => values.filter((value, at) => at % every === 0 && isThere(value)),
});

describe('a decoding that the values settle', () => {
  test.each<[readonly string[], unknown]>([
    // Two patterns that read all of them alike are one.
    [['24.03.2026', '01.04.2026'], { pattern: 'dd.MM.yyyy' }],
    [['1,5', '', '0,75'], { decimal: ',' }],
    // Day and month could be the other way round.
    [['01/02/2026', '03/04/2026'], undefined],
    [['01/02/2026', '13/04/2026'], { pattern: 'dd/MM/yyyy' }],
    [['24.03.2026', 'in spring'], undefined],
    [['', ' '], undefined],
  ])('%j', (values, decoding) => {
    const reading = betterReading(['sent'], 'text', valuesOf(values));
    expect(reading && settledWay(reading)).toEqual(decoding);
  });

  test('is found wherever the values stand that settle it', () => {
    const paid = Array.from({ length: 5_000 }, (_, at) => (at < 4_000 ? 'Y' : 'N'));
    const reading = betterReading(['paid'], 'text', valuesOf(paid));
    expect(reading && settledWay(reading)).toMatchObject({ yes: ['yes', 'y'] });
  });

  test('makes numbers of what is text only for empty texts among them', () => {
    const density = valuesOf([0.5, '', 7]);
    expect(betterReading(['density'], 'text', density)?.ways[0]?.decoding).toEqual({
      decimal: '.',
    });
    expect(betterReading(['density'], 'number', density)).toBeUndefined();
  });

  test('an empty text is no value that failed', () => {
    const field = { name: 'x', type: 'number', required: false, decode: { decimal: ',' } } as const;
    expect(reshaper([field])?.({ x: '' })).toEqual({});
    expect(whyNotDecoded(field, '')).toBeUndefined();
    expect(whyNotDecoded(field, 'few')).toMatch(/few/);
  });
});

describe('durations', () => {
  test.each<[Decoding, Json, Json]>([
    [{ duration: 'minutes' }, 95, 'PT1H35M'],
    [{ duration: 'minutes' }, '95', 'PT1H35M'],
    [{ duration: 'seconds' }, 1.5, 'PT1.5S'],
    [{ duration: 'hours' }, 49, 'P2DT1H'],
    [{ duration: 'milliseconds' }, 0, 'PT0S'],
    [{ duration: 'seconds' }, -90, '-PT1M30S'],
    [{ duration: 'clock' }, '4:30', 'PT4M30S'],
    [{ duration: 'clock' }, '75:00', 'PT1H15M'],
    [{ duration: 'clock' }, '1:04:30', 'PT1H4M30S'],
    [{ duration: 'clock' }, '4:75', 'not: not minutes and seconds with : between'],
    [{ duration: 'iso' }, 'PT90M', 'PT90M'],
    [{ duration: 'iso' }, 'ninety', 'not: no duration such as PT1H30M'],
    [{ duration: 'minutes' }, 'ninety', 'not: not a number'],
  ])('%j of %j', (decoding, raw, wanted) => {
    expect(decode(decoding, raw)).toBe(wanted);
    expect(typeDecoded(decoding)).toBe('duration');
  });

  test('are as many seconds as they were, to the millisecond', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e9, max: 1e9 }), (milliseconds) => {
        const text = durationOfSeconds(milliseconds / 1_000);
        expect(secondsOfDuration(text)).toBeCloseTo(milliseconds / 1_000, 3);
      }),
    );
  });

  test('are offered for texts of ISO 8601, and for clocks that run past a day or are called so', () => {
    const offered = (name: string, values: readonly string[]) =>
      proposeDecodings(name, values).map((each) => each.decoding);
    expect(offered('took', ['PT4M', 'P1DT2H'])).toEqual([{ duration: 'iso' }]);
    expect(offered('lap', ['31:10', '75:02'])).toEqual([{ duration: 'clock' }]);
    expect(offered('duration', ['4:30', '5:10'])).toContainEqual({ duration: 'clock' });
    expect(offered('opens', ['08:30', '10:15'])).not.toContainEqual({ duration: 'clock' });
  });
});

describe('numbers that lose digits', () => {
  test('are not proposed, and are missing with the reason where one asks for them', () => {
    const ids = ['9007199254740993', '12345678901234567890'];
    expect(proposeDecodings('id', ids)).toEqual([]);
    const made = decoder({ decimal: '.' });
    expect(made.ok && made.value(ids[0] ?? '')).toEqual({
      ok: false,
      error: 'of more digits than a number can hold',
    });
    expect(made.ok && made.value('+9007199254740992')).toEqual({ ok: true, value: 2 ** 53 });
  });
});
