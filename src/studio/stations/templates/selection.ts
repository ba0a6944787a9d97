import { type ItemType, type Project, withId } from '../../../core/project';
import {
  isBound,
  type Part,
  partsOf,
  partWithId,
  slotsOf,
  type Template,
} from '../../../core/templates';
import { makeExpression } from '../../../core/values';
import { useRoute } from '../../shared/session/route';
import { useProject, useSession } from '../../shared/session/session';

/** What the station is about now: a template, its item type, the selected part. */
export interface Selection {
  readonly project: Project;
  readonly template: Template;
  readonly type: ItemType | undefined;
  readonly part: Part;
}

/** The selection that the address names; else the template that shows the item at hand, and its first label. */
export function useSelection(): Selection | undefined {
  const project = useProject();
  const { route } = useRoute();
  const typeAtHand = useSession((session) => session.atHand?.type);
  if (project === undefined || route.page !== 'project') return undefined;
  const named =
    route.template === undefined ? undefined : withId(project.templates, route.template);
  const template =
    named ?? project.templates.find((each) => each.type === typeAtHand) ?? project.templates[0];
  if (template === undefined) return undefined;
  const selected = route.part === undefined ? undefined : partWithId(template.row, route.part);
  const firstLabel = [...partsOf(template.row)].find((part) => part.part === 'label');
  return {
    project,
    template,
    type: withId(project.types, template.type),
    part: selected ?? firstLabel ?? template.row,
  };
}

/** Every path into the item that some part of the template reads. */
export function pathsShown({ template, type }: Selection): readonly (readonly string[])[] {
  const fields = type?.fields ?? [];
  return slotsOf(template.row).flatMap(({ binding }) =>
    isBound(binding) ? makeExpression(binding.expr, fields).paths : [],
  );
}
