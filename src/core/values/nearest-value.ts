import { type JsonRecord, spellingDistance } from '../base';
import { pathText } from './check/names';
import { shown } from './explain/shown';
import { makeExpression } from './expression';
import type { Span } from './findings';
import { kindOf } from './result-type';
import { readExpression } from './syntax/read';
import { type Field, fieldAtPath } from './type';
import { pathUses } from './uses';

/** A path that has a value where another one has none, and the expression with it. */
export interface NearestValue {
  readonly expr: string;
  readonly shown: string;
  /** The expression reading it in the other's place. */
  readonly replaced: string;
  /** The expression reading it where the other has no value. */
  readonly besides: string;
}

/** For a step of an expression that is missing for an item: the nearest path of the same kind that is not. */
export function nearestValue(
  text: string,
  missing: Span,
  fields: readonly Field[],
  item: JsonRecord,
): NearestValue | undefined {
  const read = readExpression(text);
  if (!read.ok) return undefined;
  const use = [...pathUses(read.value)].find(
    ({ node, path }) => node.from <= missing.from && missing.to <= node.to && path.length > 0,
  );
  const wanted = use === undefined ? undefined : fieldAtPath(fields, use.path);
  if (use === undefined || wanted === undefined) return undefined;
  const [best] = [...paths(fields, [])]
    .filter(({ field }) => kindOf(field) === kindOf(wanted))
    .map(({ path }) => ({ path, expr: pathText(path) }))
    .filter(({ expr }) => makeExpression(expr, fields).evaluate?.(item) !== undefined)
    .sort((a, b) => distance(a.path, use.path) - distance(b.path, use.path));
  if (best === undefined) return undefined;
  const { from, to } = use.node;
  const [before, own, after] = [text.slice(0, from), text.slice(from, to), text.slice(to)];
  // In a hole of a template and alone, nothing binds tighter than what is put in.
  const isAlone = /(?:^|\$\{)\s*$/.test(before) && /^\s*(?:\}|$)/.test(after);
  const both = `${own} ?? ${best.expr}`;
  return {
    expr: best.expr,
    shown: shown(makeExpression(best.expr, fields).evaluate?.(item)),
    replaced: before + best.expr + after,
    besides: before + (isAlone ? both : `(${both})`) + after,
  };
}

const deepest = 4;

function* paths(
  fields: readonly Field[],
  before: readonly string[],
): Generator<{ readonly path: readonly string[]; readonly field: Field }, void> {
  for (const field of fields) {
    const path = [...before, field.name];
    if (field.type !== 'record') yield { path, field };
    else if (path.length < deepest) yield* paths(field.fields, path);
  }
}

/** Steps in common count most, then how alike the names are. */
function distance(path: readonly string[], wanted: readonly string[]): number {
  const same = wanted.slice(0, -1).filter((step, at) => path[at] === step).length;
  const steps = wanted.length - 1 - same + Math.abs(path.length - wanted.length);
  return steps * 100 + spellingDistance(path.at(-1) ?? '', wanted.at(-1) ?? '');
}
