import { ownValue } from '../../../core/base';
import type { List } from '../../../core/lists';
import {
  type ItemType,
  ownSet,
  type Project,
  type Source,
  typesOf,
  withId,
} from '../../../core/project';
import { useRoute } from './route';
import { useProject, useSession } from './session';

/** The source that the screens speak of: the one in the address, or the first. */
export function sourceIn(project: Project, id: string | undefined): Source | undefined {
  return (id === undefined ? undefined : withId(project.sources, id)) ?? project.sources[0];
}

/** The list that shows a source: the one in the address, or its first. */
function listOf(project: Project, source: Source, named: List | undefined): List | undefined {
  if (named?.source === source.id) return named;
  return project.lists.find((list) => list.source === source.id) ?? project.lists[0];
}

interface Named {
  readonly source?: string | undefined;
  readonly list?: string | undefined;
}

const nothingNamed: Named = {};

export interface Current {
  readonly project: Project;
  readonly source: Source;
  readonly list: List | undefined;
  readonly types: readonly ItemType[];
  /** The set of the source that is shown. */
  readonly set: string;
}

/** What is open and selected; undefined while nothing is. */
export function currentNow(): Current | undefined {
  const { history, sets } = useSession.getState();
  const { route } = useRoute.getState();
  return currentOf(history?.project, route.page === 'project' ? route : nothingNamed, sets);
}

/** Where a template is looked at: beside a list of its own items, if those that are shown are others. */
export function placeOfTemplate(id: string) {
  const now = currentNow();
  const template = withId(now?.project.templates ?? [], id);
  const source = withId(now?.project.types ?? [], template?.type ?? '')?.source;
  const place = { template: id, part: undefined, also: [] } as const;
  return source === undefined || source === now?.source.id
    ? place
    : { ...place, source, list: undefined, item: 0 };
}

export function useCurrent(): Current | undefined {
  const project = useProject();
  const sets = useSession((session) => session.sets);
  const { route } = useRoute();
  return currentOf(project, route.page === 'project' ? route : nothingNamed, sets);
}

function currentOf(
  project: Project | undefined,
  { source: id, list }: Named,
  sets: Readonly<Record<string, string>>,
): Current | undefined {
  const named = list === undefined ? undefined : withId(project?.lists ?? [], list);
  const source = project === undefined ? undefined : sourceIn(project, id ?? named?.source);
  if (project === undefined || source === undefined) return undefined;
  const wished = ownValue(sets, source.id) ?? ownSet;
  const set = source.sets?.some((each) => each.id === wished) ? wished : ownSet;
  return {
    project,
    source,
    list: listOf(project, source, named),
    types: typesOf(project, source.id),
    set,
  };
}
