import { parseExpressionAt } from 'acorn';
import { type Finding, failed, ok, type Result } from '../../base';
import { valueFindings } from '../findings';
import { convert, deepest } from './convert';
import { Refused } from './refusals';
import type { Expr } from './tree';

const longest = 10_000;

/** Reads the text of an expression: the subset of ECMAScript expressions that Yarn Card has. */
export function readExpression(text: string): Result<Expr, Finding> {
  if (text.trim() === '') return failed(valueFindings.empty());
  if (text.length > longest) return failed(valueFindings.tooLong(text.length, longest));
  if (nesting(text) > deepest)
    return failed(valueFindings.tooDeep({ from: 0, to: text.length }, deepest));
  try {
    const node = parseExpressionAt(text, 0, { ecmaVersion: 2022, preserveParens: true });
    const rest = text.slice(node.end).search(/\S/);
    if (rest >= 0) {
      const at = node.end + rest;
      const wrong = `"${text.slice(at, at + 12)}" stands after its end`;
      return failed(valueFindings.syntax({ from: at, to: text.length }, wrong));
    }
    return ok(convert(node));
  } catch (error) {
    if (error instanceof Refused) return failed(error.finding);
    return failed(syntaxFinding(error, text));
  }
}

/** An upper bound of the depth of brackets; strings may raise it, which costs nobody anything. */
function nesting(text: string): number {
  let depth = 0;
  let max = 0;
  for (const char of text) {
    if ('([{'.includes(char)) max = Math.max(max, ++depth);
    else if (')]}'.includes(char)) depth -= 1;
  }
  return max;
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
