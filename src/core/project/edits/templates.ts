import { failed, freeId, ok, ownValue } from '../../base';
import {
  addRun,
  type Binding,
  type Bound,
  type Constant,
  insertPart,
  isBound,
  kindOfPart,
  type Property,
  partIds,
  partWithId,
  type RunPart,
  removePart,
  replacePart,
  type Side,
  type StackPart,
  type StandingPart,
  type Template,
  withProperty,
} from '../../templates';
import { editById, type Project, withId } from '../project';
import type { Edit } from './edit';

/** A property of a part of a template. */
export interface PropertyPlace {
  readonly template: string;
  readonly part: string;
  readonly property: string;
}

/** Feeds a property of a part; `joins` names the typing that it belongs to. */
export function bind(place: PropertyPlace, binding: Binding, joins?: string): Edit {
  const what = isBound(binding) ? `Bind to ${binding.expr}` : 'Fixed words';
  return setting(`${what}, ${place.part}`, place, binding, joins);
}

/** Says what a property of a part is; undefined: what its kind says of it. */
export function set(place: PropertyPlace, value: Constant | undefined, joins?: string): Edit {
  const { part, property } = place;
  const what = property.slice(0, 1).toUpperCase() + property.slice(1);
  const words = typeof value === 'string' ? `${what} ${value}` : what;
  return setting(`${words}, ${part}`, place, value, joins);
}

function setting(
  name: string,
  { template, part, property }: PropertyPlace,
  value: Constant | Bound | undefined,
  joins: string | undefined,
): Edit {
  const edit = editRow(name, template, (row) => {
    const target = partWithId(row, part);
    const declared = target && ownValue(kindOfPart(target).properties, property);
    if (declared === undefined || !canBe(declared, value)) return undefined;
    if (declared.isOfRow && part !== row.id) return undefined;
    return replacePart(row, part, (old) => withProperty(old, property, value));
  });
  return joins === undefined ? edit : { ...edit, joins };
}

const canBe = (declared: Property, value: Constant | Bound | undefined): boolean =>
  isBound(value) ? declared.isBindable : value !== undefined || !declared.isRequired;

/** Puts a new part beside, above or below another. The part's id is made free first: see `freePartId`. */
export function insert(template: string, anchor: string, side: Side, part: StandingPart): Edit {
  return editRow(
    part.part === part.id ? `Insert ${part.id}` : `Insert ${part.part} ${part.id}`,
    template,
    (row) => {
      if (partWithId(row, anchor) === undefined) return undefined;
      const stackId = freeId('stack', [...partIds(row), part.id]);
      return insertPart(row, anchor, side, { part, stackId });
    },
  );
}

/** Has a label go on with a run. The run's id is made free first. */
export const addRunTo = (template: string, label: string, run: RunPart): Edit =>
  editRow(`Add run ${run.id}`, template, (row) =>
    partWithId(row, label)?.part === 'label' ? addRun(row, label, run) : undefined,
  );

export function remove(template: string, part: string): Edit {
  return editRow(`Remove ${part}`, template, (row) =>
    part === row.id ? undefined : removePart(row, part),
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
      const templates = editById(project.templates, id, (each) => ({ ...each, row }));
      return ok({ ...project, templates });
    },
  };
}
