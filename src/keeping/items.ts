import { isRecord, type Json } from '../core/base';
import type { Item } from '../core/items';
import { database, type KeptChunk } from './database';

const itemsAChunk = 1_000;

/** Replaces what is kept of a source's items, in one transaction: all of it or nothing. */
export async function keepItems(
  project: string,
  source: string,
  items: readonly Item[],
  pause: () => Promise<void>,
): Promise<void> {
  const chunks: KeptChunk[] = [];
  for (let from = 0; from < items.length; from += itemsAChunk) {
    const text = JSON.stringify(items.slice(from, from + itemsAChunk));
    chunks.push({ project, source, part: chunks.length, text });
    await pause();
  }
  await database.transaction('rw', database.sources, database.chunks, async () => {
    const before = await database.sources.get([project, source]);
    for (let part = chunks.length; part < (before?.chunkCount ?? 0); part += 1) {
      await database.chunks.delete([project, source, part]);
    }
    await database.chunks.bulkPut(chunks);
    await database.sources.put({
      project,
      source,
      itemCount: items.length,
      chunkCount: chunks.length,
    });
  });
}

const chunksAtOnce = 10;

/** All kept items of a source; `first` gets those of the first chunk as soon as they are there. */
export async function keptItems(
  project: string,
  source: string,
  first: (items: readonly Item[]) => void,
  pause: () => Promise<void>,
): Promise<readonly Item[]> {
  const kept = await database.sources.get([project, source]);
  if (kept === undefined) return [];
  const chunksFrom = async (part: number): Promise<readonly KeptChunk[]> =>
    database.chunks
      .where('[project+source+part]')
      .between([project, source, part], [project, source, part + (part === 0 ? 1 : chunksAtOnce)])
      .toArray();
  const items: Item[] = [];
  let next = chunksFrom(0);
  for (let part = 0; part < kept.chunkCount; part += part === 0 ? 1 : chunksAtOnce) {
    const chunks = await next;
    // The database reads on while these are parsed.
    next = chunksFrom(part === 0 ? 1 : part + chunksAtOnce);
    for (const chunk of chunks) {
      for (const item of parsed(chunk)) items.push(item);
      await pause();
    }
    if (part === 0 && kept.chunkCount > 1) first(items.slice());
  }
  await next;
  return items;
}

function parsed(chunk: KeptChunk): readonly Item[] {
  const values: Json = JSON.parse(chunk.text);
  return Array.isArray(values) ? values.filter(isRecord) : [];
}
