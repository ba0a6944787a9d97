import { readsField, renamedInFormat } from '../formats';
import { keyFields } from '../items';
import { listSources } from '../lists';
import {
  type Binding,
  elementPaths,
  expressionsOf,
  mapBindings,
  mapExpressions,
  slotsOf,
  usesAround,
} from '../templates';
import {
  type Field,
  formatsUsed,
  lookupStep,
  type Params,
  pathsRead,
  pathText,
  renameStep,
} from '../values';
import { actionReads } from './acting/uses';
import { type ItemType, type Project, withId } from './project';
import { shownTemplate, shownTemplates, withRows, writtenRows } from './rows/rows';

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
  | { readonly kind: 'format'; readonly format: string }
  | { readonly kind: 'choice'; readonly list: string; readonly at: number; readonly when: string }
  | { readonly kind: 'order' | 'sections'; readonly list: string; readonly by: string }
  | { readonly kind: 'action'; readonly action: string }
  | { readonly kind: 'filter'; readonly list: string }
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
  const bindings = shownTemplates(project).flatMap((template) => {
    const elements = elementPaths(template.row);
    return slotsOf(template.row).flatMap(({ part, property, binding }): FieldUse[] => {
      const params = elements.get(part);
      // What is in a shared part reads its inputs.
      const isOfItem = template.type === type.id && usesAround(part).length === 0;
      const expr = expressionsOf(binding).find(
        (own) => (isOfItem && reads(own, path, params)) || reads(own, lookedUp, params),
      );
      if (expr === undefined) return [];
      return [{ kind: 'binding', template: template.id, part, property, expr }];
    });
  });
  const formats = (project.formats ?? []).flatMap((format): FieldUse[] =>
    readsField(format, path) && typesWith(project, format.id).has(type.id)
      ? [{ kind: 'format', format: format.id }]
      : [],
  );
  const computed = type.fields.flatMap(({ name, expr }): FieldUse[] =>
    expr !== undefined && reads(expr, path)
      ? [{ kind: 'computed', type: type.id, name, expr }]
      : [],
  );
  const choices = project.lists.flatMap((list) =>
    list.choices.flatMap(({ type: own, when }, at): FieldUse[] => {
      const isOfItem =
        own === undefined ? listSources(list).includes(type.source) : own === type.id;
      const isRead =
        when !== undefined && ((isOfItem && reads(when, path)) || reads(when, lookedUp));
      return isRead ? [{ kind: 'choice', list: list.id, at, when }] : [];
    }),
  );
  const orders = project.lists.flatMap((own) => {
    const { id: list, order = [], sections } = own;
    const { by } = sections ?? {};
    const all = [
      ...order.map(({ by }) => ({ kind: 'order', list, by }) as const),
      ...(by === undefined ? [] : [{ kind: 'sections', list, by } as const]),
    ];
    return listSources(own).includes(type.source) ? all.filter((each) => reads(each.by, path)) : [];
  });
  return [
    ...computed,
    ...bindings,
    ...formats,
    ...choices,
    ...orders,
    ...actionsReading(project, type, path),
    ...project.lists.flatMap(({ id: list, source: own, filter }): FieldUse[] =>
      whole && own === type.source && filter?.fields.includes(first ?? '') === true
        ? [{ kind: 'filter', list }]
        : [],
    ),
    ...(whole && keyFields(source.key).includes(first ?? '')
      ? [{ kind: 'key', source: source.id } as const]
      : []),
    ...(whole && source.discriminator === first
      ? [{ kind: 'discriminator', source: source.id } as const]
      : []),
  ];
}

const actionsReading = (
  project: Project,
  { id: type }: ItemType,
  path: readonly string[],
): readonly FieldUse[] =>
  (project.actions ?? [])
    .filter((action) => actionReads(project, action, { type, reads: (expr) => reads(expr, path) }))
    .map(({ id }) => ({ kind: 'action', action: id }));

