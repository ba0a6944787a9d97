import { isRecord, type Json, type JsonRecord, ownValue } from '../../../base';
import type { Item } from '../../item';

const headingNames = /^(?:columns?|headers?|headings?|fields?|names|schema)$/i;

/**
 * Lists of cells as items: under the names that the record around them gives as its `columns` or the
 * like, or under those of the first row. Undefined: they are no rows of a table.
 */
export function tableItems(
  rows: readonly Json[],
  around: Json | undefined,
): readonly Item[] | undefined {
  const [first] = rows;
  if (!Array.isArray(first) || !rows.every((row) => Array.isArray(row))) return undefined;
  const width = first.length;
  const named = isRecord(around) ? headingIn(around, width) : undefined;
  if (named !== undefined) return rows.map((row) => itemOf(named, row as readonly Json[]));
  const own = textsOf(first);
  const isHeading =
    own !== undefined && rows.length > 1 && new Set(own).size === width && width > 1;
  const isUnlikeRows = rows.slice(1).some((row) => textsOf(row as readonly Json[]) === undefined);
  return isHeading && isUnlikeRows
    ? rows.slice(1).map((row) => itemOf(own, row as readonly Json[]))
    : undefined;
}

function headingIn(around: JsonRecord, width: number): readonly string[] | undefined {
  for (const name of Object.keys(around)) {
    const value = ownValue(around, name);
    if (!headingNames.test(name) || !Array.isArray(value) || value.length !== width) continue;
    const names = textsOf(value) ?? textsOf(value.map(nameIn));
    if (names !== undefined && new Set(names).size === width) return names;
  }
  return undefined;
}

/** A column may say more of itself than its name. */
function nameIn(column: Json): Json {
  if (!isRecord(column)) return null;
  const found = ['name', 'title', 'label', 'id', 'key', 'fieldName'].find(
    (each) => typeof ownValue(column, each) === 'string',
  );
  return found === undefined ? null : (ownValue(column, found) ?? null);
}

const textsOf = (cells: readonly Json[]): readonly string[] | undefined =>
  cells.every((cell) => typeof cell === 'string' && cell.trim() !== '')
    ? (cells as readonly string[])
    : undefined;

/** Own keys whatever the heading says. */
const itemOf = (names: readonly string[], cells: readonly Json[]): Item =>
  Object.fromEntries(cells.map((cell, at) => [names[at] ?? `column ${at + 1}`, cell] as const));
