import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { datePattern } from '../../src/core/formats/dates/date-pattern';
import { datePattern as readingPattern } from '../../src/core/items/decoding/pattern';

function written(pattern: string, iso: string, zone = 'UTC', locale = 'en'): string {
  const made = datePattern(pattern, locale);
  return made.ok ? made.value.write(Date.parse(iso), zone).replace(/\s/g, ' ') : made.error;
}

/** The table of date format pattern examples and the date field symbols. Source: UTS 35, part 4. */
describe('the published examples of UTS 35', () => {
  const at = '1996-07-10T22:08:56.235Z';
  test.each([
    ['h:mm a', '3:08 PM'],
    ["EEEE, MMMM d, ''yy", "Wednesday, July 10, '96"],
    ["yyyy.MM.dd 'at' HH:mm:ss zzz", '1996.07.10 at 15:08:56 PDT'],
    ["EEE, MMM d, ''yy", "Wed, Jul 10, '96"],
    ["hh 'o''clock' a, zzzz", "03 o'clock PM, Pacific Daylight Time"],
    ['K:mm a', '3:08 PM'],
    ['yyyyy.MMMM.dd hh:mm a', '01996.July.10 03:08 PM'],
  ])('%s', (pattern, text) => {
    expect(written(pattern, at, 'America/Los_Angeles')).toBe(text);
  });
});

describe('the fields of UTS 35', () => {
  const at = '2017-09-02T03:07:05.123Z';
  test.each([
    ['y', '2017'],
    ['yy', '17'],
    ['yyy', '2017'],
    ['yyyyy', '02017'],
    ['u', '2017'],
    ['Q', '3'],
    ['QQ', '03'],
    ['M', '9'],
    ['MM', '09'],
    ['MMM', 'Sep'],
    ['MMMM', 'September'],
    ['MMMMM', 'S'],
    ['LLL', 'Sep'],
    ['d', '2'],
    ['dd', '02'],
    ['D', '245'],
    ['E', 'Sat'],
    ['EEE', 'Sat'],
    ['EEEE', 'Saturday'],
    ['EEEEE', 'S'],
    ['a', 'AM'],
    ['h', '3'],
    ['hh', '03'],
    ['H', '3'],
    ['HH', '03'],
    ['K', '3'],
    ['k', '3'],
    ['m', '7'],
    ['mm', '07'],
    ['s', '5'],
    ['ss', '05'],
    ['S', '1'],
    ['SS', '12'],
    ['SSS', '123'],
    ['SSSS', '1230'],
    ['Z', '+0000'],
    ['ZZZZ', 'GMT'],
    ['ZZZZZ', 'Z'],
    ['X', 'Z'],
    ['XX', 'Z'],
    ['XXX', 'Z'],
    ['x', '+00'],
    ['xx', '+0000'],
    ['xxx', '+00:00'],
    ["''", "'"],
    ["'week' d", 'week 2'],
    ['d. MMMM', '2. September'],
  ])('%s', (pattern, text) => {
    expect(written(pattern, at)).toBe(text);
  });

  test.each([
    ['Z', '-0700'],
    ['ZZZZ', 'GMT-07:00'],
    ['ZZZZZ', '-07:00'],
    ['X', '-07'],
    ['XX', '-0700'],
    ['XXX', '-07:00'],
  ])('%s behind Greenwich', (pattern, text) => {
    expect(written(pattern, '2026-07-01T00:00:00Z', 'America/Los_Angeles')).toBe(text);
  });

  test.each([
    ['h', '2026-03-02T00:30:00Z', '12'],
    ['K', '2026-03-02T12:30:00Z', '0'],
    ['k', '2026-03-02T00:30:00Z', '24'],
    ['H', '2026-03-02T00:30:00Z', '0'],
    ['D', '2024-12-31T00:00:00Z', '366'],
    ['yy', '2005-01-01T00:00:00Z', '05'],
  ])('%s at %s', (pattern, iso, text) => {
    expect(written(pattern, iso)).toBe(text);
  });

  test('months beside a day and alone, and digits, are the language’s own', () => {
    expect(written('d MMMM', '2026-03-02T00:00:00Z', 'UTC', 'ru')).toBe('2 марта');
    expect(written('LLLL', '2026-03-02T00:00:00Z', 'UTC', 'ru')).toBe('март');
    expect(written('d', '2026-03-12T00:00:00Z', 'UTC', 'ar-EG')).toBe('١٢');
  });

  test.each(['J', 'yyyy-bb', 'ddd', 'B', 'MMMMMM', 'EEEEEEE', 'mmm', 'ggg'])(
    '%s is refused',
    (pattern) => {
      expect(datePattern(pattern, 'en').ok).toBe(false);
    },
  );
});

test('both readers of patterns take every pattern apart alike', () => {
  const names = { months: [], halves: [[], []] } as const;
  const pieces = fc.array(fc.constantFrom("'", "''", "'T'", ':', ' ', '/', "'1''2'"));
  fc.assert(
    fc.property(pieces, (all) => {
      const pattern = `yyyy-MM-dd${all.join('')}.`;
      const iso = '2017-09-02T03:07:00Z';
      const reader = readingPattern(pattern, names);
      // A quote that is not closed leaves the T of the next outside, where it is no field.
      if (reader.ok) expect(reader.value.read(written(pattern, iso)).ok).toBe(true);
      else expect(written(pattern, iso)).toContain('no field that can be');
    }),
  );
  expect(written("HH''''mm", '2017-09-02T03:07:00Z')).toBe("03''07");
});
