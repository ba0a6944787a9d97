import type {
  AnyNode,
  ArrowFunctionExpression,
  Expression,
  FunctionExpression,
  ObjectExpression,
  Pattern,
  SpreadElement,
} from 'acorn';
import { type Habitual, habitual, pieceOf, type Reading } from './habitual';
import { bound } from './pieces';

/** `{name}`, as templates of many kinds have it. */
export function bracesHabit(node: ObjectExpression, reading: Reading): Habitual | undefined {
  const [only, ...others] = node.properties;
  if (only?.type !== 'Property' || !only.shorthand || others.length > 0) return undefined;
  return habitual(node, 'Braces around a value', [pieceOf(only.value, reading).text]);
}

/** `row => row.name`, and functions that take their element apart or have a block. */
export function functionHabit(
  node: ArrowFunctionExpression | FunctionExpression,
  reading: Reading,
): Habitual | undefined {
  const value = madeOf(node, reading);
  if (value === undefined) return undefined;
  if (node.params.some(({ type }) => type === 'ObjectPattern')) {
    const params = node.params.map((each) => whole(each, reading));
    const listed = params.map(({ name }) => name);
    const start = listed.length === 1 ? listed[0] : `(${listed.join(', ')})`;
    const inside = params.reduce((text, { name, parts }) => stepsFrom(name, parts, text), value);
    return habitual(node, 'A parameter taken apart', [`${start} => ${inside}`]);
  }
  const listed = node.params.map((each) => pieceOf(each, reading).text);
  const start = listed.length === 1 ? listed[0] : `(${listed.join(', ')})`;
  const first = listed[0];
  const ofItem =
    first === undefined ? value : value.replace(new RegExp(`${alone(first)}\\??\\.`, 'g'), '');
  const isAtLeast = /^-?[\d.]+$/.test(value) && first !== undefined && reading.isField(first);
  return habitual(node, 'A function on its own', [
    isAtLeast ? `${first} >= ${value}` : undefined,
    `${start} => ${value}`,
    ofItem,
  ]);
}

/** A parameter by one name, with the names that it was taken apart into. */
function whole(
  node: Pattern,
  reading: Reading,
): { readonly name: string; readonly parts: readonly string[] } {
  if (node.type !== 'ObjectPattern') return { name: pieceOf(node, reading).text, parts: [] };
  const parts = node.properties.flatMap((each) =>
    each.type === 'Property' && each.key.type === 'Identifier' ? [each.key.name] : [],
  );
  return { name: 'x', parts };
}

const alone = (name: string): string => `(?<![.\\w$])${name.replaceAll('$', '\\$')}`;

const stepsFrom = (param: string, parts: readonly string[], text: string): string =>
  parts.reduce(
    (made, part) => made.replace(new RegExp(`${alone(part)}\\b`, 'g'), `${param}.${part}`),
    text,
  );

/** What a function gives: its body, or what it returns. */
function madeOf(
  { body }: ArrowFunctionExpression | FunctionExpression,
  reading: Reading,
): string | undefined {
  if (body.type !== 'BlockStatement') return pieceOf(body, reading).text;
  const [only, ...others] = body.body;
  if (only?.type !== 'ReturnStatement' || others.length > 0) return undefined;
  return only.argument ? pieceOf(only.argument, reading).text : undefined;
}

/** What needs no look at its parts but one. */
export function plainHabit(node: AnyNode, reading: Reading): Habitual | undefined {
  const part = (key: string): string | undefined => {
    const inner = Object.getOwnPropertyDescriptor(node, key)?.value;
    return inner === undefined || inner === null ? undefined : pieceOf(inner, reading).text;
  };
  switch (node.type) {
    case 'AssignmentExpression': {
      const [left, right] = [part('left'), part('right')];
      const sign = node.operator.slice(0, -1);
      const operator = sign === '' ? '===' : /^(?:\|\||\?\?)$/.test(sign) ? '??' : sign;
      const written = `${left} ${operator} ${right}`;
      // With another name before it, it is an argument with its name.
      const isOfField = node.left.type !== 'Identifier' || reading.isField(node.left.name);
      return habitual(node, 'An assignment', isOfField ? [written] : [right, written]);
    }
    case 'AwaitExpression':
      return habitual(node, '"await"', [part('argument')]);
    case 'UpdateExpression':
      return habitual(node, '++ or --', [
        `${part('argument')} ${node.operator === '++' ? '+' : '-'} 1`,
      ]);
    case 'TaggedTemplateExpression':
      return habitual(node, 'A word before a template literal', [part('quasi')]);
    case 'ArrayExpression':
      return spreadHabit(node, reading);
    case 'SequenceExpression': {
      const words = reading.text.slice(node.start, node.end);
      return habitual(node, 'A comma in a number', [
        /^\d+,\d+$/.test(words) ? words.replace(',', '.') : undefined,
      ]);
    }
    case 'Literal': {
      const words = reading.text.slice(node.start, node.end);
      return /^\d+n$/.test(words) ? habitual(node, words, [words.slice(0, -1)]) : undefined;
    }
    default:
      return undefined;
  }
}

/** `[...a, ...b]` puts lists together. */
function spreadHabit(node: AnyNode, reading: Reading): Habitual | undefined {
  const elements: readonly (Expression | SpreadElement | null)[] =
    Object.getOwnPropertyDescriptor(node, 'elements')?.value ?? [];
  const parts = elements.flatMap((each) =>
    each === null
      ? []
      : [
          each.type === 'SpreadElement'
            ? bound(pieceOf(each.argument, reading))
            : `[${pieceOf(each, reading).text}]`,
        ],
  );
  const [first, ...rest] = parts;
  if (first === undefined) return undefined;
  const joined = rest.reduce((text, each) => `${text}.concat(${each})`, first);
  return habitual(node, '"..."', [joined, parts.length === 1 ? first.slice(1, -1) : undefined]);
}
