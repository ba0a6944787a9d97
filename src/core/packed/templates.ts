import type { RowMaker } from '../arranged';
import type { JsonRecord } from '../base';
import type { NamedFormat } from '../formats';
import {
  addressOf,
  type ElementAt,
  elementRecords,
  finishedWords,
  finishes,
  formatWriter,
  givenBy,
  inputsRecord,
  insteadOf,
  laidWords,
  type RecordOf,
  type SlotValue,
  typedValue,
  type WordsOf,
  type WriteValue,
  wordsFrom,
} from '../templates';
import type { Value } from '../values';
import { compile, type Evaluate } from '../values/run';
import type {
  PackedExpression,
  PackedProject,
  PackedScope,
  PackedSlot,
  PackedTemplate,
} from './packed';

/** Gives the item of a source that has a key, for lookups. */
export type FindPacked = (source: string, key: Value) => JsonRecord | undefined;

/** What templates reach beside the item. */
export interface Reach {
  readonly project: PackedProject;
  /** BCP 47. */
  readonly locale: string;
  readonly find: FindPacked;
  readonly hasPicture: (name: string) => boolean;
}

/** A template made ready to make rows in a locale. */
export function rowMaker(template: PackedTemplate, reach: Reach): RowMaker {
  const evaluateOf = evaluator(template, reach);
  const records = recordsOf(template.scopes, evaluateOf);
  const slots = template.slots.map((slot) => slotIn(slot, { reach, evaluateOf, records }));
  return { values: (item, context) => slots.map((value) => value(item, context)) };
}

export type EvaluateOf = (expression: PackedExpression) => Evaluate | undefined;

/** Makes expressions run that were checked ahead of time; those within a template may write. */
export function evaluator(
  { formatOptions }: Pick<PackedTemplate, 'formatOptions'>,
  { project, locale, find }: Pick<Reach, 'project' | 'locale' | 'find'>,
): EvaluateOf {
  const plain = { takes: () => true, words: '' };
  const sources = new Map(
    project.sources.map(({ id }) => [
      id,
      { fields: [], hasKey: true, find: (key: Value) => find(id, key) },
    ]),
  );
  const options = new Map(formatOptions);
  const withoutFormats = { sources, formats: new Map() };
  const formats = new Map(
    project.formats.map((format) => {
      const own = (options.get(format.id) ?? []).map(
        ([name, expr]) =>
          [name, expr === null ? undefined : compile(expr, withoutFormats)] as const,
      );
      return [format.id, { ...plain, write: lateWriter(format, locale, own) }];
    }),
  );
  const environment = { sources, formats };
  return (expression) => (expression === null ? undefined : compile(expression, environment));
}

function lateWriter(
  format: NamedFormat,
  locale: string,
  options: readonly (readonly [string, Evaluate | undefined])[],
) {
  let made: WriteValue | undefined;
  return (...asked: Parameters<WriteValue>) => {
    made ??= formatWriter(format, locale, options);
    return made(...asked);
  };
}

const itself: RecordOf = (item) => item;

function recordsOf(scopes: readonly PackedScope[], evaluateOf: EvaluateOf): readonly RecordOf[] {
  const records: RecordOf[] = [];
  const lists = new Map<string, (at: ElementAt) => RecordOf>();
  for (const scope of scopes) {
    const outer = records[scope.outer] ?? itself;
    if (scope.kind === 'inputs') {
      const fed = scope.fed.map(([name, expr]) => [name, evaluateOf(expr)] as const);
      records.push(inputsRecord(outer, fed));
      continue;
    }
    const { over, as, max, at } = scope;
    const id = JSON.stringify([scope.outer, over, as, max]);
    const elements = lists.get(id) ?? elementRecords(outer, evaluateOf(over), { as, max });
    lists.set(id, elements);
    records.push(elements(at));
  }
  return records;
}

interface SlotAround {
  readonly reach: Reach;
  readonly evaluateOf: EvaluateOf;
  readonly records: readonly RecordOf[];
}

function slotIn(slot: PackedSlot, around: SlotAround): SlotValue {
  const value = slotValue(slot, around);
  const shown = slot.finish === undefined ? value : finished(value, slot.finish, around.reach);
  const record = slot.scope === undefined ? undefined : around.records[slot.scope];
  if (record === undefined) return shown;
  return (item, context) => {
    const own = record(item, context);
    return own === undefined ? slot.gone : shown(own, context);
  };
}

const finished =
  (
    value: SlotValue,
    { name, constants }: NonNullable<PackedSlot['finish']>,
    reach: Reach,
  ): SlotValue =>
  (item, context) =>
    finishes[name](value(item, context), constants, reach);

function slotValue(
  { takes, names, from }: PackedSlot,
  { reach, evaluateOf }: SlotAround,
): SlotValue {
  const { kind } = takes;
  if (kind !== 'text' && kind !== 'address' && kind !== 'picture') {
    if (from.is === 'words') return () => from.words;
    const { expr, instead } = from;
    const other = typeof instead === 'object' ? evaluateOf(instead) : undefined;
    return typedValue(givenBy(evaluateOf(expr), other), takes, names);
  }
  const words = from.is === 'words' ? () => from.words : wordsOf(from, reach, evaluateOf);
  if (kind === 'text') return laidWords(words);
  return kind === 'address' ? finishedWords(words, addressOf) : words;
}

function wordsOf(
  from: PackedSlot['from'] & { readonly is: 'value' },
  { project, locale }: Reach,
  evaluateOf: EvaluateOf,
): WordsOf {
  const evaluate = evaluateOf(from.expr);
  if (evaluate === undefined) return () => undefined;
  const format = project.formats.find(({ id }) => id === from.format);
  const options = (from.options ?? []).map(([name, expr]) => [name, evaluateOf(expr)] as const);
  const write = format && formatWriter(format, locale, options);
  const { instead } = from;
  return wordsFrom({
    evaluate,
    write,
    instead:
      typeof instead === 'string'
        ? () => instead
        : insteadOf(evaluateOf(instead ?? null), from.writesInstead === true ? write : undefined),
    emptyIsMissing: from.emptyIsMissing === true,
  });
}
