import { type Finding, nearest } from '../../base';
import { type Span, valueFindings } from '../findings';
import type { OtherSource, Others } from '../others';
import type { Expr } from '../syntax/tree';
import { type Field, fieldNamed, isShowable, typeInWords, type ValueType } from '../type';

/** What an expression yields: one type, or either of several plain ones (`price ?? "on request"`). */
export type ResultType = ValueType | { readonly type: 'either'; readonly of: readonly ValueType[] };

/** A checked expression: every node knows its type and whether its value may be missing. */
export type Checked = Span & { readonly type: ResultType; readonly mayBeMissing: boolean } & (
    | { readonly kind: 'literal'; readonly value: string | number | boolean | undefined }
    | { readonly kind: 'item' }
    | { readonly kind: 'field'; readonly name: string }
    | { readonly kind: 'member'; readonly of: Checked; readonly name: string; readonly step: Span }
    | {
        readonly kind: 'template';
        readonly texts: readonly string[];
        readonly holes: readonly Checked[];
      }
    | { readonly kind: 'fallback'; readonly left: Checked; readonly right: Checked }
    | {
        readonly kind: 'lookup';
        readonly source: string;
        readonly key: Checked;
        readonly find: OtherSource['find'];
      }
  );

export interface CheckResult {
  /** Undefined as soon as a name or step cannot be resolved. */
  readonly checked: Checked | undefined;
  readonly findings: readonly Finding[];
}

/** Holds an expression against the fields of an item type and the sources that it can look into. */
export function check(expr: Expr, fields: readonly Field[], others: Others): CheckResult {
  const findings: Finding[] = [];
  const checked = visit(expr);
  return { checked: findings.length > 0 ? undefined : checked, findings };

  function visit(node: Expr): Checked | undefined {
    switch (node.kind) {
      case 'literal':
        return literal(node);
      case 'name':
        return name(node);
      case 'member':
        return member(node);
      case 'template':
        return template(node);
      case 'fallback':
        return fallback(node);
      case 'lookup':
        return lookup(node);
    }
  }

  function literal(node: Expr & { kind: 'literal' }): Checked {
    const { value, from, to } = node;
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
      typeof value === 'string' ? 'text' : typeof value === 'boolean' ? 'boolean' : 'number';
    return { kind: 'literal', value, type: { type }, mayBeMissing: false, from, to };
  }

  function name(node: Expr & { kind: 'name' }): Checked | undefined {
    const span = { from: node.from, to: node.to };
    // A field that is called "item" itself is item.item.
    if (node.name === 'item') {
      return { kind: 'item', type: { type: 'record', fields }, mayBeMissing: false, ...span };
    }
    const field = fieldNamed(fields, node.name);
    if (field !== undefined) {
      return {
        kind: 'field',
        name: field.name,
        type: field,
        mayBeMissing: !field.required,
        ...span,
      };
    }
    const names = fields.map((each) => each.name);
    findings.push(
      valueFindings.unknownName(
        span,
        node.name,
        writable(nearest(node.name, names)),
        listed(names),
      ),
    );
    return undefined;
  }

  function member(node: Expr & { kind: 'member' }): Checked | undefined {
    const of = visit(node.of);
    if (of === undefined) return undefined;
    const type = of.type;
    if (type.type !== 'record') {
      findings.push(valueFindings.notARecord(node.step, inWords(of), article(type)));
      return undefined;
    }
    const field = fieldNamed(type.fields, node.name);
    if (field === undefined) {
      const names = type.fields.map((each) => each.name);
      const near = nearest(node.name, names);
      findings.push(
        valueFindings.noSuchStep(node.step, inWords(of), node.name, writable(near), listed(names)),
      );
      return undefined;
    }
    const { name: step, from, to } = { name: node.name, from: node.from, to: node.to };
    const mayBeMissing = of.mayBeMissing || !field.required;
    if (of.kind === 'item')
      return { kind: 'field', name: step, type: field, mayBeMissing, from, to };
    return { kind: 'member', of, name: step, step: node.step, type: field, mayBeMissing, from, to };
  }

  function template(node: Expr & { kind: 'template' }): Checked | undefined {
    const holes: Checked[] = [];
    for (const each of node.holes) {
      const hole = visit(each);
      if (hole === undefined) continue;
      holes.push(hole);
      const finding = showableFinding(hole);
      if (finding !== undefined) findings.push(finding);
    }
    const { texts, from, to } = node;
    return {
      kind: 'template',
      texts,
      holes,
      type: { type: 'text' },
      mayBeMissing: false,
      from,
      to,
    };
  }

  function fallback(node: Expr & { kind: 'fallback' }): Checked | undefined {
    const left = visit(node.left);
    const right = visit(node.right);
    if (left === undefined || right === undefined) return undefined;
    const type = common(left, right);
    const mayBeMissing = left.mayBeMissing && right.mayBeMissing;
    return { kind: 'fallback', left, right, type, mayBeMissing, from: node.from, to: node.to };
  }

  function lookup(node: Expr & { kind: 'lookup' }): Checked | undefined {
    const key = visit(node.key);
    const other = others.get(node.source);
    if (other === undefined) {
      const names = [...others.keys()];
      const near = nearest(node.source, names);
      findings.push(valueFindings.noSuchSource(node.sourceSpan, node.source, near, listed(names)));
      return undefined;
    }
    if (!other.hasKey) findings.push(valueFindings.sourceWithoutKey(node.sourceSpan, node.source));
    if (key === undefined) return undefined;
    const wrong = showableFinding(key);
    if (wrong !== undefined) findings.push(wrong);
    const { source, from, to } = node;
    const type = { type: 'record', fields: other.fields } as const;
    return { kind: 'lookup', source, key, find: other.find, type, mayBeMissing: true, from, to };
  }
}

