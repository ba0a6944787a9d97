import { type Finding, type Mend, nearest, ownValue } from '../../base';
import { type Span, valueFindings } from '../findings';

/** Thrown while an expression is read, and caught where reading began. */
export class Refused extends Error {
  constructor(readonly finding: Finding) {
    super(finding.message);
  }
}

export function refuse(span: Span, what: string, instead: string, mend?: Mend): never {
  throw new Refused(valueFindings.notInLanguage(span, what, instead, mend));
}

const inList =
  'Literals, names, a.b, a[i], operators, ?:, ??, `text ${value}`, [lists] and calls can be used.';

/** What each kind of ECMAScript node is called, and what to write in its place. */
const refused: Readonly<Record<string, readonly [what: string, instead: string]>> = {
  AssignmentExpression: [
    'An assignment',
    'An expression only reads values. To compare, write ===.',
  ],
  ArrowFunctionExpression: [
    'A function on its own',
    'Write it inside a call that takes one: reviews.filter(r => r.stars > 3).',
  ],
  AwaitExpression: ['"await"', 'All values are there already.'],
  ClassExpression: ['A class', inList],
  FunctionExpression: ['A function on its own', 'Write x => … inside a call that takes one.'],
  ImportExpression: ['"import"', inList],
  MetaProperty: ['"import.meta"', inList],
  NewExpression: [
    '"new"',
    'Dates are read when the items come (Data, “Read it as …”); now is the time.',
  ],
  ObjectExpression: [
    'A record in braces',
    'Take values from the item, or put words together: `${a} ${b}`.',
  ],
  SequenceExpression: [
    'A comma between expressions',
    'An expression gives one value: write one of them.',
  ],
  SpreadElement: ['"..."', 'Put lists together with a.concat(b).'],
  TaggedTemplateExpression: ['A word before a template literal', 'Take the word away.'],
  ThisExpression: ['"this"', 'Write the name of the field alone.'],
  UpdateExpression: ['++ or --', 'An expression only reads values: write x + 1.'],
  YieldExpression: ['"yield"', inList],
};

export function refuseNode(type: string, span: Span): never {
  const [what, instead] = ownValue(refused, type) ?? ['This', inList];
  return refuse(span, what, instead);
}

const operators: Readonly<Record<string, string>> = {
  typeof:
    'Types are known beforehand: Data shows them. To ask whether a value is there, write x !== null.',
  void: 'Write null for no value.',
  delete: 'An expression only reads values.',
  '~': 'Numbers are not taken apart into bits here.',
  '+': 'A text that holds a number is read as one in Data (“Read it as …”).',
  in: 'To ask whether a value is there, write x !== null.',
  instanceof: 'Types are known beforehand: Data shows them.',
  '&': 'To ask for both, write &&.',
  '|': 'To ask for either, write ||.',
  '^': 'For powers, write **.',
  '<<': 'Numbers are not taken apart into bits here.',
  '>>': 'Numbers are not taken apart into bits here.',
  '>>>': 'Numbers are not taken apart into bits here.',
};

export const refuseOperator = (operator: string, span: Span): never =>
  refuse(span, `The operator ${operator}`, ownValue(operators, operator) ?? inList);

/** A call of something that is not in the table. */
export function refuseCall(span: Span, name: string, known: readonly string[]): never {
  const near = nearest(name, known);
  const mend = near === undefined ? undefined : { label: `Write ${near}`, ...span, text: near };
  const hint =
    near === undefined
      ? 'Type its first letters to see what there is; Help, Expressions, lists all.'
      : `Did you mean ${near}?`;
  return refuse(span, `${name}(…)`, hint, mend);
}
