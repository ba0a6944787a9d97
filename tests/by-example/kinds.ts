import type { Item } from '../../src/core/items';
import { nounOf, nouns, plural, words } from './vocabulary';
import {
  at,
  dates,
  daysFromNow,
  fromNow,
  list,
  money,
  number,
  numbers,
  text,
  type Write,
  when,
} from './writing';

const textFields = [
  'name',
  'shade',
  'code',
  'maker.name',
  'maker.town',
  'buyer.first',
  'buyer.last',
  'buyer.city',
  'status',
  'note',
  'shelf',
  'id',
];
const wholeFields = [
  'stock',
  'reserved',
  'reviewCount',
  'metres',
  'batch',
  'minutes',
  'views',
  'maker.members',
];
const countFields = ['stock', 'reserved', 'reviewCount', 'maker.members'];
const moneyFields = ['price', 'oldPrice', 'shipping'];
const dateFields = ['dyedOn', 'due'];

export interface Kind {
  readonly weight: number;
  readonly make: (one: One, locale: string) => { readonly what: string; readonly write: Write };
}

export type One = <T>(of: readonly T[]) => T;

/** What a label shows, as often as labels show it. */
export const kinds: readonly Kind[] = [
  { weight: 22, make: (one) => ofText(one(textFields), (value) => value) },
  {
    weight: 3,
    make: (one) => ofText(one(textFields.slice(1)), (value) => value.toUpperCase(), 'upper'),
  },
  {
    weight: 2,
    make: (one) =>
      ofText(
        one(['name', 'maker.name', 'note']),
        (value) => value.split(' ')[0] ?? '',
        'first word',
      ),
  },
  { weight: 2, make: () => ofText('buyer.first', (value) => value.slice(0, 1), 'initial') },
  {
    weight: 14,
    make: (one) =>
      ofNumber(one(moneyFields), (value, item, locale) => money(value, item, locale), 'money'),
  },
  {
    weight: 3,
    make: (one) =>
      ofNumber(
        one(moneyFields),
        (value, _, locale) =>
          numbers(value, locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 }),
        'two digits',
      ),
  },
  {
    weight: 2,
    make: (one) =>
      ofNumber(
        one(moneyFields),
        (value, item, locale) =>
          money(value, item, locale, { minimumFractionDigits: 0, maximumFractionDigits: 0 }),
        'whole money',
      ),
  },
  {
    weight: 10,
    make: (one) =>
      ofNumber(one(wholeFields), (value, _, locale) => numbers(value, locale), 'grouped'),
  },
  {
    weight: 2,
    make: (one) => ofNumber(one(['year', 'maker.since']), (value) => String(value), 'plain'),
  },
  {
    weight: 8,
    make(one, locale) {
      const field = one([...countFields, 'reviews', 'lines', 'tags']);
      const all = nouns[locale] ?? [];
      const noun = all[nounOf[field] ?? 1] ?? one(all);
      return {
        what: `plural ${field}`,
        write: (item) => {
          const own = at(item, field);
          const count = Array.isArray(own) ? own.length : typeof own === 'number' ? own : undefined;
          return when(count, (value) => plural(value, noun, locale));
        },
      };
    },
  },
  {
    weight: 4,
    make: () =>
      ofNumber(
        'grams',
        (value, _, locale) =>
          numbers(value, locale, { style: 'unit', unit: 'gram', unitDisplay: 'short' }),
        'unit',
      ),
  },
  {
    weight: 2,
    make: () =>
      ofNumber(
        'distanceKm',
        (value, _, locale) =>
          numbers(value, locale, { style: 'unit', unit: 'kilometer', unitDisplay: 'short' }),
        'unit',
      ),
  },
  {
    weight: 1,
    make: () =>
      ofNumber(
        'minutes',
        (value, _, locale) =>
          numbers(value, locale, { style: 'unit', unit: 'minute', unitDisplay: 'long' }),
        'long unit',
      ),
  },
  {
    weight: 1,
    make: () =>
      ofNumber(
        'celsius',
        (value, _, locale) =>
          numbers(value, locale, { style: 'unit', unit: 'celsius', unitDisplay: 'short' }),
        'unit',
      ),
  },
  {
    weight: 3,
    make: (one) =>
      ofNumber(
        one(['rating', 'needles']),
        (value, _, locale) =>
          numbers(value, locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 }),
        'one digit',
      ),
  },
  {
    weight: 4,
    make: () =>
      ofNumber(
        'discount',
        (value, _, locale) => numbers(value, locale, { style: 'percent' }),
        'percent',
      ),
  },
  {
    weight: 1,
    make: () =>
      ofNumber(
        'cotton',
        (value, _, locale) => numbers(value / 100, locale, { style: 'percent' }),
        'percent of 100',
      ),
  },
  {
    weight: 2,
    make: () =>
      ofNumber(
        'views',
        (value, _, locale) => numbers(value, locale, { notation: 'compact' }),
        'compact',
      ),
  },
  {
    weight: 9,
    make: (one) =>
      ofDate(one(dateFields), { dateStyle: one(['short', 'medium', 'long', 'full'] as const) }),
  },
  {
    weight: 3,
    make: (one) =>
      ofDate(
        one(dateFields),
        one([
          { day: 'numeric', month: 'short' },
          { month: 'long', year: 'numeric' },
          { weekday: 'short', day: 'numeric', month: 'short' },
        ] as const),
      ),
  },
  { weight: 3, make: () => ofDate('packedAt', { timeStyle: 'short' }) },
  {
    weight: 2,
    make: (one) =>
      ofText(
        one(['name', 'maker.name', 'note']),
        (value) => value.split(' ').at(-1) ?? '',
        'last word',
      ),
  },
  { weight: 2, make: () => ofText('name', (value) => value.split(', ')[1] ?? '', 'after a comma') },
  { weight: 1, make: () => ofText('id', (value) => value.split('-')[1] ?? '', 'after a dash') },
  { weight: 1, make: () => ofText('code', (value) => value.slice(0, 2), 'first two') },
  {
    weight: 1,
    make: () =>
      ofText('maker.name', (value) => value.slice(0, 3).toUpperCase(), 'first three upper'),
  },
  {
    weight: 2,
    make: () =>
      ofText('note', (value) => (value.length > 12 ? `${value.slice(0, 12)}…` : value), 'cut'),
  },
  {
    weight: 2,
    make: () => ({
      what: 'initials buyer',
      write: (item) =>
        when(
          text(item, 'buyer.first'),
          (given) => given.slice(0, 1) + (text(item, 'buyer.last') ?? '').slice(0, 1),
        ),
    }),
  },
  { weight: 1, make: () => ofNumber('needles', (value) => String(Math.trunc(value)), 'truncated') },
  {
    weight: 1,
    make: () =>
      ofNumber(
        'discount',
        (value, _, locale) => numbers(1 - value, locale, { style: 'percent' }),
        'rest',
      ),
  },
  {
    weight: 2,
    make: (one) => {
      const how = one([' h %m min', ':%2', 'h %2m'] as const);
      return ofNumber(
        'minutes',
        (value) =>
          String(Math.floor(value / 60)) +
          how.replace('%m', String(value % 60)).replace('%2', String(value % 60).padStart(2, '0')),
        `hours${how}`,
      );
    },
  },
  {
    weight: 2,
    make: () => ({
      what: 'days due',
      write: (item, locale) =>
        when(text(item, 'due'), (value) =>
          new Intl.RelativeTimeFormat(locale, { numeric: 'auto' }).format(
            daysFromNow(value),
            'day',
          ),
        ),
    }),
  },
  {
    weight: 1,
    make: (one) => {
      const pick = one([Math.max, Math.min]);
      return {
        what: `${pick.name} stars`,
        write: (item, locale) => {
          const stars = list(item, 'reviews').flatMap((review) => number(review, 'stars') ?? []);
          return stars.length === 0 ? undefined : numbers(pick(...stars), locale);
        },
      };
    },
  },
  {
    weight: 1,
    make: () => ({
      what: 'joined stars',
      write: (item) => {
        const stars = list(item, 'reviews').flatMap((review) => number(review, 'stars') ?? []);
        return stars.length === 0 ? undefined : stars.join(', ');
      },
    }),
  },
  {
    weight: 1,
    make: () => ({
      what: 'last reviewer',
      write: (item) => when(list(item, 'reviews').at(-1), (review) => text(review, 'by') ?? ''),
    }),
  },
  { weight: 2, make: () => ofDate('packedAt', { dateStyle: 'medium', timeStyle: 'short' }) },
  {
    weight: 3,
    make: (one) => {
      const field = one(dateFields);
      return {
        what: `iso-like ${field}`,
        write: (item) =>
          when(
            text(item, field),
            (value) => `${value.slice(8)}.${value.slice(5, 7)}.${value.slice(0, 4)}`,
          ),
      };
    },
  },
  {
    weight: 3,
    make: () => ({
      what: 'relative due',
      write: (item, locale) => when(text(item, 'due'), (value) => fromNow(value, locale)),
    }),
  },
  {
    weight: 2,
    make(one, locale) {
      const pairs = words[locale] ?? [];
      const [yes, no] = one(pairs);
      const field = ['sold', 'urgent', 'organic'][pairs.findIndex((pair) => pair[0] === yes)];
      return {
        what: `words ${field}`,
        write: (item) => (at(item, field ?? '') === true ? yes : no),
      };
    },
  },
  { weight: 2, make: () => ({ what: 'joined tags', write: (item) => joined(item, ', ') }) },
  {
    weight: 1,
    make: () => ({ what: 'listed tags', write: (item, locale) => joined(item, undefined, locale) }),
  },
  {
    weight: 3,
    make: () => ({
      what: 'total of lines',
      write: (item, locale) => {
        const sum = list(item, 'lines').reduce(
          (all, line) => all + (number(line, 'quantity') ?? 0) * (number(line, 'each') ?? 0),
          0,
        );
        return money(sum, item, locale);
      },
    }),
  },
  {
    weight: 2,
    make: () => ({
      what: 'pieces in lines',
      write: (item, locale) =>
        numbers(
          list(item, 'lines').reduce((all, line) => all + (number(line, 'quantity') ?? 0), 0),
          locale,
        ),
    }),
  },
  {
    weight: 2,
    make: () => ({
      what: 'average stars',
      write: (item, locale) => {
        const stars = list(item, 'reviews').flatMap((review) => number(review, 'stars') ?? []);
        if (stars.length === 0) return undefined;
        return numbers(stars.reduce((a, b) => a + b, 0) / stars.length, locale, {
          minimumFractionDigits: 1,
          maximumFractionDigits: 1,
        });
      },
    }),
  },
  {
    weight: 1,
    make: () => ({
      what: 'first reviewer',
      write: (item) => when(list(item, 'reviews')[0], (review) => text(review, 'by') ?? ''),
    }),
  },
  {
    weight: 1,
    make: () => ({
      what: 'free',
      write: (item, locale) =>
        numbers((number(item, 'stock') ?? 0) - (number(item, 'reserved') ?? 0), locale),
    }),
  },
  {
    weight: 1,
    make: () => ({
      what: 'with shipping',
      write: (item, locale) =>
        money((number(item, 'price') ?? 0) + (number(item, 'shipping') ?? 0), item, locale),
    }),
  },
];

function joined(item: Item, join: string | undefined, locale = 'en'): string | undefined {
  const tags = at(item, 'tags');
  const own = Array.isArray(tags) ? tags.filter((tag) => typeof tag === 'string') : [];
  if (own.length === 0) return undefined;
  return join === undefined ? new Intl.ListFormat(locale).format(own) : own.join(join);
}

const ofText = (path: string, change: (value: string) => string, how = 'plain') => ({
  what: `${how} ${path}`,
  write: (item: Item) => when(text(item, path), change),
});
const ofNumber = (
  path: string,
  make: (value: number, item: Item, locale: string) => string,
  how: string,
) => ({
  what: `${how} ${path}`,
  write: (item: Item, locale: string) =>
    when(number(item, path), (value) => make(value, item, locale)),
});
const ofDate = (path: string, options: Intl.DateTimeFormatOptions) => ({
  what: `date ${path} ${JSON.stringify(options)}`,
  write: (item: Item, locale: string) =>
    when(text(item, path), (value) => dates(value, locale, options)),
});
