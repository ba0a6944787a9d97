import { lookupStep } from './others';
import type { Expr } from './syntax/tree';

/** The paths into the item that an expression reads, longest form only, in the order of the text. */
export function pathsUsed(expr: Expr): readonly (readonly string[])[] {
  switch (expr.kind) {
    case 'literal':
      return [];
    case 'lookup':
      return [[lookupStep(expr.source)], ...pathsUsed(expr.key)];
    case 'name':
    case 'member': {
      const path = pathOf(expr);
      const others = keysInside(expr);
      return path === undefined || path.length === 0 ? others : [path, ...others];
    }
    case 'template':
      return expr.holes.flatMap(pathsUsed);
    case 'fallback':
      return [...pathsUsed(expr.left), ...pathsUsed(expr.right)];
  }
}

/** What the keys of lookups read that a path goes through. */
function keysInside(expr: Expr): readonly (readonly string[])[] {
  if (expr.kind === 'member') return keysInside(expr.of);
  return expr.kind === 'lookup' ? pathsUsed(expr.key) : [];
}

/** The path that a name or a member reads, into the item or another source; undefined: it reads from something else. */
export function pathOf(expr: Expr): string[] | undefined {
  if (expr.kind === 'lookup') return [lookupStep(expr.source)];
  if (expr.kind === 'name') return expr.name === 'item' ? [] : [expr.name];
  if (expr.kind !== 'member') return undefined;
  const before = pathOf(expr.of);
  return before === undefined ? undefined : [...before, expr.name];
}
