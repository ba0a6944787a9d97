import type { Finding, JsonRecord } from '../base';
import {
  type Formatter,
  families,
  itemOptions,
  makeFormatter,
  type NamedFormat,
  NoText,
} from '../formats';
import {
  type Evaluate,
  type Expression,
  type Field,
  type KnownFormat,
  makeExpression,
  noOthers,
  type Others,
  plainText,
  type RowContext,
  type Value,
} from '../values';
import { bindingFindings } from './findings';

/** What feeds a property of a part: fixed words, or what an expression gives. */
export type Binding = string | Bound;

export interface Bound {
  readonly expr: string;
  /** Id of one of the project's formats. */
  readonly format?: string;
  readonly else?: StandIn;
  /** Shown as it was first: it does not follow changes of the item. */
  readonly once?: true;
}

/** What shows where there is no value: words, another expression; null: the part leaves. */
export type StandIn = string | { readonly expr: string } | null;

export const leaves = (binding: Binding): boolean =>
  typeof binding !== 'string' && binding.else === null;

/** The binding with each of its expressions changed. */
export function mapExpressions(binding: Binding, change: (expr: string) => string): Binding {
  if (typeof binding === 'string') return binding;
  const { else: standIn } = binding;
  const changed = { ...binding, expr: change(binding.expr) };
  return typeof standIn === 'object' && standIn !== null
    ? { ...changed, else: { expr: change(standIn.expr) } }
    : changed;
}

export const expressionsOf = (binding: Binding): readonly string[] => {
  if (typeof binding === 'string') return [];
  const { expr, else: standIn } = binding;
  return typeof standIn === 'object' && standIn !== null ? [expr, standIn.expr] : [expr];
};

/** What bindings are held against, and how their values are written. */
export interface Binders {
  readonly fields: readonly Field[];
  readonly sources: Others['sources'];
  readonly formats: readonly NamedFormat[];
  readonly locale: string;
}

export interface CheckedBinding {
  readonly expression: Expression | undefined;
  readonly format: NamedFormat | undefined;
  /** Options of the format that follow from the item. */
  readonly options: readonly (readonly [name: string, expression: Expression])[];
  /** Where another expression stands in. */
  readonly standIn: Expression | undefined;
  readonly findings: readonly Finding[];
}

/** All that expressions reach beside the item, to be held against it: formats that write nothing. */
export const othersChecked = ({
  sources,
  formats,
}: Omit<Binders, 'fields' | 'locale'>): Others => ({
  sources,
  formats: new Map(formats.map((each) => [each.id, knownFormat(each, undefined)])),
});

/** The same with formats that write. */
export const othersIn = (binders: Binders): Others => ({
  sources: binders.sources,
  formats: new Map(
    binders.formats.map((each) => [each.id, knownFormat(each, lateWriter(each, binders))]),
  ),
});

function knownFormat({ as }: NamedFormat, write: KnownFormat['write']): KnownFormat {
  const { takes, words } = families[as];
  return { takes, words, write };
}

/** Made when something is first written: most expressions use no format. */
function lateWriter(format: NamedFormat, { fields, sources, locale }: Binders): BoundText['write'] {
  let write: BoundText['write'] | undefined;
  return (value, item, context) => {
    write ??= writer({ format, options: optionsIn(format, fields, sources) }, locale);
    return write(value, item, context);
  };
}

const optionsIn = (
  format: NamedFormat | undefined,
  fields: readonly Field[],
  sources: Others['sources'],
): CheckedBinding['options'] =>
  itemOptions(format).map(([name, expr]) => {
    const others = { sources, formats: noOthers.formats };
    return [name, makeExpression(expr, fields, 'text', others)] as const;
  });

/** Reads a binding and says what is wrong with it. */
export function checkBinding(
  binding: Binding,
  binders: Binders,
  others = othersChecked(binders),
): CheckedBinding {
  if (typeof binding === 'string') return noExpression;
  const { fields, sources, formats } = binders;
  const format = formats.find((each) => each.id === binding.format);
  const use = format === undefined ? 'text' : 'any';
  const expression = makeExpression(binding.expr, fields, use, others);
  const standIn =
    typeof binding.else === 'object' && binding.else !== null
      ? makeExpression(binding.else.expr, fields, use, others)
      : undefined;
  const options = optionsIn(format, fields, sources);
  const type = expression.checked?.type;
  const unknown =
    binding.format !== undefined && format === undefined
      ? [bindingFindings.formatUnknown(binding.format, formats)]
      : [];
  const unfit =
    format !== undefined && type !== undefined && !families[format.as].takes(type)
      ? [bindingFindings.formatUnfit(format, type)]
      : [];
  const wrongOptions = options.flatMap(([name, { findings }]) =>
    format === undefined ? [] : findings.map((each) => bindingFindings.option(format, name, each)),
  );
  return {
    expression,
    format,
    options,
    standIn,
    findings: [
      ...expression.findings,
      ...unknown,
      ...unfit,
      ...wrongOptions,
      ...(standIn?.findings ?? []).map(bindingFindings.standIn),
    ],
  };
}

