import { type ItemType, type Project, shownTemplate, withId } from '../../../core/project';
import {
  fieldsAt,
  isBound,
  type Part,
  partsOf,
  partWithId,
  prefixOf,
  slotsOf,
  type Template,
} from '../../../core/templates';
import { type Field, makeExpression } from '../../../core/values';
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
  const written =
    named ?? project.templates.find((each) => each.type === typeAtHand) ?? project.templates[0];
  const template = written && shownTemplate(project, written.id);
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

/** The fields that the expressions of a part see: those of the item, of an element, a shared part's inputs. */
export const fieldsSeen = (
  { template, type }: Selection,
  place: { readonly part: string; readonly property: string },
): readonly Field[] => fieldsAt(template.row, place, type?.fields ?? noFields);

const noFields: readonly Field[] = [];

/** Every path that some part reads of those whose ids begin so: into the item, or into inputs. */
export function pathsShown(selection: Selection, prefix = ''): readonly (readonly string[])[] {
  return slotsOf(selection.template.row).flatMap(({ part, property, binding }) =>
    isBound(binding) && prefixOf(part) === prefix
      ? makeExpression(binding.expr, fieldsSeen(selection, { part, property })).paths
      : [],
  );
}
