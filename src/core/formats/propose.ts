import { type Field, fieldAtPath, kindOf, pathText, type ResultType } from '../values';
import type { Format } from './format';

/** A format that is likely meant, with a name for it. */
export interface FormatProposal {
  readonly name: string;
  readonly format: Format;
}

const moneyName =
  /price|cost|amount|total|fee|fare|pay|paid|balance|salary|revenue|due$|betrag|preis|prix/i;
const percentName = /percent|pct|share|ratio|rate$|progress|discount/i;
const bytesName = /bytes|size$|filesize/i;
const durationName = /duration|length$|runtime|elapsed|seconds|minutes$|hours$/i;

/** The unit that ECMA-402 sanctions, by what a number's name ends in or is. */
const units: readonly (readonly [RegExp, string])[] = [
  [/grams?$|^g$/i, 'gram'],
  [/weight.*kg|kilograms?$|kg$/i, 'kilogram'],
  [/metres?$|meters?$|_m$/i, 'meter'],
  [/km$|kilomet(?:re|er)s?$|distance$/i, 'kilometer'],
  [/cm$|centimet(?:re|er)s?$/i, 'centimeter'],
  [/mm$|millimet(?:re|er)s?$/i, 'millimeter'],
  [/lit(?:re|er)s?$/i, 'liter'],
  [/ml$|millilit(?:re|er)s?$/i, 'milliliter'],
  [/celsius$|temperature$|temp$/i, 'celsius'],
];

/**
 * What a value is likely to be written as, by its type, its path and the fields beside it; the
 * likeliest first.
 */
export function proposeFormats(
  path: readonly string[],
  type: ResultType,
  fields: readonly Field[],
): readonly FormatProposal[] {
  switch (kindOf(type)) {
    case 'number':
      return ofNumber(path, type, fields);
    case 'date':
      return ofDate(type);
    case 'boolean':
      return [{ name: 'yes or no', format: { as: 'yesNo', yes: 'yes', no: 'no' } }];
    case 'list':
      return [
        { name: 'list', format: { as: 'list' } },
        { name: 'list with or', format: { as: 'list', join: 'or' } },
      ];
    case 'text':
      return ofText(type);
    default:
      return [];
  }
}

const currencyName = /currency|waehrung|währung|devise/i;

/** The field that names the currency of an amount: of its own record, else of one around that. */
export function currencyNear(
  path: readonly string[],
  fields: readonly Field[],
): readonly string[] | undefined {
  for (let depth = path.length - 1; depth >= 0; depth -= 1) {
    const around = path.slice(0, depth);
    const record = depth === 0 ? undefined : fieldAtPath(fields, around);
    const beside = depth === 0 ? fields : record?.type === 'record' ? record.fields : [];
    const code = beside.find(({ name, type }) => type === 'text' && currencyName.test(name));
    if (code !== undefined) return [...around, code.name];
  }
  return undefined;
}

function ofNumber(
  path: readonly string[],
  type: ResultType,
  fields: readonly Field[],
): FormatProposal[] {
  const name = path.at(-1) ?? '';
  const likely: FormatProposal[] = [];
  const code = currencyNear(path, fields);
  const currency = code === undefined ? 'EUR' : { expr: pathText(code) };
  const money: FormatProposal = { name: 'money', format: { as: 'money', currency } };
  if (moneyName.test(name)) likely.push(money);
  if (percentName.test(name)) likely.push({ name: 'percent', format: { as: 'percent' } });
  if (bytesName.test(name)) likely.push({ name: 'size', format: { as: 'bytes' } });
  if (durationName.test(name)) likely.push({ name: 'duration', format: durationOf(name) });
  const unit = units.find(([pattern]) => pattern.test(name))?.[1];
  if (unit !== undefined) likely.push({ name: unit, format: { as: 'unit', unit } });
  const whole: FormatProposal[] = [
    { name: 'number', format: { as: 'number' } },
    {
      name: 'plural',
      format: {
        as: 'message',
        message:
          '.input {$value :number} .match $value 0 {{none}} one {{{$value} item}} * {{{$value} items}}',
      },
    },
  ];
  const broken: FormatProposal[] = [
    { name: 'two digits', format: { as: 'number', minDigits: 2, maxDigits: 2 } },
  ];
  const rest = [
    ...(type.type === 'integer' ? whole : broken),
    { name: 'short', format: { as: 'number', compact: 'short' } as const },
    money,
  ];
  return [...likely, ...rest.filter((each) => !likely.includes(each))];
}

const durationOf = (name: string): Format => ({
  as: 'duration',
  width: 'short',
  of: /minutes?$/i.test(name) ? 'minutes' : /hours?$/i.test(name) ? 'hours' : 'seconds',
});

function ofDate(type: ResultType): FormatProposal[] {
  const isMoment = type.type === 'datetime';
  const day: FormatProposal = { name: 'date', format: { as: 'date', date: 'medium' } };
  const moment: FormatProposal = {
    name: 'date and time',
    format: { as: 'date', date: 'medium', time: 'short' },
  };
  return [
    ...(isMoment ? [moment] : []),
    day,
    { name: 'long date', format: { as: 'date', date: 'long' } },
    { name: 'from now', format: { as: 'relative' } },
  ];
}

function ofText(type: ResultType): FormatProposal[] {
  if (type.type === 'duration')
    return [{ name: 'duration', format: { as: 'duration', width: 'short' } }];
  if (type.type === 'time') return [{ name: 'time', format: { as: 'date', time: 'short' } }];
  if (type.type !== 'text') return [];
  return [
    { name: 'capital first', format: { as: 'text', change: 'sentence' } },
    { name: 'capitals', format: { as: 'text', change: 'upper' } },
    { name: 'initials', format: { as: 'text', change: 'initials' } },
  ];
}
