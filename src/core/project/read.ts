import { ValidationError } from 'yup';
import { type Finding, failed, isRecord, type Json, ok, ownValue, type Result } from '../base';
import { asItem, type Item, refusal } from '../items';
import { projectFindings } from './findings';
import { formatVersion, itemsIdOf, ownSet, type Project } from './project';
import { projectSchema } from './schema';

/** A project with the items that its file holds, by source and set (`itemsIdOf`). */
export interface ProjectFile {
  readonly project: Project;
  readonly items: ReadonlyMap<string, readonly Item[]>;
  readonly findings: readonly Finding[];
}

/** Whether a text is meant to be a project: its first key says so. */
export function looksLikeProject(head: string): boolean {
  return /^\uFEFF?\s*\{\s*"yarncard"\s*:/.test(head);
}

/** Reads a project file. What is only wrong inside (a broken binding, say) does not stop it. */
export function readProject(text: string, file: string): Result<ProjectFile, Finding> {
  let root: Json;
  try {
    root = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return failed(refusal(text, file));
  }
  if (!isRecord(root)) return failed(projectFindings.notAProject(file));
  const version = ownValue(root, 'yarncard');
  if (typeof version !== 'number') return failed(projectFindings.notAProject(file));
  if (version > formatVersion)
    return failed(projectFindings.versionNewer(file, version, formatVersion));
  const { items: kept, ...rest } = root;
  const project = validated(rest, file);
  if (!project.ok) return project;
  const items = itemsBySource(kept);
  const findings = project.value.sources
    .filter((source) => !items.has(source.id))
    .map((source) => projectFindings.itemsMissing(source.id));
  return ok({ project: project.value, items, findings });
}

/** Holds a value against the project's schema and hands it back as it is, unknown keys and all. */
function validated(value: unknown, file: string): Result<Project, Finding> {
  try {
    projectSchema.validateSync(value, { strict: true, abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const first = error.inner[0] ?? error;
    return failed(
      projectFindings.misshapen(file, first.path ?? '', first.message, error.errors.length - 1),
    );
  }
  // The schema has just said so; the recursion of parts is beyond what its type can carry.
  return ok(value as Project);
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
