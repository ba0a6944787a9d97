import type { JsonRecord } from '../base';
import {
  type Expression,
  type Field,
  makeExpression,
  type Others,
  plainText,
  type RowContext,
} from '../values';

/** What feeds a property of a part: fixed words, or an expression with words for a missing value. */
export type Binding = string | { readonly expr: string; readonly else?: string };

export interface BoundText {
  readonly expression: Expression | undefined;
  /** The finished words for an item; undefined: there is no value and no stand-in. */
  text(item: JsonRecord, context?: RowContext): string | undefined;
}

/** A binding made ready for items with these fields. A faulty expression gives no text at all. */
export function bindText(binding: Binding, fields: readonly Field[], others: Others): BoundText {
  if (typeof binding === 'string') return { expression: undefined, text: () => binding };
  const expression = makeExpression(binding.expr, fields, 'text', others);
  const { evaluate } = expression;
  const standIn = binding.else;
  if (evaluate === undefined) return { expression, text: () => undefined };
  return {
    expression,
    text: (item, context) => plainText(evaluate(item, context)) ?? standIn,
  };
}
