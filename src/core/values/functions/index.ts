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
