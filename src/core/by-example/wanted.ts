import { isRecord, type JsonRecord, ownValue } from '../base';
import { type Field, pathText, plainText, type RowContext } from '../values';
import { type Folded, fold, folded, numbersIn } from './fold';

/** What is typed for one item, and all that decides how values are written there. */
export interface Wanted {
  readonly words: Folded;
  /** Folded. */
  readonly text: string;
  /** The same in lower case. */
  readonly lower: string;
  /** Digits of the numbers in it. */
  readonly numbers: ReadonlySet<string>;
  /** Ways to write money and units whose signs stand in it. */
  readonly money: readonly MoneySign[];
  readonly units: readonly UnitSign[];
  readonly item: JsonRecord;
  readonly now: string | undefined;
  readonly locale: string;
  readonly fields: readonly Field[];
  /** Where the texts of any example are cut. */
  readonly cuts: readonly Cut[];
}

/** So many characters of a text, and what stands for the rest. */
export interface Cut {
  readonly length: number;
  readonly sign: string;
}

export interface MoneySign {
  readonly currency: string | { readonly expr: string };
  readonly display: (typeof displays)[number];
}

export interface UnitSign {
  readonly unit: string;
  readonly width: (typeof widths)[number];
}

const displays = ['symbol', 'narrowSymbol', 'code'] as const;
const widths = ['short', 'long', 'narrow'] as const;

export function wantedFrom(
  typed: string,
  item: JsonRecord,
  { now }: RowContext,
  { locale, fields, cuts }: Pick<Wanted, 'locale' | 'fields' | 'cuts'>,
): Wanted {
  const words = fold(typed);
  const { text } = words;
  const signs = signsOf(locale);
  const units = signs.units.filter((each) => each.signs.some((sign) => text.includes(sign)));
  return {
    ...{ words, text, item, now, locale, fields, units, cuts },
    lower: text.toLowerCase(),
    numbers: numbersIn(text),
    money: [
      ...ofFields(fields, item, { locale, text }),
      ...signs.money
        .filter(({ sign }) => text.includes(sign))
        .map(({ code, display }) => ({ currency: code, display })),
    ],
  };
}

const fewestLeft = 5;

/** Where a text stands in the typed one, up to a sign for the rest of it. */
export function cutsIn(typed: string, value: string): readonly Cut[] {
  const [wanted, own] = [folded(typed).toLowerCase(), folded(value).toLowerCase()];
  return ['…', '...'].flatMap((sign): Cut[] => {
    const at = wanted.indexOf(sign);
    for (let length = Math.min(at, own.length - 1); length >= fewestLeft; length -= 1)
      if (wanted.slice(0, at).endsWith(own.slice(0, length))) return [{ length, sign }];
    return [];
  });
}

const deepestCurrency = 3;

/** Currencies that follow from a field of the item, or of a record in it. */
function ofFields(
  fields: readonly Field[],
  item: JsonRecord,
  { locale, text }: { readonly locale: string; readonly text: string },
  before: readonly string[] = [],
): MoneySign[] {
  return fields.flatMap((field): MoneySign[] => {
    const value = ownValue(item, field.name);
    const path = [...before, field.name];
    if (field.type === 'record')
      return isRecord(value) && path.length < deepestCurrency
        ? ofFields(field.fields, value, { locale, text }, path)
        : [];
    const code = plainText(value ?? undefined) ?? '';
    if (field.type !== 'text' || !/^[A-Z]{3}$/.test(code)) return [];
    const currency = { expr: pathText(path) };
    return displays
      .filter((display) => text.includes(signOf(code, display, locale)))
      .map((display) => ({ currency, display }));
  });
}

/** Codes of ISO 4217 that most amounts have. */
const codes =
  'EUR USD GBP JPY CHF SEK NOK DKK PLN CZK HUF CAD AUD NZD CNY HKD SGD KRW INR BRL MXN ZAR TRY RUB ILS AED SAR EGP MAD THB'.split(
    ' ',
  );

/** Units that ECMA-402 sanctions and lists have. */
const unitNames =
  'gram kilogram meter centimeter millimeter kilometer liter milliliter celsius second minute hour day week month year percent gigabyte megabyte kilobyte degree foot inch mile ounce pound kilometer-per-hour'.split(
    ' ',
  );

interface Signs {
  readonly money: readonly {
    readonly code: string;
    readonly display: MoneySign['display'];
    readonly sign: string;
  }[];
  readonly units: readonly (UnitSign & { readonly signs: readonly string[] })[];
}

const known = new Map<string, Signs>();
const maxKnown = 50;

/** What stands for currencies and units in a locale: made once, since `Intl` objects are costly. */
function signsOf(locale: string): Signs {
  const own = known.get(locale) ?? {
    money: codes.flatMap((code) =>
      displays
        .map((display) => ({ code, display, sign: signOf(code, display, locale) }))
        // A narrow sign that is the same is no other way.
        .filter(({ sign }, at, all) => all.findIndex((each) => each.sign === sign) === at),
    ),
    units: unitNames.flatMap((unit) =>
      widths.map((width) => ({ unit, width, signs: formsOf(unit, width, locale) })),
    ),
  };
  if (known.size >= maxKnown) known.clear();
  known.set(locale, own);
  return own;
}

function signOf(code: string, display: MoneySign['display'], locale: string): string {
  const options = { style: 'currency', currency: code, currencyDisplay: display } as const;
  const parts = new Intl.NumberFormat(locale, options).formatToParts(1);
  return folded(parts.find((part) => part.type === 'currency')?.value ?? code);
}

/** What stands for a unit beside small and large numbers. */
function formsOf(unit: string, width: UnitSign['width'], locale: string): readonly string[] {
  const intl = new Intl.NumberFormat(locale, { style: 'unit', unit, unitDisplay: width });
  const forms = [1, 2, 3, 11, 100].map((each) =>
    folded(intl.formatToParts(each).find((part) => part.type === 'unit')?.value ?? ''),
  );
  return [...new Set(forms)];
}
