import { isRecord, type Json } from '../../base';
import { listOf } from '../result-type';
import { plainText } from '../value';
import { type Given, listMethod, Missing, maxChars, maxElements, tooLong } from './entry';

const boolean = { type: 'boolean' } as const;
const sameList = ({ of }: Given) => of;
const anElement = ({ element }: Given) => element;

/** Methods of lists, as ECMA-262 (23.1.3) has them; none changes the list. */
export const listMethods = [
  listMethod({
    name: 'at',
    params: [{ name: 'position', takes: 'number' }],
    gives: anElement,
    mayMiss: true,
    summary: 'The element at a position; negative ones count from the end.',
    example: ['["woad", "weld"].at(-1)', 'weld'],
    run: (self, position) => self.at(position) ?? new Missing('the list has nothing there'),
  }),
  listMethod({
    name: 'filter',
    params: [{ name: 'keep', takes: 'keep' }],
    gives: sameList,
    summary: 'The elements for which it is true.',
    example: ['[4, 2, 5].filter(x => x > 3).length', '2'],
    run: (self, keep) => self.filter((element, index) => keep(element, index)),
  }),
  listMethod({
    name: 'map',
    params: [{ name: 'make', takes: 'make' }],
    gives: ({ made }) => listOf(made),
    summary: 'What is made of each element.',
    example: ['[1, 2].map(x => x * 10).join(", ")', '10, 20'],
    run: (self, make) => self.map((element, index) => make(element, index) ?? null),
  }),
  listMethod({
    name: 'some',
    params: [{ name: 'is', takes: 'keep' }],
    gives: boolean,
    summary: 'Whether it is true for one of them.',
    example: ['[4, 2].some(x => x > 3)', 'true'],
    run: (self, is) => self.some((element, index) => is(element, index)),
  }),
  listMethod({
    name: 'every',
    params: [{ name: 'is', takes: 'keep' }],
    gives: boolean,
    summary: 'Whether it is true for all of them.',
    example: ['[4, 2].every(x => x > 3)', 'false'],
    run: (self, is) => self.every((element, index) => is(element, index)),
  }),
  listMethod({
    name: 'find',
    params: [{ name: 'is', takes: 'keep' }],
    gives: anElement,
    mayMiss: true,
    summary: 'The first element for which it is true.',
    example: ['[2, 4, 5].find(x => x > 3)', '4'],
    run: (self, is) =>
      self.find((element, index) => is(element, index)) ??
      new Missing('it is true for no element of the list'),
  }),
  listMethod({
    name: 'includes',
    params: [{ name: 'value', takes: 'element' }],
    elements: 'plain',
    gives: boolean,
    summary: 'Whether a value is among the elements.',
    example: ['["woad", "weld"].includes("weld")', 'true'],
    run: (self, value) => self.some((element) => element === value),
  }),
  listMethod({
    name: 'join',
    params: [{ name: 'between', takes: 'text', optional: true }],
    elements: 'showable',
    gives: { type: 'text' },
    mayMiss: true,
    summary: 'All elements in one text, with a comma or something else between them.',
    example: ['["woad", "weld"].join(" and ")', 'woad and weld'],
    run: (self, between = ',') => joined(self, between),
  }),
  listMethod({
    name: 'slice',
    params: [
      { name: 'from', takes: 'number', optional: true },
      { name: 'to', takes: 'number', optional: true },
    ],
    gives: sameList,
    summary: 'The elements from one position up to another; negative ones count from the end.',
    example: ['[1, 2, 3].slice(0, 2).join(" ")', '1 2'],
    run: (self, from, to) => self.slice(from, to),
  }),
  listMethod({
    name: 'toSorted',
    params: [{ name: 'order', takes: 'order', optional: true }],
    elements: 'text',
    gives: sameList,
    summary: 'In order: texts by their characters, others by a function of two elements.',
    example: ['[3, 1, 2].toSorted((a, b) => a - b).join(" ")', '1 2 3'],
    run: (self, order) => sorted(self, order),
  }),
  listMethod({
    name: 'concat',
    params: [{ name: 'other', takes: 'list' }],
    gives: sameList,
    mayMiss: true,
    summary: 'The elements of this list, then those of another.',
    example: ['[1, 2].concat([3]).length', '3'],
    run: (self, other) =>
      self.length + other.length > maxElements
        ? new Missing('the list would be too long')
        : [...self, ...other],
  }),
];

export const listLength = listMethod({
  name: 'length',
  params: [],
  gives: { type: 'integer' },
  summary: 'How many elements it has.',
  example: ['["woad", "weld"].length', '2'],
  run: (self) => self.length,
});

function joined(list: readonly Json[], between: string): string | Missing {
  const texts = list.map((element) =>
    element === null || isRecord(element) || Array.isArray(element)
      ? ''
      : (plainText(element) ?? ''),
  );
  const length = texts.reduce((sum, text) => sum + text.length + between.length, 0);
  return length > 100 * maxChars ? tooLong() : texts.join(between);
}

/** Missing elements come last, as ECMA-262 has it for undefined ones. */
function sorted(
  list: readonly Json[],
  order: ((a: Json, b: Json) => number) | undefined,
): readonly Json[] {
  const there = list.filter((element) => element !== null);
  const byText = (a: Json, b: Json) => (String(a) < String(b) ? -1 : String(a) > String(b) ? 1 : 0);
  const rest = list.filter((element) => element === null);
  return [...there.sort(order ?? byText), ...rest];
}
