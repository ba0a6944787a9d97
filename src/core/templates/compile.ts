import type { Finding, JsonRecord } from '../base';
import { type Field, noOthers, type Others, type RowContext } from '../values';
import { type BoundText, bindText } from './binding';
import { type Slot, slotsOf, type Template } from './template';

export type BoundSlot = Slot & BoundText;

export interface CompiledTemplate {
  readonly template: Template;
  readonly slots: readonly BoundSlot[];
  readonly findings: readonly Finding[];
  /** The finished words of all slots, in their order. */
  texts(item: JsonRecord, context?: RowContext): (string | undefined)[];
}

/** A template made ready for items with these fields; what is wrong with it comes as findings. */
export function compileTemplate(
  template: Template,
  fields: readonly Field[],
  others: Others = noOthers,
): CompiledTemplate {
  const slots = slotsOf(template.row).map((slot) => ({
    ...slot,
    ...bindText(slot.binding, fields, others),
  }));
  const findings = slots.flatMap((slot) =>
    (slot.expression?.findings ?? []).map((finding) => ({
      ...finding,
      place: placeOf(template, slot, finding),
    })),
  );
  return {
    template,
    slots,
    findings,
    texts(item, context) {
      const texts = new Array<string | undefined>(slots.length);
      for (let i = 0; i < slots.length; i += 1) texts[i] = slots[i]?.text(item, context);
      return texts;
    },
  };
}

function placeOf(template: Template, slot: Slot, finding: Finding) {
  const { place } = finding;
  const span = place.in === 'expression' ? { from: place.from, to: place.to } : { from: 0, to: 0 };
  return {
    in: 'part' as const,
    template: template.id,
    part: slot.part,
    property: slot.property,
    ...span,
  };
}
