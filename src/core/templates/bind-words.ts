import type { JsonRecord } from '../base';
import { families, type NamedFormat, NoText } from '../formats';
import type { Environment, RowContext } from '../values';
import {
  type BindingScope,
  type CheckedBinding,
  checkWords,
  knownFormat,
  optionsIn,
} from './binding';
import { type Bound, isBound } from './bound';
import {
  type Finish,
  finishedWords,
  formatWriter,
  insteadOf,
  type WordsOf,
  type WriteValue,
  wordsFrom,
  writePlain,
} from './running/words';

export interface BoundText extends CheckedBinding {
  readonly text: WordsOf;
  readonly write: WriteValue;
}

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
function lateWriter(format: NamedFormat, { fields, sources, locale }: BindingScope): WriteValue {
  let write: WriteValue | undefined;
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
  const text = wordsFrom({
    evaluate,
    write: checked.format === undefined ? undefined : write,
    instead: standIn(binding, checked, write),
    emptyIsMissing: binding.emptyIsMissing === true,
  });
  return { ...checked, text, write };
}

function standIn({ else: own }: Bound, checked: CheckedBinding, write: WriteValue): WordsOf {
  if (typeof own === 'string') return () => own;
  return insteadOf(checked.standIn?.evaluate, writesStandIn(checked) ? write : undefined);
}

/** Whether the format of a binding writes what stands in, too. */
export const writesStandIn = ({
  format,
  standIn,
}: Pick<CheckedBinding, 'format' | 'standIn'>): boolean =>
  format !== undefined &&
  standIn?.checked !== undefined &&
  families[format.as].takes(standIn.checked.type);

function finished(bound: BoundText, finish: Finish): BoundText {
  return {
    ...bound,
    text: finishedWords(bound.text, finish),
    write(value, item: JsonRecord, context?: RowContext) {
      const text = bound.write(value, item, context);
      return text instanceof NoText ? text : finish(text);
    },
  };
}

const writer = (
  { format, options }: Pick<CheckedBinding, 'format' | 'options'>,
  locale: string,
): WriteValue =>
  format === undefined
    ? writePlain
    : formatWriter(
        format,
        locale,
        options.map(([name, { evaluate }]) => [name, evaluate] as const),
      );
