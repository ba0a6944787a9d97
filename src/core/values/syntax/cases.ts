import { readExpression } from './read';
import type { Expr } from './tree';

/** A constant that a condition leads to; null: none. */
export type CaseValue = string | number | boolean | null;

/** One line of a table: what shows when something is true. */
export interface Case {
  /** As it was written, without brackets around it. */
  readonly when: string;
  readonly value: CaseValue;
}

/** A chain of conditions with constants as results. */
export interface Cases {
  readonly cases: readonly Case[];
  readonly otherwise: CaseValue;
}

/** The table that an expression is; undefined: it is none. */
export function casesIn(text: string): Cases | undefined {
  const read = readExpression(text);
  if (!read.ok || read.value.kind !== 'conditional') return undefined;
  const cases: Case[] = [];
  let expr: Expr = read.value;
  while (expr.kind === 'conditional') {
    const value = constantOf(expr.whenTrue);
    if (value === undefined) return undefined;
    cases.push({ when: text.slice(expr.test.from, expr.test.to), value });
    expr = expr.otherwise;
  }
  const otherwise = constantOf(expr);
  return otherwise === undefined ? undefined : { cases, otherwise };
}

/** Undefined: it is no constant. */
function constantOf(expr: Expr): CaseValue | undefined {
  if (expr.kind === 'literal') return expr.value;
  const isNegative = expr.kind === 'negate' && expr.of.kind === 'literal';
  return isNegative && typeof expr.of.value === 'number' ? -expr.of.value : undefined;
}

/** The expression that a table is; without any line, its last value. */
export const textOfCases = ({ cases, otherwise }: Cases): string =>
  [
    ...cases.map(({ when, value }) => `${tested(when)} ? ${literal(value)} : `),
    literal(otherwise),
  ].join('');

/** True for the items that fall on a line: the conditions before it are not. */
export const fallsOn = ({ cases }: Cases, line: number): string =>
  textOfCases({
    cases: cases.slice(0, line + 1).map(({ when }, at) => ({ when, value: at === line })),
    otherwise: line >= cases.length,
  });

/** In brackets where its condition would end before it does. */
const tested = (when: string): string => {
  const read = readExpression(when);
  return read.ok && read.value.kind !== 'conditional' ? when : `(${when})`;
};

const literal = (value: CaseValue): string => JSON.stringify(value);
