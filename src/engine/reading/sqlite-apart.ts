import { transfer, wrap } from 'comlink';
import type { SqlitePort } from '../../core/items';
import type { SqliteProtocol } from './sqlite-worker';

/** SQLite in a worker of its own, so that a SELECT without end can be ended, and its memory with it. */
export function sqliteApart(wasm: string, signal: AbortSignal): SqlitePort {
  return async (bytes) => {
    const worker = new Worker(new URL('./sqlite-worker.ts', import.meta.url), { type: 'module' });
    const remote = wrap<SqliteProtocol>(worker);
    const ended = new Promise<never>((_, reject) => {
      signal.addEventListener('abort', () => reject(signal.reason));
    });
    // Nobody may be waiting when it ends.
    ended.catch(() => worker.terminate());
    const close = () => worker.terminate();
    try {
      await Promise.race([remote.open(wasm, transfer(bytes, [bytes.buffer])), ended]);
    } catch (error) {
      close();
      throw error;
    }
    return { query: (select) => Promise.race([remote.query(select), ended]), close };
  };
}
