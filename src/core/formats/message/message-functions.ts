import { instantOf, plainText, type Value } from '../../values';
import { NoText } from '../formatter';
import { dateFormat, numberFormat, pluralRules } from '../intl';

/** A value of a message: how it reads, and what keys of variants it matches, the best first. */
export interface Resolved {
  readonly value: Value;
  readonly options: Options;
  readonly text: () => string;
  readonly matches?: () => readonly string[];
}

type Options = Readonly<Record<string, string>>;

type MessageFunction = (
  operand: Resolved | undefined,
  options: Options,
  locale: string,
) => Resolved | NoText;

const counts = ['minimumFractionDigits', 'maximumFractionDigits', 'minimumIntegerDigits'] as const;
const significant = ['minimumSignificantDigits', 'maximumSignificantDigits'] as const;

/** What the options of numbers mean to `Intl.NumberFormat`; undefined: one of them is wrong. */
function numberOptions(options: Options): Intl.NumberFormatOptions | undefined {
  const made: Intl.NumberFormatOptions = {};
  for (const name of [...counts, ...significant]) {
    const text = options[name];
    if (text === undefined) continue;
    if (!/^\d{1,3}$/.test(text)) return undefined;
    made[name] = Number(text);
  }
  const { useGrouping, signDisplay, notation, compactDisplay } = options;
  if (useGrouping === 'never') made.useGrouping = false;
  else if (useGrouping === 'always' || useGrouping === 'min2' || useGrouping === 'auto')
    made.useGrouping = useGrouping;
  if (isOneOf(signDisplay, ['auto', 'always', 'exceptZero', 'negative', 'never']))
    made.signDisplay = signDisplay;
  if (isOneOf(notation, ['standard', 'scientific', 'engineering', 'compact']))
    made.notation = notation;
  if (isOneOf(compactDisplay, ['short', 'long'])) made.compactDisplay = compactDisplay;
  return made;
}

const isOneOf = <const T extends readonly string[]>(
  text: string | undefined,
  all: T,
): text is T[number] => text !== undefined && all.includes(text);

const jsonNumber = /^-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?$/;

function numberIn(operand: Resolved | undefined): number | NoText {
  const value = operand?.value;
  if (typeof value === 'number') return value;
  if (typeof value === 'string' && jsonNumber.test(value)) return Number(value);
  return new NoText(`${JSON.stringify(value ?? null)} is not a number`);
}

function asNumber(fixed: Intl.NumberFormatOptions, share = 1): MessageFunction {
  return (operand, own, locale) => {
    const value = numberIn(operand);
    if (value instanceof NoText) return value;
    const options = { ...operand?.options, ...own };
    const made = numberOptions(options);
    if (made === undefined) return new NoText('an option of the number is wrong');
    return numberValue(value, options, { ...made, ...fixed }, { locale, share });
  };
}

/** `share`: what plural categories go by, of the value. */
function numberValue(
  value: number,
  options: Options,
  intl: Intl.NumberFormatOptions,
  { locale, share = 1 }: { readonly locale: string; readonly share?: number },
): Resolved | NoText {
  try {
    const format = numberFormat(locale, intl);
    return {
      value,
      options,
      text: () => format.format(value),
      matches: () => numberKeys(value * share, options, intl, locale),
    };
  } catch {
    return new NoText('an option of the number is wrong');
  }
}

/** The number itself, then its plural category. */
function numberKeys(
  value: number,
  { select }: Options,
  intl: Intl.NumberFormatOptions,
  locale: string,
): readonly string[] {
  if (select === 'exact') return [String(value)];
  const type = select === 'ordinal' ? 'ordinal' : 'cardinal';
  const { useGrouping: _, style: __, ...rest } = intl;
  return [String(value), pluralRules(locale, { ...rest, type }).select(value)];
}

const integer: MessageFunction = (operand, own, locale) => {
  const value = numberIn(operand);
  if (value instanceof NoText) return value;
  const options = { ...operand?.options, ...own };
  const made = numberOptions(options);
  if (made === undefined) return new NoText('an option of the number is wrong');
  const { minimumFractionDigits: _, maximumFractionDigits: __, ...rest } = made;
  return numberValue(Math.round(value), options, { ...rest, maximumFractionDigits: 0 }, { locale });
};

