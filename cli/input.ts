import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { basename } from 'node:path';
import { ownValue } from '../src/core/base';
import { type DocumentPort, type ItemsRead, read } from '../src/core/items';
import { strictDecoder } from '../src/engine';
import { refuse, standardInput, WrongUse } from './output';
import { sqliteApart } from './sqlite-apart';

export interface InputFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** A file, or standard input where its name is `-`. */
export async function inputFile(file: string): Promise<InputFile> {
  if (file === '-') {
    const pieces: Buffer[] = [];
    for await (const piece of standardInput()) pieces.push(Buffer.from(piece));
    return { name: 'standard input', bytes: Buffer.concat(pieces) };
  }
  try {
    return { name: basename(file), bytes: await readFile(file) };
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? error.code : '';
    throw new WrongUse(`${file}: ${whyNotRead(String(code))}. Check the path.`);
  }
}

/** Why the system did not give a file, by its code. Source: POSIX, errno.h. */
function whyNotRead(code: string): string {
  const reasons: Readonly<Record<string, string>> = {
    ENOENT: 'there is no such file',
    ENOTDIR: 'there is no such file',
    EISDIR: 'it is a folder',
    EACCES: 'it may not be read',
    EPERM: 'it may not be read',
    ENAMETOOLONG: 'no file can have so long a name',
    ELOOP: 'its links lead round in a circle',
    EIO: 'the device failed while it was read',
    EMFILE: 'too many files are open',
    ERR_FS_FILE_TOO_LARGE: 'it is larger than 2 GB',
    ERR_INVALID_ARG_VALUE: 'that is no name of a file',
  };
  return ownValue(reasons, code) ?? `it could not be read (${code})`;
}

/** SQLite's WebAssembly build, beside the packages that were installed. */
const sqliteWasm = (): string =>
  createRequire(import.meta.url).resolve('sql.js/dist/sql-wasm.wasm');

/** Where the items of a document are, and how long its queries may take. */
export interface ItemsOptions {
  readonly at?: string;
  /** Seconds, as they were typed. */
  readonly timeout?: string;
}

const usualSeconds = 60;

function secondsIn(timeout: string | undefined): number {
  const seconds = timeout === undefined ? usualSeconds : Number(timeout);
  if (seconds > 0 && seconds <= 86_400) return seconds;
  throw new WrongUse(`--timeout takes a number of seconds up to 86400, not "${timeout}".`);
}

/** The items of a document, found as the application finds them. */
export async function readItems(file: string, { at, timeout }: ItemsOptions): Promise<ItemsRead> {
  const seconds = secondsIn(timeout);
  const { name, bytes } = await inputFile(file);
  const document: DocumentPort = {
    name,
    sizeBytes: bytes.length,
    bytes: async (from, to) => bytes.subarray(from, to),
  };
  const all = await read(
    document,
    { file: name, at },
    {
      decoder: strictDecoder,
      pause: async () => {},
      progress: () => {},
      first: () => {},
      sqlite: (database) => sqliteApart(sqliteWasm(), seconds)(database),
    },
  );
  return all.ok ? all.value : refuse(all.error);
}
