import { csv } from './csv';
import { json } from './json/json';
import { ndjson } from './json/ndjson';
import type { Reader } from './reader';

/** In the order in which they are asked whether a document is theirs. */
const readers: readonly Reader[] = [ndjson, json, csv];

/** What the text looks like, then what its name says: a list of objects in a `.csv` is JSON. */
export function readerFor(file: string, head: string): Reader {
  const extension = file.slice(file.lastIndexOf('.') + 1).toLowerCase();
  const named = readers.find((reader) => reader.extensions.includes(extension));
  if (named !== undefined && named.format !== 'json') return named;
  const looked = readers.find((reader) => reader.looksLike(head));
  if (named !== undefined) return looked?.format === 'ndjson' ? looked : named;
  return looked ?? json;
}
