import {
  type Finding,
  failed,
  isDeeperThan,
  isRecord,
  type Json,
  ok,
  ownValue,
  type Result,
} from '../../base';
import { fontFindings } from '../../fonts';
import { asItem, type Item, refusal } from '../../items';
import { contentsFor, type PictureContents, withoutContent } from '../../pictures';
import { projectFindings } from '../findings';
import { migrated } from '../migrations';
import { contentsNamed, formatVersion, itemsIdOf, ownSet, type Project } from '../project';

/** Deeper than any project and than what its items may be; what goes through it counts on that. */
const deepest = 500;

/** A project with the items that its file holds, by source and set (`itemsIdOf`). */
export interface ProjectFile {
  readonly project: Project;
  readonly items: ReadonlyMap<string, readonly Item[]>;
  /** What the project's pictures show, and the files of its fonts. */
  readonly contents: PictureContents;
  readonly findings: readonly Finding[];
}

/** Reads a project file. What is only wrong inside (a broken binding, say) does not stop it. */
export async function readProject(
  text: string,
  file: string,
): Promise<Result<ProjectFile, Finding>> {
  let root: Json;
  try {
    root = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return failed(refusal(text, file));
  }
  if (!isRecord(root)) return failed(projectFindings.notAProject(file));
  if (isDeeperThan(root, deepest)) return failed(projectFindings.nestedTooDeep(file, deepest));
  const version = ownValue(root, 'yarncard');
  const isVersion = typeof version === 'number' && Number.isInteger(version) && version > 0;
  if (!isVersion) return failed(projectFindings.notAProject(file));
  if (version > formatVersion)
    return failed(projectFindings.versionNewer(file, version, formatVersion));
  const { items: kept, ...older } = root;
  const { contents: shown = {}, ...rest } = migrated(older);
  // Only files need the schema; what this browser keeps was held against it before.
  const { validated, validatedContents } = await import('./validate');
  const project = validated(rest, file);
  if (!project.ok) return project;
  const read = validatedContents(shown, file);
  if (!read.ok) return read;
  const items = itemsBySource(kept);
  const contents = contentsFor(contentsNamed(project.value), new Map(Object.entries(read.value)));
  const findings = [
    ...project.value.sources
      .filter((source) => !items.has(source.id))
      .map((source) => projectFindings.itemsMissing(source.id)),
    ...withoutContent(project.value.pictures, contents),
    ...fontFindings(project.value.fonts ?? [], contents),
  ];
  return ok({ project: project.value, items, contents, findings });
}

function itemsBySource(kept: Json | undefined): Map<string, readonly Item[]> {
  const items = new Map<string, readonly Item[]>();
  if (!Array.isArray(kept)) return items;
  for (const each of kept) {
    if (!isRecord(each)) continue;
    const source = ownValue(each, 'source');
    const own = ownValue(each, 'items');
    const set = ownValue(each, 'set') ?? ownSet;
    if (typeof source === 'string' && typeof set === 'string' && Array.isArray(own))
      items.set(itemsIdOf(source, set), own.map(asItem));
  }
  return items;
}
