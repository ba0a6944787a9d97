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

/** What feeds a property of a part: fixed words, or an expression in a format, with words for a missing value. */
export type Binding =
  | string
  | {
      readonly expr: string;
      /** Id of one of the project's formats. */
      readonly format?: string;
      readonly else?: string;
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
  readonly findings: readonly Finding[];
}

/** All that expressions reach beside the item. */
export const othersIn = (binders: Binders): Others => ({
  sources: binders.sources,
  formats: new Map(binders.formats.map((format) => [format.id, knownFormat(format, binders)])),
});

function knownFormat(format: NamedFormat, { fields, sources, locale }: Binders): KnownFormat {
  const { takes, words } = families[format.as];
  // Made when something is first written: most expressions use no format.
  let write: BoundText['write'] | undefined;
  return {
    words,
    takes,
    write(value, item, context) {
      write ??= writer({ format, options: optionsIn(format, fields, sources) }, locale);
      return write(value, item, context);
    },
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
export function checkBinding(binding: Binding, binders: Binders): CheckedBinding {
  if (typeof binding === 'string')
    return { expression: undefined, format: undefined, options: [], findings: [] };
  const { fields, sources, formats } = binders;
  const format = formats.find((each) => each.id === binding.format);
  const use = format === undefined ? 'text' : 'any';
  const expression = makeExpression(binding.expr, fields, use, othersIn(binders));
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
    findings: [...expression.findings, ...unknown, ...unfit, ...wrongOptions],
  };
}

export interface BoundText extends CheckedBinding {
  /** The finished words for an item; undefined: there is no value and no stand-in. */
  text(item: JsonRecord, context?: RowContext): string | undefined;
  /** How a value is written, or why it is not. */
  write(value: Value, item: JsonRecord, context?: RowContext): string | NoText;
}

/** A binding made ready for items with these fields. A faulty expression gives no text at all. */
export function bindText(binding: Binding, binders: Binders): BoundText {
  const checked = checkBinding(binding, binders);
  if (typeof binding === 'string') return { ...checked, text: () => binding, write: () => binding };
  const standIn = binding.else;
  const evaluate = checked.expression?.evaluate;
  const write = writer(checked, binders.locale);
  if (evaluate === undefined) return { ...checked, text: () => undefined, write };
  if (checked.format === undefined)
    return {
      ...checked,
      text: (item, context) => plainText(evaluate(item, context)) ?? standIn,
      write,
    };
  return {
    ...checked,
    text(item, context) {
      const value = evaluate(item, context);
      if (value === undefined) return standIn;
      const text = write(value, item, context);
      return text instanceof NoText ? standIn : text;
    },
    write,
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
