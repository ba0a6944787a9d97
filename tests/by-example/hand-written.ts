import { isRecord, type Json } from '../../src/core/base';
import type { Item } from '../../src/core/items';
import type { Target } from './targets';
import { fromNow } from './writing';

/** Labels as people write them for lists of orders: 54, in five locales, none made by a rule. */

const s = (item: Item, name: string): string => String(item[name] ?? '');
const n = (item: Item, name: string): number => Number(item[name] ?? Number.NaN);
const inside = (item: Item, name: string, inner: string): string => {
  const record = item[name];
  return isRecord(record) ? String(record[inner] ?? '') : '';
};
const list = (item: Item, name: string): readonly Json[] => {
  const own = item[name];
  return Array.isArray(own) ? own : [];
};
const cash = (locale: string, item: Item, value: number): string =>
  new Intl.NumberFormat(locale, { style: 'currency', currency: s(item, 'currency') }).format(value);
const num = (locale: string, value: number, options: Intl.NumberFormatOptions = {}): string =>
  new Intl.NumberFormat(locale, options).format(value);
const day = (locale: string, value: string, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options }).format(Date.parse(value));
const many = (locale: string, value: number, one: string, other: string): string =>
  `${num(locale, value)} ${new Intl.PluralRules(locale).select(value) === 'one' ? one : other}`;
const total = (item: Item): number =>
  list(item, 'lines').reduce<number>(
    (sum, line) => sum + (isRecord(line) ? Number(line['quantity']) * Number(line['each']) : 0),
    0,
  );

type Write = (item: Item) => string;

const en: readonly Write[] = [
  (item) => s(item, 'name'),
  (item) => `${inside(item, 'maker', 'name')}, ${inside(item, 'maker', 'town')}`,
  (item) => `by ${inside(item, 'maker', 'name')}`,
  (item) => cash('en-GB', item, n(item, 'price')),
  (item) => `${cash('en-GB', item, n(item, 'price'))} · ${inside(item, 'maker', 'name')}`,
  (item) => `${num('en-GB', n(item, 'stock'))} left`,
  (item) => `#${s(item, 'id')}`,
  (item) => `${s(item, 'name')} (${s(item, 'code')})`,
  (item) => many('en-GB', n(item, 'reviewCount'), 'review', 'reviews'),
  (item) => `${num('en-GB', n(item, 'rating'), { minimumFractionDigits: 1 })} / 5`,
  (item) => `Due ${day('en-GB', s(item, 'due'), { dateStyle: 'medium' })}`,
  (item) => `due ${fromNow(s(item, 'due'), 'en-GB')}`,
  (item) => `${inside(item, 'buyer', 'first')} ${inside(item, 'buyer', 'last')}`,
  (item) => `${inside(item, 'buyer', 'last')}, ${inside(item, 'buyer', 'first').slice(0, 1)}.`,
  (item) => `${inside(item, 'buyer', 'city')} · ${s(item, 'postcode')}`,
  (item) => `-${num('en-GB', n(item, 'discount'), { style: 'percent' })}`,
  (item) =>
    `${num('en-GB', n(item, 'grams'), { style: 'unit', unit: 'gram' })} / ${num('en-GB', n(item, 'metres'))} m`,
  (item) => `Needles ${num('en-GB', n(item, 'needles'))} mm`,
  (item) => s(item, 'status').toUpperCase(),
  (item) => (item['sold'] === true ? 'Sold' : 'For sale'),
  (item) =>
    `${many('en-GB', list(item, 'lines').length, 'line', 'lines')}, ${cash('en-GB', item, total(item))}`,
  (item) =>
    `Packed ${day('en-GB', s(item, 'packedAt'), { weekday: 'short', hour: '2-digit', minute: '2-digit' })}`,
  (item) => `since ${inside(item, 'maker', 'since')}`,
  (item) => `${num('en-GB', n(item, 'views'), { notation: 'compact' })} views`,
  (item) => list(item, 'tags').join(' · '),
  (item) => `${s(item, 'status')}, ${fromNow(s(item, 'due'), 'en-GB')}`,
  (item) => `incl. ${cash('en-GB', item, n(item, 'shipping'))} shipping`,
  (item) => cash('en-GB', item, n(item, 'price') + n(item, 'shipping')),
];

const de: readonly Write[] = [
  (item) => `${cash('de', item, n(item, 'price'))} inkl. Versand`,
  (item) => `${num('de', n(item, 'stock'))} auf Lager`,
  (item) => `Abholung am ${day('de', s(item, 'due'), { day: 'numeric', month: 'long' })}`,
  (item) => `${inside(item, 'maker', 'name')} aus ${inside(item, 'maker', 'town')}`,
  (item) => many('de', n(item, 'reviewCount'), 'Bewertung', 'Bewertungen'),
  (item) => `${num('de', n(item, 'distanceKm'), { style: 'unit', unit: 'kilometer' })} entfernt`,
  (item) => day('de', s(item, 'packedAt'), { dateStyle: 'short', timeStyle: 'short' }),
  (item) => `${num('de', n(item, 'cotton'))} % Baumwolle`,
];

const fr: readonly Write[] = [
  (item) => `${s(item, 'name')} à ${cash('fr', item, n(item, 'price'))}`,
  (item) => `livré ${fromNow(s(item, 'due'), 'fr')}`,
  (item) => `${num('fr', n(item, 'grams'))} g · ${num('fr', n(item, 'metres'))} m`,
  (item) => many('fr', list(item, 'lines').length, 'article', 'articles'),
  (item) => day('fr', s(item, 'due'), { weekday: 'long', day: 'numeric', month: 'long' }),
  (item) => `${num('fr', n(item, 'discount'), { style: 'percent' })} de remise`,
];

const ar: readonly Write[] = [
  (item) => `السعر: ${cash('ar', item, n(item, 'price'))}`,
  (item) => `${inside(item, 'maker', 'name')} - ${inside(item, 'maker', 'town')}`,
  (item) => day('ar', s(item, 'due'), { dateStyle: 'long' }),
  (item) => `المتبقي ${num('ar', n(item, 'stock'))}`,
  (item) => num('ar', n(item, 'discount'), { style: 'percent' }),
  (item) => `${s(item, 'status')}، ${fromNow(s(item, 'due'), 'ar')}`,
];

const ja: readonly Write[] = [
  (item) => `残り${num('ja', n(item, 'stock'))}個`,
  (item) => cash('ja', item, n(item, 'price')),
  (item) => day('ja', s(item, 'due'), { dateStyle: 'long' }),
  (item) => `${inside(item, 'maker', 'name')}（${inside(item, 'maker', 'town')}）`,
  (item) => `${num('ja', n(item, 'grams'))}g・${num('ja', n(item, 'metres'))}m`,
  (item) => `レビュー${num('ja', n(item, 'reviewCount'))}件`,
];

const of = (locale: string, all: readonly Write[]): Target[] =>
  all.map((write, at) => ({
    locale,
    what: `${locale} ${at + 1}`,
    // What is missing shows in none of these words.
    write: (item) => {
      try {
        const words = write(item);
        return /NaN|Invalid|^$|(?:^|[ (-])(?:$|[,)])/.test(words) ? undefined : words;
      } catch (error) {
        if (error instanceof RangeError) return undefined;
        throw error;
      }
    },
  }));

export const handWritten: readonly Target[] = [
  ...of('en-GB', en),
  ...of('de', de),
  ...of('fr', fr),
  ...of('ar', ar),
  ...of('ja', ja),
];
