import { type ItemType, type Project, shownTemplate, withId } from '../../../core/project';
import {
  childrenOf,
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
import { goWithin, useRoute } from '../../shared/session/route';
import { useSession, useTriedProject } from '../../shared/session/session';

/** What the station is about now: a template, its item type, the selected part. */
export interface Selection {
  readonly project: Project;
  readonly template: Template;
  readonly type: ItemType | undefined;
  /** The part that properties, threads and the trace are of. */
  readonly part: Part;
  /** All that are selected, that one first. */
  readonly parts: readonly Part[];
}

/** The selection that the address names; else the template that shows the item at hand, and its first label. */
export function useSelection(): Selection | undefined {
  const project = useTriedProject();
  const { route } = useRoute();
  const typeAtHand = useSession((session) => session.atHand?.type);
  if (project === undefined || route.page !== 'project') return undefined;
  const named =
    route.template === undefined ? undefined : withId(project.templates, route.template);
  const written =
    named ?? project.templates.find((each) => each.type === typeAtHand) ?? project.templates[0];
  const template = written && shownTemplate(project, written.id);
  if (template === undefined) return undefined;
  const selected =
    route.part === undefined
      ? undefined
      : (partWithId(template.row, route.part) ?? whereItStood(template, route.part));
  const firstLabel = [...partsOf(template.row)].find((part) => part.part === 'label');
  const part = selected ?? firstLabel ?? template.row;
  remember(template, route.part ?? part.id, part);
  const others = (route.also ?? []).flatMap((id) => partWithId(template.row, id) ?? []);
  return {
    project,
    template,
    type: withId(project.types, template.type),
    part,
    parts: [part, ...others.filter(({ id }) => id !== part.id)],
  };
}

/** Where the selected part stands, so that what stands there is selected once it is gone or renamed. */
let stood: { readonly template: string; readonly part: string; readonly at: readonly number[] } = {
  ...{ template: '', part: '', at: [] },
};

function remember({ id, row }: Template, asked: string, part: Part): void {
  stood = { template: id, part: asked, at: wayTo(row, part.id) ?? [] };
}

/** The way from a row to a part, as places among brothers. */
function wayTo(part: Part, id: string): readonly number[] | undefined {
  if (part.id === id) return [];
  for (const [at, child] of childrenOf(part).entries()) {
    const way = wayTo(child, id);
    if (way !== undefined) return [at, ...way];
  }
  return undefined;
}

/** What stands now where a part stood that is gone, by undo, say; else what is nearest. */
function whereItStood({ id, row }: Template, part: string): Part | undefined {
  if (stood.template !== id || stood.part !== part) return undefined;
  let found: Part = row;
  for (const at of stood.at) {
    const children = childrenOf(found);
    const next = children[Math.min(at, children.length - 1)];
    if (next === undefined) break;
    found = next;
  }
  return found;
}

/** Selects parts, the first of them for the properties. */
export const select = (parts: readonly string[]): void =>
  goWithin({ part: parts[0], also: parts.slice(1) }, 'replace');

/** Adds a part to those that are selected, or takes it away. */
export function selectAlso({ parts }: Selection, id: string): void {
  const ids = parts.map((part) => part.id);
  const left = ids.filter((each) => each !== id);
  if (left.length === ids.length) select([...ids, id]);
  else if (left.length > 0) select(left);
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
