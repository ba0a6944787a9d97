import { failed, freeId, nearest, ok } from '../../../base';
import { type Chosen, standingTemplates, templatesIn } from '../../../lists';
import {
  elementPaths,
  expressionsOf,
  mapBindings,
  mapExpressions,
  type StackPart,
  slotsOf,
  type Template,
} from '../../../templates';
import { type Field, pathsRead, renameStep } from '../../../values';
import { templatesOf } from '../../choosing/choices';
import type { Draft } from '../../drafting/drafts';
import { editById, type Project, withId } from '../../project';
import type { Edit } from '../edit';

/** A new template, of an id that none has. */
export function addTemplate(template: Template): Edit {
  return {
    name: `Add template ${template.name}`,
    apply(project) {
      if (withId(project.templates, template.id))
        return failed(`There is a template "${template.id}" already.`);
      return ok({ ...project, templates: [...project.templates, template] });
    },
  };
}

export function renameTemplate(id: string, wish: string): Edit {
  const name = wish.trim();
  return {
    name: `Name the template ${name}`,
    apply(project) {
      if (withId(project.templates, id) === undefined) return failed(gone(id));
      if (name === '') return failed('A template needs a name.');
      return ok({
        ...project,
        templates: editById(project.templates, id, (own) => ({ ...own, name })),
      });
    },
  };
}

/** The same once more, right after it. */
export function duplicateTemplate(
  id: string,
  next: { readonly id: string; readonly name: string },
): Edit {
  return {
    name: `Duplicate template ${id}`,
    apply(project) {
      const at = project.templates.findIndex((each) => each.id === id);
      const own = project.templates[at];
      if (own === undefined) return failed(gone(id));
      if (withId(project.templates, next.id))
        return failed(`There is a template "${next.id}" already.`);
      return ok({
        ...project,
        templates: project.templates.toSpliced(at + 1, 0, { ...own, ...next }),
      });
    },
  };
}

/** Takes a template out of the project, if no list shows it. */
export function removeTemplate(id: string): Edit {
  return {
    name: `Remove template ${id}`,
    apply(project) {
      if (withId(project.templates, id) === undefined) return failed(gone(id));
      const lists = project.lists.filter((list) => templatesOf(list).includes(id));
      if (lists.length > 0)
        return failed(
          `${lists.map(({ name }) => `“${name}”`).join(', ')} ${lists.length === 1 ? 'shows' : 'show'} it: choose another there first.`,
        );
      return ok({ ...project, templates: project.templates.filter((each) => each.id !== id) });
    },
  };
}

/** How what a template reads is called in another type. */
export interface Matching {
  /** Fields that the other type has, by its own names. */
  readonly matched: readonly { readonly from: string; readonly to: string }[];
  /** Those that it lacks, with the likeliest instead. */
  readonly unmatched: readonly { readonly from: string; readonly nearest: string | undefined }[];
}

/** Holds what a template reads of its own type's fields against another type's, by name and type. */
export function matchFields(
  row: StackPart,
  own: readonly Field[],
  other: readonly Field[],
): Matching {
  const read = [...new Set(namesRead(row))];
  const matched: { from: string; to: string }[] = [];
  const unmatched: { from: string; nearest: string | undefined }[] = [];
  for (const from of read) {
    const type = own.find(({ name }) => name === from)?.type;
    const fits = other.filter((field) => type === undefined || isLike(field.type, type));
    const same =
      fits.find(({ name }) => name === from) ??
      fits.find(({ name }) => plainName(name) === plainName(from));
    if (same !== undefined) matched.push({ from, to: same.name });
    else
      unmatched.push({
        from,
        nearest:
          nearest(
            from,
            fits.map(({ name }) => name),
          ) ?? fits[0]?.name,
      });
  }
  return { matched, unmatched };
}

const isLike = (one: Field['type'], other: Field['type']): boolean =>
  one === other || (isNumeric(one) && isNumeric(other)) || (isDated(one) && isDated(other));
const isNumeric = (type: Field['type']): boolean => type === 'number' || type === 'integer';
const isDated = (type: Field['type']): boolean => type === 'date' || type === 'datetime';
const plainName = (name: string): string => name.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

