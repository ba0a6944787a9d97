import { byKind, oneOf, optional, record, type Shape, text } from '../shape';

/** What feeds a property of a part: fixed words, or what an expression gives. */
export type Binding = string | Bound;

export interface Bound {
  readonly expr: string;
  /** Id of one of the project's formats. */
  readonly format?: string;
  readonly else?: StandIn;
  /** What stands in does so for an empty text, too. */
  readonly emptyIsMissing?: true;
  /** Shown as it was first: it does not follow changes of the item. */
  readonly once?: true;
}

/** What shows where there is no value: words, another expression; null: the part leaves. */
export type StandIn = string | { readonly expr: string } | null;

const standInShape: Shape<StandIn> = byKind<StandIn>({
  null: oneOf([null]),
  record: record<{ readonly expr: string }>({ expr: text() }),
  text: text(),
});

export const boundShape: Shape<Bound> = record<Bound>({
  expr: text(),
  format: optional(text(60)),
  else: optional(standInShape),
  emptyIsMissing: optional(oneOf([true])),
  once: optional(oneOf([true])),
});

export const isBound = (value: unknown): value is Bound =>
  typeof value === 'object' && value !== null && 'expr' in value;

/** Without a value the part leaves. */
export const leaves = (binding: unknown): boolean => isBound(binding) && binding.else === null;

/** The binding with each of its expressions changed. */
export function mapExpressions<T>(value: T | Bound, change: (expr: string) => string): T | Bound {
  if (!isBound(value)) return value;
  const { else: standIn } = value;
  const changed = { ...value, expr: change(value.expr) };
  return typeof standIn === 'object' && standIn !== null
    ? { ...changed, else: { expr: change(standIn.expr) } }
    : changed;
}

export const expressionsOf = (value: unknown): readonly string[] => {
  if (!isBound(value)) return [];
  const { expr, else: standIn } = value;
  return typeof standIn === 'object' && standIn !== null ? [expr, standIn.expr] : [expr];
};
