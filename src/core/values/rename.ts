import { isPlainName, pathText } from './check/check';
import { readExpression } from './syntax/read';
import type { Expr } from './syntax/tree';
import { pathOf } from './uses';

/**
 * The expression with the last step of a path under a new name, wherever it reads that path; all
 * else stays as the author wrote it. What can't be read stays as it is.
 */
export function renameStep(text: string, path: readonly string[], name: string): string {
  const read = readExpression(text);
  if (!read.ok) return text;
  const changes = [...changesIn(read.value, text, path, name)].sort((a, b) => b.from - a.from);
  return changes.reduce(
    (changed, { from, to, words }) => changed.slice(0, from) + words + changed.slice(to),
    text,
  );
}

interface Change {
  readonly from: number;
  readonly to: number;
  readonly words: string;
}

function* changesIn(
  expr: Expr,
  text: string,
  path: readonly string[],
  name: string,
): Generator<Change, void> {
  switch (expr.kind) {
    case 'literal':
      return;
    case 'template':
      for (const hole of expr.holes) yield* changesIn(hole, text, path, name);
      return;
    case 'fallback':
      yield* changesIn(expr.left, text, path, name);
      yield* changesIn(expr.right, text, path, name);
      return;
    case 'lookup':
      yield* changesIn(expr.key, text, path, name);
      return;
    case 'name':
      if (isPath(expr, path)) yield { from: expr.from, to: expr.to, words: pathText([name]) };
      return;
    case 'member':
      yield* changesIn(expr.of, text, path, name);
      if (isPath(expr, path)) yield stepChange(expr, text, name);
  }
}

const isPath = (expr: Expr, path: readonly string[]): boolean => {
  const own = pathOf(expr);
  return own !== undefined && own.length === path.length && own.every((s, i) => s === path[i]);
};

/** `.b`, `?.b` and `["b"]` each become what the new name needs. */
function stepChange(expr: Expr & { kind: 'member' }, text: string, name: string): Change {
  const between = text.slice(expr.of.to, expr.step.from);
  const isDotted = between.trimEnd().endsWith('.');
  if (isDotted && isPlainName(name)) return { ...expr.step, words: name };
  const isOptional = between.includes('?.');
  const quoted = JSON.stringify(name);
  if (!isDotted) return { ...expr.step, words: quoted };
  // Brackets around what stands before belong to it: the step begins at its own dot.
  const dot = expr.of.to + between.lastIndexOf(isOptional ? '?.' : '.');
  return { from: dot, to: expr.step.to, words: `${isOptional ? '?.' : ''}[${quoted}]` };
}
