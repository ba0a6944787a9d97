import type { FieldFound } from '../../items';
import { type Field, type ValueType, withComputedSettled } from '../../values';
import type { ItemType } from '../project';

/** Whether something that reads a field needs it to be of the type that it is. */
type Relied = (path: readonly string[]) => boolean;

/**
 * The fields of a type after its items came again: new ones join, ones that are gone may be
 * missing. Where the values no longer fit a type widens, unless somebody gave it or something
 * relies on it: then the values that do not fit are what is wrong.
 */
export function mergedFields(
  type: Pick<ItemType, 'fields' | 'leftOut'>,
  found: readonly FieldFound[],
  isRelied: Relied,
): readonly Field[] {
  const byName = new Map(found.map((field) => [field.name, field]));
  const kept = type.fields.map((field) => {
    if (field.expr !== undefined) return field;
    const raw = field.from ?? field.name;
    const now = byName.get(raw);
    byName.delete(raw);
    return now === undefined ? { ...field, required: false } : merged(field, now, isRelied);
  });
  const leftOut = new Set(type.leftOut);
  const added = [...byName.values()]
    .filter((field) => !leftOut.has(field.name))
    .map(({ missingCount: _, ...field }): Field => field);
  const taken = new Set(kept.map((field) => field.name));
  const fresh = added.filter((field) => !taken.has(field.name));
  return withComputedSettled([...kept, ...fresh]);
}

function merged(field: Field, now: FieldFound, isRelied: Relied): Field {
  const required = field.required && now.required;
  if (field.type === 'record' && now.type === 'record' && field.decode === undefined) {
    const isInsideRelied: Relied = (path) => isRelied([field.name, ...path]);
    return { ...field, required, fields: insideMerged(field.fields, now.fields, isInsideRelied) };
  }
  const isSettled = field.decode !== undefined || field.given !== undefined;
  if (isSettled || fits(field, now) || isRelied([field.name])) return { ...field, required };
  const { missingCount: _, ...type } = now;
  return {
    ...type,
    name: field.name,
    required,
    ...(field.from !== undefined && { from: field.from }),
  };
}

function insideMerged(
  fields: readonly Field[],
  now: readonly Field[],
  isRelied: Relied,
): readonly Field[] {
  const found = now.map((field) => ({ ...field, missingCount: 0 }));
  return mergedFields({ fields }, found, isRelied);
}

/** Whether values of the type that was found can be read as the one that is known. */
function fits(known: ValueType, now: ValueType): boolean {
  if (known.type === now.type)
    return known.type !== 'list' || now.type !== 'list' || fits(known.of, now.of);
  if (now.type === 'unknown' || known.type === 'unknown') return true;
  if (known.type === 'number') return now.type === 'integer';
  // Every plain value can be read as text.
  if (known.type === 'text') return now.type !== 'record' && now.type !== 'list';
  return now.type === 'text' && !['integer', 'boolean', 'record', 'list'].includes(known.type);
}