const currency: MessageFunction = (operand, own, locale) => {
  const value = numberIn(operand);
  if (value instanceof NoText) return value;
  const options = { ...operand?.options, ...own };
  const { currency: code, currencyDisplay } = options;
  if (code === undefined) return new NoText('the currency is missing');
  const display = isOneOf(currencyDisplay, ['symbol', 'narrowSymbol', 'code', 'name'])
    ? { currencyDisplay }
    : {};
  const made = numberOptions(options);
  const style = { style: 'currency', currency: code, ...display } as const;
  return made === undefined
    ? new NoText('an option of the number is wrong')
    : numberValue(value, options, { ...made, ...style }, { locale });
};

const unit: MessageFunction = (operand, own, locale) => {
  const value = numberIn(operand);
  if (value instanceof NoText) return value;
  const options = { ...operand?.options, ...own };
  const { unit: name, unitDisplay } = options;
  if (name === undefined) return new NoText('the unit is missing');
  const display = isOneOf(unitDisplay, ['short', 'narrow', 'long']) ? { unitDisplay } : {};
  const made = numberOptions(options);
  const style = { style: 'unit', unit: name, ...display } as const;
  return made === undefined
    ? new NoText('an option of the number is wrong')
    : numberValue(value, options, { ...made, ...style }, { locale });
};

const string: MessageFunction = (operand, _, __) => {
  const text = plainText(operand?.value);
  if (text === undefined) return new NoText('there is no text to choose by');
  return { value: text, options: {}, text: () => text, matches: () => [text] };
};

/** `:offset add=1` and `subtract=1`: "and 2 others". */
const offset: MessageFunction = (operand, own, locale) => {
  const value = numberIn(operand);
  if (value instanceof NoText) return value;
  const step = Number(own['add'] ?? `-${own['subtract'] ?? ''}`);
  if (!Number.isInteger(step)) return new NoText('an offset adds or subtracts a whole number');
  return numberValue(value + step, operand?.options ?? {}, {}, { locale });
};

const fieldNames = ['weekday', 'day', 'month', 'year'] as const;

function dateOptions(fields: string, length: string | undefined): Intl.DateTimeFormatOptions {
  const wanted = new Set(fields.split('-'));
  const month = length === 'long' ? 'long' : length === 'short' ? 'numeric' : 'short';
  const all = {
    weekday: length === 'long' ? 'long' : 'short',
    day: 'numeric',
    month,
    year: 'numeric',
  } as const;
  return Object.fromEntries(
    fieldNames.filter((name) => wanted.has(name)).map((name) => [name, all[name]]),
  );
}

function timeOptions(
  precision: string | undefined,
  zoneStyle: string | undefined,
): Intl.DateTimeFormatOptions {
  return {
    hour: 'numeric',
    ...(precision !== 'hour' && { minute: 'numeric' }),
    ...(precision === 'second' && { second: 'numeric' }),
    ...(isOneOf(zoneStyle, ['long', 'short']) && { timeZoneName: zoneStyle }),
  };
}

function asDate(of: 'date' | 'time' | 'datetime'): MessageFunction {
  return (operand, own, locale) => {
    const value = operand?.value;
    const at = typeof value === 'string' ? instantOf(value) : Number.NaN;
    if (Number.isNaN(at)) return new NoText(`${JSON.stringify(value ?? null)} is not a date`);
    const { timeZone = 'UTC', calendar, hour12 } = own;
    const fields = own[of === 'date' ? 'fields' : 'dateFields'] ?? 'year-month-day';
    const length = own[of === 'date' ? 'length' : 'dateLength'];
    const precision = own[of === 'time' ? 'precision' : 'timePrecision'];
    try {
      const format = dateFormat(locale, {
        timeZone,
        ...(calendar !== undefined && { calendar }),
        ...(hour12 !== undefined && of !== 'date' && { hour12: hour12 === 'true' }),
        ...(of !== 'time' && dateOptions(fields, length)),
        ...(of !== 'date' && timeOptions(precision, own['timeZoneStyle'])),
      });
      return { value, options: own, text: () => format.format(at) };
    } catch {
      return new NoText('an option of the date is wrong');
    }
  };
}

/** Functions of LDML 48, those that it requires and the drafts. */
export const messageFunctions = {
  string,
  number: asNumber({}),
  integer,
  offset,
  percent: asNumber({ style: 'percent' }, 100),
  currency,
  unit,
  date: asDate('date'),
  time: asDate('time'),
  datetime: asDate('datetime'),
} as const satisfies Readonly<Record<string, MessageFunction>>;

export const isMessageFunction = (name: string): name is keyof typeof messageFunctions =>
  Object.hasOwn(messageFunctions, name);
