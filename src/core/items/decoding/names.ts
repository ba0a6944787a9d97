import type { DateNames } from './pattern';

const made = new Map<string, DateNames>();

/** Months and halves of the day by `Intl` (ECMA-402), long and short, with and without a dot. */
export function dateNames(locale: string): DateNames {
  const known = made.get(locale);
  if (known !== undefined) return known;
  const names = { months: monthNames(locale), halves: halfNames(locale) };
  made.set(locale, names);
  return names;
}

function monthNames(locale: string): string[][] {
  return Array.from({ length: 12 }, (_, month) => {
    const date = new Date(Date.UTC(2026, month, 1));
    const words = (['long', 'short'] as const).flatMap((style) => [
      // Some languages have other names beside a day than alone.
      part(locale, date, { month: style }, 'month'),
      part(locale, date, { day: 'numeric', month: style }, 'month'),
    ]);
    return withAndWithoutDot(words);
  });
}

function halfNames(locale: string): [string[], string[]] {
  const half = (hour: number) =>
    part(
      locale,
      new Date(Date.UTC(2026, 0, 1, hour)),
      { hour: 'numeric', hour12: true },
      'dayPeriod',
    );
  return [withAndWithoutDot([half(9), 'am', 'a.m.']), withAndWithoutDot([half(15), 'pm', 'p.m.'])];
}

function part(
  locale: string,
  date: Date,
  options: Intl.DateTimeFormatOptions,
  type: 'month' | 'dayPeriod',
): string {
  const parts = new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' }).formatToParts(
    date,
  );
  return parts.find((each) => each.type === type)?.value ?? '';
}

function withAndWithoutDot(words: readonly string[]): string[] {
  const all = words.flatMap((word) => [word, word.replace(/\.$/, '')]);
  return [...new Set(all.filter((word) => word !== ''))];
}
