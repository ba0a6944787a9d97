import { Worker } from 'node:worker_threads';
import type { SqliteDatabase, SqlitePort } from '../src/core/items';

export interface SqliteAsk {
  readonly bytes: Uint8Array;
  readonly wasm: string;
}

type Table = Awaited<ReturnType<SqliteDatabase['query']>>;

export type SqliteAnswer =
  | { readonly ok: true; readonly value: Table }
  | { readonly ok: false; readonly error: string };

/**
 * SQLite in a thread of its own, so that a query without end can be ended: `seconds` are what all
 * queries of a database may take together.
 */
export function sqliteApart(wasm: string, seconds: number): SqlitePort {
  return async (bytes) => {
    const worker = new Worker(new URL('./sqlite-thread.mjs', import.meta.url), {
      workerData: { bytes, wasm } satisfies SqliteAsk,
    });
    let fail: (reason: Error) => void = () => {};
    const over = setTimeout(() => {
      void worker.terminate();
      fail(new Error(`it took more than ${seconds} s and was ended (--timeout ${seconds})`));
    }, seconds * 1_000);
    const ask = (select: string): Promise<Table> =>
      new Promise((resolve, reject) => {
        fail = reject;
        worker.once('error', reject);
        worker.once('message', (answer: SqliteAnswer) => {
          worker.off('error', reject);
          if (answer.ok) resolve(answer.value);
          else reject(new Error(answer.error));
        });
        worker.postMessage(select);
      });
    return {
      query: ask,
      close() {
        clearTimeout(over);
        void worker.terminate();
      },
    };
  };
}
