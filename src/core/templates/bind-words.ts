import type { JsonRecord } from '../base';
import { type Formatter, families, makeFormatter, type NamedFormat, NoText } from '../formats';
import { type Environment, type Evaluate, plainText, type RowContext, type Value } from '../values';
import {
  type BindingScope,
  type CheckedBinding,
  checkWords,
  knownFormat,
  optionsIn,
} from './binding';
import { type Bound, isBound } from './bound';

export interface BoundText extends CheckedBinding {
  /** The finished words for an item; undefined: there is no value and no stand-in. */
  text(item: JsonRecord, context?: RowContext): string | undefined;
  /** How a value is written, or why it is not. */
  write(value: Value, item: JsonRecord, context?: RowContext): string | NoText;
}

/** What the words of a property must become, or why they can't. */
export type Finish = (text: string) => string | NoText;

/** A binding made ready for items with these fields. A faulty expression gives no text at all. */
export function bindText(binding: string | Bound, scope: BindingScope, finish?: Finish): BoundText {
  const checked = checkWords(binding, scope, environmentToRun(scope));
  const bound = isBound(binding) ? byValue(binding, checked, scope) : fixed(binding, checked);
  return finish === undefined ? bound : finished(bound, finish);
}

/** All that expressions reach beside the item, with formats that write. */
export const environmentToRun = (scope: BindingScope): Environment => ({
  sources: scope.sources,
  formats: new Map(
    scope.formats.map((each) => [each.id, knownFormat(each, lateWriter(each, scope))]),
  ),
});

/** Made when something is first written: most expressions use no format. */
function lateWriter(
  format: NamedFormat,
  { fields, sources, locale }: BindingScope,
): BoundText['write'] {
  let write: BoundText['write'] | undefined;
  return (value, item, context) => {
    write ??= writer({ format, options: optionsIn(format, fields, sources) }, locale);
    return write(value, item, context);
  };
}

const fixed = (words: string, checked: CheckedBinding): BoundText => ({
  ...checked,
  text: () => words,
  write: () => words,
});
function byValue(binding: Bound, checked: CheckedBinding, scope: BindingScope): BoundText {
  const evaluate = checked.expression?.evaluate;
  const write = writer(checked, scope.locale);
  if (evaluate === undefined) return { ...checked, text: () => undefined, write };
  const instead = standIn(binding, checked, write);
  const { emptyIsMissing = false } = binding;
  const counts = (text: string | undefined): text is string =>
    text !== undefined && !(emptyIsMissing && isBlank(text));
  if (checked.format === undefined)
    return {
      ...checked,
      text(item, context) {
        const text = plainText(evaluate(item, context));
        return counts(text) ? text : instead(item, context);
      },
      write,
    };
  return {
    ...checked,
    text(item, context) {
      const value = evaluate(item, context);
      if (value === undefined) return instead(item, context);
      const text = write(value, item, context);
      return text instanceof NoText || !counts(text) ? instead(item, context) : text;
    },
    write,
  };
}

/** Nothing would be seen of it. */
export const isBlank = (text: string): boolean => text.trim() === '';

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
