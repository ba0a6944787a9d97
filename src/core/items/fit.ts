import {
  type Finding,
  isRecord,
  type Json,
  ownValue,
  secondsOfDuration,
  type Turns,
} from '../base';
import { type Field, instantOf, isWrittenDate, type ValueType } from '../values';
import { decoder, decodingInWords, isReadAsFound, isThere } from './decoding';
import { itemFindings } from './findings';
import type { Item } from './item';

/** Items as they were read and as their types want them, with the position of each one's type. */
export interface TypedItems {
  readonly source: string;
  readonly raw: readonly Item[];
  readonly items: readonly Item[];
  /** The type of each item; one past the last where it has none that is known. */
  readonly typeIndexes: Uint16Array;
  readonly types: readonly { readonly name: string; readonly fields: readonly Field[] }[];
  readonly discriminator: string | null;
}

interface FieldCount {
  readonly path: readonly string[];
  readonly field: Field;
  missing: number;
  firstMissing: number;
  other: number;
  firstOther: number;
}

const itemsATurn = 4_000;

/** Where items are not what their types say: of no known type, without a value, with one of another kind, not decoded. */
export function* misfits(typed: TypedItems): Turns<readonly Finding[]> {
  const { items, typeIndexes, types } = typed;
  const counts = types.map((type) => fieldsWithin(type.fields).map(emptyCount));
  let typeless = 0;
  let firstTypeless = -1;
  for (let at = 0; at < items.length; at += 1) {
    if (at % itemsATurn === itemsATurn - 1) yield at / items.length;
    const own = counts[typeIndexes[at] ?? types.length];
    if (own === undefined) {
      typeless += 1;
      if (firstTypeless < 0) firstTypeless = at;
      continue;
    }
    for (const each of own) look(each, items[at] ?? {}, at);
  }
  const findings = counts.flatMap((own, type) =>
    own.flatMap((each) => findingsOf(typed, type, each)),
  );
  if (typeless === 0 || typed.discriminator === null) return findings;
  const value = ownValue(typed.raw[firstTypeless] ?? {}, typed.discriminator);
  return [
    itemFindings.typeless(typed.source, typed.discriminator, {
      itemCount: typeless,
      first: firstTypeless,
      value: value === undefined ? 'missing' : JSON.stringify(value),
    }),
    ...findings,
  ];
}

interface FieldWithin {
  readonly path: readonly string[];
  readonly field: Field;
}

/** All fields, those inside records too. */
export const fieldsWithin = (
  fields: readonly Field[],
  before: readonly string[] = [],
): readonly FieldWithin[] =>
  fields.flatMap((field) => {
    const path = [...before, field.name];
    const own = { path, field };
    return field.type === 'record' ? [own, ...fieldsWithin(field.fields, path)] : [own];
  });

/** The paths of all fields about whose reading nobody has said anything, each once. */
export function pathsReadAsFound(
  types: readonly { readonly fields: readonly Field[] }[],
): readonly (readonly string[])[] {
  const paths = types.flatMap(({ fields }) =>
    fieldsWithin(fields).flatMap(({ path, field }) => (isReadAsFound(field) ? [path] : [])),
  );
  return [...new Map(paths.map((path) => [JSON.stringify(path), path])).values()];
}

/** A path in the names that the items have as they are read. */
export function rawPathOf(fields: readonly Field[], path: readonly string[]): readonly string[] {
  const [first, ...rest] = path;
  const field = fields.find((each) => each.name === first);
  if (first === undefined || field === undefined) return path;
  const inside = field.type === 'record' ? field.fields : [];
  return [field.from ?? field.name, ...rawPathOf(inside, rest)];
}

/** What an item has at a path; undefined also where a record on the way is missing. */
export function valueAt(item: Item, path: readonly string[]): Json | undefined {
  let value: Json | undefined = item;
  for (const name of path) value = isRecord(value) ? ownValue(value, name) : undefined;
  return value;
}

