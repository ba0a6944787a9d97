import { type Format, proposeFormats } from '../../formats';
import { plainText } from '../../values';
import type { Source } from '../sources';
import type { Wanted } from '../wanted';
import { byFormat, plain, type Writing } from './writing';

const digitsOf = (value: number, decimals: number): string =>
  Math.abs(value).toFixed(decimals).replace('.', '');

/** Numbers are written only in ways whose digits stand in the text. */
export function numberWritings(source: Source, value: number, wanted: Wanted): Writing[] {
  if (!Number.isFinite(value) || Math.abs(value) >= 1e15) return [];
  const by: By = (format, cost) => byFormat(format, cost, wanted, true);
  const percents = wanted.text.includes('%') ? percentWritings(value, wanted, by) : [];
  if (source.isShare) return percents;
  if (source.isOfSixty) return [twoDigits, plain(0.2, true)];
  return [
    ...bareWritings(source, value, wanted, by),
    ...cutWritings(value, wanted),
    ...durationWritings(source, by),
    ...percents,
    ...largeWritings(source, value, by),
  ];
}

/** 5 as 05. */
const twoDigits: Writing = {
  id: 'two digits',
  cost: 0.1,
  isNumber: true,
  wrap: (expr) => `\`\${${expr}}\`.padStart(2, "0")`,
  write: (value) => String(value).padStart(2, '0'),
};

/** Digits that are left away, not rounded. */
function cutWritings(value: number, wanted: Wanted): Writing[] {
  if (Number.isInteger(value)) return [];
  return ([1, 10] as const).flatMap((by): Writing[] => {
    const cut = (of: number) => Math.trunc(of * by) / by;
    if (!has(wanted, digitsOf(cut(value), by === 1 ? 0 : 1))) return [];
    return [
      {
        id: `cut ${by}`,
        cost: 1.9,
        isNumber: true,
        wrap: (expr) => (by === 1 ? `Math.trunc(${expr})` : `Math.trunc((${expr}) * 10) / 10`),
        write: (of) => (typeof of === 'number' ? (plainText(cut(of)) ?? null) : null),
      },
    ];
  });
}

const durationName = /^(?:minutes?|mins?|seconds?|secs?|hours?|duration|runtime|lasts?)$/;

/** Spans of time, where a name says that a number is one. */
function durationWritings({ names, isPath }: Source, by: By): Writing[] {
  if (!isPath || !names.some((name) => durationName.test(name))) return [];
  const likely = names.some((name) => /^min/.test(name))
    ? 'minutes'
    : names.some((name) => /^hour/.test(name))
      ? 'hours'
      : 'seconds';
  return (['long', 'short', 'narrow', 'digital'] as const).map((width, at) =>
    by(
      {
        as: 'duration',
        ...(width !== 'long' && { width }),
        ...(likely !== 'seconds' && { of: likely }),
      },
      0.4 + at * 0.2,
    ),
  );
}

type By = (format: Format, cost: number) => Writing;

function has({ numbers }: Wanted, digits: string): boolean {
  return numbers.has(digits) || numbers.has(digits.replace(/^0+(?=\d)/, ''));
}

/** With how many decimals the digits of a number stand in the text. */
const decimalsIn = (value: number, wanted: Wanted): number[] =>
  [0, 1, 2, 3].filter((decimals) => has(wanted, digitsOf(value, decimals)));

/** All its digits, alone or with a sign of money or a unit. */
function bareWritings(source: Source, value: number, wanted: Wanted, by: By): Writing[] {
  const decimals = decimalsIn(value, wanted);
  if (decimals.length === 0 && !has(wanted, String(Math.abs(value)).replace('.', ''))) return [];
  const isWhole = source.type.type === 'integer';
  const likely = likelyFormat(source);
  const fixed = decimals.flatMap((digits) => {
    const cost = digitsCost(source, value, digits);
    const format = { as: 'number', minDigits: digits, maxDigits: digits } as const;
    return [by(format, cost), by({ ...format, grouping: false }, 1.9)];
  });
  return [
    plain(isWhole ? (isLabel(source, value) ? 0 : 1.8) : 1, true),
    by({ as: 'number' }, isWhole ? 0.2 : 0.6),
    ...fixed,
    ...(isWhole
      ? []
      : [by({ as: 'number', maxDigits: 1 }, 1.3), by({ as: 'number', maxDigits: 2 }, 1.2)]),
    ...moneyWritings(source, wanted, likely === 'money'),
    ...unitWritings(source, wanted, likely === 'unit'),
  ];
}

