import type { Item } from '../core/items';
import type { PictureContents } from '../core/pictures';
import { contentsNamed } from '../core/project';
import { answering, writeWithinMs } from './answering';
import { database, type KeptChunk, type KeptProject, noPreview, type Preview } from './database';
import type { KeptItems, KeptState } from './items';

export interface Writing {
  readonly record: Omit<KeptProject, 'preview' | 'removedAt' | 'keptAt'> & {
    readonly writer: string;
    /** Where it is undefined, the one that is kept stays. */
    readonly preview: Preview | undefined;
  };
  /** All items of the project, by source and set (`itemsIdOf`). */
  readonly items: ReadonlyMap<string, readonly Item[]>;
  /** What pictures show that came since it was kept last. */
  readonly contents: PictureContents;
  /** What the browser has of the items already. */
  readonly known: KeptState;
  /** Milliseconds since 1970. */
  readonly now: number;
}

/** Another page took the project over: what this one has is not written. */
export class TakenOver extends Error {}

const itemsAChunk = 1_000;

/**
 * Keeps a project with its items in one transaction: all of it or nothing. Only chunks that hold
 * another item than before are written; what the project no longer has goes.
 */
export async function writeProjectHere(
  { record, items, contents, known, now }: Writing,
  pause: () => Promise<void>,
): Promise<KeptState> {
  const { id } = record;
  // Who does not even open will not write: that is said sooner.
  await answering(database.open());
  const state = new Map<string, KeptItems>();
  const chunks: KeptChunk[] = [];
  let count = 0;
  for (const [source, each] of items) {
    const before = known.get(source);
    if (before?.items === each) {
      state.set(source, before);
      continue;
    }
    count += 1;
    // No two writings of one page, and no two pages, have the same.
    state.set(source, { items: each, stamp: `${record.writer} ${now} ${count}` });
    const place = { project: id, source };
    for await (const chunk of chunksThatDiffer(place, each, before?.items, pause))
      chunks.push(chunk);
  }
  const { projects, sources, chunks: table, contents: shown } = database;
  const written = database.transaction('rw', projects, sources, table, shown, async () => {
    const kept = await projects.get(id);
    if (kept?.writer !== undefined && kept.writer !== record.writer) throw new TakenOver();
    for (const source of await sources.where('project').equals(id).toArray()) {
      const chunkCount = chunkCountOf(items.get(source.source) ?? []);
      await table
        .where('[project+source+part]')
        .between([id, source.source, chunkCount], [id, source.source, Number.MAX_SAFE_INTEGER])
        .delete();
      if (!items.has(source.source)) await sources.delete([id, source.source]);
    }
    await table.bulkPut(chunks);
    for (const [source, { items: each, stamp }] of state) {
      if (known.get(source)?.stamp === stamp) continue;
      const chunkCount = chunkCountOf(each);
      await sources.put({ project: id, source, itemCount: each.length, chunkCount, stamp });
    }
    await shown.bulkPut(
      [...contents].map(([content, base64]) => ({ project: id, content, base64 })),
    );
    const used = new Set(contentsNamed(record.project).map(({ content }) => content));
    const gone = (await shown.where('project').equals(id).primaryKeys()).filter(
      ([, content]) => !used.has(content),
    );
    await shown.bulkDelete(gone);
    const preview = record.preview ?? kept?.preview ?? noPreview;
    await projects.put({ ...record, preview, keptAt: now });
  });
  await answering(written, writeWithinMs);
  return state;
}

const chunkCountOf = (items: readonly Item[]): number => Math.ceil(items.length / itemsAChunk);

async function* chunksThatDiffer(
  place: Pick<KeptChunk, 'project' | 'source'>,
  items: readonly Item[],
  before: readonly Item[] | undefined,
  pause: () => Promise<void>,
): AsyncGenerator<KeptChunk, void> {
  for (let part = 0; part * itemsAChunk < items.length; part += 1) {
    const from = part * itemsAChunk;
    const to = Math.min(items.length, from + itemsAChunk);
    const isSame =
      before !== undefined &&
      Math.min(before.length, from + itemsAChunk) === to &&
      hasSame(items, before, from, to);
    if (isSame) continue;
    yield { ...place, part, text: JSON.stringify(items.slice(from, to)) };
    await pause();
  }
}

function hasSame(a: readonly Item[], b: readonly Item[], from: number, to: number): boolean {
  for (let at = from; at < to; at += 1) if (a[at] !== b[at]) return false;
  return true;
}

/**
 * From now on this page writes the project, and whoever wrote it before no longer can. Gives when
 * it was written last, as milliseconds since 1970; undefined: it is not kept yet.
 */
export async function claimProject(id: string, writer: string): Promise<number | undefined> {
  const claimed = database.transaction('rw', database.projects, async () => {
    const kept = await database.projects.get(id);
    if (kept !== undefined) await database.projects.put({ ...kept, writer });
    return kept?.keptAt;
  });
  return answering(claimed);
}
