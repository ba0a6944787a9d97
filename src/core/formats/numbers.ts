import { ownValue } from '../base';
import type { BytesFormat, MoneyFormat, NumberFormat, PercentFormat, UnitFormat } from './format';
import { type Formatter, NoText, notA } from './formatter';
import { numberFormat } from './intl';
import { rememberNumbers } from './memo';

type Digits = Pick<NumberFormat, 'minDigits' | 'maxDigits' | 'grouping' | 'sign'>;

function digitOptions({ minDigits, maxDigits, grouping, sign }: Digits): Intl.NumberFormatOptions {
  const min = minDigits === undefined ? {} : { minimumFractionDigits: minDigits };
  const max =
    maxDigits === undefined ? {} : { maximumFractionDigits: Math.max(maxDigits, minDigits ?? 0) };
  return {
    ...min,
    ...max,
    ...(grouping === false && { useGrouping: false }),
    ...(sign !== undefined && { signDisplay: sign }),
  };
}

/** Numbers by one `Intl.NumberFormat`. */
function byIntl(locale: string, options: Intl.NumberFormatOptions, share = 1): Formatter {
  const intl = numberFormat(locale, options);
  const text = rememberNumbers((value) => intl.format(share === 1 ? value : value * share));
  return (value) => (typeof value === 'number' ? text(value) : notA('a number', value));
}

export function number({ compact, ...digits }: NumberFormat, locale: string): Formatter {
  const notation = { notation: 'compact', compactDisplay: compact } as const;
  return byIntl(locale, { ...digitOptions(digits), ...(compact !== undefined && notation) });
}

export const percent = ({ of = 1, ...digits }: PercentFormat, locale: string): Formatter =>
  byIntl(locale, { style: 'percent', ...digitOptions(digits) }, 1 / of);

/** One formatter a code, made when the first item has it. */
function byOption(
  fixed: string | undefined,
  name: string,
  make: (option: string) => Formatter | NoText,
): Formatter {
  const made = new Map<string, Formatter | NoText>();
  return (value, around) => {
    const option = fixed ?? ownValue(around.options, name);
    if (option === undefined) return new NoText(`the ${name} is missing`);
    let own = made.get(option);
    if (own === undefined) {
      own = make(option);
      if (made.size < 1_000) made.set(option, own);
    }
    return own instanceof NoText ? own : own(value, around);
  };
}

export function money(format: MoneyFormat, locale: string): Formatter {
  const { currency, display = 'symbol' } = format;
  return byOption(typeof currency === 'string' ? currency : undefined, 'currency', (code) => {
    if (!/^[A-Za-z]{3}$/.test(code)) return new NoText(`“${code}” is no code of a currency`);
    const options = { style: 'currency', currency: code, currencyDisplay: display } as const;
    return byIntl(locale, { ...options, ...digitOptions(format) });
  });
}

export function unit(format: UnitFormat, locale: string): Formatter {
  const { unit: own, width = 'short' } = format;
  return byOption(typeof own === 'string' ? own : undefined, 'unit', (name) => {
    try {
      const options = { style: 'unit', unit: name, unitDisplay: width } as const;
      return byIntl(locale, { ...options, ...digitOptions(format) });
    } catch {
      return new NoText(`“${name}” is no unit that can be written`);
    }
  });
}

const byteUnits = ['byte', 'kilobyte', 'megabyte', 'gigabyte', 'terabyte', 'petabyte'] as const;

/** Sizes by powers of 1,000 or 1,024, with three digits at most. */
export function bytes(format: BytesFormat, locale: string): Formatter {
  const of: number = format.of ?? 1_000;
  const text = rememberNumbers((value) => {
    const size = Math.abs(value);
    const power = size < of ? 0 : Math.min(5, Math.floor(Math.log(size) / Math.log(of) + 1e-12));
    const options = {
      style: 'unit',
      unit: byteUnits[power] ?? 'byte',
      // The short one has no plural: 2 byte.
      unitDisplay: power === 0 ? 'long' : 'short',
      maximumSignificantDigits: of === 1_000 || size / of ** power < 1_000 ? 3 : 4,
    } as const;
    return numberFormat(locale, options).format(value / of ** power);
  });
  return (value) => (typeof value === 'number' ? text(value) : notA('a number', value));
}