/** Digits behind the sign that the values do not have, or have and lose, are seldom meant. */
function digitsCost({ type, isPath }: Source, value: number, digits: number): number {
  if (type.type === 'integer') return digits === 0 ? 1.4 : 2.4;
  const isLosing = isPath && Number(value.toFixed(digits)) !== value;
  return (digits === 0 || digits === 3 ? 1.4 : 0.5) + (isLosing ? 1.2 : 0);
}

function likelyFormat({ names, type }: Source): Format['as'] | undefined {
  const [first] = names.length === 0 ? [] : proposeFormats([names.join(' ')], type, []);
  return first?.format.as;
}

const percentWritings = (value: number, wanted: Wanted, by: By): Writing[] =>
  ([1, 100] as const).flatMap((of) =>
    decimalsIn(of === 1 ? value * 100 : value, wanted).map((digits) => {
      const fixed = digits > 0 && { minDigits: digits, maxDigits: digits };
      return by({ as: 'percent', ...(of === 100 && { of }), ...fixed }, digits === 0 ? 0 : 0.5);
    }),
  );

const largeWritings = (source: Source, value: number, by: By): Writing[] =>
  Math.abs(value) < 1_000
    ? []
    : [
        by({ as: 'number', compact: 'short' }, 0.8),
        by({ as: 'number', compact: 'long' }, 1),
        by({ as: 'bytes' }, likelyFormat(source) === 'bytes' ? 0.2 : 2),
      ];

/** Numbers that name something are written without groups: years, numbers of houses. */
const isLabel = ({ names }: Source, value: number): boolean =>
  (value >= 1_900 && value < 2_100) ||
  names.some((name) => /^(?:year|since|id|code|no|nr|number|zip|postcode|batch|room)$/.test(name));

function moneyWritings(source: Source, wanted: Wanted, isLikely: boolean): Writing[] {
  const { fields, locale, money } = wanted;
  const base = isLikely ? 0 : source.type.type === 'integer' ? 1.4 : 0.4;
  return money.flatMap(({ currency, display }) => {
    const cost = base + nearnessCost(source, currency) + displayCosts[display];
    const format = { as: 'money', currency, ...(display !== 'symbol' && { display }) } as const;
    return [
      byFormat(format, cost, { locale, fields }, true),
      byFormat({ ...format, minDigits: 0, maxDigits: 0 }, cost + 0.5, { locale, fields }, true),
    ];
  });
}

/** A currency of the same record is the likeliest, one for all items the least likely. */
function nearnessCost({ expr }: Source, currency: string | { readonly expr: string }): number {
  if (typeof currency === 'string') return 1.3;
  const parent = (path: string) => path.slice(0, Math.max(0, path.lastIndexOf('.')));
  return parent(currency.expr) === parent(expr) ? 0.3 : 0.5;
}

const displayCosts = { symbol: 0, narrowSymbol: 1, code: 0.8 } as const;
const widthCosts = { short: 0, long: 0.3, narrow: 0.6 } as const;

const unitWritings = (
  source: Source,
  { locale, fields, units }: Wanted,
  isLikely: boolean,
): Writing[] =>
  units.map(({ unit, width }) => {
    const format = { as: 'unit', unit, ...(width !== 'short' && { width }) } as const;
    const isNamed = source.names.some((name) => name.startsWith(unit.slice(0, 4)));
    const cost = (isNamed || isLikely ? 0.2 : 0.9) + widthCosts[width];
    return byFormat(format, cost, { locale, fields }, true);
  });
