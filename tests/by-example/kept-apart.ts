import { isRecord, type Json } from '../../src/core/base';
import type { Item } from '../../src/core/items';
import type { Target } from './targets';
import { fromNow, now } from './writing';

/**
 * A hundred labels for trips, by families of what people write, kept apart: nothing is tuned to
 * them, and nobody looks at which of them fail.
 */

const s = (item: Item, ...path: readonly string[]): string => String(at(item, path) ?? '');
const n = (item: Item, ...path: readonly string[]): number => Number(at(item, path) ?? Number.NaN);
const at = (item: Item, path: readonly string[]): Json | undefined =>
  path.reduce<Json | undefined>((value, step) => (isRecord(value) ? value[step] : undefined), item);
const list = (item: Item, name: string): readonly Json[] => {
  const own = item[name];
  return Array.isArray(own) ? own : [];
};
const numbers = (item: Item, name: string, step?: string): readonly number[] =>
  list(item, name).map((each) => Number(step === undefined ? each : isRecord(each) && each[step]));
const sum = (all: readonly number[]): number => all.reduce((total, each) => total + each, 0);
const cash = (locale: string, item: Item, value: number, digits?: number): string =>
  new Intl.NumberFormat(locale, {
    ...{ style: 'currency', currency: s(item, 'fare', 'currency') },
    ...(digits !== undefined && { minimumFractionDigits: digits, maximumFractionDigits: digits }),
  }).format(value);
const num = (locale: string, value: number, options: Intl.NumberFormatOptions = {}): string =>
  new Intl.NumberFormat(locale, options).format(value);
const day = (locale: string, value: string, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options }).format(Date.parse(value));
const two = (value: number): string => String(value).padStart(2, '0');
const days = (value: string): number =>
  Math.round((Date.parse(value.slice(0, 10)) - Date.parse(now.slice(0, 10))) / 86_400_000);
const inDays = (locale: string, value: string): string =>
  new Intl.RelativeTimeFormat(locale, { numeric: 'auto' }).format(days(value), 'day');
const cut = (text: string, length: number): string =>
  text.length > length ? `${text.slice(0, length)}…` : text;
const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

type Write = (item: Item) => string;

