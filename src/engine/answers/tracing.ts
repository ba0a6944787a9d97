import { type Format, NoText } from '../../core/formats';
import { decodingInWords, type Item, rawPathOf, valueAt, whyNotDecoded } from '../../core/items';
import { type PropertyPlace, scopeFor, withId } from '../../core/project';
import {
  type BindingScope,
  type BoundSlot,
  bindText,
  isBlank,
  isBound,
} from '../../core/templates';
import type { NearestValue } from '../../core/values';
import {
  explain,
  type Field,
  fieldAtPath,
  nearestValue,
  pathRead,
  type RowContext,
  type Span,
  shown,
  type TraceStep,
} from '../../core/values';
import type { Scene } from '../scene';

/** How a value came about for one item. */
export interface Trace {
  readonly steps: readonly TraceStep[];
  readonly text: string | undefined;
  /** How what stands in came about, if anything does; fixed words have no steps. */
  readonly instead: readonly TraceStep[] | undefined;
  readonly missing: string | undefined;
  /** The nearest path that does have a value. */
  readonly nearest: NearestValue | undefined;
}

/** A value as a format writes it, or why it does not. */
export type FormattedValue = { readonly text: string } | { readonly why: string };

/** Formats to try on the values of an expression, without touching the project. */
export interface FormatTrial {
  readonly place: PropertyPlace;
  readonly expr: string;
  /** Where one is undefined, the value is written as it is. */
  readonly formats: readonly (Format | undefined)[];
  readonly locales: readonly string[];
  readonly items: readonly number[];
}

/** How the words of a part's property came about for an item: each step, its format, its stand-in. */
export function trace(
  scene: Scene,
  { template, part, property }: PropertyPlace,
  item: number,
): Trace | undefined {
  const slot = scene
    .compiled(template)
    ?.slots.find((each) => each.part === part && each.property === property);
  const value = scene.shownItems()[item];
  if (slot === undefined || value === undefined) return undefined;
  const { missingStep, ...found } = traceSlot(
    slot,
    value,
    scene.contextOf(item),
    scene.localeNow(),
  );
  const type = withId(scene.project?.types ?? [], scene.compiled(template)?.template.type ?? '');
  const raw = scene.rawAt(item) ?? {};
  const text = slot.expression?.text ?? '';
  const unread =
    missingStep && undecoded(type?.fields ?? [], text.slice(missingStep.from, missingStep.to), raw);
  const missing = found.missing && (unread ?? found.missing);
  const nearest = missingStep && nearestValue(text, missingStep, type?.fields ?? [], value);
  const steps = withDecoding(found.steps, text, type?.fields ?? [], raw);
  return { ...found, steps, missing, nearest };
}

/** A field that is decoded was another value as it came. */
function withDecoding(
  steps: readonly TraceStep[],
  text: string,
  fields: readonly Field[],
  raw: Item,
): readonly TraceStep[] {
  return steps.flatMap((step): TraceStep[] => {
    const path = pathRead(text.slice(step.from, step.to)) ?? [];
    const field = fieldAtPath(fields, path);
    if (field?.decode === undefined) return [step];
    const { from, to } = step;
    const came = valueAt(raw, rawPathOf(fields, path));
    const label = `${step.label}, read as ${decodingInWords(field.decode)}`;
    const isUnread = whyNotDecoded(field, came) !== undefined;
    return [
      { from, to, label: 'as it came', shown: shown(came ?? undefined) },
      { ...step, label, ...(isUnread && { shown: 'not read', isUnread }) },
    ];
  });
}

/** Why a value that is missing after decoding was not one before it. */
function undecoded(fields: readonly Field[], read: string, raw: Item): string | undefined {
  const path = pathRead(read) ?? [];
  const field = fieldAtPath(fields, path);
  return field && whyNotDecoded(field, valueAt(raw, rawPathOf(fields, path)));
}

