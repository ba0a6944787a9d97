import { type Finding, failed, inTurns, type Json, ok, type Result } from '../../core/base';
import {
  type Follow,
  type Inference,
  type ItemsRead,
  inferRead,
  type ListPlace,
  type ReadTask,
  read,
} from '../../core/items';
import { Cancelled, turns } from '../turns';
import type { SourceDocument } from './document';
import { documentOf, strictDecoder } from './document';
import type { Fetched } from './fetch-document';
import { fetchPages } from './fetch-pages';
import { sqliteApart } from './sqlite-apart';

/** Where the items are in a document, and whether there may be none. */
type Where = Pick<ReadTask, 'at' | 'mayBeEmpty'>;

/** Items that were read from a document. */
interface DocumentRead {
  readonly read: ItemsRead;
  readonly name: string;
  /** The document goes on by itself. */
  readonly follow: Follow | undefined;
  /** The address of the page after it, where that waits until it is asked for. */
  readonly next: string | undefined;
}

/** Items that were read, and what they are. */
export interface ItemsKnown extends DocumentRead {
  readonly inference: Inference;
}

/** Larger documents would be parsed too long for each letter of a path. */
const largestLookedAt = 100_000_000;

const wasm = '/sqlite/sql-wasm.wasm';

/** What the worker reads: one document at a time, which can be cancelled; and what it still has of them. */
export class Reading {
  private turn = turns();
  private ending = new AbortController();
  private readonly documents = new Map<string, SourceDocument>();
  private readonly found = new Map<string, readonly ListPlace[]>();
  /** Parsed while its path was written; nothing is kept from being freed for it. */
  private looked:
    | { readonly document: SourceDocument; readonly root: WeakRef<Json & object> }
    | undefined;

  constructor(private readonly progress: (share: number) => void) {}

  cancel(): void {
    this.turn.cancel();
    this.ending.abort();
  }

  /** Work on a document, or something else that is so called; what was being done before is given up. */
  async cancellable<T>(
    of: SourceDocument | string,
    work: () => Promise<Result<T, Finding>>,
  ): Promise<Result<T, Finding>> {
    this.cancel();
    this.turn = turns();
    this.ending = new AbortController();
    const { signal } = this.ending;
    try {
      const done = await work();
      return signal.aborted ? failed(cancelled(of)) : done;
    } catch (error) {
      if (error instanceof Cancelled || signal.aborted) return failed(cancelled(of));
      throw error;
    }
  }

  /** A turn for others in the midst of work that can be cancelled. */
  async turnWith(share: number): Promise<void> {
    this.progress(share);
    await this.turn.pause();
  }

  /** All items of a document, from wherever it is, and what they are; `mayBeEmpty`: it had some before. */
  async items(
    document: SourceDocument,
    first: (read: ItemsRead, name: string) => void,
    mayBeEmpty = false,
  ): Promise<Result<ItemsKnown, Finding>> {
    const where = { at: document.at, mayBeEmpty };
    const known =
      'file' in document
        ? await this.readFile(document, where, this.part(0, 0.8), first)
        : await this.readPages(document, where, first);
    if (!known.ok) return known;
    const { read, name } = known.value;
    const inference = await inTurns(inferRead(read, name), this.turn.pause, this.part(0.8, 0.2));
    return ok({ ...known.value, inference });
  }

  private part(from: number, share: number): (done: number) => void {
    return (done) => this.progress(from + share * done);
  }

  private async readFile(
    { file, name, findings = [], follow }: Pick<Fetched, 'file' | 'name'> & Partial<Fetched>,
    where: Where,
    progress: (share: number) => void,
    first: (read: ItemsRead, name: string) => void,
  ): Promise<Result<DocumentRead, Finding>> {
    const all = await read(
      documentOf(file, name),
      { file: name, gathers: true, ...where },
      {
        decoder: strictDecoder,
        pause: this.turn.pause,
        progress,
        first: (head) => first(head, name),
        sqlite: sqliteApart(wasm, this.ending.signal),
      },
    );
    if (!all.ok) return all;
    const noticed = [...findings, ...all.value.findings];
    return ok({ read: { ...all.value, findings: noticed }, name, follow, next: undefined });
  }

  /** One answer, or several whose items follow on each other. */
  private async readPages(
    { address, pages }: Extract<SourceDocument, { address: string }>,
    where: Where,
    first: (read: ItemsRead, name: string) => void,
  ): Promise<Result<DocumentRead, Finding>> {
    let whole: DocumentRead | undefined;
    for await (const page of fetchPages(address, pages, this.ending.signal, this.part(0, 0.5))) {
      if (!page.ok) return page;
      const known = await this.readFile(
        page.value,
        whole === undefined ? where : { at: whole.read.at, mayBeEmpty: true },
        this.part(0.5, 0.3),
        whole === undefined ? first : () => {},
      );
      if (!known.ok) return known;
      const { next } = page.value;
      whole = whole === undefined ? known.value : joined(whole, known.value);
      if (pages?.waits === true) whole = { ...whole, next };
    }
    return whole === undefined ? failed(cancelled(address)) : ok(whole);
  }

  /** The document that a source came from, for looking at another place in it. */
  remember(source: string, document: SourceDocument, places: readonly ListPlace[]): void {
    this.documents.set(source, document);
    if (places.length > 0) this.found.set(source, places);
  }

  document(source: string): SourceDocument | undefined {
    return this.documents.get(source);
  }

  /** The document that a source came from, as JSON; for looking at it while a path is written. */
  async root(source: string): Promise<Json | undefined> {
    const document = this.documents.get(source);
    if (document === undefined || !('file' in document) || document.file.size > largestLookedAt)
      return undefined;
    const known = this.looked?.document === document ? this.looked.root.deref() : undefined;
    if (known !== undefined) return known;
    try {
      const root: Json = JSON.parse(await document.file.text());
      if (typeof root === 'object' && root !== null)
        this.looked = { document, root: new WeakRef(root) };
      return root;
    } catch {
      return undefined;
    }
  }

  places(source: string): readonly ListPlace[] {
    return this.found.get(source) ?? [];
  }
}

/** How a source of a document goes on. */
export function goesOn(document: SourceDocument, { follow }: Pick<DocumentRead, 'follow'>) {
  const pages = 'address' in document ? document.pages : undefined;
  return { ...(pages !== undefined && { pages }), ...(follow !== undefined && { follow }) };
}

/** What was counted of the first page alone is not true of all. */
function joined(before: DocumentRead, page: DocumentRead): DocumentRead {
  const { gathered: _, ...read } = before.read;
  return {
    ...before,
    read: {
      ...read,
      items: [...read.items, ...page.read.items],
      findings: [...read.findings, ...page.read.findings],
    },
  };
}

function nameOf(of: SourceDocument | string): string {
  if (typeof of === 'string') return of;
  return 'file' in of ? of.name : of.address;
}

const cancelled = (of: SourceDocument | string): Finding => ({
  code: 'reading-cancelled',
  severity: 'note',
  place: { in: 'document', file: nameOf(of) },
  message: `${typeof of === 'string' ? of : `Reading ${nameOf(of)}`} was cancelled.`,
  hint: 'Nothing was changed.',
});
