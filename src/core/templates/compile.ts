import type { Finding, JsonRecord } from '../base';
import { compileMessage, type NamedFormat } from '../formats';
import {
  constantsLikeHoles,
  formatsUsed,
  itemAlone,
  leftSeparators,
  type RowContext,
  readsContext,
} from '../values';
import { type BoundValue, bindSlot, checkSlot, namesOf } from './bind-value';
import { environmentToRun } from './bind-words';
import type { BindingScope } from './binding';
import { expressionsOf, isBound } from './bound';
import { type ShownSlot, scopeAt, shownSlots } from './expanded/expand';
import { fieldsAt, nestedRepeats, type Seen, SeenIn } from './expanded/seen';
import { sharedFindings } from './expanded/shared-findings';
import { bindingFindings } from './findings';
import { kindOf } from './parts';
import type { EntryValue } from './parts/entry-value';
import { isContent } from './property';
import { finishes } from './running/finishes';
import {
  constantsOf,
  mayLeave,
  partsOf,
  partWithId,
  propertyOf,
  type Slot,
  slotsOf,
  type Template,
} from './template';
import { isHexColour, type Tokens } from './tokens';

export interface BoundSlot extends ShownSlot, BoundValue {
  /** The item as its expressions see it; undefined: it stands for an element that is not there. */
  seen(item: JsonRecord, context?: RowContext): JsonRecord | undefined;
}

export interface CompiledTemplate {
  readonly template: Template;
  readonly slots: readonly BoundSlot[];
  readonly findings: readonly Finding[];
  /** What its parts may name. */
  readonly tokens: Tokens;
  /** Whether anything is shown as it was first. */
  readonly hasOnce: boolean;
  /** Whether anything says how far it is from now. */
  readonly followsTime: boolean;
  /** What the expressions of a property see. */
  seenAt(place: Pick<Slot, 'part' | 'property'>): Seen;
  /** What is drawn in all slots, in their order. */
  values(item: JsonRecord, context?: RowContext): EntryValue[];
}

/** What is wrong with a template, without making it ready. */
export function checkTemplate(template: Template, scope: BindingScope): readonly Finding[] {
  return [
    ...partFindings(template, scope),
    ...slotsOf(template.row).flatMap((slot) => {
      const fields = fieldsAt(template.row, slot, scope.fields);
      return placed(template, slot, checkSlot(slot.binding, slot.declared, { ...scope, fields }));
    }),
  ];
}

/** A template made ready for items with these fields; what is wrong with it comes as findings. */
export function compileTemplate(template: Template, scope: BindingScope): CompiledTemplate {
  const seenIn = new SeenIn(scope.fields, environmentToRun(scope));
  const slots = boundSlots(template, scope, seenIn);
  const findings = [
    ...partFindings(template, scope),
    ...eachOnce(slots).flatMap((slot) => [
      ...placed(template, slot, slot.findings),
      ...placed(template, slot, messageFindings(slot, scope)),
      ...placed(template, slot, constantFindings(slot, scope, seenIn)),
    ]),
  ];
  return {
    template,
    slots,
    findings,
    tokens: scope.tokens,
    seenAt: (place) => seenIn.at(scopeAt(template.row, place)),
    hasOnce: slots.some(({ binding }) => isBound(binding) && binding.once === true),
    followsTime: slots.some((slot) => followsTime(slot, scope)),
    values(item, context) {
      const values = new Array<EntryValue>(slots.length);
      for (let i = 0; i < slots.length; i += 1) values[i] = slots[i]?.value(item, context);
      return values;
    },
  };
}

/** All slots as they are drawn; those that stand several times are each made ready once. */
function boundSlots(template: Template, scope: BindingScope, seenIn: SeenIn): readonly BoundSlot[] {
  const made = new Map<string, Slot & BoundValue>();
  return shownSlots(template.row).map((slot): BoundSlot => {
    const { part, property } = slot;
    const { fields, record: seen } = seenIn.at(slot.scope);
    if (slot.scope === undefined) return { ...slot, ...boundSlot(template, slot, scope), seen };
    const key = `${part} ${property}`;
    const bound = made.get(key) ?? boundSlot(template, slot, { ...scope, fields });
    made.set(key, bound);
    const gone = property === 'leaves' ? true : undefined;
    return {
      ...bound,
      ...slot,
      seen,
      value(item, context) {
        const own = seen(item, context);
        return own === undefined ? gone : bound.value(own, context);
      },
      unfit(item, context) {
        const own = seen(item, context);
        return own === undefined ? undefined : bound.unfit(own, context);
      },
    };
  });
}

