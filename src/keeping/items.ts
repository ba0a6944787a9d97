import { isRecord, type Json } from '../core/base';
import type { Item } from '../core/items';
import type { PictureContents } from '../core/pictures';
import { answering } from './answering';
import { database, type KeptChunk, type KeptProject, type KeptSource } from './database';

/** Items of a source or set as this browser has them: what was read of it, or written to it, last. */
export interface KeptItems {
  readonly items: readonly Item[];
  readonly stamp: string;
}

/** What is kept by source and set, under `itemsIdOf`. */
export type KeptState = ReadonlyMap<string, KeptItems>;

export interface Opened {
  readonly kept: KeptProject;
  readonly contents: PictureContents;
  readonly state: KeptState;
}

interface ReadPorts {
  /** Gets the items of each source's first chunk as soon as they are there. */
  readonly first: (opened: Omit<Opened, 'state'>, source: string, items: readonly Item[]) => void;
  /** Lets others have their turn. */
  readonly pause: () => Promise<void>;
}

const maxTries = 20;

/**
 * A kept project with all of its items, as they were at one moment: another tab may go on writing
 * meanwhile. What has not changed since `known` is not read again. Undefined: none of that id.
 */
export async function openProject(
  id: string,
  known: KeptState,
  ports: ReadPorts,
): Promise<Opened | undefined> {
  for (let tries = 0; tries < maxTries; tries += 1) {
    const before = await recordsOf(id);
    if (before === undefined) return undefined;
    const state = new Map<string, KeptItems>();
    for (const source of before.sources) {
      const stamp = source.stamp ?? '';
      const same = known.get(source.source);
      const isSame = same !== undefined && stamp !== '' && same.stamp === stamp;
      const first = (items: readonly Item[]) => ports.first(before, source.source, items);
      const items = isSame ? same.items : await readItems(source, first, ports.pause);
      state.set(source.source, { items, stamp });
    }
    const after = await recordsOf(id);
    if (after !== undefined && stampsOf(after.sources) === stampsOf(before.sources))
      return { kept: after.kept, contents: after.contents, state };
  }
  throw new Error('another tab writes it without a pause');
}

const recordsOf = (id: string) =>
  answering(
    database.transaction('r', database.projects, database.sources, database.contents, async () => {
      const kept = await database.projects.get(id);
      if (kept === undefined || kept.removedAt !== undefined) return undefined;
      const sources = await database.sources.where('project').equals(id).toArray();
      const all = await database.contents.where('project').equals(id).toArray();
      const contents = new Map(all.map(({ content, base64 }) => [content, base64]));
      return { kept, sources, contents };
    }),
  );

const stampsOf = (sources: readonly KeptSource[]): string =>
  JSON.stringify(sources.map(({ source, stamp }) => [source, stamp]));

const chunksAtOnce = 10;

async function readItems(
  { project, source, chunkCount }: KeptSource,
  first: (items: readonly Item[]) => void,
  pause: () => Promise<void>,
): Promise<readonly Item[]> {
  const chunksFrom = async (part: number): Promise<readonly KeptChunk[]> =>
    database.chunks
      .where('[project+source+part]')
      .between([project, source, part], [project, source, part + (part === 0 ? 1 : chunksAtOnce)])
      .toArray();
  const items: Item[] = [];
  let next = chunksFrom(0);
  for (let part = 0; part < chunkCount; part += part === 0 ? 1 : chunksAtOnce) {
    const chunks = await next;
    // The database reads on while these are parsed.
    next = chunksFrom(part === 0 ? 1 : part + chunksAtOnce);
    for (const chunk of chunks) {
      for (const item of parsed(chunk)) items.push(item);
      await pause();
    }
    if (part === 0 && chunkCount > 1) first(items.slice());
  }
  await next;
  return items;
}

function parsed(chunk: KeptChunk): readonly Item[] {
  const values: Json = JSON.parse(chunk.text);
  return Array.isArray(values) ? values.filter(isRecord) : [];
}
