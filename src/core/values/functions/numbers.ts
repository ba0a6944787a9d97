import { Missing, standing } from './entry';

const number = { type: 'number' } as const;
const integer = { type: 'integer' } as const;
const one = [{ name: 'number', takes: 'number' }] as const;

/** Functions of numbers, as ECMA-262 (21.3.2) has them. */
export const numberFunctions = [
  standing({
    name: 'Math.abs',
    params: one,
    gives: ({ of }) => of,
    summary: 'Without its sign.',
    example: ['Math.abs(-3)', '3'],
    run: (x) => Math.abs(x),
  }),
  standing({
    name: 'Math.round',
    params: one,
    gives: integer,
    summary: 'The nearest whole number; halves go up.',
    example: ['Math.round(2.5)', '3'],
    run: (x) => Math.round(x),
  }),
  standing({
    name: 'Math.floor',
    params: one,
    gives: integer,
    summary: 'The whole number at or below it.',
    example: ['Math.floor(2.7)', '2'],
    run: (x) => Math.floor(x),
  }),
  standing({
    name: 'Math.ceil',
    params: one,
    gives: integer,
    summary: 'The whole number at or above it.',
    example: ['Math.ceil(2.1)', '3'],
    run: (x) => Math.ceil(x),
  }),
  standing({
    name: 'Math.trunc',
    params: one,
    gives: integer,
    summary: 'Without what stands behind the decimal point.',
    example: ['Math.trunc(-2.7)', '-2'],
    run: (x) => Math.trunc(x),
  }),
  standing({
    name: 'Math.sign',
    params: one,
    gives: integer,
    summary: '1, 0 or -1 by its sign.',
    example: ['Math.sign(-8)', '-1'],
    run: (x) => Math.sign(x),
  }),
  standing({
    name: 'Math.min',
    params: one,
    repeats: true,
    gives: number,
    summary: 'The smallest of the numbers given; of a list: smallest(list).',
    example: ['Math.min(3, 1, 2)', '1'],
    run: (...all) => Math.min(...all),
  }),
  standing({
    name: 'Math.max',
    params: one,
    repeats: true,
    gives: number,
    summary: 'The largest of the numbers given; of a list: largest(list).',
    example: ['Math.max(3, 1, 2)', '3'],
    run: (...all) => Math.max(...all),
  }),
];

/** Sums and the like go past the bounds of doubles and have no value then. */
export const finite = (number: number): number | Missing =>
  Number.isFinite(number) ? number : new Missing('the number is too large');