const en: Readonly<Record<string, readonly Write[]>> = {
  'money beside its currency': [
    (item) => cash('en-GB', item, n(item, 'fare', 'amount')),
    (item) => `from ${cash('en-GB', item, n(item, 'fare', 'amount'))}`,
    (item) => `${cash('en-GB', item, n(item, 'fare', 'amount'))} incl. tax`,
    (item) => `${s(item, 'boat')}: ${cash('en-GB', item, n(item, 'fare', 'amount'))}`,
    (item) => `${cash('en-GB', item, n(item, 'fare', 'tax'))} tax`,
    (item) => cash('en-GB', item, n(item, 'fare', 'amount') + n(item, 'fare', 'tax')),
  ],
  'days from now': [
    (item) => inDays('en-GB', s(item, 'leaves')),
    (item) => `leaves ${inDays('en-GB', s(item, 'leaves'))}`,
    (item) => `booked ${inDays('en-GB', s(item, 'booked'))}`,
    (item) => `booked ${fromNow(s(item, 'booked'), 'en-GB')}`,
  ],
  initials: [
    (item) => s(item, 'guest', 'given').slice(0, 1) + s(item, 'guest', 'family').slice(0, 1),
    (item) => `${s(item, 'guest', 'given').slice(0, 1)}. ${s(item, 'guest', 'family')}`,
    (item) => `${s(item, 'guest', 'family')} ${s(item, 'guest', 'given').slice(0, 1)}.`,
    (item) => `(${s(item, 'guest', 'given').slice(0, 1)}${s(item, 'guest', 'family').slice(0, 1)})`,
  ],
  'pieces of a text': [
    (item) => s(item, 'boat').split(' ').at(-1) ?? '',
    (item) => s(item, 'boat').split(' ')[0] ?? '',
    (item) => s(item, 'route').split(' - ')[0] ?? '',
    (item) => s(item, 'route').split(' - ')[1] ?? '',
    (item) => `to ${s(item, 'route').split(' - ')[1] ?? ''}`,
    (item) => s(item, 'link').split('/')[2] ?? '',
    (item) => `on ${s(item, 'link').split('/')[2] ?? ''}`,
    (item) => s(item, 'mail').split('@')[1] ?? '',
    (item) => s(item, 'mail').split('@')[0] ?? '',
    (item) => s(item, 'code').split('-')[0] ?? '',
    (item) => `No ${s(item, 'code').split('-')[1] ?? ''}`,
    (item) => s(item, 'code').slice(0, 1),
    (item) => `trip ${s(item, 'ref').slice(3)}`,
  ],
  'capitals of a piece': [
    (item) => s(item, 'boat').split(' ')[0]?.toUpperCase() ?? '',
    (item) => s(item, 'boat').slice(0, 3).toUpperCase(),
    (item) => capital(s(item, 'state')),
    (item) => `${s(item, 'state').toUpperCase()} · ${s(item, 'boat')}`,
  ],
  'words by a number': [
    (item) => (n(item, 'taken') >= 20 ? 'busy' : 'quiet'),
    (item) => (n(item, 'wind') > 7 ? 'rough' : 'calm'),
    (item) => (n(item, 'guest', 'age') >= 60 ? 'senior' : 'adult'),
    (item) => `${s(item, 'boat')}, ${n(item, 'wind') > 7 ? 'rough' : 'calm'}`,
  ],
  'words by yes or no': [
    (item) => (item['dogs'] === true ? 'dogs welcome' : 'no dogs'),
    (item) => (item['full'] === true ? 'full' : 'seats left'),
  ],
  arithmetic: [
    (item) => `${num('en-GB', n(item, 'seats') - n(item, 'taken'))} seats left`,
    (item) => `${num('en-GB', n(item, 'taken'))} of ${num('en-GB', n(item, 'seats'))}`,
    (item) => num('en-GB', 1 - n(item, 'progress'), { style: 'percent' }),
    (item) => `${num('en-GB', 1 - n(item, 'progress'), { style: 'percent' })} to go`,
    (item) => num('en-GB', n(item, 'progress'), { style: 'percent' }),
    (item) => `${num('en-GB', n(item, 'taken') / n(item, 'seats'), { style: 'percent' })} full`,
    (item) => num('en-GB', n(item, 'seats') * n(item, 'wind')),
    (item) => cash('en-GB', item, n(item, 'fare', 'amount') * n(item, 'taken')),
  ],
  'numbers cut and rounded': [
    (item) => `${String(Math.trunc(n(item, 'depth')))} m`,
    (item) => `${num('en-GB', n(item, 'depth'), { maximumFractionDigits: 0 })} m deep`,
    (item) => `${String(Math.trunc(n(item, 'speed')))} kn`,
    (item) => `${num('en-GB', n(item, 'speed'), { maximumFractionDigits: 1 })} kn`,
  ],
  lists: [
    (item) => num('en-GB', Math.max(...numbers(item, 'marks'))),
    (item) => `best ${num('en-GB', Math.max(...numbers(item, 'marks')))}`,
    (item) => `worst ${num('en-GB', Math.min(...numbers(item, 'marks')))}`,
    (item) => numbers(item, 'marks').join(', '),
    (item) => numbers(item, 'marks').join(' '),
    (item) => `${num('en-GB', sum(numbers(item, 'stops', 'miles')))} miles`,
    (item) => `longest ${num('en-GB', Math.max(...numbers(item, 'stops', 'miles')))}`,
    (item) => numbers(item, 'stops', 'miles').join(' + '),
    (item) =>
      list(item, 'stops')
        .map((stop) => (isRecord(stop) ? String(stop['harbour']) : ''))
        .join(', '),
    (item) =>
      `via ${String(isRecord(list(item, 'stops')[0]) ? at(item, ['stops']) && s(list(item, 'stops')[0] as Item, 'harbour') : '')}`,
    (item) => `${num('en-GB', list(item, 'stops').length)} stops`,
    (item) => new Intl.ListFormat('en-GB').format(list(item, 'crew').map(String)),
    (item) => `with ${new Intl.ListFormat('en-GB').format(list(item, 'crew').map(String))}`,
    (item) => list(item, 'crew').join(' & '),
    (item) => String(list(item, 'crew')[0] ?? ''),
    (item) => String(list(item, 'crew').at(-1) ?? ''),
  ],
  durations: [
    (item) =>
      `${String(Math.floor(n(item, 'minutes') / 60))} h ${String(n(item, 'minutes') % 60)} min`,
    (item) => `${String(Math.floor(n(item, 'minutes') / 60))}:${two(n(item, 'minutes') % 60)}`,
    (item) => `${String(Math.floor(n(item, 'minutes') / 60))}h ${two(n(item, 'minutes') % 60)}m`,
    (item) => `${String(Math.floor(n(item, 'seconds') / 60))}:${two(n(item, 'seconds') % 60)}`,
    (item) => `${num('en-GB', n(item, 'minutes'))} min`,
  ],
  'texts that are cut': [
    (item) => cut(s(item, 'remark'), 20),
    (item) => cut(s(item, 'remark'), 40),
    (item) => `“${cut(s(item, 'remark'), 24)}”`,
  ],
  dates: [
    (item) => day('en-GB', s(item, 'leaves'), { dateStyle: 'medium' }),
    (item) => day('en-GB', s(item, 'leaves'), { weekday: 'short', day: 'numeric', month: 'short' }),
    (item) => day('en-GB', s(item, 'leaves'), { month: 'long', year: 'numeric' }),
    (item) =>
      `${day('en-GB', s(item, 'startsAt'), { hour: '2-digit', minute: '2-digit' })} from ${s(item, 'route').split(' - ')[0] ?? ''}`,
    (item) => day('en-GB', s(item, 'leaves'), { weekday: 'long' }),
  ],
  plain: [
    (item) => `${s(item, 'title')} (${s(item, 'ref')})`,
    (item) =>
      `${s(item, 'guest', 'given')} ${s(item, 'guest', 'family')}, ${num('en-GB', n(item, 'guest', 'age'))}`,
    (item) => `Force ${num('en-GB', n(item, 'wind'))}`,
    (item) => `${s(item, 'boat')} / ${s(item, 'state')}`,
  ],
};

