import { ownValue } from '../base';
import { kindOf, type Node } from './shape';

type Of<K extends Node['is']> = Extract<Node, { readonly is: K }>;

/** How often each named shape is around the place that is looked at. */
type Depth = ReadonlyMap<string, number>;

/**
 * Whether a value surely has a shape: quick, since most have. Where it says no, the schema says why,
 * and decides; a property holds that it lets nothing through that the schema does not.
 */
export function fits(node: Node, value: unknown, depth: Depth = new Map()): boolean {
  switch (node.is) {
    case 'text':
      return typeof value === 'string' && fitsText(node, value);
    case 'number':
      return typeof value === 'number' && fitsNumber(node, value);
    case 'boolean':
      return typeof value === 'boolean';
    case 'one of':
      return node.values.some((each) => each === value);
    case 'list':
      return Array.isArray(value) && fitsList(node, value, depth);
    case 'record':
      return isRecord(value) && fitsRecord(node, value, depth);
    case 'map':
      return isRecord(value) && Object.values(value).every((each) => fits(node.of, each, depth));
    case 'by kind': {
      const kind = kindOf(value);
      const own = kind && node.cases[kind];
      return own !== undefined && fits(own, value, depth);
    }
    case 'by key': {
      const own = node.cases.find(([key]) => isRecord(value) && ownValue(value, key) !== undefined);
      return fits(own?.[1] ?? node.otherwise, value, depth);
    }
    case 'by member': {
      const said = isRecord(value) ? ownValue(value, node.member) : undefined;
      const own = typeof said === 'string' ? ownValue(node.cases, said) : undefined;
      return own !== undefined && fits(own, value, depth);
    }
    case 'named': {
      const now = (depth.get(node.name) ?? 0) + 1;
      return now <= node.maxDepth && fits(node.node(), value, new Map(depth).set(node.name, now));
    }
  }
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  kindOf(value) === 'record';

const fitsText = ({ minChars, maxChars, pattern, test }: Of<'text'>, value: string): boolean =>
  value.length >= minChars &&
  value.length <= maxChars &&
  (pattern === undefined || patternOf(pattern.source).test(value)) &&
  (test === undefined || test.passes(value));

const patterns = new Map<string, RegExp>();

function patternOf(source: string): RegExp {
  const known = patterns.get(source) ?? new RegExp(source);
  patterns.set(source, known);
  return known;
}

const fitsNumber = ({ min, moreThan, max, isInteger }: Of<'number'>, value: number): boolean =>
  Number.isFinite(value) &&
  (!isInteger || Number.isInteger(value)) &&
  (min === undefined || value >= min) &&
  (moreThan === undefined || value > moreThan) &&
  (max === undefined || value <= max);

function fitsList(
  { of, min, max, tellsApart }: Of<'list'>,
  value: readonly unknown[],
  depth: Depth,
): boolean {
  if (value.length < min || value.length > max) return false;
  if (!value.every((each) => fits(of, each, depth))) return false;
  if (tellsApart === undefined) return true;
  const names = value.map((each) => (isRecord(each) ? ownValue(each, tellsApart) : undefined));
  return new Set(names).size === names.length;
}

const fitsRecord = (
  { members }: Of<'record'>,
  value: Readonly<Record<string, unknown>>,
  depth: Depth,
): boolean =>
  Object.entries(members).every(([name, { node, isOptional }]) => {
    const own = ownValue(value, name);
    return own === undefined ? isOptional : fits(node, own, depth);
  });