/** Whether something reads a field in a way that another type could break: all but showing it as it is. */
export function isTypeRelied(project: Project, type: ItemType, path: readonly string[]): boolean {
  const shown = pathText(path);
  return usesOfField(project, type, path).some((use) => {
    if (use.kind === 'key' || use.kind === 'discriminator') return false;
    if (use.kind !== 'binding' || use.expr !== shown) return true;
    const row = shownTemplate(project, use.template)?.row;
    const slot = (row === undefined ? [] : slotsOf(row)).find(
      ({ part, property }) => part === use.part && property === use.property,
    );
    return (
      slot !== undefined && typeof slot.binding !== 'string' && slot.binding.format !== undefined
    );
  });
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
export function renamedInRows(
  project: Project,
  types: readonly ItemType[],
  path: readonly string[],
  name: string,
): Project {
  const lookedUp = types[0] === undefined ? [] : [lookupStep(types[0].source), ...path];
  return withRows(project, ({ type: shown, row }) => {
    const isOwn = types.some((type) => type.id === shown);
    const elements = elementPaths(row);
    return mapBindings(row, (binding, _, part) => {
      const params = elements.get(part);
      return mapExpressions(binding, (expr) =>
        renameStep(isOwn ? renameStep(expr, path, name, params) : expr, lookedUp, name, params),
      );
    });
  });
}

/** What lists ask of their items, reading the last step under its new name. */
export function renamedInLists(
  { lists }: Project,
  types: readonly ItemType[],
  path: readonly string[],
  name: string,
): Project['lists'] {
  const [first] = types;
  if (first === undefined) return lists;
  const lookedUp = [lookupStep(first.source), ...path];
  return lists.map((list) => ({
    ...list,
    ...(list.order !== undefined &&
      listSources(list).includes(first.source) && {
        order: list.order.map((key) => ({ ...key, by: renameStep(key.by, path, name) })),
      }),
    ...(list.filter !== undefined &&
      listSources(list).includes(first.source) &&
      path.length === 1 && {
        filter: {
          ...list.filter,
          fields: list.filter.fields.map((field) => (field === path[0] ? name : field)),
        },
      }),
    ...(list.sections?.by !== undefined &&
      listSources(list).includes(first.source) && {
        sections: { ...list.sections, by: renameStep(list.sections.by, path, name) },
      }),
    choices: list.choices.map((choice) => {
      const { type, when } = choice;
      if (when === undefined) return choice;
      const isOwn =
        type === undefined
          ? listSources(list).includes(first.source)
          : types.some(({ id }) => id === type);
      const own = isOwn ? renameStep(when, path, name) : when;
      return { ...choice, when: renameStep(own, lookedUp, name) };
    }),
  }));
}

/**
 * Formats that read it, under its new name. One that templates of other types have too stays: a
 * finding says so where it does not fit any more.
 */
export function renamedInFormats(
  project: Project,
  types: readonly ItemType[],
  path: readonly string[],
  name: string,
): Project['formats'] {
  const renamed = new Set(types.map((type) => type.id));
  return project.formats?.map((format) => {
    const users = typesWith(project, format.id);
    const isOwn =
      users.size > 0 && [...users].every((type) => type !== undefined && renamed.has(type));
    return isOwn && readsField(format, path) ? renamedInFormat(format, path, name) : format;
  });
}

/** The types whose templates have a format; of none: shared parts. */
function typesWith(project: Project, format: string): ReadonlySet<string | undefined> {
  const has = (binding: Binding) =>
    (typeof binding !== 'string' && binding.format === format) ||
    expressionsOf(binding).some((expr) => formatsUsed(expr).includes(format));
  return new Set(
    writtenRows(project)
      .filter(({ row }) => slotsOf(row).some(({ binding }) => has(binding)))
      .map(({ type }) => type),
  );
}

const reads = (expr: string, path: readonly string[], params?: Params): boolean =>
  pathsRead(expr, params).some((own) => path.every((step, at) => own[at] === step));
