import type { Expr } from './syntax/tree';

/** The paths into the item that an expression reads, longest form only, in the order of the text. */
export function pathsUsed(expr: Expr): readonly (readonly string[])[] {
  switch (expr.kind) {
    case 'literal':
      return [];
    case 'name':
    case 'member': {
      const path = pathOf(expr);
      return path === undefined || path.length === 0 ? [] : [path];
    }
    case 'template':
      return expr.holes.flatMap(pathsUsed);
    case 'fallback':
      return [...pathsUsed(expr.left), ...pathsUsed(expr.right)];
  }
}

/** The path that a name or a member reads; undefined: it reads from something else. */
export function pathOf(expr: Expr): string[] | undefined {
  if (expr.kind === 'name') return expr.name === 'item' ? [] : [expr.name];
  if (expr.kind !== 'member') return undefined;
  const before = pathOf(expr.of);
  return before === undefined ? undefined : [...before, expr.name];
}
