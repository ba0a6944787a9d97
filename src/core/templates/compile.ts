import type { Finding, JsonRecord } from '../base';
import { compileMessage } from '../formats';
import { formatsUsed, type RowContext, readsNow } from '../values';
import { addressOf } from './address';
import { type Binders, type BoundText, bindText, checkBinding, expressionsOf } from './binding';
import { bindingFindings } from './findings';
import { type Slot, slotsOf, type Template } from './template';

export type BoundSlot = Slot & BoundText;

export interface CompiledTemplate {
  readonly template: Template;
  readonly slots: readonly BoundSlot[];
  readonly findings: readonly Finding[];
  /** Whether anything is shown as it was first. */
  readonly hasOnce: boolean;
  /** Whether anything says how far it is from now. */
  readonly followsTime: boolean;
  /** The finished words of all slots, in their order. */
  texts(item: JsonRecord, context?: RowContext): (string | undefined)[];
}

/** What is wrong with a template, without making it ready. */
export function checkTemplate(template: Template, binders: Binders): readonly Finding[] {
  return slotsOf(template.row).flatMap((slot) =>
    placed(template, slot, checkBinding(slot.binding, binders).findings),
  );
}

/** A template made ready for items with these fields; what is wrong with it comes as findings. */
export function compileTemplate(template: Template, binders: Binders): CompiledTemplate {
  const slots = slotsOf(template.row).map((slot) => ({
    ...slot,
    ...bindText(slot.binding, binders, slot.property === 'link' ? addressOf : undefined),
  }));
  const findings = slots.flatMap((slot) => [
    ...placed(template, slot, slot.findings),
    ...placed(template, slot, messageFindings(slot, binders.locale)),
  ]);
  return {
    template,
    slots,
    findings,
    hasOnce: slots.some(({ binding }) => typeof binding !== 'string' && binding.once === true),
    followsTime: slots.some((slot) => followsTime(slot, binders)),
    texts(item, context) {
      const texts = new Array<string | undefined>(slots.length);
      for (let i = 0; i < slots.length; i += 1) texts[i] = slots[i]?.text(item, context);
      return texts;
    },
  };
}

function followsTime(
  { binding, expression, standIn, format }: BoundSlot,
  binders: Binders,
): boolean {
  const used = expressionsOf(binding).flatMap(formatsUsed);
  const formats = [format, ...binders.formats.filter(({ id }) => used.includes(id))];
  return (
    formats.some((each) => each?.as === 'relative') ||
    [expression, standIn].some((each) => each?.checked !== undefined && readsNow(each.checked))
  );
}

function messageFindings({ format }: BoundText, locale: string): readonly Finding[] {
  if (format?.as !== 'message') return [];
  const made = compileMessage(format.message, locale);
  return made.ok ? [] : [bindingFindings.message(format, made.error)];
}

const placed = (template: Template, slot: Slot, findings: readonly Finding[]): Finding[] =>
  findings.map((finding) => ({ ...finding, place: placeOf(template, slot, finding) }));

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
