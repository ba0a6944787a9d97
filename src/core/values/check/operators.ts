import type { Mend } from '../../base';
import { valueFindings } from '../findings';
import { isWrittenDate } from '../functions/instant';
import { common, isTextual, kindOf, type ResultType, withArticle } from '../result-type';
import type { Expr } from '../syntax/tree';
import { type Checked, type CompareAs, inWords } from './checked';
import { type Checking, wordsOf } from './scope';

const boolean = { type: 'boolean' } as const;

const isNull = (node: Expr): boolean => node.kind === 'literal' && node.value === null;

export function not(node: Expr & { kind: 'not' | 'negate' }, here: Checking): Checked | undefined {
  const of = condition(node.of, here, { denied: node });
  if (of === undefined) return undefined;
  return { kind: 'not', of, type: boolean, mayBeMissing: false, from: node.from, to: node.to };
}

export function negate(
  node: Expr & { kind: 'not' | 'negate' },
  here: Checking,
): Checked | undefined {
  const of = here.visit(node.of);
  if (of === undefined) return undefined;
  if (kindOf(of.type) !== 'number')
    return here.note(
      valueFindings.takes(node.of, { what: 'The sign -', type: withArticle(of.type) }, 'a number'),
    );
  const { from, to } = node;
  return { kind: 'negate', of, type: of.type, mayBeMissing: of.mayBeMissing, from, to };
}

interface Around {
  /** What is meant, where that is known. */
  readonly better?: Mend | undefined;
  /** The whole node, where the opposite is asked. */
  readonly denied?: Expr;
}

/** Something that is true or false; a missing one counts as false. */
function condition(node: Expr, here: Checking, { better, denied }: Around = {}) {
  const checked = here.visit(node);
  if (checked === undefined || checked.type.type === 'boolean' || isNull(node)) return checked;
  const mend = better ?? asked(node, checked, here, denied);
  return here.note(
    valueFindings.noCondition(node, inWords(checked), withArticle(checked.type), mend),
  );
}

/** A value as a condition is, in ECMAScript, whether it is there and neither empty nor 0 (7.1.2). */
function asked(
  node: Expr,
  checked: Checked,
  here: Checking,
  denied: Expr | undefined,
): Mend | undefined {
  if (node.kind !== 'name' && node.kind !== 'member' && node.kind !== 'call') return undefined;
  const words = wordsOf(here, node);
  const kind = kindOf(checked.type);
  const nothing = kind === 'text' ? '""' : kind === 'number' ? '0' : 'null';
  const orNothing = kind === 'text' ? ' and not empty' : kind === 'number' ? ' and not 0' : '';
  const { from, to } = denied ?? node;
  if (denied === undefined) {
    const label = `Ask whether ${inWords(checked)} is there${orNothing}`;
    const isCount = checked.kind === 'call' && checked.name === 'length';
    return { label, from, to, text: `${words} ${isCount ? '>' : '!=='} ${nothing}` };
  }
  const label = `Ask whether ${inWords(checked)} is missing${orNothing.replace('and not', 'or')}`;
  const canMiss = checked.mayBeMissing && nothing !== 'null';
  const text = `${canMiss ? `(${words} ?? ${nothing})` : words} === ${nothing}`;
  return { label, from, to, text };
}

export function arithmetic(
  node: Expr & { kind: 'arithmetic' },
  here: Checking,
): Checked | undefined {
  const left = here.visit(node.left);
  const right = here.visit(node.right);
  if (left === undefined || right === undefined) return undefined;
  const { operator, from, to } = node;
  const kinds = [kindOf(left.type), kindOf(right.type)] as const;
  if (kinds[0] === 'number' && kinds[1] === 'number') {
    const type = resultOf(operator, left.type, right.type);
    const mayBeMissing =
      left.mayBeMissing || right.mayBeMissing || ['/', '%', '**'].includes(operator);
    return { kind: 'arithmetic', operator, left, right, type, mayBeMissing, from, to };
  }
  if (operator === '+' && kinds.every(isTextual) && kinds.includes('text'))
    return { kind: 'joined', left, right, type: { type: 'text' }, mayBeMissing: false, from, to };
  return here.note(unlikeOperands(node, left, right, here));
}

const resultOf = (operator: string, left: ResultType, right: ResultType): ResultType => {
  const isWhole = left.type === 'integer' && right.type === 'integer';
  return { type: isWhole && '+-*%'.includes(operator) ? 'integer' : 'number' };
};

function unlikeOperands(
  node: Expr & { kind: 'arithmetic' },
  left: Checked,
  right: Checked,
  here: Checking,
) {
  const { operator, from, to } = node;
  const isText = [left, right].some((each) => isTextual(kindOf(each.type)));
  const kinds = [left, right].map((each) => kindOf(each.type));
  const canBeShown = kinds.every((kind) => kind !== 'record' && kind !== 'list');
  if (operator === '+' && isText && canBeShown) {
    const text = `\`${hole(node.left, left, here)}${hole(node.right, right, here)}\``;
    return valueFindings.unlike(
      node,
      'The two sides of +',
      [withArticle(left.type), withArticle(right.type)],
      { label: `Write ${text}`, from, to, text },
    );
  }
  const odd = kindOf(left.type) === 'number' ? right : left;
  if (kinds.every((kind) => kind === 'date') && operator === '-') {
    const text = `daysBetween(${wordsOf(here, node.right)}, ${wordsOf(here, node.left)})`;
    const mend = { label: `Write ${text}`, from, to, text };
    return valueFindings.takes(
      odd,
      { what: `The operator ${operator}`, type: withArticle(odd.type) },
      'numbers',
      mend,
    );
  }
  return valueFindings.takes(
    odd,
    { what: `The operator ${operator}`, type: withArticle(odd.type) },
    'numbers',
  );
}

