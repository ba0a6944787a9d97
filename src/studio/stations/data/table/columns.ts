import { isRecord, type Json } from '../../../../core/base';
import { type Item, valueAt } from '../../../../core/items';
import { type Field, typeInWords } from '../../../../core/values';
import type { EntryRange } from '../../../../engine';

/** A column of the table: a field, or one inside a record that was opened in place. */
export interface Column {
  readonly id: string;
  readonly path: readonly string[];
  readonly field: Field;
}

/** One text for a path: dots within names are told from those between them. */
export const columnIdOf = (path: readonly string[]): string =>
  path.map((name) => name.replace(/[\\.]/g, '\\$&')).join('.');

export function pathOfColumn(id: string): readonly string[] {
  const path = [''];
  for (const [piece] of id.matchAll(/\\[\s\S]|[^\\]/gu)) {
    if (piece === '.') path.push('');
    else
      path.push(`${path.pop()}${piece.length > 1 && piece[0] === '\\' ? piece.slice(1) : piece}`);
  }
  return path;
}

/** The fields as columns; a record that is open gives way to what is in it. */
export function columnsFor(
  fields: readonly Field[],
  open: ReadonlySet<string>,
  hidden: ReadonlySet<string>,
  before: readonly string[] = [],
): Column[] {
  return fields.flatMap((field): Column[] => {
    const path = [...before, field.name];
    const id = columnIdOf(path);
    if (field.type === 'record' && open.has(id))
      return columnsFor(field.fields, open, hidden, path);
    return hidden.has(id) ? [] : [{ id, path, field }];
  });
}

export const isSamePath = (one: readonly string[], other: readonly string[]): boolean =>
  one.length === other.length && one.every((name, at) => name === other[at]);

/** The columns that touch the stretch from `left` to `right`. */
export function rangeAcross(widths: readonly number[], left: number, right: number): EntryRange {
  let x = 0;
  let from = 0;
  let to = 0;
  for (const [index, width] of widths.entries()) {
    if (x + width <= left) from = index + 1;
    if (x < right) to = index + 1;
    x += width;
  }
  return { from, to };
}

const charPx = 6.8;
const maxChars = 30;

/** A width by the first items, then fixed: a table that measures its cells lays out anew at every scroll. */
export function widthOf({ path, field }: Column, sample: readonly Item[]): number {
  const chars = sample.map((item) => shownLength(valueAt(item, path)));
  const head = Math.max(
    path.join('.').length + 4,
    typeInWords(field).length + (field.required ? 9 : 16),
  );
  return 20 + charPx * Math.max(head, ...chars.map((length) => Math.min(length, maxChars)));
}

function shownLength(value: Json | undefined): number {
  if (value === undefined || value === null) return 'missing'.length;
  return typeof value === 'object' ? nestedInWords(value).length : String(value).length;
}

export function nestedInWords(value: Json): string {
  if (Array.isArray(value)) return `${value.length} in list`;
  if (!isRecord(value)) return '';
  const inside = Object.entries(value).slice(0, 3);
  return inside
    .map(
      ([name, each]) =>
        `${name}: ${typeof each === 'object' && each !== null ? '…' : String(each)}`,
    )
    .join(', ');
}
