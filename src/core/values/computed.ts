import { makeExpression } from './expression';
import type { Field, ValueType } from './type';

/** A computed property as a field: its type follows from the expression and the fields before it. */
export function computedField(name: string, expr: string, before: readonly Field[]): Field {
  const { checked } = makeExpression(expr, before);
  const found = checked?.type ?? { type: 'unknown' };
  const type: ValueType = found.type === 'either' ? { type: 'text' } : shapeOf(found);
  return { ...type, name, required: checked !== undefined && !checked.mayBeMissing, expr };
}

/** The type alone: a field that the expression reads has a name and a decoding of its own. */
function shapeOf(type: ValueType): ValueType {
  if (type.type === 'record') return { type: 'record', fields: type.fields };
  return type.type === 'list' ? { type: 'list', of: type.of } : { type: type.type };
}

/** The fields that items hold, then the computed ones, each with the type that it now has. */
export function withComputedSettled(fields: readonly Field[]): readonly Field[] {
  const held = heldFields(fields);
  if (held.length === fields.length) return fields;
  const settled = [...held];
  for (const { name, expr } of fields)
    if (expr !== undefined) settled.push(computedField(name, expr, settled));
  return settled;
}

/** The fields that the items themselves hold. */
export const heldFields = (fields: readonly Field[]): readonly Field[] =>
  fields.filter((field) => field.expr === undefined);