const de: Readonly<Record<string, readonly Write[]>> = {
  'money beside its currency': [
    (item) => `ab ${cash('de', item, n(item, 'fare', 'amount'))}`,
    (item) => cash('de', item, n(item, 'fare', 'amount')),
  ],
  'days from now': [
    (item) => `Abfahrt ${inDays('de', s(item, 'leaves'))}`,
    (item) => inDays('de', s(item, 'booked')),
  ],
  'pieces of a text': [(item) => `nach ${s(item, 'route').split(' - ')[1] ?? ''}`],
  arithmetic: [(item) => `${num('de', n(item, 'seats') - n(item, 'taken'))} Plätze frei`],
  lists: [(item) => `mit ${new Intl.ListFormat('de').format(list(item, 'crew').map(String))}`],
  durations: [
    (item) =>
      `${String(Math.floor(n(item, 'minutes') / 60))} Std. ${String(n(item, 'minutes') % 60)} Min.`,
  ],
  'numbers cut and rounded': [(item) => `${num('de', n(item, 'depth'))} m`],
  dates: [
    (item) => day('de', s(item, 'leaves'), { weekday: 'long', day: 'numeric', month: 'long' }),
  ],
  'texts that are cut': [(item) => cut(s(item, 'remark'), 30)],
};

const fr: Readonly<Record<string, readonly Write[]>> = {
  'money beside its currency': [(item) => `dès ${cash('fr', item, n(item, 'fare', 'amount'))}`],
  'days from now': [
    (item) => `départ ${inDays('fr', s(item, 'leaves'))}`,
    (item) => inDays('fr', s(item, 'booked')),
  ],
  arithmetic: [
    (item) => `${num('fr', n(item, 'taken') / n(item, 'seats'), { style: 'percent' })} pris`,
  ],
  lists: [(item) => new Intl.ListFormat('fr').format(list(item, 'crew').map(String))],
  durations: [
    (item) => `${String(Math.floor(n(item, 'minutes') / 60))} h ${two(n(item, 'minutes') % 60)}`,
  ],
  initials: [
    (item) => s(item, 'guest', 'given').slice(0, 1) + s(item, 'guest', 'family').slice(0, 1),
  ],
};

const of = (locale: string, families: Readonly<Record<string, readonly Write[]>>): Target[] =>
  Object.entries(families).flatMap(([family, all]) =>
    all.map((write) => ({
      locale,
      what: family,
      write: (item) => {
        const words = write(item);
        return /NaN|Invalid|undefined/.test(words) || words === '' ? undefined : words;
      },
    })),
  );

export const keptApart: readonly Target[] = [...of('en-GB', en), ...of('de', de), ...of('fr', fr)];
