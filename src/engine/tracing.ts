import { type Format, NoText } from '../core/formats';
import type { Item } from '../core/items';
import { type Binders, type BoundSlot, bindText } from '../core/templates';
import { explain, type RowContext } from '../core/values';
import type { Trace, Written } from './protocol';

/** How a slot's words came about for an item: each step of its value, its format, its stand-in. */
export function traceSlot(
  slot: BoundSlot,
  item: Item,
  context: RowContext,
  locale: string,
): Trace & { readonly missingStep: string | undefined } {
  const text = slot.text(item, context);
  const checked = slot.expression?.checked;
  if (checked === undefined) {
    const missing = slot.expression?.findings[0]?.message;
    return { steps: [], text, standIn: false, missing, missingStep: undefined };
  }
  const { value, steps, missing } = explain(checked, item, context);
  const missingStep = steps.find((step) => step.missing !== undefined)?.label;
  if (missing !== undefined || slot.format === undefined)
    return {
      steps,
      text,
      standIn: missing !== undefined && text !== undefined,
      missing,
      missingStep,
    };
  const written = slot.write(value, item, context);
  const why = written instanceof NoText ? written.reason : undefined;
  const formatted = {
    from: checked.from,
    to: checked.to,
    label: `${slot.format.name} (${locale})`,
    shown: why === undefined ? JSON.stringify(written) : 'no text',
    ...(why !== undefined && { missing: why }),
  };
  return {
    steps: [...steps, formatted],
    text,
    standIn: why !== undefined && text !== undefined,
    missing: why,
    missingStep: undefined,
  };
}

/** An expression's value of an item in a format that its binding need not have. */
export function writtenAs(
  expr: string,
  format: Format | undefined,
  binders: Binders,
): (item: Item, context: RowContext) => Written {
  const id = 'tried';
  const bound =
    format === undefined
      ? bindText({ expr }, binders)
      : bindText({ expr, format: id }, { ...binders, formats: [{ ...format, id, name: id }] });
  return (item, context) => {
    const value = bound.expression?.evaluate?.(item, context);
    if (value === undefined) return { why: bound.findings[0]?.message ?? 'missing' };
    const text = bound.write(value, item, context);
    return text instanceof NoText ? { why: text.reason } : { text };
  };
}
