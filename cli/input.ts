import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { basename } from 'node:path';
import { ownValue } from '../src/core/base';
import { type DocumentPort, type ItemsRead, read } from '../src/core/items';
import { sqliteFrom, strictDecoder } from '../src/engine';
import { refuse, WrongUse } from './output';

export interface InputFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** A file, or standard input where its name is `-`. */
export async function inputFile(file: string): Promise<InputFile> {
  if (file === '-') {
    const pieces: Buffer[] = [];
    for await (const piece of process.stdin) pieces.push(Buffer.from(piece));
    return { name: 'standard input', bytes: Buffer.concat(pieces) };
  }
  try {
    return { name: basename(file), bytes: await readFile(file) };
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? error.code : '';
    const reasons: Readonly<Record<string, string>> = {
      ENOENT: 'there is no such file',
      EISDIR: 'it is a folder',
      EACCES: 'it may not be read',
    };
    throw new WrongUse(
      `${file}: ${ownValue(reasons, String(code)) ?? String(error)}. Check the path.`,
    );
  }
}

/** SQLite's WebAssembly build, beside the packages that were installed. */
const sqliteWasm = (): string =>
  createRequire(import.meta.url).resolve('sql.js/dist/sql-wasm.wasm');

/** The items of a document, found as the application finds them. */
export async function readItems(file: string, at: string | undefined): Promise<ItemsRead> {
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
      sqlite: (database) => sqliteFrom(sqliteWasm())(database),
    },
  );
  return all.ok ? all.value : refuse(all.error);
}