function namesRead(row: StackPart): readonly string[] {
  const elements = elementPaths(row);
  return slotsOf(row).flatMap(({ part, binding }) =>
    expressionsOf(binding).flatMap((expr) =>
      pathsRead(expr, elements.get(part)).flatMap(([first]) =>
        first === undefined ? [] : [first],
      ),
    ),
  );
}

/** Gives a template to another item type, as a template of its own: what it reads is called as that type calls it. */
export function giveTemplate(id: string, next: Pick<Template, 'id' | 'name' | 'type'>): Edit {
  return {
    name: `Give template ${id} to ${next.type}`,
    apply(project) {
      const own = withId(project.templates, id);
      const type = withId(project.types, next.type);
      if (own === undefined) return failed(gone(id));
      if (type === undefined) return failed(`There is no item type "${next.type}".`);
      if (withId(project.templates, next.id))
        return failed(`There is a template "${next.id}" already.`);
      const { matched } = matchFields(
        own.row,
        withId(project.types, own.type)?.fields ?? [],
        type.fields,
      );
      const elements = elementPaths(own.row);
      const row = matched.reduce<StackPart>(
        (made, { from, to }) =>
          from === to
            ? made
            : mapBindings(made, (binding, _, part) =>
                mapExpressions(binding, (expr) => renameStep(expr, [from], to, elements.get(part))),
              ),
        own.row,
      );
      return ok({ ...project, templates: [...project.templates, { ...next, row }] });
    },
  };
}

/** A list of the template's source that shows it alone, for the items of its type. */
export function listOfItsOwn(
  id: string,
  list: { readonly id: string; readonly name: string },
): Edit {
  return {
    name: `A list of its own for ${id}`,
    apply(project) {
      const own = withId(project.templates, id);
      const type = withId(project.types, own?.type ?? '');
      if (own === undefined || type === undefined) return failed(gone(id));
      if (withId(project.lists, list.id)) return failed(`There is a list "${list.id}" already.`);
      const like = project.lists.find(({ source }) => source === type.source);
      return ok({
        ...project,
        lists: [
          ...project.lists,
          {
            ...list,
            source: type.source,
            choices: [{ type: type.id, template: id }],
            otherwise: null,
            arrangement: like?.arrangement ?? { kind: 'list', gap: 0, edge: 0, separators: true },
          },
        ],
      });
    },
  };
}

/** A drafted row in the place of a template's own, with the formats that it writes with. */
export function takeDraft(id: string, draft: Draft): Edit {
  return {
    name: `Draft ${draft.name}`,
    apply(project) {
      if (withId(project.templates, id) === undefined) return failed(gone(id));
      const { row } = draft;
      return ok({
        ...withFormats(project, draft),
        templates: editById(project.templates, id, (own) => ({ ...own, row })),
      });
    },
  };
}

/** The same as a template of its own, beside those that are there. */
export function addDraft(template: Pick<Template, 'id' | 'name' | 'type'>, draft: Draft): Edit {
  return {
    name: `Draft ${draft.name}`,
    apply(project) {
      return addTemplate({ ...template, row: draft.row }).apply(withFormats(project, draft));
    },
  };
}

function withFormats(project: Project, { formats }: Draft): Project {
  const { formats: before = [] } = project;
  const added = formats.filter(({ id }) => withId(before, id) === undefined);
  return added.length === 0 ? project : { ...project, formats: [...before, ...added] };
}

const gone = (id: string): string => `There is no template "${id}".`;

/** Which lists show a template, and for which items; those that say nothing of it choose it for all others. */
export const usesOfTemplate = ({ lists }: Project, id: string) =>
  lists.flatMap((list) => {
    const isChosen = (chosen: Chosen | undefined) => templatesIn(chosen).includes(id);
    const choices = list.choices.filter(({ template }) => isChosen(template));
    const isOtherwise = isChosen(list.otherwise);
    const isStanding = standingTemplates(list).includes(id);
    return choices.length > 0 || isOtherwise || isStanding
      ? [{ list: list.name, choices, isOtherwise, isStanding }]
      : [];
  });

/** A template id of a type that none has or had. */
export const freeTemplateId = (type: string, name: string, taken: Iterable<string>): string =>
  freeId(`${type}-${name}`.slice(0, 50).replace(/-+$/, ''), taken);
