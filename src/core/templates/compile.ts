import type { Finding, JsonRecord } from '../base';
import { compileMessage, type NamedFormat } from '../formats';
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
    ...placed(template, slot, messageFindings(slot, binders)),
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

function followsTime(slot: BoundSlot, binders: Binders): boolean {
  return (
    formatsOf(slot, binders).some(({ as }) => as === 'relative') ||
    [slot.expression, slot.standIn].some(
      (each) => each?.checked !== undefined && readsNow(each.checked),
    )
  );
}

/** The formats that write a slot, those inside its expressions too. */
function formatsOf({ binding, format }: BoundSlot, { formats }: Binders): readonly NamedFormat[] {
  const used = expressionsOf(binding).flatMap(formatsUsed);
  const inside = formats.filter(({ id }) => used.includes(id) && id !== format?.id);
  return format === undefined ? inside : [format, ...inside];
}

const messageFindings = (slot: BoundSlot, binders: Binders): readonly Finding[] =>
  formatsOf(slot, binders).flatMap((format) => {
    if (format.as !== 'message') return [];
    const made = compileMessage(format.message, binders.locale);
    return made.ok ? [] : [bindingFindings.message(format, made.error)];
  });

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
