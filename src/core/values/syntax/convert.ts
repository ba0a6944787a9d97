import type {
  ArrowFunctionExpression,
  BinaryExpression,
  CallExpression,
  Expression,
  Literal,
  MemberExpression,
  PrivateIdentifier,
  SpreadElement,
  Super,
  UnaryExpression,
} from 'acorn';
import { keepsDigits } from '../../base';
import { type Span, valueFindings } from '../findings';
import { functionNames, methodNames } from '../functions';
import { Refused, refuse, refuseCall, refuseNode, refuseOperator } from './refusals';
import type { Argument, ArithmeticOperator, Arrow, CompareOperator, Expr } from './tree';

export const deepest = 100;

type Node = Expression | PrivateIdentifier | Super | SpreadElement;

const spanOf = ({ start, end }: { start: number; end: number }): Span => ({ from: start, to: end });

/** The tree of ECMAScript as ours; throws `Refused` at what is not in the language. */
export const convert = (node: Node): Expr => at(node, 0);

function at(node: Node, depth: number): Expr {
  const span = spanOf(node);
  const inner = (each: Node) => at(each, depth + 1);
  if (depth > deepest) throw new Refused(valueFindings.tooDeep(span, deepest));
  switch (node.type) {
    case 'ParenthesizedExpression':
    case 'ChainExpression':
      return inner(node.expression);
    case 'Identifier':
      return node.name === 'undefined'
        ? { kind: 'literal', value: null, ...span }
        : { kind: 'name', name: node.name, ...span };
    case 'Literal':
      return { kind: 'literal', value: literalValue(node, span), ...span };
    case 'TemplateLiteral':
      return {
        kind: 'template',
        texts: node.quasis.map((each) => each.value.cooked ?? each.value.raw),
        holes: node.expressions.map(inner),
        ...span,
      };
    case 'MemberExpression':
      return step(node, inner);
    case 'UnaryExpression':
      return unary(node, inner);
    case 'BinaryExpression':
      return binary(node, inner);
    case 'LogicalExpression': {
      const { operator } = node;
      return {
        kind: 'logical',
        operator,
        left: inner(node.left),
        right: inner(node.right),
        ...span,
      };
    }
    case 'ConditionalExpression':
      return {
        kind: 'conditional',
        test: inner(node.test),
        whenTrue: inner(node.consequent),
        otherwise: inner(node.alternate),
        ...span,
      };
    case 'ArrayExpression':
      return {
        kind: 'list',
        elements: node.elements.map((each) =>
          each === null ? refuse(span, 'An empty place', 'Write null for no value.') : inner(each),
        ),
        ...span,
      };
    case 'CallExpression':
      return call(node, inner);
    default:
      return refuseNode(node.type, span);
  }
}

type Inner = (node: Node) => Expr;

/** `a.b`, `a["b c"]` or, where the step is no fixed text, `a[i]`. */
function step(node: MemberExpression, inner: Inner): Expr {
  const { object, property, computed } = node;
  const name =
    !computed && property.type === 'Identifier'
      ? property.name
      : computed && property.type === 'Literal' && typeof property.value === 'string'
        ? property.value
        : undefined;
  const span = spanOf(node);
  if (name !== undefined)
    return { kind: 'member', of: inner(object), name, step: spanOf(property), ...span };
  return { kind: 'index', of: inner(object), at: inner(property), ...span };
}

function unary(node: UnaryExpression, inner: Inner): Expr {
  const span = spanOf(node);
  if (node.operator === '!') return { kind: 'not', of: inner(node.argument), ...span };
  if (node.operator === '-') return { kind: 'negate', of: inner(node.argument), ...span };
  return refuseOperator(node.operator, span);
}

const arithmetic: Readonly<Record<string, ArithmeticOperator>> = {
  '+': '+',
  '-': '-',
  '*': '*',
  '/': '/',
  '%': '%',
  '**': '**',
};

const comparisons: Readonly<Record<string, CompareOperator>> = {
  '===': '===',
  '==': '===',
  '!==': '!==',
  '!=': '!==',
  '<': '<',
  '<=': '<=',
  '>': '>',
  '>=': '>=',
};

function binary(node: BinaryExpression, inner: Inner): Expr {
  const span = spanOf(node);
  const operation = arithmetic[node.operator];
  const comparison = comparisons[node.operator];
  if (operation === undefined && comparison === undefined)
    return refuseOperator(node.operator, span);
  const [left, right] = [inner(node.left), inner(node.right)];
  return comparison === undefined
    ? { kind: 'arithmetic', operator: operation ?? '+', left, right, ...span }
    : { kind: 'compare', operator: comparison, left, right, ...span };
}