/** Why a value cannot stand in a text, if it can't. */
export function showableFinding(checked: Checked): Finding | undefined {
  const { type } = checked;
  if (type.type === 'either' ? type.of.every(isShowable) : isShowable(type)) return undefined;
  if (checked.kind === 'literal') return undefined;
  const inside =
    type.type === 'record' ? type.fields.filter(isShowable).map((field) => field.name) : [];
  const what = inWords(checked);
  const steps = inside.slice(0, 6).map((step) => pathText([...what.split('.'), step]));
  return valueFindings.notShowable(checked, what, typeOfResult(type), steps);
}

function common(left: Checked, right: Checked): ResultType {
  if (left.kind === 'literal' && left.value === undefined) return right.type;
  if (right.kind === 'literal' && right.value === undefined) return left.type;
  const types = [left.type, right.type].flatMap((type) =>
    type.type === 'either' ? type.of : [type],
  );
  const names = new Set(types.map((type) => type.type));
  if (names.size === 1) return left.type;
  if ([...names].every((each) => each === 'number' || each === 'integer'))
    return { type: 'number' };
  return { type: 'either', of: types };
}

export function typeOfResult(type: ResultType): string {
  return type.type === 'either' ? type.of.map(typeInWords).join(' or ') : typeInWords(type);
}

const article = (type: ResultType): string => {
  const words = typeOfResult(type);
  return words === 'text' || words === 'unknown'
    ? words
    : `${/^[aeiou]/.test(words) ? 'an' : 'a'} ${words}`;
};

/** What a node is called in messages: its path, or "this" where it has none. */
function inWords(checked: Checked): string {
  if (checked.kind === 'field') return checked.name;
  if (checked.kind === 'item') return 'item';
  if (checked.kind === 'lookup') return `the item of ${checked.source}`;
  return checked.kind === 'member' ? `${inWords(checked.of)}.${checked.name}` : 'this';
}

const writable = (name: string | undefined): string | undefined =>
  name !== undefined && isPlainName(name) ? name : undefined;

const listed = (names: readonly string[]): string =>
  names.length === 0 ? 'none' : names.slice(0, 8).join(', ') + (names.length > 8 ? ' …' : '');

/** Whether a name can be written in an expression as it is, without quotes. */
export const isPlainName = (name: string): boolean =>
  /^[\p{ID_Start}$_][\p{ID_Continue}$]*$/u.test(name) && !reserved.has(name);

const reserved = new Set(
  (
    'break case catch class const continue debugger default delete do else export extends false finally for function if ' +
    'import in instanceof new null return super switch this throw true try typeof var void while with item'
  ).split(' '),
);

/** The expression that reads a path: `maker.town`, or `item["first name"]` where a name needs quotes. */
export function pathText(path: readonly string[]): string {
  const [first, ...rest] = path;
  if (first === undefined) return 'item';
  const start = isPlainName(first) ? first : `item[${JSON.stringify(first)}]`;
  return rest.reduce(
    (text, step) => text + (isPlainName(step) ? `.${step}` : `[${JSON.stringify(step)}]`),
    start,
  );
}
