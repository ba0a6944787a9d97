import type { Finding, Result } from '../../base';
import type { Format, Item } from '../item';
import type { Shapes } from '../shape';
import type { SqlitePort } from './sqlite-port';

/** A document as bytes, wherever it stands: a dropped file, a file on disk, a pasted text. */
export interface DocumentPort {
  readonly name: string;
  readonly sizeBytes: number;
  bytes(from: number, to: number): Promise<Uint8Array>;
  /** All of it read as UTF-8, with U+FFFD for what is not; where the surroundings do that quicker. */
  text?(): Promise<string>;
}

export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** What reading needs of its surroundings. */
export interface ReadPorts {
  /** A stateful decoder that throws where bytes are not of the encoding, and drops a byte-order mark. */
  decoder(encoding: Encoding): (bytes: Uint8Array, isLast: boolean) => string;
  /** Lets others have their turn; rejects when reading was cancelled. */
  pause(): Promise<void>;
  /** Tells how far it is, from 0 to 1. */
  progress(share: number): void;
  /** Where databases can be read. */
  readonly sqlite?: SqlitePort;
}

export interface ItemsRead {
  readonly format: Format;
  /** JSONPath of the items; `$[*]` for formats that are a list. */
  readonly at: string;
  readonly items: readonly Item[];
  readonly findings: readonly Finding[];
  /** What the items would have, where there are none. */
  readonly columns?: readonly string[];
  /** Counts for inference, if the task asked for them: items are quickest to look at just parsed. */
  readonly gathered?: Shapes;
  /** Where else in the document items could be, with how many. */
  readonly places?: readonly ListPlace[];
}

/** A list in a document: its JSONPath, or a table's name. */
export interface ListPlace {
  readonly at: string;
  readonly count: number;
}

export interface ReadTask {
  readonly file: string;
  /** A JSONPath that the user chose; otherwise the reader finds the list. */
  readonly at?: string | undefined;
  readonly gathers?: boolean;
  /** The items were found there before: an empty list is no mistake, and no line is left out. */
  readonly mayBeEmpty?: boolean;
}

/** One format of documents: when it is meant, its first items, all of its items. */
export interface Reader {
  readonly format: Format;
  readonly extensions: readonly string[];
  looksLike(head: string): boolean;
  /** Whole items of a text that may be cut anywhere; undefined if none is whole yet. */
  first(head: string, task: ReadTask): ItemsRead | undefined | Promise<ItemsRead | undefined>;
  all(text: string, task: ReadTask, ports: ReadPorts): Promise<Result<ItemsRead, Finding>>;
}
