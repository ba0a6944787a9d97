import { liveQuery } from 'dexie';
import { database, type KeptProject } from './database';

export async function keepProject(kept: KeptProject): Promise<void> {
  await database.projects.put(kept);
}

export async function keptProject(id: string): Promise<KeptProject | undefined> {
  return database.projects.get(id);
}

/** Tells of every change that another tab makes to a kept project; the answer ends it. */
export function watchProject(id: string, changed: (kept: KeptProject) => void): () => void {
  const watching = liveQuery(() => database.projects.get(id)).subscribe({
    next: (kept) => kept !== undefined && changed(kept),
    error: () => {},
  });
  return () => watching.unsubscribe();
}

/** All kept projects, the last used first. */
export async function keptProjects(): Promise<readonly KeptProject[]> {
  return database.projects.orderBy('keptAt').reverse().toArray();
}

/** A project with all of its items. */
export async function dropProject(id: string): Promise<void> {
  await database.transaction(
    'rw',
    database.projects,
    database.sources,
    database.chunks,
    async () => {
      await database.projects.delete(id);
      await database.sources.where('project').equals(id).delete();
      await database.chunks.where('project').equals(id).delete();
    },
  );
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
  if (
    /^(?:OpenFailedError|MissingAPIError|InvalidStateError|SecurityError|DatabaseClosedError)$/.test(
      name,
    )
  ) {
    return 'This browser keeps nothing for this page, as in private windows. Save the project as a file.';
  }
  return `This browser did not keep it (${error instanceof Error ? error.message : String(error)}). Save the project as a file.`;
}
