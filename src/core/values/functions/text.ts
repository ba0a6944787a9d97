import { plainText } from '../value';
import { Missing, maxChars, standing, textMethod, tooLong } from './entry';

const text = { type: 'text' } as const;
const integer = { type: 'integer' } as const;
const boolean = { type: 'boolean' } as const;

/** Methods of texts, as ECMA-262 (22.1.3) has them. Positions count UTF-16 units. */
export const textMethods = [
  textMethod({
    name: 'trim',
    params: [],
    gives: text,
    summary: 'Without the spaces at both ends.',
    example: ['"  Lace ".trim()', 'Lace'],
    run: (self) => self.trim(),
  }),
  textMethod({
    name: 'toUpperCase',
    params: [],
    gives: text,
    summary: 'In capital letters, the same in every language.',
    example: ['"Lace".toUpperCase()', 'LACE'],
    run: (self) => self.toUpperCase(),
  }),
  textMethod({
    name: 'toLowerCase',
    params: [],
    gives: text,
    summary: 'In small letters, the same in every language.',
    example: ['"Lace".toLowerCase()', 'lace'],
    run: (self) => self.toLowerCase(),
  }),
  textMethod({
    name: 'slice',
    params: [
      { name: 'from', takes: 'number', optional: true },
      { name: 'to', takes: 'number', optional: true },
    ],
    gives: text,
    summary: 'The part from one position up to another; negative ones count from the end.',
    example: ['"Merino lace".slice(0, 6)', 'Merino'],
    run: (self, from, to) => self.slice(from, to),
  }),
  textMethod({
    name: 'at',
    params: [{ name: 'position', takes: 'number', optional: true }],
    gives: text,
    mayMiss: true,
    summary: 'The one character at a position; negative ones count from the end.',
    example: ['"Lace".at(-1)', 'e'],
    run: (self, position) => self.at(position ?? 0),
  }),
  textMethod({
    name: 'startsWith',
    params: [
      { name: 'start', takes: 'text' },
      { name: 'from', takes: 'number', optional: true },
    ],
    gives: boolean,
    summary: 'Whether it begins so.',
    example: ['"Merino lace".startsWith("Mer")', 'true'],
    run: (self, start, from) => self.startsWith(start, from),
  }),
  textMethod({
    name: 'endsWith',
    params: [
      { name: 'end', takes: 'text' },
      { name: 'to', takes: 'number', optional: true },
    ],
    gives: boolean,
    summary: 'Whether it ends so.',
    example: ['"Merino lace".endsWith("lace")', 'true'],
    run: (self, end, to) => self.endsWith(end, to),
  }),
  textMethod({
    name: 'lastIndexOf',
    params: [
      { name: 'part', takes: 'text' },
      { name: 'from', takes: 'number', optional: true },
    ],
    gives: integer,
    summary: 'Where a part begins last; -1 if it is not there.',
    example: ['"lace, lace".lastIndexOf("lace")', '6'],
    run: (self, part, from) => self.lastIndexOf(part, from ?? Number.POSITIVE_INFINITY),
  }),
  textMethod({
    name: 'includes',
    params: [
      { name: 'part', takes: 'text' },
      { name: 'from', takes: 'number', optional: true },
    ],
    gives: boolean,
    summary: 'Whether the part stands in it.',
    example: ['"Merino lace".includes("no l")', 'true'],
    run: (self, part, from) => self.includes(part, from),
  }),
  textMethod({
    name: 'indexOf',
    params: [
      { name: 'part', takes: 'text' },
      { name: 'from', takes: 'number', optional: true },
    ],
    gives: integer,
    summary: 'Where the part stands first, counted from 0; -1 if nowhere.',
    example: ['"Merino lace".indexOf("lace")', '7'],
    run: (self, part, from) => self.indexOf(part, from),
  }),
  textMethod({
    name: 'replaceAll',
    params: [
      { name: 'part', takes: 'text' },
      { name: 'by', takes: 'text' },
    ],
    gives: text,
    mayMiss: true,
    summary: 'With something else in each place of a part; $& in it is the part itself.',
    example: ['"a-b-c".replaceAll("-", " ")', 'a b c'],
    run(self, part, by) {
      const places = self.length / Math.max(1, part.length) + 1;
      const longestEach = by.includes('$') ? by.length * (self.length + 1) : by.length;
      return places * longestEach > 100 * maxChars ? tooLong() : self.replaceAll(part, by);
    },
  }),
  textMethod({
    name: 'padStart',
    params: [
      { name: 'length', takes: 'number' },
      { name: 'by', takes: 'text', optional: true },
    ],
    gives: text,
    mayMiss: true,
    summary: 'Filled up in front to a length.',
    example: ['"7".padStart(3, "0")', '007'],
    run: (self, length, by) => (length > maxChars ? tooLong() : self.padStart(length, by)),
  }),
  textMethod({
    name: 'padEnd',
    params: [
      { name: 'length', takes: 'number' },
      { name: 'by', takes: 'text', optional: true },
    ],
    gives: text,
    mayMiss: true,
    summary: 'Filled up behind to a length.',
    example: ['"7".padEnd(3, ".")', '7..'],
    run: (self, length, by) => (length > maxChars ? tooLong() : self.padEnd(length, by)),
  }),
  textMethod({
    name: 'split',
    params: [
      { name: 'at', takes: 'text' },
      { name: 'most', takes: 'number', optional: true },
    ],
    gives: { type: 'list', of: text },
    summary: 'The parts between separators, as a list.',
    example: ['"woad, weld".split(", ").length', '2'],
    run: (self, at, max) => self.split(at, max),
  }),
];

/** `length` is written without brackets: it is a step, not a call. */
export const textLength = textMethod({
  name: 'length',
  params: [],
  gives: integer,
  summary: 'How many UTF-16 units it has.',
  example: ['"Lace".length', '4'],
  run: (self) => self.length,
});

/** What stands alone and makes texts, or numbers of them. */
export const textFunctions = [
  standing({
    name: 'joined',
    params: [
      { name: 'separator', takes: 'text' },
      { name: 'value', takes: 'plain' },
    ],
    repeats: true,
    skipsMissing: true,
    gives: text,
    mayMiss: true,
    summary: 'The values that are there and not empty, with the separator between them.',
    example: ['joined(", ", "Am Markt", "", 3)', 'Am Markt, 3'],
    run: (separator, ...values) => {
      const texts = values.flatMap((value) => plainText(value) ?? []);
      const filled = texts.filter((each) => each.trim() !== '');
      if (filled.length === 0) return new Missing('none of the values is there');
      const length = filled.reduce((sum, each) => sum + each.length + separator.length, 0);
      return length > maxChars ? tooLong() : filled.join(separator);
    },
  }),
  standing({
    name: 'Number',
    params: [{ name: 'text', takes: 'plain' }],
    gives: { type: 'number' },
    mayMiss: true,
    summary: 'The number that a text is, with a decimal point; other texts have none.',
    example: ['Number(" 12.50 ")', '12.5'],
    run: (written) => {
      const number = String(written).trim() === '' ? Number.NaN : Number(written);
      return Number.isFinite(number) ? number : new Missing('the text is no number');
    },
  }),
];
