import type { Json } from '../../base';
import { numberOf } from '../result-type';
import type { Value } from '../value';
import { type Given, Missing, standing } from './entry';
import { finite } from './numbers';

const params = [
  { name: 'list', takes: 'list' },
  { name: 'make', takes: 'make', optional: true },
] as const;

const sumType = ({ element, made }: Given) => numberOf(made ?? element);

type Make = ((element: Json, index: number) => Value) | undefined;

/** What is made of each element; missing values are passed over. */
function valuesOf(list: readonly Json[], make: Make): Exclude<Value, undefined>[] {
  return list.flatMap((element, index) => {
    const value = make === undefined ? element : make(element, index);
    return value === undefined || value === null ? [] : [value];
  });
}

const numbersOf = (list: readonly Json[], make: Make): number[] =>
  valuesOf(list, make).filter((value) => typeof value === 'number');

/** Functions over the elements of a list. Missing values are passed over. */
export const aggregates = [
  standing({
    name: 'sum',
    params,
    elements: 'number',
    gives: sumType,
    mayMiss: true,
    summary: 'All numbers of a list together, or what is made of its elements.',
    example: ['sum([1, 2, 3])', '6'],
    run: (list, make) => finite(numbersOf(list, make).reduce((sum, each) => sum + each, 0)),
  }),
  standing({
    name: 'average',
    params,
    elements: 'number',
    gives: { type: 'number' },
    mayMiss: true,
    summary: 'The sum through the count of the numbers that are there.',
    example: ['average([4, 5])', '4.5'],
    run(list, make) {
      const numbers = numbersOf(list, make);
      if (numbers.length === 0) return nothingInIt();
      return finite(numbers.reduce((sum, each) => sum + each, 0) / numbers.length);
    },
  }),
  standing({
    name: 'smallest',
    params,
    elements: 'ordered',
    gives: ({ element, made }) => made ?? element,
    mayMiss: true,
    summary: 'The least of the numbers, texts or dates.',
    example: ['smallest([3, 1, 2])', '1'],
    run: (list, make) => extreme(valuesOf(list, make), (a, b) => a < b),
  }),
  standing({
    name: 'largest',
    params,
    elements: 'ordered',
    gives: ({ element, made }) => made ?? element,
    mayMiss: true,
    summary: 'The greatest of the numbers, texts or dates.',
    example: ['largest([3, 1, 2])', '3'],
    run: (list, make) => extreme(valuesOf(list, make), (a, b) => a > b),
  }),
  standing({
    name: 'distinct',
    params,
    elements: 'plain',
    gives: ({ of }) => of,
    summary: 'Each value once, or the first element of each value that is made.',
    example: ['distinct(["woad", "weld", "woad"]).length', '2'],
    run(list, make) {
      const seen = new Set<Value>();
      return list.filter((element, index) => {
        const value = make === undefined ? (element ?? undefined) : make(element, index);
        if (value === undefined || seen.has(value)) return false;
        seen.add(value);
        return true;
      });
    },
  }),
];

function extreme(
  values: readonly Exclude<Value, undefined>[],
  isBetter: (a: string | number, b: string | number) => boolean,
): Value | Missing {
  let best: string | number | undefined;
  for (const value of values) {
    if (typeof value !== 'number' && typeof value !== 'string') continue;
    if (best === undefined || isBetter(value, best)) best = value;
  }
  return best ?? nothingInIt();
}

const nothingInIt = (): Missing => new Missing('there is nothing in the list');
