import { isRecord, type Json } from '../../base';
import { listOf } from '../result-type';
import { plainText } from '../value';
import { type Given, listMethod, Missing, maxChars, maxElements, tooLong } from './entry';

const boolean = { type: 'boolean' } as const;
const integer = { type: 'integer' } as const;
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
    name: 'findLast',
    params: [{ name: 'is', takes: 'keep' }],
    gives: anElement,
    mayMiss: true,
    summary: 'The last element for which it is true.',
    example: ['[5, 4, 2].findLast(x => x > 3)', '4'],
    run: (self, is) =>
      self.findLast((element, index) => is(element, index)) ??
      new Missing('it is true for no element of the list'),
  }),
  listMethod({
    name: 'findIndex',
    params: [{ name: 'is', takes: 'keep' }],
    gives: integer,
    summary: 'The position of the first element for which it is true; -1 for none.',
    example: ['[2, 4, 5].findIndex(x => x > 3)', '1'],
    run: (self, is) => self.findIndex((element, index) => is(element, index)),
  }),
  listMethod({
    name: 'indexOf',
    params: [{ name: 'value', takes: 'element' }],
    elements: 'plain',
    gives: integer,
    summary: 'The first position of a value; -1 if it is not there.',
    example: ['["woad", "weld"].indexOf("weld")', '1'],
    run: (self, value) => self.indexOf(value),
  }),
  listMethod({
    name: 'lastIndexOf',
    params: [{ name: 'value', takes: 'element' }],
    elements: 'plain',
    gives: integer,
    summary: 'The last position of a value; -1 if it is not there.',
    example: ['[3, 1, 3].lastIndexOf(3)', '2'],
    run: (self, value) => self.lastIndexOf(value),
  }),
  listMethod({
    name: 'with',
    params: [
      { name: 'position', takes: 'number' },
      { name: 'value', takes: 'element' },
    ],
    gives: sameList,
    mayMiss: true,
    summary: 'With another element at a position; negative ones count from the end.',
    example: ['[1, 2, 3].with(0, 9).join(" ")', '9 2 3'],
    run: (self, position, value) => {
      const whole = Math.trunc(position) || 0;
      const at = whole < 0 ? self.length + whole : whole;
      return at >= 0 && at < self.length
        ? self.with(at, value)
        : new Missing('the list has nothing there');
    },
  }),
  listMethod({
    name: 'toReversed',
    params: [],
    gives: sameList,
    summary: 'The last first.',
    example: ['[1, 2, 3].toReversed().join(" ")', '3 2 1'],
    run: (self) => self.toReversed(),
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
  return length > 2 * maxChars ? tooLong() : texts.join(between);
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
