import { isPlainName } from '../check/names';
import type { Argument, Expr } from './tree';

/** How strongly operators bind. Standard: ECMA-262, 13. */
const strength: Readonly<Record<string, number>> = {
  '??': 2,
  '||': 2,
  '&&': 3,
  '===': 4,
  '!==': 4,
  '<': 5,
  '<=': 5,
  '>': 5,
  '>=': 5,
  '+': 6,
  '-': 6,
  '*': 7,
  '/': 7,
  '%': 7,
  '**': 8,
};

const weakest = 0;
const sign = 9;
const step = 10;
const whole = 11;

/** The text of an expression with no more brackets than it needs: read again, it is the same tree. */
export const printExpression = (expr: Expr): string => printed(expr, weakest);

function printed(expr: Argument, atLeast: number): string {
  const text = bare(expr);
  return strengthOf(expr) < atLeast ? `(${text})` : text;
}

function strengthOf(expr: Argument): number {
  switch (expr.kind) {
    case 'arithmetic':
    case 'compare':
    case 'logical':
      return strength[expr.operator] ?? weakest;
    case 'conditional':
    case 'arrow':
      return 1;
    case 'not':
    case 'negate':
      return sign;
    case 'literal':
      return typeof expr.value === 'number' ? step - 0.5 : whole;
    case 'member':
    case 'index':
    case 'call':
      return step;
    default:
      return whole;
  }
}

function bare(expr: Argument): string {
  switch (expr.kind) {
    case 'literal':
      return typeof expr.value === 'string' ? JSON.stringify(expr.value) : String(expr.value);
    case 'name':
      return expr.name;
    case 'member': {
      const of = printed(expr.of, step);
      return isPlainName(expr.name) ? `${of}.${expr.name}` : `${of}[${JSON.stringify(expr.name)}]`;
    }
    case 'index':
      return `${printed(expr.of, step)}[${printed(expr.at, weakest)}]`;
    case 'template':
      return template(expr);
    case 'not':
      return `!${printed(expr.of, sign)}`;
    case 'negate':
      // Two signs in a row would be another operator.
      return `-${printed(expr.of, expr.of.kind === 'negate' ? whole : sign)}`;
    case 'arithmetic':
    case 'compare':
    case 'logical':
      return binary(expr);
    case 'conditional':
      return `${printed(expr.test, 2)} ? ${printed(expr.whenTrue, 1)} : ${printed(expr.otherwise, 1)}`;
    case 'list':
      return `[${expr.elements.map((each) => printed(each, 1)).join(', ')}]`;
    case 'call':
      return call(expr);
    case 'lookup':
      return `lookup(${JSON.stringify(expr.source)}, ${printed(expr.key, 1)})`;
    case 'format':
      return `format(${printed(expr.of, 1)}, ${JSON.stringify(expr.format)})`;
    case 'arrow':
      return arrow(expr);
  }
}

type Binary = Expr & { kind: 'arithmetic' | 'compare' | 'logical' };

function binary({ operator, left, right }: Binary): string {
  const own = strength[operator] ?? weakest;
  // Powers bind to the right and take no sign on their left; all else binds to the left.
  const isPower = operator === '**';
  const before = printed(left, isMixed(operator, left) ? whole : isPower ? step - 0.5 : own);
  const after = printed(right, isMixed(operator, right) ? whole : isPower ? own : own + 0.5);
  return `${before} ${operator} ${after}`;
}

/** `??` stands beside `||` and `&&` in brackets only. */
const isMixed = (operator: string, side: Expr): boolean =>
  side.kind === 'logical' &&
  isLogical(operator) &&
  (operator === '??') !== (side.operator === '??');

const isLogical = (operator: string): boolean => ['??', '||', '&&'].includes(operator);

function call({ of, name, args }: Expr & { kind: 'call' }): string {
  const within = args.map((each) => printed(each, 1)).join(', ');
  return of === undefined ? `${name}(${within})` : `${printed(of, step)}.${name}(${within})`;
}

function arrow({ params, body }: Argument & { kind: 'arrow' }): string {
  const [only] = params;
  const names = params.length === 1 && only !== undefined ? only : `(${params.join(', ')})`;
  return `${names} => ${printed(body, 1)}`;
}

function template({ texts, holes }: Expr & { kind: 'template' }): string {
  const parts = texts.map((text, at) => {
    const hole = holes[at];
    return escaped(text) + (hole === undefined ? '' : `\${${printed(hole, weakest)}}`);
  });
  return `\`${parts.join('')}\``;
}

/** A carriage return as it is would be read as a line feed. */
const escaped = (text: string): string =>
  text.replace(/[\\`]|\$(?=\{)/g, (mark) => `\\${mark}`).replaceAll('\r', '\\r');
