import { isPlainName, pathText } from './check/names';
import { readExpression } from './syntax/read';
import type { Expr } from './syntax/tree';
import { type Params, pathUses } from './uses';

/**
 * The expression with the last step of a path under a new name, wherever it reads that path; all
 * else stays as the author wrote it. What can't be read stays as it is. `params`: names in sight
 * that stand for something else.
 */
export function renameStep(
  text: string,
  path: readonly string[],
  name: string,
  params?: Params,
): string {
  const read = readExpression(text);
  if (!read.ok) return text;
  const changes = [...pathUses(read.value, params)]
    .flatMap(({ node, path: own }) => changeIn(node, own, { text, path, name }))
    .sort((a, b) => b.from - a.from);
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

/** A path whose last step is to be called otherwise, in a text. */
interface Renaming {
  readonly text: string;
  readonly path: readonly string[];
  readonly name: string;
}

/** A longer path goes through the step that is renamed: the node that takes it is further in. */
function changeIn(node: Expr, own: readonly string[], { text, path, name }: Renaming): Change[] {
  if (path.length > own.length || !path.every((step, at) => own[at] === step)) return [];
  let inner = node;
  for (let more = own.length - path.length; more > 0; more -= 1) {
    if (inner.kind !== 'member' && inner.kind !== 'index') return [];
    inner = inner.of;
  }
  if (inner.kind === 'name') return [{ from: inner.from, to: inner.to, words: pathText([name]) }];
  return inner.kind === 'member' ? [stepChange(inner, text, name)] : [];
}

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
