import type { Finding } from '../../base';
import { valueFindings } from '../findings';
import { common, kindOf, typeOfResult } from '../result-type';
import type { Expr } from '../syntax/tree';
import { call } from './calls';
import type { Checked } from './checked';
import { format, lookup } from './environment';
import { arithmetic, compare, conditional, logical, negate, not } from './operators';
import { index, member, name } from './paths';
import type { Checking, Local, World } from './scope';
import { showableFinding } from './showable';

export interface CheckResult {
  /** Undefined as soon as something in it is wrong. */
  readonly checked: Checked | undefined;
  readonly findings: readonly Finding[];
}

/** Holds an expression against the fields of an item type and all else that it may speak of. */
export function check(expr: Expr, text: string, world: World): CheckResult {
  const findings: Finding[] = [];
  const note = (finding: Finding): undefined => {
    findings.push(finding);
  };
  const checking = (locals: readonly Local[]): Checking => {
    const here: Checking = {
      text,
      world,
      locals,
      note,
      visit: (node) => visit(node, here),
      within: (more) => checking([...locals, ...more]),
    };
    return here;
  };
  const checked = checking([]).visit(expr);
  return { checked: findings.length > 0 ? undefined : checked, findings };
}

function visit(node: Expr, here: Checking): Checked | undefined {
  switch (node.kind) {
    case 'literal':
      return literal(node);
    case 'name':
      return name(node, here);
    case 'member':
      return member(node, here);
    case 'index':
      return index(node, here);
    case 'template':
      return template(node, here);
    case 'not':
      return not(node, here);
    case 'negate':
      return negate(node, here);
    case 'arithmetic':
      return arithmetic(node, here);
    case 'compare':
      return compare(node, here);
    case 'logical':
      return logical(node, here);
    case 'conditional':
      return conditional(node, here);
    case 'list':
      return list(node, here);
    case 'call':
      return call(node, here);
    case 'lookup':
      return lookup(node, here);
    case 'format':
      return format(node, here);
  }
}

function literal({ value, from, to }: Expr & { kind: 'literal' }): Checked {
  if (value === null)
    return {
      kind: 'literal',
      value: undefined,
      type: { type: 'unknown' },
      mayBeMissing: true,
      from,
      to,
    };
  const type =
    typeof value === 'string'
      ? 'text'
      : typeof value === 'boolean'
        ? 'boolean'
        : Number.isInteger(value)
          ? 'integer'
          : 'number';
  return { kind: 'literal', value, type: { type }, mayBeMissing: false, from, to };
}

function template(node: Expr & { kind: 'template' }, here: Checking): Checked {
  const holes = node.holes.flatMap((each) => {
    const hole = here.visit(each);
    if (hole === undefined) return [];
    const finding = showableFinding(hole);
    if (finding !== undefined) here.note(finding);
    return [hole];
  });
  const { texts, from, to } = node;
  return { kind: 'template', texts, holes, type: { type: 'text' }, mayBeMissing: false, from, to };
}

function list(node: Expr & { kind: 'list' }, here: Checking): Checked | undefined {
  const elements: Checked[] = [];
  for (const each of node.elements) {
    const element = here.visit(each);
    if (element === undefined) return undefined;
    elements.push(element);
  }
  const of = elements
    .filter((each) => !isNothing(each))
    .reduce<Checked['type'] | undefined>((type, each) => common(type, each.type), undefined);
  const { from, to } = node;
  if (of?.type === 'either') {
    const [first, ...rest] = elements;
    const odd = rest.find((each) => kindOf(each.type) !== (first && kindOf(first.type)));
    return here.note(
      valueFindings.unlike(odd ?? node, 'The elements of a list', of.of.map(typeOfResult)),
    );
  }
  const type = { type: 'list', of: of ?? ({ type: 'unknown' } as const) } as const;
  return { kind: 'list', elements, type, mayBeMissing: false, from, to };
}

const isNothing = (checked: Checked): boolean =>
  checked.kind === 'literal' && checked.value === undefined;
