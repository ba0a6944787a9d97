import { keyFields } from '../items';
import { type Binding, mapBindings, slotsOf, type Template } from '../templates';
import { type Field, lookupStep, makeExpression, renameStep } from '../values';
import { type ItemType, type Project, withId } from './project';

/** Something that reads a field: an expression in a template, the key, what tells types apart. */
export type FieldUse =
  | {
      readonly kind: 'binding';
      readonly template: string;
      readonly part: string;
      readonly property: string;
      readonly expr: string;
    }
  | {
      readonly kind: 'computed';
      readonly type: string;
      readonly name: string;
      readonly expr: string;
    }
  | { readonly kind: 'key' | 'discriminator'; readonly source: string };

/** All that reads a field of a type, or something inside it. */
export function usesOfField(
  project: Project,
  type: ItemType,
  path: readonly string[],
): readonly FieldUse[] {
  const [first] = path;
  const source = withId(project.sources, type.source);
  const whole = path.length === 1 && source !== undefined;
  const lookedUp = [lookupStep(type.source), ...path];
  const bindings = project.templates.flatMap((template) =>
    slotsOf(template.row).flatMap(({ part, property, binding }): FieldUse[] => {
      if (typeof binding === 'string') return [];
      const isOwn = template.type === type.id && reads(binding.expr, path);
      if (!isOwn && !reads(binding.expr, lookedUp)) return [];
      return [{ kind: 'binding', template: template.id, part, property, expr: binding.expr }];
    }),
  );
  const computed = type.fields.flatMap(({ name, expr }): FieldUse[] =>
    expr !== undefined && reads(expr, path)
      ? [{ kind: 'computed', type: type.id, name, expr }]
      : [],
  );
  return [
    ...computed,
    ...bindings,
    ...(whole && keyFields(source.key).includes(first ?? '')
      ? [{ kind: 'key', source: source.id } as const]
      : []),
    ...(whole && source.discriminator === first
      ? [{ kind: 'discriminator', source: source.id } as const]
      : []),
  ];
}

/** The fields with what computes them reading the last step under its new name. */
export const renamedInFields = (
  fields: readonly Field[],
  path: readonly string[],
  name: string,
): readonly Field[] =>
  fields.map((field) =>
    field.expr === undefined ? field : { ...field, expr: renameStep(field.expr, path, name) },
  );

/** Every template of the types, and every lookup into their source, reads the last step under its new name. */
export function renamedInTemplates(
  project: Project,
  types: readonly ItemType[],
  path: readonly string[],
  name: string,
): readonly Template[] {
  const lookedUp = types[0] === undefined ? [] : [lookupStep(types[0].source), ...path];
  return project.templates.map((template) => {
    const isOwn = types.some((type) => type.id === template.type);
    const rename = (binding: Binding): Binding => {
      if (typeof binding === 'string') return binding;
      const own = isOwn ? renameStep(binding.expr, path, name) : binding.expr;
      return { ...binding, expr: renameStep(own, lookedUp, name) };
    };
    const row = mapBindings(template.row, rename);
    return row.part === 'stack' ? { ...template, row } : template;
  });
}

const reads = (expr: string, path: readonly string[]): boolean =>
  makeExpression(expr, []).paths.some((own) => path.every((step, at) => own[at] === step));
