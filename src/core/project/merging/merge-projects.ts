import { type Finding, failed, isRecord, type Json, ok, ownValue, type Result } from '../../base';
import { asItem, type Item, keyFields, keyReader } from '../../items';
import type { ProjectFile } from '../file/read';
import { formatVersion, itemsIdOf, ownSet, type Project, rawKey } from '../project';
import { placeInProject, shownIn } from './changes';
import type { Conflict, Sides } from './sides';
import { merged } from './three-way';

/** A project that holds what two people made of a third, and what they changed each otherwise. */
export interface MergedProject extends Omit<ProjectFile, 'findings'> {
  readonly conflicts: readonly Conflict[];
}

/** Nothing of either side is lost where they do not meet; where they do, ours stays and it is listed. */
export async function mergeProjects(
  sides: Sides<ProjectFile>,
  file: string,
): Promise<Result<MergedProject, Finding>> {
  // Only files need the schema.
  const { validated } = await import('../file/validate');
  const of = (side: ProjectFile): Json => JSON.parse(JSON.stringify(side.project));
  const whole = merged({ base: of(sides.base), ours: of(sides.ours), theirs: of(sides.theirs) });
  const project = validated(whole.value ?? { yarncard: formatVersion }, file);
  if (!project.ok) return failed(project.error);
  const { items, conflicts } = mergedItems(project.value, sides);
  const contents = new Map([...sides.theirs.contents, ...sides.ours.contents]);
  return ok({
    project: project.value,
    items,
    contents,
    conflicts: [...whole.conflicts, ...conflicts],
  });
}

function mergedItems(project: Project, { base, ours, theirs }: Sides<ProjectFile>) {
  const items = new Map<string, readonly Item[]>();
  const conflicts: Conflict[] = [];
  for (const source of project.sources) {
    const key = rawKey(project, source);
    const isKeyed = keyFields(key).length > 0;
    const read = keyReader(key);
    for (const set of [ownSet, ...(source.sets ?? []).map(({ id }) => id)]) {
      const id = itemsIdOf(source.id, set);
      const found = merged(
        { base: jsonOf(base, id), ours: jsonOf(ours, id), theirs: jsonOf(theirs, id) },
        ['items', id],
        (item) => (isKeyed ? read(asItem(item)) : undefined),
      );
      conflicts.push(...found.conflicts);
      if (Array.isArray(found.value)) items.set(id, found.value.map(asItem));
    }
  }
  return { items, conflicts };
}

const jsonOf = ({ items }: ProjectFile, id: string): Json | undefined => {
  const own = items.get(id);
  return own === undefined ? undefined : [...own];
};

/** `templates › plain › title › text: "a" here, "b" there; "a" stays.` */
export function conflictInWords({ path, ours, theirs }: Conflict): string {
  const place = placeInProject(path);
  const stays = shownIn(ours ?? theirs);
  if (ours !== undefined && theirs !== undefined && isNew(path, ours))
    return `${place}: both sides made one; both are kept, theirs under another id.`;
  return `${place}: ${shownIn(ours)} here, ${shownIn(theirs)} there; ${stays} stays.`;
}

const isNew = (path: readonly string[], ours: Json): boolean =>
  isRecord(ours) && ownValue(ours, 'id') === path.at(-1);
