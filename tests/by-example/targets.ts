import { isRecord, type Json, type Random, seededRandom } from '../../src/core/base';
import type { Item } from '../../src/core/items';

/** Words that a person may want, as a function of the item: written with `Intl` by hand. */
export interface Target {
  readonly locale: string;
  readonly what: string;
  /** Undefined where the item has no value for it. */
  write(item: Item): string | undefined;
  /** Forms of words that more than two examples would be needed for. */
  readonly isArabicPlural?: boolean;
}

export const now = '2026-03-21T10:30:00Z';
export const locales = ['en-GB', 'de', 'fr', 'ar', 'ja'] as const;

const keeper = <T, O>(make: (locale: string, options: O) => T) => {
  const made = new Map<string, T>();
  return (locale: string, options: O): T => {
    const id = `${locale} ${JSON.stringify(options)}`;
    const known = made.get(id) ?? make(locale, options);
    made.set(id, known);
    return known;
  };
};
const numberFormat = keeper(
  (locale, options: Intl.NumberFormatOptions) => new Intl.NumberFormat(locale, options),
);
const dateFormat = keeper(
  (locale, options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, options),
);

type Write = (item: Item, locale: string) => string | undefined;

const at = (item: Item, path: string): Json | undefined =>
  path
    .split('.')
    .reduce<Json | undefined>((value, step) => (isRecord(value) ? value[step] : undefined), item);
const text = (item: Item, path: string): string | undefined => {
  const value = at(item, path);
  return typeof value === 'string' ? value : undefined;
};
const number = (item: Item, path: string): number | undefined => {
  const value = at(item, path);
  return typeof value === 'number' ? value : undefined;
};
const list = (item: Item, path: string): readonly Item[] => {
  const value = at(item, path);
  return Array.isArray(value) ? value.filter(isRecord) : [];
};
const when = <T>(value: T | undefined, make: (value: T) => string): string | undefined =>
  value === undefined ? undefined : make(value);

const numbers = (value: number, locale: string, options: Intl.NumberFormatOptions = {}) =>
  numberFormat(locale, options).format(value);
const money = (value: number, item: Item, locale: string, more: Intl.NumberFormatOptions = {}) =>
  numbers(value, locale, { style: 'currency', currency: text(item, 'currency') ?? 'EUR', ...more });
const dates = (value: string, locale: string, options: Intl.DateTimeFormatOptions) =>
  dateFormat(locale, { timeZone: 'UTC', ...options }).format(Date.parse(value));

const nouns: Readonly<Record<string, readonly Readonly<Record<string, string>>[]>> = {
  'en-GB': [
    { one: 'review', other: 'reviews' },
    { one: 'skein', other: 'skeins' },
    { one: 'line', other: 'lines' },
  ],
  de: [
    { one: 'Bewertung', other: 'Bewertungen' },
    { one: 'Strang', other: 'Stränge' },
    { one: 'Zeile', other: 'Zeilen' },
  ],
  fr: [
    { one: 'commande', other: 'commandes', many: 'commandes' },
    { one: 'écheveau', other: 'écheveaux', many: 'écheveaux' },
    { one: 'ligne', other: 'lignes', many: 'lignes' },
  ],
  ar: [
    {
      zero: 'مراجعة',
      one: 'مراجعة',
      two: 'مراجعتان',
      few: 'مراجعات',
      many: 'مراجعة',
      other: 'مراجعة',
    },
  ],
  ja: [{ other: '件' }, { other: '玉' }],
};

/** What is counted is called so: reviews, lines; all else here is skeins. */
const nounOf: Readonly<Record<string, number>> = { reviews: 0, reviewCount: 0, lines: 2 };

const plural = (value: number, noun: Readonly<Record<string, string>>, locale: string): string => {
  const form = noun[new Intl.PluralRules(locale).select(value)] ?? noun['other'] ?? '';
  return `${numbers(value, locale)}${locale === 'ja' ? '' : ' '}${form}`;
};

