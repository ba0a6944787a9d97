import { type Finding, failed, type Json, ok, type Result } from '../../base';
import { asItem, type Item, keyFields, keyReader } from '../../items';
import { partIds } from '../../templates';
import type { ProjectFile } from '../file/read';
import { formatVersion, itemsIdOf, ownSet, type Project, rawKey, withId } from '../project';
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
  const held = validated(whole.value ?? { yarncard: formatVersion }, file);
  if (!held.ok) return failed(held.error);
  const { project, doubled } = withoutDoubled(held.value, sides);
  const { items, conflicts } = mergedItems(project, sides, whole.conflicts);
  const contents = new Map([...sides.theirs.contents, ...sides.ours.contents]);
  return ok({
    project,
    items,
    contents,
    conflicts: [...whole.conflicts, ...doubled, ...conflicts],
  });
}

/** A part that both sides moved, each elsewhere, would stand twice: such a template stays as ours has it. */
function withoutDoubled(project: Project, { ours, theirs }: Sides<ProjectFile>) {
  const doubled: Conflict[] = [];
  const templates = project.templates.map((template) => {
    const own = withId(ours.project.templates, template.id);
    const ids = partIds(template.row);
    if (own === undefined || new Set(ids).size === ids.length) return template;
    const other = withId(theirs.project.templates, template.id);
    const rows = [own.row, other?.row].map((row) => JSON.parse(JSON.stringify(row ?? null)));
    doubled.push({ path: ['templates', template.id, 'parts'], ours: rows[0], theirs: rows[1] });
    return { ...template, row: own.row };
  });
  return { project: doubled.length === 0 ? project : { ...project, templates }, doubled };
}

/** `met`: what both sides changed of the project. */
function mergedItems(
  project: Project,
  { base, ours, theirs }: Sides<ProjectFile>,
  met: readonly Conflict[],
) {
  const items = new Map<string, readonly Item[]>();
  const conflicts: Conflict[] = [];
  for (const source of project.sources) {
    const key = rawKey(project, source);
    const isKeyed = keyFields(key).length > 0;
    const read = keyReader(key);
    const isMadeTwice = met.some(({ path }) => path[0] === 'sources' && path[1] === source.id);
    const isNew = withId(base.project.sources, source.id) === undefined;
    for (const set of [ownSet, ...(source.sets ?? []).map(({ id }) => id)]) {
      const id = itemsIdOf(source.id, set);
      if (isNew && isMadeTwice) {
        items.set(id, ours.items.get(id) ?? []);
        continue;
      }
      const found = merged(
        { base: jsonOf(base, id), ours: jsonOf(ours, id), theirs: jsonOf(theirs, id) },
        ['items', id],
        {
          // What stands in an item is data, in which nothing is made up.
          keyOf: (item, { length }) => (isKeyed && length === 2 ? read(asItem(item)) : undefined),
          mayRename: () => false,
        },
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
export function conflictInWords({ path, ours, theirs, isKeptTwice }: Conflict): string {
  const place = placeInProject(path);
  const stays = shownIn(ours ?? theirs);
  if (isKeptTwice)
    return `${place}: both sides made one; both are kept, theirs under another id; what names it uses ours.`;
  return `${place}: ${shownIn(ours)} here, ${shownIn(theirs)} there; ${stays} stays.`;
}