/** A part of a template literal: a fixed text stands for itself, texts put together one by one. */
function hole(node: Expr, checked: Checked, here: Checking): string {
  if (node.kind === 'arithmetic' && checked.kind === 'joined')
    return hole(node.left, checked.left, here) + hole(node.right, checked.right, here);
  if (node.kind === 'literal' && typeof node.value === 'string')
    return node.value.replace(/[\\`]|\$\{/g, (mark) => `\\${mark}`);
  return `\${${wordsOf(here, node)}}`;
}

export function compare(node: Expr & { kind: 'compare' }, here: Checking): Checked | undefined {
  const { operator, from, to } = node;
  const isEquality = operator === '===' || operator === '!==';
  if (isEquality && (isNull(node.left) || isNull(node.right))) {
    const of = here.visit(isNull(node.left) ? node.right : node.left);
    if (of === undefined) return undefined;
    const isNegated = operator === '!==';
    return { kind: 'isMissing', of, isNegated, type: boolean, mayBeMissing: false, from, to };
  }
  const left = here.visit(node.left);
  const right = here.visit(node.right);
  if (left === undefined || right === undefined) return undefined;
  const as = comparedAs(left, right, isEquality);
  if (as === undefined) {
    const kinds = [withArticle(left.type), withArticle(right.type)];
    return here.note(
      left.type.type === right.type.type
        ? valueFindings.notComparable(node, kinds[0] ?? '', operator, asSeconds(node, left, here))
        : valueFindings.unlike(node, `The two sides of ${operator}`, kinds),
    );
  }
  const mayBeMissing = left.mayBeMissing || right.mayBeMissing || as === 'mixed' || as === 'date';
  return { kind: 'compare', operator, as, left, right, type: boolean, mayBeMissing, from, to };
}

/** Durations are compared by how many seconds they take. */
function asSeconds(node: Expr & { kind: 'compare' }, left: Checked, here: Checking) {
  if (left.type.type !== 'duration') return undefined;
  const { operator, from, to } = node;
  const [one, other] = [node.left, node.right].map((each) => `secondsOf(${wordsOf(here, each)})`);
  const text = `${one} ${operator} ${other}`;
  return { label: `Write ${text}`, from, to, text };
}

/** Undefined where the two cannot be compared so. */
function comparedAs(left: Checked, right: Checked, isEquality: boolean): CompareAs | undefined {
  const [a, b] = [kindOf(left.type), kindOf(right.type)];
  if (a === 'record' || a === 'list' || b === 'record' || b === 'list') return undefined;
  if (a === 'mixed' || b === 'mixed') return isEquality ? 'mixed' : undefined;
  if (a === b && a === 'boolean') return isEquality ? 'boolean' : undefined;
  if ([left, right].some(({ type }) => type.type === 'duration') && !isEquality) return undefined;
  if (a === b) return a;
  // A date may be held against one that is written in quotes.
  return isDateFor(b, left) || isDateFor(a, right) ? 'date' : undefined;
}

const isDateFor = (other: string, literal: Checked): boolean =>
  other === 'date' && literal.kind === 'literal' && isWrittenDate(literal.value);

export function logical(node: Expr & { kind: 'logical' }, here: Checking): Checked | undefined {
  const { operator, from, to } = node;
  if (operator === '??') return fallback(node, here);
  const better = operator === '||' ? standIn(node, here) : undefined;
  const left = condition(node.left, here, { better });
  const right = left && condition(node.right, here);
  if (left === undefined || right === undefined) return undefined;
  const mayBeMissing = left.mayBeMissing || right.mayBeMissing;
  return { kind: 'logical', operator, left, right, type: boolean, mayBeMissing, from, to };
}

/** `x || "none"` is meant for a stand-in where x is neither true nor false. */
function standIn({ left, right }: Expr & { kind: 'logical' }, here: Checking): Mend | undefined {
  const at = left.to + here.text.slice(left.to, right.from).indexOf('||');
  const label = 'Write ?? (what is empty or 0 stays as it is)';
  return at < left.to ? undefined : { label, from: at, to: at + 2, text: '??' };
}

function fallback(node: Expr & { kind: 'logical' }, here: Checking): Checked | undefined {
  const left = here.visit(node.left);
  const right = here.visit(node.right);
  if (left === undefined || right === undefined) return undefined;
  const type = eitherOf(node.left, left, node.right, right);
  const mayBeMissing = left.mayBeMissing && right.mayBeMissing;
  const { operator, from, to } = node;
  return { kind: 'logical', operator, left, right, type, mayBeMissing, from, to };
}

export function conditional(
  node: Expr & { kind: 'conditional' },
  here: Checking,
): Checked | undefined {
  const test = condition(node.test, here);
  const whenTrue = here.visit(node.whenTrue);
  const otherwise = here.visit(node.otherwise);
  if (test === undefined || whenTrue === undefined || otherwise === undefined) return undefined;
  const type = eitherOf(node.whenTrue, whenTrue, node.otherwise, otherwise);
  const mayBeMissing = whenTrue.mayBeMissing || otherwise.mayBeMissing;
  const { from, to } = node;
  return { kind: 'conditional', test, whenTrue, otherwise, type, mayBeMissing, from, to };
}

const eitherOf = (a: Expr, left: Checked, b: Expr, right: Checked): ResultType =>
  common(isNull(a) ? undefined : left.type, isNull(b) ? undefined : right.type);
