import { failed, freeId, ok } from '../../base';
import {
  type Binding,
  insertPart,
  type Part,
  partIds,
  partWithId,
  removePart,
  replacePart,
  type Side,
  type SlotProperty,
  type StackPart,
  type Template,
} from '../../templates';
import { type Project, withId } from '../project';
import type { Edit } from './edit';

/** A property of a part of a template. */
export interface PropertyPlace {
  readonly template: string;
  readonly part: string;
  readonly property: SlotProperty;
}

/** Feeds a property of a part; `joins` names the typing that it belongs to. */
export function bind(
  { template, part, property }: PropertyPlace,
  binding: Binding,
  joins?: string,
): Edit {
  const what = typeof binding === 'string' ? 'Fixed words' : `Bind to ${binding.expr}`;
  const edit = editRow(`${what}, ${part}`, template, (row) => {
    const target = partWithId(row, part);
    if (target === undefined) return undefined;
    if (target.part === 'label' && property === 'text') {
      return replacePart(row, part, () => ({ ...target, text: binding }));
    }
    if (target.part === 'label' && property === 'link') {
      return replacePart(row, part, () => ({ ...target, link: binding }));
    }
    if (target.part === 'image' && property === 'picture') {
      return replacePart(row, part, () => ({ ...target, picture: binding }));
    }
    return undefined;
  });
  return joins === undefined ? edit : { ...edit, joins };
}

/** Puts a new part beside, above or below another. The part's id is made free first: see `freePartId`. */
export function insert(template: string, anchor: string, side: Side, part: Part): Edit {
  return editRow(`Insert ${part.part} ${part.id}`, template, (row) => {
    if (partWithId(row, anchor) === undefined) return undefined;
    return insertPart(row, anchor, side, part, freeId('stack', [...partIds(row), part.id]));
  });
}

export function remove(template: string, part: string): Edit {
  return editRow(`Remove ${part}`, template, (row) =>
    part === row.id ? undefined : removePart(row, part),
  );
}

/** Changes how a part looks; `name` says what in the list of steps. */
export function restyle(
  template: string,
  part: string,
  name: string,
  change: (part: Part) => Part,
): Edit {
  return editRow(`${name}, ${part}`, template, (row) =>
    partWithId(row, part) === undefined ? undefined : replacePart(row, part, change),
  );
}

/** An id for a new part that no part of the template has. */
export function freePartId(template: Template, wish: string): string {
  return freeId(wish, partIds(template.row));
}

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

function editRow(
  name: string,
  id: string,
  change: (row: StackPart) => StackPart | undefined,
): Edit {
  return {
    name,
    apply(project: Project) {
      const template = withId(project.templates, id);
      if (template === undefined) return failed(`There is no template "${id}".`);
      const row = change(template.row);
      if (row === undefined)
        return failed('That part is not in the template, or has no such property.');
      const templates = project.templates.map((each) => (each.id === id ? { ...each, row } : each));
      return ok({ ...project, templates });
    },
  };
}
