/**
 * The functions and methods that expressions can call: one entry each, all of the same form, and
 * this table of them all. The reference page is made of it; the checker, the two evaluators and
 * completion ask nothing else.
 */
import { aggregates } from './aggregates';
import { dateFunctions } from './dates';
import type { FunctionEntry } from './entry';
import { listLength, listMethods } from './lists';
import { numberFunctions } from './numbers';
import { textFunctions, textLength, textMethods } from './text';

export { type FunctionEntry, Missing, type Param } from './entry';

export const functionTable: readonly FunctionEntry[] = [
  ...textMethods,
  textLength,
  ...listMethods,
  listLength,
  ...textFunctions,
  ...numberFunctions,
  ...aggregates,
  ...dateFunctions,
];

const byName = (on: FunctionEntry['on']) =>
  new Map(functionTable.filter((each) => each.on === on).map((each) => [each.name, each]));

const tables = { text: byName('text'), list: byName('list'), standing: byName(undefined) };

export const standingFunction = (name: string): FunctionEntry | undefined =>
  tables.standing.get(name);

export const methodOf = (on: 'text' | 'list', name: string): FunctionEntry | undefined =>
  tables[on].get(name);

/** The function of that name that a checked expression calls. */
export function functionOf(on: FunctionEntry['on'], name: string): FunctionEntry {
  const entry = tables[on ?? 'standing'].get(name);
  if (entry === undefined) throw new Error(`There is no function ${name}.`);
  return entry;
}

export const functionNames: ReadonlySet<string> = new Set(tables.standing.keys());
export const methodNames: ReadonlySet<string> = new Set(
  [...tables.text.keys(), ...tables.list.keys()].filter((name) => name !== 'length'),
);

/** What people reach for that is not in the table: what to write instead. */
export const refusedFunctions: Readonly<Record<string, string>> = {
  String: 'Put the value into a text: `${value}`.',
  Boolean: 'Compare: value > 0, or value !== null.',
  parseInt: 'Write Math.trunc(Number(text)), or read the field as a number in Data.',
  parseFloat: 'Write Number(text), or read the field as a number in Data.',
  Date: 'Read the field as a date in Data (“Read it as …”); now is the time.',
  toFixed: 'Digits are a matter of the format, not of the value.',
  toLocaleString: 'Choose a format: it follows the reader’s region.',
  toString: 'Put the value into a text: `${value}`.',
  replace: 'Write replaceAll(part, by).',
  substring: 'Write slice(from, to).',
  substr: 'Write slice(from, to).',
  charAt: 'Write at(position).',
  trimStart: 'Write trim().',
  trimEnd: 'Write trim().',
  match: 'Write includes(part), startsWith(part) or endsWith(part).',
  test: 'Write includes(part), startsWith(part) or endsWith(part).',
  sort: 'Write toSorted((a, b) => a - b).',
  reverse: 'Write toReversed(): an expression changes nothing.',
  reduce: 'Write sum(list, x => …), average, smallest or largest.',
  forEach: 'Write map(x => …).',
  flatMap: 'Write map(x => …).',
  push: 'Write concat([value]): an expression changes nothing.',
  eval: 'An expression never runs text as code.',
};