const emptyCount = ({ path, field }: FieldWithin): FieldCount => ({
  path,
  field,
  missing: 0,
  firstMissing: -1,
  other: 0,
  firstOther: -1,
});

function look(count: FieldCount, item: Item, at: number): void {
  const value = valueAt(item, count.path);
  if (value === undefined || value === null) {
    if (count.path.length > 1 && !isRecord(valueAt(item, count.path.slice(0, -1)))) return;
    count.missing += 1;
    if (count.firstMissing < 0) count.firstMissing = at;
  } else if (!isOfType(value, count.field)) {
    count.other += 1;
    if (count.firstOther < 0) count.firstOther = at;
  }
}

/** Whether a value can be read as the type: plain values all can be text. */
export function isOfType(value: Json, { type }: ValueType): boolean {
  switch (type) {
    case 'unknown':
      return true;
    case 'text':
      return typeof value !== 'object';
    case 'integer':
      return Number.isInteger(value);
    case 'number':
      return typeof value === 'number';
    case 'boolean':
      return typeof value === 'boolean';
    case 'record':
      return isRecord(value);
    case 'list':
      return Array.isArray(value);
    case 'date':
      return typeof value === 'string' && isWrittenDate(value);
    case 'datetime':
      return typeof value === 'string' && !Number.isNaN(instantOf(value));
    case 'time':
      return (
        typeof value === 'string' &&
        /^\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:?\d\d)?$/.test(value)
      );
    case 'duration':
      return typeof value === 'string' && !Number.isNaN(secondsOfDuration(value));
    default:
      return typeof value === 'string';
  }
}

function findingsOf(typed: TypedItems, at: number, count: FieldCount): Finding[] {
  const { name: type = '', fields = [] } = typed.types[at] ?? {};
  const { field, path, missing, firstMissing, other, firstOther } = count;
  const name = path.join('.');
  const found: Finding[] = [];
  const undecoded =
    missing === 0 ? undefined : firstUndecoded(typed, { path, fields, type: at }, field);
  if (undecoded !== undefined) found.push(undecoded);
  else if (field.required && missing > 0)
    found.push(
      itemFindings.fieldMissing(typed.source, type, name, {
        first: firstMissing,
        itemCount: missing,
      }),
    );
  if (other > 0)
    found.push(
      itemFindings.fieldOfOtherType(
        typed.source,
        type,
        { ...field, name },
        {
          itemCount: other,
          first: firstOther,
          value: JSON.stringify(valueAt(typed.items[firstOther] ?? {}, path)),
        },
      ),
    );
  return found;
}

/** Values that were there and could not be decoded, counted. */
function firstUndecoded(
  typed: TypedItems,
  {
    path,
    fields,
    type,
  }: { readonly path: readonly string[]; readonly fields: readonly Field[]; readonly type: number },
  field: Field,
): Finding | undefined {
  const made = field.decode === undefined ? undefined : decoder(field.decode);
  if (field.decode === undefined || made === undefined || !made.ok) return undefined;
  const rawPath = rawPathOf(fields, path);
  let itemCount = 0;
  let first = -1;
  for (let at = 0; at < typed.raw.length; at += 1) {
    if (typed.typeIndexes[at] !== type) continue;
    if (valueAt(typed.items[at] ?? {}, path) !== undefined) continue;
    const raw = valueAt(typed.raw[at] ?? {}, rawPath);
    if (!isThere(raw) || made.value(raw).ok) continue;
    itemCount += 1;
    if (first < 0) first = at;
  }
  if (itemCount === 0) return undefined;
  const value = JSON.stringify(valueAt(typed.raw[first] ?? {}, rawPath));
  const named = { ...field, name: path.join('.') };
  return itemFindings.notDecoded(typed.source, named, decodingInWords(field.decode), {
    itemCount,
    first,
    value,
  });
}
