import { keyFields } from '../items';
import { type Binding, mapBindings, slotsOf, type Template } from '../templates';
import { makeExpression, renameStep } from '../values';
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
  const bindings = templatesOf(project, type).flatMap((template) =>
    slotsOf(template.row).flatMap(({ part, property, binding }): FieldUse[] => {
      if (typeof binding === 'string' || !reads(binding.expr, path)) return [];
      return [{ kind: 'binding', template: template.id, part, property, expr: binding.expr }];
    }),
  );
  return [
    ...bindings,
    ...(whole && keyFields(source.key).includes(first ?? '')
      ? [{ kind: 'key', source: source.id } as const]
      : []),
    ...(whole && source.discriminator === first
      ? [{ kind: 'discriminator', source: source.id } as const]
      : []),
  ];
}

/** Every template of the type reads the last step of the path under its new name. */
export function renamedInTemplates(
  project: Project,
  types: readonly ItemType[],
  path: readonly string[],
  name: string,
): readonly Template[] {
  const rename = (binding: Binding): Binding =>
    typeof binding === 'string'
      ? binding
      : { ...binding, expr: renameStep(binding.expr, path, name) };
  return project.templates.map((template) => {
    if (!types.some((type) => type.id === template.type)) return template;
    const row = mapBindings(template.row, rename);
    return row.part === 'stack' ? { ...template, row } : template;
  });
}

const templatesOf = (project: Project, type: ItemType): readonly Template[] =>
  project.templates.filter((template) => template.type === type.id);

const reads = (expr: string, path: readonly string[]): boolean =>
  makeExpression(expr, []).paths.some((own) => path.every((step, at) => own[at] === step));