/** What feeds a property, with what its kind of part makes of it. */
function boundSlot(template: Template, slot: Slot, scope: BindingScope): Slot & BoundValue {
  const part = partWithId(template.row, slot.part);
  const kind = part && kindOf(part);
  // What may leave without a value has no other in its place.
  const declared =
    part !== undefined && mayLeave(part, slot.property, slot.binding)
      ? { ...slot.declared, default: undefined }
      : slot.declared;
  const bound = bindSlot(slot.binding, declared, scope);
  if (part === undefined || kind?.finish === undefined || slot.property !== kind.shows)
    return { ...slot, ...bound };
  const finish = finishes[kind.finish];
  const constants = constantsOf(part);
  return {
    ...slot,
    ...bound,
    value: (item, context) => finish(bound.value(item, context), constants, scope),
  };
}

/** What people said once, of what is drawn several times. */
function eachOnce(slots: readonly BoundSlot[]): readonly BoundSlot[] {
  const first = new Map<string, BoundSlot>();
  for (const slot of slots) {
    const key = `${slot.part} ${slot.property}`;
    if (!first.has(key)) first.set(key, slot);
  }
  return [...first.values()];
}

/** What is true of the parts as they stand, whatever feeds them. */
const partFindings = (template: Template, scope: BindingScope): readonly Finding[] => [
  ...unknownNames(template, scope),
  ...namelessParts(template),
  ...sharedFindings(template.row).flatMap(({ part, property, finding }) =>
    placed(template, { part, property }, [finding]),
  ),
  ...nestedRepeats(template.row).flatMap((part) =>
    placed(template, { part, property: 'over' }, [bindingFindings.repeatNested(part)]),
  ),
];

/** Parts that are more than words, and nothing says what. */
const namelessParts = (template: Template): readonly Finding[] =>
  [...partsOf(template.row)].flatMap((part) => {
    const { part: kind, isNamedBy } = kindOf(part);
    if (isNamedBy === undefined || isNamedBy.some((each) => isSaid(propertyOf(part, each))))
      return [];
    const slot = { part: part.id, property: 'name' };
    return placed(template, slot, [bindingFindings.nameMissing(kind, part.id)]);
  });

const isSaid = (value: ReturnType<typeof propertyOf>): boolean =>
  isBound(value) || (typeof value === 'string' && value.trim() !== '');

/** What parts name and the project has not: they are drawn otherwise. */
const unknownNames = (template: Template, { tokens }: BindingScope): readonly Finding[] =>
  [...partsOf(template.row)].flatMap((part) =>
    Object.entries(kindOf(part).properties).flatMap(([property, declared]) => {
      const said = propertyOf(part, property);
      const names = namesOf(declared, tokens);
      if (names === undefined || typeof said !== 'string') return [];
      if (names.includes(said) || (declared.kind === 'colour' && isHexColour(said))) return [];
      const finding = bindingFindings.nameUnknown(declared.words, said, names);
      return placed(template, { part: part.id, property }, [finding]);
    }),
  );

function followsTime(slot: BoundSlot, scope: BindingScope): boolean {
  return (
    formatsOf(slot, scope).some(({ as }) => as === 'relative') ||
    [slot.expression, slot.standIn].some(
      (each) => each?.checked !== undefined && readsContext(each.checked, 'now'),
    )
  );
}

/** The formats that write a slot, those inside its expressions too. */
function formatsOf({ binding, format }: BoundSlot, scope: BindingScope): readonly NamedFormat[] {
  const used = expressionsOf(binding).flatMap(formatsUsed);
  const inside = scope.formats.filter(({ id }) => used.includes(id) && id !== format?.id);
  return format === undefined ? inside : [format, ...inside];
}

const messageFindings = (slot: BoundSlot, scope: BindingScope): readonly Finding[] =>
  formatsOf(slot, scope).flatMap((format) => {
    if (format.as !== 'message') return [];
    const made = compileMessage(format.message, scope.locale);
    return made.ok ? [] : [bindingFindings.message(format, made.error)];
  });

/** Fixed words that look as if a value were to stand in them, marks that stay without their values. */
function constantFindings(
  slot: BoundSlot,
  scope: BindingScope,
  seenIn: SeenIn,
): readonly Finding[] {
  const { binding, declared } = slot;
  if (!isContent(declared)) return [];
  const words = isBound(binding)
    ? slot.findings.length === 0 && slot.expression?.text
    : typeof binding === 'string' && JSON.stringify(binding);
  if (!words) return [];
  const { fields } = seenIn.at(slot.scope);
  const checked = isBound(binding) ? slot.expression?.checked : undefined;
  return [
    ...itemAlone(words, fields),
    ...constantsLikeHoles(words, fields, environmentToRun(scope)),
    ...(checked === undefined ? [] : leftSeparators(checked, words)),
  ];
}

const placed = (
  template: Template,
  slot: Pick<Slot, 'part' | 'property'>,
  findings: readonly Finding[],
): Finding[] =>
  findings.map((finding) => ({ ...finding, place: placeOf(template, slot, finding) }));

function placeOf(template: Template, slot: Pick<Slot, 'part' | 'property'>, finding: Finding) {
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
