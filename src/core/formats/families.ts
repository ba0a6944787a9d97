import { kindOf, type ResultType } from '../values';
import type { Format } from './format';

/** A family of formats: what it is called, what it takes, and one to begin with. */
export interface Family<As extends Format['as'] = Format['as']> {
  readonly as: As;
  readonly words: string;
  readonly takes: (type: ResultType) => boolean;
  readonly draft: Extract<Format, { as: As }>;
}

const isNumber = (type: ResultType) => kindOf(type) === 'number';
const isDate = (type: ResultType) => kindOf(type) === 'date' || type.type === 'time';

export const families: { readonly [As in Format['as']]: Family<As> } = {
  number: { as: 'number', words: 'number', takes: isNumber, draft: { as: 'number' } },
  money: {
    as: 'money',
    words: 'money',
    takes: isNumber,
    draft: { as: 'money', currency: 'EUR' },
  },
  percent: {
    as: 'percent',
    words: 'percent',
    takes: isNumber,
    draft: { as: 'percent' },
  },
  unit: {
    as: 'unit',
    words: 'with a unit',
    takes: isNumber,
    draft: { as: 'unit', unit: 'gram' },
  },
  bytes: {
    as: 'bytes',
    words: 'size in bytes',
    takes: isNumber,
    draft: { as: 'bytes' },
  },
  date: {
    as: 'date',
    words: 'date and time',
    takes: isDate,
    draft: { as: 'date', date: 'medium' },
  },
  relative: {
    as: 'relative',
    words: 'from now',
    takes: (type) => kindOf(type) === 'date',
    draft: { as: 'relative' },
  },
  duration: {
    as: 'duration',
    words: 'duration',
    takes: (type) => isNumber(type) || type.type === 'duration',
    draft: { as: 'duration', width: 'short' },
  },
  list: {
    as: 'list',
    words: 'list',
    takes: (type) => type.type === 'list' && type.of.type !== 'record' && type.of.type !== 'list',
    draft: { as: 'list' },
  },
  yesNo: {
    as: 'yesNo',
    words: 'two words',
    takes: (type) => type.type === 'boolean',
    draft: { as: 'yesNo', yes: 'yes', no: 'no' },
  },
  text: {
    as: 'text',
    words: 'capitals and such',
    takes: (type) => kindOf(type) === 'text',
    draft: { as: 'text', change: 'sentence' },
  },
  message: {
    as: 'message',
    words: 'words around it',
    takes: (type) => type.type !== 'record' && type.type !== 'list',
    draft: { as: 'message', message: '{$value}' },
  },
};