function call(node: CallExpression, inner: Inner): Expr {
  const { callee } = node;
  const span = spanOf(node);
  if (callee.type === 'Identifier' && callee.name === 'lookup') return lookup(node, inner);
  if (callee.type === 'Identifier' && callee.name === 'format') return format(node, inner);
  const args = node.arguments.map((each) => argument(each, inner));
  const whole = wholeName(callee);
  if (whole !== undefined && functionNames.has(whole))
    return { kind: 'call', of: undefined, name: whole, nameSpan: spanOf(callee), args, ...span };
  if (whole !== undefined)
    return refuseCall(spanOf(callee), whole, [...functionNames, 'lookup', 'format']);
  if (
    callee.type !== 'MemberExpression' ||
    callee.property.type !== 'Identifier' ||
    callee.computed
  )
    return refuse(span, 'This call', 'Write the name of a function or method.');
  const { name } = callee.property;
  const nameSpan = spanOf(callee.property);
  if (!methodNames.has(name)) return refuseCall(nameSpan, name, [...methodNames]);
  return { kind: 'call', of: inner(callee.object), name, nameSpan, args, ...span };
}

/** `sum` or `Math.round`: names that stand for themselves, whatever the item holds. */
function wholeName(callee: Node): string | undefined {
  if (callee.type === 'Identifier') return callee.name;
  if (callee.type !== 'MemberExpression' || callee.computed) return undefined;
  const { object, property } = callee;
  return object.type === 'Identifier' && object.name === 'Math' && property.type === 'Identifier'
    ? `Math.${property.name}`
    : undefined;
}

function argument(node: Expression | SpreadElement, inner: Inner): Argument {
  if (node.type === 'ParenthesizedExpression') return argument(node.expression, inner);
  return node.type === 'ArrowFunctionExpression' ? arrow(node, inner) : inner(node);
}

function arrow(node: ArrowFunctionExpression, inner: Inner): Arrow {
  const params = node.params.map((each) =>
    each.type === 'Identifier'
      ? each.name
      : refuse(spanOf(each), 'A parameter taken apart', 'Name it, then read a.b.'),
  );
  if (node.body.type === 'BlockStatement')
    return refuse(
      spanOf(node.body),
      'A block of statements',
      'Write the value alone: x => x.price.',
    );
  if (node.async) return refuse(spanOf(node), '"async"', 'All values are there already.');
  return { kind: 'arrow', params, body: inner(node.body), ...spanOf(node) };
}

/** `lookup("makers", maker)`: its source is known without looking at an item. */
function lookup(node: CallExpression, inner: Inner): Expr {
  const [source, key] = node.arguments;
  if (
    node.arguments.length !== 2 ||
    source?.type !== 'Literal' ||
    typeof source.value !== 'string' ||
    key === undefined ||
    key.type === 'SpreadElement'
  )
    return refuse(
      spanOf(node),
      'This lookup',
      'Write the source in quotes, then the key: lookup("makers", maker).',
    );
  return {
    kind: 'lookup',
    source: source.value,
    sourceSpan: spanOf(source),
    key: inner(key),
    ...spanOf(node),
  };
}

/** `format(price, "money")`: its format is known without looking at an item. */
function format(node: CallExpression, inner: Inner): Expr {
  const [of, name] = node.arguments;
  if (
    node.arguments.length !== 2 ||
    of === undefined ||
    of.type === 'SpreadElement' ||
    name?.type !== 'Literal' ||
    typeof name.value !== 'string'
  )
    return refuse(
      spanOf(node),
      'This format',
      'Write the value, then the format in quotes: format(price, "money").',
    );
  return {
    kind: 'format',
    of: inner(of),
    format: name.value,
    formatSpan: spanOf(name),
    ...spanOf(node),
  };
}

/** Numbers are what they look like, and no digit goes without a word. */
function numberAsWritten(value: number, written: string, span: Span): number {
  if (/^0\d/.test(written)) throw new Refused(valueFindings.numberLeadsWithZero(span, written));
  const plain = written.replaceAll('_', '');
  const isWhole = /^(?:\d+|0[xXoObB][\da-fA-F]+)$/.test(plain);
  const isKept = isWhole ? BigInt(plain) === BigInt(value) : keepsDigits(plain);
  if (!isKept) throw new Refused(valueFindings.numberTooLong(span, written, String(value)));
  return value;
}

function literalValue({ value, raw }: Literal, span: Span): string | number | boolean | null {
  if (typeof value === 'number' && Number.isFinite(value))
    return numberAsWritten(value, raw ?? String(value), span);
  if (value === null || typeof value === 'string' || typeof value === 'boolean') {
    return value;
  }
  return refuse(
    span,
    'A regular expression or big number',
    'Write a text in quotes, or a plain number; to search, includes and replaceAll take texts.',
  );
}