const noExpression: CheckedBinding = {
  expression: undefined,
  format: undefined,
  options: [],
  standIn: undefined,
  findings: [],
};

export interface BoundText extends CheckedBinding {
  /** The finished words for an item; undefined: there is no value and no stand-in. */
  text(item: JsonRecord, context?: RowContext): string | undefined;
  /** How a value is written, or why it is not. */
  write(value: Value, item: JsonRecord, context?: RowContext): string | NoText;
}

/** What the words of a property must become, or why they can't. */
export type Finish = (text: string) => string | NoText;

/** A binding made ready for items with these fields. A faulty expression gives no text at all. */
export function bindText(binding: Binding, binders: Binders, finish?: Finish): BoundText {
  const checked = checkBinding(binding, binders, othersIn(binders));
  const bound =
    typeof binding === 'string' ? fixed(binding, checked) : byValue(binding, checked, binders);
  return finish === undefined ? bound : finished(bound, finish);
}

const fixed = (words: string, checked: CheckedBinding): BoundText => ({
  ...checked,
  text: () => words,
  write: () => words,
});

function byValue(binding: Bound, checked: CheckedBinding, binders: Binders): BoundText {
  const evaluate = checked.expression?.evaluate;
  const write = writer(checked, binders.locale);
  if (evaluate === undefined) return { ...checked, text: () => undefined, write };
  const instead = standIn(binding, checked, write);
  if (checked.format === undefined)
    return {
      ...checked,
      text: (item, context) => plainText(evaluate(item, context)) ?? instead(item, context),
      write,
    };
  return {
    ...checked,
    text(item, context) {
      const value = evaluate(item, context);
      if (value === undefined) return instead(item, context);
      const text = write(value, item, context);
      return text instanceof NoText ? instead(item, context) : text;
    },
    write,
  };
}

/** Another value stands in as the first one would be written, if its format can write it. */
function standIn(
  { else: own }: Bound,
  { format, standIn: expression }: CheckedBinding,
  write: BoundText['write'],
): BoundText['text'] {
  if (typeof own === 'string') return () => own;
  const { evaluate, checked } = expression ?? {};
  if (evaluate === undefined || checked === undefined) return () => undefined;
  if (format === undefined || !families[format.as].takes(checked.type))
    return (item, context) => plainText(evaluate(item, context));
  return (item, context) => {
    const value = evaluate(item, context);
    const text = value === undefined ? undefined : write(value, item, context);
    return text instanceof NoText ? undefined : text;
  };
}

function finished(bound: BoundText, finish: Finish): BoundText {
  return {
    ...bound,
    text(item, context) {
      const text = bound.text(item, context);
      const made = text === undefined ? undefined : finish(text);
      return made instanceof NoText ? undefined : made;
    },
    write(value, item, context) {
      const text = bound.write(value, item, context);
      return text instanceof NoText ? text : finish(text);
    },
  };
}

function writer(
  { format, options }: Pick<CheckedBinding, 'format' | 'options'>,
  locale: string,
): BoundText['write'] {
  if (format === undefined) return (value) => plainText(value) ?? new NoText('it has no text');
  const formatter: Formatter = makeFormatter(format, locale);
  const read = options.map(([name, { evaluate }]) => [name, evaluate] as const);
  return (value, item, context) =>
    formatter(value, { item, now: context?.now, options: optionsOf(read, item, context) });
}

const noOptions = {};

function optionsOf(
  read: readonly (readonly [string, Evaluate | undefined])[],
  item: JsonRecord,
  context: RowContext | undefined,
): Readonly<Record<string, string | undefined>> {
  if (read.length === 0) return noOptions;
  return Object.fromEntries(
    read.map(([name, evaluate]) => [name, plainText(evaluate?.(item, context))]),
  );
}
