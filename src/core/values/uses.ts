import { lookupStep } from './environment';
import { readExpression } from './syntax/read';
import { type Argument, childrenOf, type Expr } from './syntax/tree';

/** A step into the elements of a list. */
export const elementStep = '[]';

/** Parameters of functions in sight, with the path of the elements that they stand for. */
export type Params = ReadonlyMap<string, readonly string[] | undefined>;

/** A node that reads a path, as it stands in its expression. */
export interface PathUse {
  readonly node: Expr;
  readonly path: readonly string[];
}

/** The paths that an expression reads, longest form only, in the order of the text. */
export const pathsUsed = (expr: Expr): readonly (readonly string[])[] =>
  [...pathUses(expr)].filter(({ path }) => path.length > 0).map(({ path }) => path);

/** Every node that reads a path into the item or another source; what is inside a longer path is not given again. */
export function* pathUses(expr: Argument, params: Params = new Map()): Generator<PathUse, void> {
  if (expr.kind === 'arrow') {
    yield* pathUses(expr.body, withParams(params, expr.params, undefined));
    return;
  }
  const path = pathOf(expr, params);
  if (path !== undefined) {
    yield { node: expr, path };
    yield* keysInside(expr, params);
    return;
  }
  const elements = expr.kind === 'call' ? elementsOf(expr, params) : undefined;
  for (const child of childrenOf(expr)) {
    const within = child.kind === 'arrow' ? withParams(params, child.params, elements) : params;
    yield* pathUses(child.kind === 'arrow' ? child.body : child, within);
  }
}

/** What the keys of lookups and the positions in lists read that a path goes through. */
function* keysInside(expr: Expr, params: Params): Generator<PathUse, void> {
  if (expr.kind === 'member') yield* keysInside(expr.of, params);
  if (expr.kind === 'lookup') yield* pathUses(expr.key, params);
  if (expr.kind === 'index') {
    yield* keysInside(expr.of, params);
    yield* pathUses(expr.at, params);
  }
}

/** The path of the elements that the functions of a call stand for. */
function elementsOf(expr: Expr & { kind: 'call' }, params: Params): readonly string[] | undefined {
  const [first] = expr.args;
  const list = expr.of ?? (first === undefined || first.kind === 'arrow' ? undefined : first);
  const path = list === undefined ? undefined : listPath(list, params);
  return path === undefined ? undefined : elementOf(path);
}

/**
 * The path of a list's elements. Those of `section.items` are items themselves: what is read of
 * them is read of the item. Whether an item has such fields of its own is not known here.
 */
const elementOf = (list: readonly string[]): readonly string[] =>
  list.length === 2 && list[0] === 'section' && list[1] === 'items' ? [] : [...list, elementStep];

/** Methods that give elements of the same list lead back to it. */
function listPath(expr: Expr, params: Params): readonly string[] | undefined {
  const isSame =
    expr.kind === 'call' &&
    ['filter', 'slice', 'toSorted', 'concat', 'distinct'].includes(expr.name);
  if (!isSame) return pathOf(expr, params);
  const [first] = expr.args;
  const list = expr.of ?? (first?.kind === 'arrow' ? undefined : first);
  return list === undefined ? undefined : listPath(list, params);
}

const withParams = (
  params: Params,
  names: readonly string[],
  elements: readonly string[] | undefined,
): Params => new Map([...params, ...names.map((name) => [name, elements] as const)]);

/** The path that a node reads, into the item or another source; undefined: it reads from something else. */
export function pathOf(expr: Expr, params: Params): readonly string[] | undefined {
  switch (expr.kind) {
    case 'lookup':
      return [lookupStep(expr.source)];
    case 'name':
      if (params.has(expr.name)) return params.get(expr.name);
      return expr.name === 'item' ? [] : [expr.name];
    case 'member': {
      const before = pathOf(expr.of, params);
      return before === undefined ? undefined : [...before, expr.name];
    }
    case 'index': {
      const before = pathOf(expr.of, params);
      return before === undefined ? undefined : elementOf(before);
    }
    default:
      return undefined;
  }
}

/** The paths that a text reads, as far as it can be read; `params`: names that stand for something else. */
export function pathsRead(text: string, params?: Params): readonly (readonly string[])[] {
  const read = readExpression(text);
  if (!read.ok) return [];
  return [...pathUses(read.value, params)]
    .map(({ path }) => path)
    .filter(({ length }) => length > 0);
}

/** The path that an expression is; undefined: it is more than one. */
export function pathRead(text: string): readonly string[] | undefined {
  const read = readExpression(text);
  return read.ok ? pathOf(read.value, new Map()) : undefined;
}

/** The formats that an expression uses. */
export function formatsUsed(text: string): readonly string[] {
  const read = readExpression(text);
  const within = (expr: Argument): string[] => [
    ...(expr.kind === 'format' ? [expr.format] : []),
    ...childrenOf(expr).flatMap(within),
  ];
  return read.ok ? within(read.value) : [];
}