const labels: Readonly<Record<string, readonly string[]>> = {
  'en-GB': ['from', 'by', 'dyed', 'about', 'to', 'only', 'was', 'size', 'for', 'with'],
  de: ['von', 'gefärbt', 'etwa', 'nach', 'nur', 'früher', 'für', 'mit'],
  fr: ['de', 'teint', 'environ', 'vers', 'seulement', 'avant', 'pour', 'avec'],
  ar: ['من', 'صبغ', 'حوالي', 'إلى', 'فقط', 'مع'],
  ja: ['から', '約', '染め', 'まで'],
};

const words: Readonly<Record<string, readonly (readonly [yes: string, no: string])[]>> = {
  'en-GB': [
    ['sold', 'for sale'],
    ['urgent', 'no hurry'],
    ['organic', 'not organic'],
  ],
  de: [
    ['verkauft', 'zu haben'],
    ['eilig', 'ohne Eile'],
  ],
  fr: [
    ['vendu', 'en vente'],
    ['urgent', 'sans hâte'],
  ],
  ar: [
    ['مباع', 'متاح'],
    ['عاجل', 'عادي'],
  ],
  ja: [
    ['完売', '在庫あり'],
    ['至急', '通常'],
  ],
};

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

interface Kind {
  readonly weight: number;
  readonly make: (one: One, locale: string) => { readonly what: string; readonly write: Write };
}

type One = <T>(of: readonly T[]) => T;

/** What a label shows, as often as labels show it. */
const kinds: readonly Kind[] = [
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
      write: (item, locale) =>
        when(text(item, 'due'), (value) => {
          const days = Math.round((Date.parse(value) - Date.parse(now.slice(0, 10))) / 86_400_000);
          const relative = new Intl.RelativeTimeFormat(locale, { numeric: 'auto' });
          if (Math.abs(days) < 7) return relative.format(days, 'day');
          return Math.abs(days) < 30
            ? relative.format(Math.round(days / 7), 'week')
            : relative.format(Math.round(days / 30.436875), 'month');
        }),
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

const separators = [' · ', ', ', ' – ', ' | ', ' / ', ': ', ' (', ' '];

/** Targets of one to four values with words around them, in five locales. */
export function generatedTargets(count: number, seed: number): readonly Target[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, index) =>
    target(random, locales[index % locales.length] ?? 'en-GB'),
  );
}

function target(random: Random, locale: string): Target {
  const one: One = (of) => {
    const found = of[Math.floor(random() * of.length)];
    if (found === undefined) throw new RangeError('Nothing to choose from.');
    return found;
  };
  const kind = (): Kind => {
    let left = random() * kinds.reduce((sum, each) => sum + each.weight, 0);
    for (const each of kinds) {
      left -= each.weight;
      if (left < 0) return each;
    }
    return one(kinds);
  };
  const count = one([1, 1, 2, 2, 2, 3, 3, 4]);
  const parts: { readonly what: string; readonly write: Write; readonly before: string }[] = [];
  while (parts.length < count) {
    const made = kind().make(one, locale);
    if (parts.some((part) => part.what.split(' ').at(-1) === made.what.split(' ').at(-1))) continue;
    const label = random() < 0.25 ? `${one(labels[locale] ?? [])} ` : '';
    const separator = parts.length === 0 ? '' : one(separators.slice(0, 7));
    parts.push({ ...made, before: separator + label });
  }
  const isOpen = parts.filter(({ before }) => before.startsWith(' (')).length;
  return {
    locale,
    what: parts.map(({ what }) => what).join(' + '),
    write(item) {
      let words = '';
      for (const part of parts) {
        const own = part.write(item, locale);
        if (own === undefined || own === '') return undefined;
        words += part.before + own;
      }
      return words + ')'.repeat(isOpen);
    },
    isArabicPlural: locale === 'ar' && parts.some(({ what }) => what.startsWith('plural')),
  };
}
