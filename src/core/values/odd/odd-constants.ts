import type { Finding } from '../../base';
import type { Environment } from '../environment';
import { makeExpression } from '../expression';
import { type Span, valueFindings } from '../findings';
import { readExpression } from '../syntax/read';
import { type Argument, childrenOf, type Expr } from '../syntax/tree';
import type { Field } from '../type';

/** A comparison of a value with a fixed text. */
export interface ComparedText {
  /** What is compared, as it is written. */
  readonly of: string;
  readonly value: string;
  readonly span: Span;
}

/** How places for values are written into texts elsewhere; the group is what stands there. */
const holes =
  /\{\{\s*([^{}]+?)\s*\}\}|<%=?\s*([^%]+?)\s*%>|\\\(([^()]+)\)|[$#]?\{([^{}]+)\}|\$([\p{L}_][\p{L}\p{N}_.]*)|%([\p{L}_][\p{L}\p{N}_.]*)%/gu;

/** Fixed texts in which somebody expects a value to stand: `"{name}"`, `"Hello $name"`. */
export function constantsLikeHoles(
  text: string,
  fields: readonly Field[],
  environment: Environment,
): readonly Finding[] {
  // Most texts have no quotes in them: nothing is read for those.
  if (!/["']/.test(text)) return [];
  const isValue = (words: string): boolean => {
    const { findings, paths } = makeExpression(words, fields, 'text', environment);
    return paths.length > 0 && findings.length === 0;
  };
  return nodesOf(text).flatMap((node) => {
    const inside = fixedText(node, text);
    if (inside === undefined) return [];
    const made = inside.replace(holes, (mark, ...groups: readonly unknown[]) => {
      const words = groups.slice(0, 6).find((each) => typeof each === 'string');
      return typeof words === 'string' && isValue(words) ? `\${${words}}` : mark;
    });
    if (made === inside) return [];
    const template = `\`${made}\``;
    const whole = text.slice(0, node.from) + template + text.slice(node.to);
    const isRight = makeExpression(whole, fields, 'text', environment).findings.length === 0;
    return isRight ? [valueFindings.looksLikeHole(node, template)] : [];
  });
}

/** What stands between the quotes; undefined where it cannot stand between backticks as it is. */
function fixedText(node: Expr, text: string): string | undefined {
  if (node.kind !== 'literal' || typeof node.value !== 'string') return undefined;
  const inside = text.slice(node.from + 1, node.to - 1);
  return inside.includes('`') ? undefined : inside;
}

/** Comparisons with fixed texts, outside of functions of elements. */
export const comparedTexts = (text: string): readonly ComparedText[] =>
  nodesOf(text).flatMap((node): readonly ComparedText[] => {
    if (node.kind !== 'compare' || !/^[!=]==$/.test(node.operator)) return [];
    const { left, right } = node;
    const [of, fixed] = right.kind === 'literal' ? [left, right] : [right, left];
    if (fixed.kind !== 'literal' || typeof fixed.value !== 'string') return [];
    if (of.kind === 'literal') return [];
    return [{ of: text.slice(of.from, of.to), value: fixed.value, span: fixed }];
  });

function nodesOf(text: string): readonly Expr[] {
  const read = readExpression(text);
  return read.ok ? [...within(read.value)] : [];
}

function* within(node: Argument): Generator<Expr, void> {
  if (node.kind === 'arrow') return;
  yield node;
  for (const child of childrenOf(node)) yield* within(child);
}
