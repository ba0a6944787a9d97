import { makeExpression } from './expression';
import { bare } from './result-type';
import { readExpression } from './syntax/read';
import type { Field, ValueType } from './type';
import { pathsUsed } from './uses';

/** A computed property as a field: its type follows from the expression and the fields that it may read. */
export function computedField(name: string, expr: string, others: readonly Field[]): Field {
  const { checked } = makeExpression(expr, others, 'property');
  const found = bare(checked?.type ?? { type: 'unknown' });
  const type: ValueType = found.type === 'either' ? { type: 'text' } : found;
  return { ...type, name, required: checked !== undefined && !checked.mayBeMissing, expr };
}

/** Computed properties in an order in which each comes after those that it reads. */
export interface ComputedOrder {
  readonly names: readonly string[];
  /** Those that read each other round in a circle, each circle from its first name on. */
  readonly circles: readonly (readonly string[])[];
}

export function computedOrder(fields: readonly Field[]): ComputedOrder {
  const reads = new Map(
    fields.flatMap(({ name, expr }) =>
      expr === undefined ? [] : [[name, namesRead(expr)] as const],
    ),
  );
  const done = new Set<string>();
  const names: string[] = [];
  const circles: string[][] = [];
  const visit = (name: string, way: readonly string[]) => {
    const from = way.indexOf(name);
    if (from >= 0) circles.push(way.slice(from));
    if (from >= 0 || done.has(name)) return;
    for (const other of reads.get(name) ?? []) if (reads.has(other)) visit(other, [...way, name]);
    if (!done.has(name)) names.push(name);
    done.add(name);
  };
  for (const name of reads.keys()) visit(name, []);
  const inCircle = new Set(circles.flat());
  return { names: names.filter((name) => !inCircle.has(name)), circles };
}

function namesRead(expr: string): readonly string[] {
  const read = readExpression(expr);
  return read.ok ? pathsUsed(read.value).flatMap(([first]) => first ?? []) : [];
}

/** What a computed property may read: all fields but itself. */
export const fieldsBeside = (fields: readonly Field[], name: string): readonly Field[] =>
  fields.filter((field) => field.name !== name);

/** The fields, each computed one with the type that it now has; those in a circle have none. */
export function withComputedSettled(fields: readonly Field[]): readonly Field[] {
  const computed = fields.filter((field) => field.expr !== undefined);
  if (computed.length === 0) return fields;
  let settled = fields.map(
    (field): Field =>
      field.expr === undefined
        ? field
        : { type: 'unknown', name: field.name, required: false, expr: field.expr },
  );
  for (const name of computedOrder(fields).names) {
    const expr = fields.find((field) => field.name === name)?.expr ?? '';
    const own = computedField(name, expr, fieldsBeside(settled, name));
    settled = settled.map((field) => (field.name === name ? own : field));
  }
  const held = heldFields(settled);
  return [...held, ...settled.filter((field) => field.expr !== undefined)];
}

/** The fields that the items themselves hold. */
export const heldFields = (fields: readonly Field[]): readonly Field[] =>
  fields.filter((field) => field.expr === undefined);
