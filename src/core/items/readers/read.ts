import { type Finding, failed, ok, type Result } from '../../base';
import { itemFindings } from '../findings';
import type { DocumentPort, ItemsRead, ReadPorts, ReadTask } from './reader';
import { readerFor } from './registry';
import { looksLikeSqlite, readSqlite } from './sqlite';
import { headText, looksBinary, type Opened, sniffEncoding, sniffPicture, wholeText } from './text';

const headBytes = 65_536;
const largestHeadBytes = 4_194_304;
const largestBytes = 400_000_000;

export interface ReadWatch extends ReadPorts {
  /** Called once with the first items, if the document is longer than its head. */
  first(read: ItemsRead): void;
}

/** Reads the items of a document: the first of them from its head, then all. */
export async function read(
  document: DocumentPort,
  task: ReadTask,
  watch: ReadWatch,
): Promise<Result<ItemsRead, Finding>> {
  if (document.sizeBytes === 0) return failed(itemFindings.fileEmpty(task.file));
  if (document.sizeBytes > largestBytes) {
    return failed(itemFindings.fileTooLarge(task.file, document.sizeBytes, largestBytes));
  }
  const head = await document.bytes(0, Math.min(headBytes, document.sizeBytes));
  if (looksLikeSqlite(head))
    return readSqlite(await document.bytes(0, document.sizeBytes), task, watch);
  const picture = sniffPicture(head);
  if (picture !== undefined) return failed(itemFindings.fileIsPicture(task.file, picture));
  const encoding = sniffEncoding(head);
  if (looksBinary(head, encoding)) return failed(itemFindings.fileIsBinary(task.file));

  // The whole is on its way while the first items are made of the head.
  const quick = encoding === 'utf-8' ? document.text?.() : undefined;
  const opened: Opened = { document, encoding, quick };
  await showFirst(opened, task, head, watch);
  const { text, findings } = await textOf(opened, task, watch);
  if (text.trim() === '') return failed(itemFindings.fileEmpty(task.file));
  const all = await readerFor(task.file, text.slice(0, headBytes)).all(text, task, watch);
  return all.ok ? ok({ ...all.value, findings: [...findings, ...all.value.findings] }) : all;
}

/** Items from the head; it grows while it holds none. Short documents are read whole at once. */
async function showFirst(
  { document, encoding }: Opened,
  task: ReadTask,
  head: Uint8Array,
  watch: ReadWatch,
): Promise<void> {
  let bytes = head;
  while (bytes.length < document.sizeBytes) {
    const text = headText(bytes, encoding, watch);
    const first =
      text === undefined ? undefined : await readerFor(task.file, text).first(text, task);
    if (first !== undefined) return watch.first(first);
    if (bytes.length >= largestHeadBytes) return;
    bytes = await document.bytes(0, Math.min(bytes.length * 4, document.sizeBytes));
  }
}

async function textOf(
  opened: Opened,
  task: ReadTask,
  ports: ReadPorts,
): Promise<{ text: string; findings: readonly Finding[] }> {
  const text = await wholeText(opened, ports);
  if (text !== undefined) return { text, findings: [] };
  const { document } = opened;
  const guessed = await wholeText({ document, encoding: 'windows-1252', quick: undefined }, ports);
  return { text: guessed ?? '', findings: [itemFindings.encodingGuessed(task.file)] };
}