/** Formats on the values of an expression, by format, locale and item. */
export function tryFormats(
  scene: Scene,
  { place, expr, formats, locales, items }: FormatTrial,
): FormattedValue[][][] {
  const { project } = scene;
  const compiled = scene.compiled(place.template);
  if (project === undefined || compiled === undefined) return [];
  const { fields, record: seen } = compiled.seenAt(place);
  const held = scene.shownItems();
  return formats.map((format) =>
    locales.map((locale) => {
      const scope = scopeFor(project, compiled.template.type, scene.lookUp, locale);
      const write = writtenAs(expr, format, { ...scope, fields });
      return items.map((item) => {
        const context = scene.contextOf(item);
        return write(seen(held[item] ?? {}, context) ?? {}, context);
      });
    }),
  );
}

/** How a slot's words came about for an item: each step of its value, its format, its stand-in. */
function traceSlot(
  slot: BoundSlot,
  whole: Item,
  context: RowContext,
  locale: string,
): Omit<Trace, 'nearest'> & { readonly missingStep: TraceStep | undefined } {
  const value = slot.value(whole, context);
  const item = slot.seen(whole, context) ?? whole;
  const text = value === undefined ? undefined : String(value);
  const checked = slot.expression?.checked;
  if (checked === undefined) {
    const missing = slot.expression?.findings[0]?.message ?? whyFixed(slot, item);
    return { steps: [], text, instead: undefined, missing, missingStep: undefined };
  }
  const {
    value: own,
    steps,
    missing,
  } = explain(checked, item, context, slot.expression?.environment);
  const written = missing === undefined ? slot.write(own, item, context) : '';
  const why =
    missing ??
    (written instanceof NoText ? written.reason : undefined) ??
    whyBlank(slot, written) ??
    slot.unfit(whole, context);
  const formatted =
    missing === undefined && slot.format !== undefined
      ? [formatStep(slot.format.name, locale, checked, written)]
      : [];
  const standIn = slot.standIn?.checked;
  return {
    steps: [...steps, ...formatted],
    text,
    instead:
      why === undefined || text === undefined
        ? undefined
        : standIn === undefined
          ? []
          : explain(standIn, item, context, slot.standIn?.environment).steps,
    missing: why,
    missingStep:
      missing === undefined ? undefined : steps.find((step) => step.missing !== undefined),
  };
}

/** What stands in may do so for an empty text, too. */
function whyBlank({ binding }: BoundSlot, written: string | NoText): string | undefined {
  const isSo = isBound(binding) && binding.emptyIsMissing && typeof written === 'string';
  return isSo && isBlank(written) ? 'it is empty, which counts as missing here' : undefined;
}

/** Fixed words of a link may be no address. */
function whyFixed(slot: BoundSlot, item: Item): string | undefined {
  const written = isBound(slot.binding) ? undefined : slot.write(undefined, item);
  return written instanceof NoText ? written.reason : undefined;
}

const formatStep = (
  name: string,
  locale: string,
  { from, to }: Span,
  written: string | NoText,
): TraceStep => ({
  from,
  to,
  label: `${name} (${locale})`,
  ...(written instanceof NoText
    ? { shown: 'no text', missing: written.reason }
    : { shown: JSON.stringify(written) }),
});

/** An expression's value of an item in a format that its binding need not have. */
function writtenAs(
  expr: string,
  format: Format | undefined,
  scope: BindingScope,
): (item: Item, context: RowContext) => FormattedValue {
  const id = 'tried';
  const bound =
    format === undefined
      ? bindText({ expr }, scope)
      : bindText({ expr, format: id }, { ...scope, formats: [{ ...format, id, name: id }] });
  return (item, context) => {
    const value = bound.expression?.evaluate?.(item, context);
    if (value === undefined) return { why: bound.findings[0]?.message ?? 'missing' };
    const text = bound.write(value, item, context);
    return text instanceof NoText ? { why: text.reason } : { text };
  };
}
