import type { Project } from './project';

/**
 * Ids that a project has or had within its history. What stands outside of it and hangs on an id
 * (items, what is selected) must never meet another thing that got the same id later.
 */
export type UsedIds = Readonly<Record<IdKind, ReadonlySet<string>>>;

const kinds = [
  'sources',
  'types',
  'templates',
  'sharedParts',
  'lists',
  'looks',
  'formats',
] as const;
type IdKind = (typeof kinds)[number];

const collected = (idsOf: (kind: IdKind) => ReadonlySet<string>): UsedIds => ({
  sources: idsOf('sources'),
  types: idsOf('types'),
  templates: idsOf('templates'),
  sharedParts: idsOf('sharedParts'),
  lists: idsOf('lists'),
  looks: idsOf('looks'),
  formats: idsOf('formats'),
});

export const noIds: UsedIds = collected(() => new Set());

export const idsIn = (project: Project): UsedIds =>
  collected((kind) => new Set((project[kind] ?? []).map(({ id }) => id)));

/** With the ids of one more state of the project; the same object where it has no new ones. */
export function withIdsOf(used: UsedIds, project: Project): UsedIds {
  const now = idsIn(project);
  const hasNew = kinds.some((kind) => [...now[kind]].some((id) => !used[kind].has(id)));
  return hasNew ? collected((kind) => new Set([...used[kind], ...now[kind]])) : used;
}
