import { liveQuery } from 'dexie';
import type { PictureContents } from '../core/pictures';
import { answering } from './answering';
import { database, type KeptProject } from './database';

/** Tells of every change that another tab makes to a kept project; the answer ends it. */
export function watchProject(id: string, changed: (kept: KeptProject) => void): () => void {
  const watching = liveQuery(() => database.projects.get(id)).subscribe({
    next: (kept) => kept !== undefined && changed(kept),
    error: () => {},
  });
  return () => watching.unsubscribe();
}

/** So long a removed project can be brought back. */
const keptRemovedMs = 30 * 24 * 60 * 60 * 1_000;

/** A kept project with what the pictures of its first rows show, and its fonts. */
export interface ShownProject {
  readonly kept: KeptProject;
  readonly contents: PictureContents;
}

/** All kept projects, the last used first. */
export async function keptProjects(): Promise<readonly ShownProject[]> {
  const all = await answering(database.projects.orderBy('keptAt').reverse().toArray());
  const there = all.filter((kept) => kept.removedAt === undefined);
  return Promise.all(there.map(async (kept) => ({ kept, contents: await contentsOf(kept) })));
}

async function contentsOf({ id, project, preview }: KeptProject): Promise<PictureContents> {
  const shown = [...preview.pictures, ...(project.fonts ?? [])];
  const places = shown.map(({ content }) => [id, content] as [string, string]);
  const found = await answering(database.contents.bulkGet(places));
  return new Map(found.flatMap((each) => (each ? [[each.content, each.base64] as const] : [])));
}

/** Those that were removed and can be brought back, the last removed first. */
export async function removedProjects(): Promise<readonly KeptProject[]> {
  const all = await answering(database.projects.toArray());
  return all
    .filter((kept) => kept.removedAt !== undefined)
    .sort((a, b) => (b.removedAt ?? 0) - (a.removedAt ?? 0));
}

/** Puts a project away; `bringBack` undoes it. */
export async function removeProject(id: string): Promise<void> {
  await database.projects.update(id, { removedAt: Date.now() });
}

export async function bringBack(id: string): Promise<void> {
  await database.projects.update(id, { removedAt: undefined });
}

/** A project with all of its items, for good. */
export async function dropProject(id: string): Promise<void> {
  const { projects, sources, chunks, contents, handOffs } = database;
  await database.transaction('rw', [projects, sources, chunks, contents, handOffs], async () => {
    await projects.delete(id);
    await handOffs.delete(id);
    await sources.where('project').equals(id).delete();
    await chunks.where('project').equals(id).delete();
    await contents.where('project').equals(id).delete();
  });
}

/** Drops what was removed long enough ago. */
export async function dropLongRemoved(): Promise<void> {
  for (const { id, removedAt } of await removedProjects()) {
    if (removedAt !== undefined && Date.now() - removedAt > keptRemovedMs) await dropProject(id);
  }
}

/** Why the browser did not keep something, in words for people. */
export function whyNotKept(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  const inner =
    typeof error === 'object' && error !== null && 'inner' in error ? error.inner : undefined;
  const innerName = inner instanceof Error || inner instanceof DOMException ? inner.name : '';
  if (name === 'QuotaExceededError' || innerName === 'QuotaExceededError') {
    return 'This browser has no room left. Save the project as a file, or remove another project.';
  }
  if (name === 'SilentDatabase') {
    return 'This browser’s database does not answer. Another tab of Yarn Card may hold it up: close it. Until then, save the project as a file.';
  }
  if (
    /^(?:OpenFailedError|MissingAPIError|InvalidStateError|SecurityError|DatabaseClosedError)$/.test(
      name,
    )
  ) {
    return 'This browser keeps nothing for this page, as in private windows. Save the project as a file.';
  }
  return `This browser did not keep it (${error instanceof Error ? error.message : String(error)}). Save the project as a file.`;
}
