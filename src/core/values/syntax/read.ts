import {
  type CallExpression,
  type Expression,
  type PrivateIdentifier,
  parseExpressionAt,
  type Super,
} from 'acorn';
import { type Finding, failed, ok, type Result } from '../../base';
import { type Span, valueFindings } from '../findings';
import type { Expr } from './tree';

const longest = 10_000;
const deepest = 100;

class Refused extends Error {
  constructor(readonly finding: Finding) {
    super(finding.message);
  }
}

/** Reads the text of an expression: the subset of ECMAScript expressions that Yarn Card has. */
export function readExpression(text: string): Result<Expr, Finding> {
  if (text.trim() === '') return failed(valueFindings.empty());
  if (text.length > longest) return failed(valueFindings.tooLong(text.length, longest));
  if (nesting(text) > deepest)
    return failed(valueFindings.tooDeep({ from: 0, to: text.length }, deepest));
  try {
    const node = parseExpressionAt(text, 0, { ecmaVersion: 2022 });
    const rest = text.slice(node.end).search(/\S/);
    if (rest >= 0) {
      const at = node.end + rest;
      const wrong = `"${text.slice(at, at + 12)}" stands after its end`;
      return failed(valueFindings.syntax({ from: at, to: text.length }, wrong));
    }
    return ok(convert(node, 0));
  } catch (error) {
    if (error instanceof Refused) return failed(error.finding);
    return failed(syntaxFinding(error, text));
  }
}

/** An upper bound of the depth of brackets; strings may raise it, which costs nobody anything. */
function nesting(text: string): number {
  let depth = 0;
  let most = 0;
  for (const char of text) {
    if ('([{'.includes(char)) most = Math.max(most, ++depth);
    else if (')]}'.includes(char)) depth -= 1;
  }
  return most;
}

function syntaxFinding(error: unknown, text: string): Finding {
  if (error instanceof SyntaxError && 'pos' in error && typeof error.pos === 'number') {
    const at = Math.min(error.pos, text.length);
    const wrong = error.message.replace(/ \(\d+:\d+\)$/, '');
    const words =
      at >= text.length ? 'it ends too early' : wrong.charAt(0).toLowerCase() + wrong.slice(1);
    return valueFindings.syntax({ from: at, to: Math.min(at + 1, text.length) }, words);
  }
  if (error instanceof RangeError)
    return valueFindings.tooDeep({ from: 0, to: text.length }, deepest);
  throw error;
}

function convert(node: Expression | PrivateIdentifier | Super, depth: number): Expr {
  const span = { from: node.start, to: node.end };
  if (depth > deepest) throw new Refused(valueFindings.tooDeep(span, deepest));
  switch (node.type) {
    case 'Identifier':
      return { kind: 'name', name: node.name, ...span };
    case 'Literal':
      return { kind: 'literal', value: literalValue(node.value, span), ...span };
    case 'TemplateLiteral':
      return {
        kind: 'template',
        texts: node.quasis.map((each) => each.value.cooked ?? each.value.raw),
        holes: node.expressions.map((each) => convert(each, depth + 1)),
        ...span,
      };
    case 'ChainExpression':
      return convert(node.expression, depth + 1);
    case 'MemberExpression':
      return {
        kind: 'member',
        of: convert(node.object, depth + 1),
        name: stepName(node.property, node.computed),
        step: { from: node.property.start, to: node.property.end },
        ...span,
      };
    case 'LogicalExpression':
      if (node.operator !== '??') return refuse(span, node.operator, notYet);
      return {
        kind: 'fallback',
        left: convert(node.left, depth + 1),
        right: convert(node.right, depth + 1),
        ...span,
      };
    case 'CallExpression':
      return lookup(node, span, depth);
    default:
      return refuse(span, wordsFor[node.type] ?? 'This', insteadOf[node.type] ?? notYet);
  }
}

/** `lookup("makers", maker)`: the one call that there is; its source is known without looking at an item. */
function lookup(node: CallExpression, span: Span, depth: number): Expr {
  const { callee } = node;
  if (callee.type !== 'Identifier' || callee.name !== 'lookup')
    return refuse(span, 'A call', `${notYet} So can lookup("source", key).`);
  const [source, key] = node.arguments;
  if (
    node.arguments.length !== 2 ||
    source?.type !== 'Literal' ||
    typeof source.value !== 'string' ||
    key === undefined ||
    key.type === 'SpreadElement'
  )
    return refuse(
      span,
      'This lookup',
      'Write the source in quotes, then the key: lookup("makers", maker).',
    );
  return {
    kind: 'lookup',
    source: source.value,
    sourceSpan: { from: source.start, to: source.end },
    key: convert(key, depth + 1),
    ...span,
  };
}

/** `a.b` and `a["b c"]`: the step's name is known without looking at an item. */
function stepName(property: Expression | PrivateIdentifier, isComputed: boolean): string {
  if (!isComputed && property.type === 'Identifier') return property.name;
  if (isComputed && property.type === 'Literal' && typeof property.value === 'string')
    return property.value;
  return refuse(
    { from: property.start, to: property.end },
    'A computed step',
    'Write the step as a name: a.b, or a["b c"] where the name has spaces.',
  );
}

function literalValue(value: unknown, span: Span): string | number | boolean | null {
  if (
    value === null ||
    typeof value === 'string' ||
    typeof value === 'number' ||
    typeof value === 'boolean'
  ) {
    return value;
  }
  return refuse(
    span,
    'A regular expression or big number',
    'Write a text in quotes, or a plain number.',
  );
}

const notYet = 'Names, a.b, literals, `text ${value}` and ?? can be used.';

const wordsFor: Partial<Record<string, string>> = {
  AssignmentExpression: 'An assignment',
  ArrowFunctionExpression: 'A function',
  BinaryExpression: 'An operator between two values',
  ConditionalExpression: 'A condition',
  NewExpression: '"new"',
  SequenceExpression: 'A comma between expressions',
  TaggedTemplateExpression: 'A word before a template literal',
  ThisExpression: '"this"',
  UnaryExpression: 'An operator before a value',
};

const insteadOf: Partial<Record<string, string>> = {
  AssignmentExpression: 'An expression only reads values. To compare, that comes with ===.',
  BinaryExpression: 'To put texts together, write `${a} ${b}`.',
  ThisExpression: 'Write the name of the field alone.',
};

function refuse(span: Span, what: string, instead: string): never {
  throw new Refused(valueFindings.notInLanguage(span, what, instead));
}
