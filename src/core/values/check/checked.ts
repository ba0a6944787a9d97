import type { Span } from '../findings';
import type { ResultType } from '../result-type';
import type { ArithmeticOperator, CompareOperator, LogicalOperator } from '../syntax/tree';

/** Names that stand for what is around an item, unless it has a field of that name. */
export type ContextName = 'index' | 'count' | 'look' | 'section' | 'now';

/** How two values are compared: `mixed` ones are looked at when they are there. */
export type CompareAs = 'text' | 'number' | 'boolean' | 'date' | 'mixed';

/**
 * A checked expression: every node knows its type and whether its value may be missing. It is data
 * and nothing else: sources, formats and functions are named, so that it can be kept and sent.
 */
export type Checked = Span & { readonly type: ResultType; readonly mayBeMissing: boolean } & (
    | { readonly kind: 'literal'; readonly value: string | number | boolean | undefined }
    | { readonly kind: 'item' }
    | { readonly kind: 'context'; readonly name: ContextName }
    /** A parameter of a function around it. */
    | { readonly kind: 'local'; readonly name: string; readonly slot: number }
    | { readonly kind: 'field'; readonly name: string }
    | { readonly kind: 'member'; readonly of: Checked; readonly name: string; readonly step: Span }
    | { readonly kind: 'index'; readonly of: Checked; readonly at: Checked }
    | {
        readonly kind: 'template';
        readonly texts: readonly string[];
        readonly holes: readonly Checked[];
      }
    | { readonly kind: 'not' | 'negate'; readonly of: Checked }
    | {
        readonly kind: 'arithmetic';
        readonly operator: ArithmeticOperator;
        readonly left: Checked;
        readonly right: Checked;
      }
    /** `+` of texts. */
    | { readonly kind: 'joined'; readonly left: Checked; readonly right: Checked }
    | {
        readonly kind: 'compare';
        readonly operator: CompareOperator;
        readonly as: CompareAs;
        readonly left: Checked;
        readonly right: Checked;
      }
    /** `x === null` and `x !== null`. */
    | { readonly kind: 'isMissing'; readonly of: Checked; readonly isNegated: boolean }
    | {
        readonly kind: 'logical';
        readonly operator: LogicalOperator;
        readonly left: Checked;
        readonly right: Checked;
      }
    | {
        readonly kind: 'conditional';
        readonly test: Checked;
        readonly whenTrue: Checked;
        readonly otherwise: Checked;
      }
    | { readonly kind: 'list'; readonly elements: readonly Checked[] }
    | {
        readonly kind: 'call';
        readonly name: string;
        /** What a method stands on; a function stands alone. */
        readonly on: 'text' | 'list' | undefined;
        readonly args: readonly CheckedArgument[];
      }
    | {
        readonly kind: 'lookup';
        readonly source: string;
        readonly key: Checked;
      }
    | {
        readonly kind: 'format';
        readonly of: Checked;
        readonly format: string;
      }
  );

/** A function of elements: its parameters are kept in the slots from `slot` on. */
export interface CheckedArrow {
  readonly kind: 'arrow';
  readonly slot: number;
  /** The types of the parameters that it names. */
  readonly params: readonly ResultType[];
  readonly body: Checked;
}

export type CheckedArgument = Checked | CheckedArrow;

/** What a node is called in messages: its path, or "this" where it has none. */
export function inWords(checked: Checked): string {
  if (checked.kind === 'field' || checked.kind === 'local' || checked.kind === 'context')
    return checked.name;
  if (checked.kind === 'item') return 'item';
  if (checked.kind === 'lookup') return `the item of ${checked.source}`;
  return checked.kind === 'member' ? `${inWords(checked.of)}.${checked.name}` : 'this';
}

/** How many slots the parameters inside need. */
export function slotsIn(checked: CheckedArgument): number {
  if (checked.kind === 'arrow')
    return Math.max(checked.slot + checked.params.length, slotsIn(checked.body));
  return Math.max(0, ...partsOf(checked).map(slotsIn));
}

/** Whether it calls anything: then it can take long, and is counted. */
export const callsAnything = (checked: CheckedArgument): boolean =>
  checked.kind === 'call' ||
  checked.kind === 'lookup' ||
  checked.kind === 'format' ||
  partsOf(checked).some(callsAnything);

/** Whether it reads something that stands around the item: the time, say, which is another one later. */
export const readsContext = (checked: CheckedArgument, name: ContextName): boolean =>
  (checked.kind === 'context' && checked.name === name) ||
  partsOf(checked).some((part) => readsContext(part, name));

/** All that an expression may come to: of a condition, both of its ends. */
export function resultsOf(checked: Checked): readonly Checked[] {
  if (checked.kind === 'conditional')
    return [...resultsOf(checked.whenTrue), ...resultsOf(checked.otherwise)];
  return checked.kind === 'logical' && checked.operator === '??'
    ? [...resultsOf(checked.left), ...resultsOf(checked.right)]
    : [checked];
}

/** Whether one of several values is missing, as a condition of its own. */
export function anyMissing([first, ...others]: readonly Checked[]): Checked {
  const made = { type: { type: 'boolean' }, mayBeMissing: false, from: 0, to: 0 } as const;
  if (first === undefined) return { kind: 'literal', value: false, ...made };
  const own: Checked = { kind: 'isMissing', of: first, isNegated: false, ...made };
  if (others.length === 0) return own;
  return { kind: 'logical', operator: '||', left: own, right: anyMissing(others), ...made };
}

export function partsOf(checked: CheckedArgument): readonly CheckedArgument[] {
  switch (checked.kind) {
    case 'literal':
    case 'item':
    case 'context':
    case 'local':
    case 'field':
      return [];
    case 'member':
    case 'not':
    case 'negate':
    case 'isMissing':
    case 'format':
      return [checked.of];
    case 'index':
      return [checked.of, checked.at];
    case 'template':
      return checked.holes;
    case 'arithmetic':
    case 'joined':
    case 'compare':
    case 'logical':
      return [checked.left, checked.right];
    case 'conditional':
      return [checked.test, checked.whenTrue, checked.otherwise];
    case 'list':
      return checked.elements;
    case 'call':
      return checked.args;
    case 'lookup':
      return [checked.key];
    case 'arrow':
      return [checked.body];
  }
}
