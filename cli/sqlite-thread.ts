import { parentPort, workerData } from 'node:worker_threads';
import { sqliteFrom } from '../src/engine';
import type { SqliteAnswer, SqliteAsk } from './sqlite-apart';

/** The other side of `sqlite-apart.ts`: one database, one query after the other. */
const { bytes, wasm } = workerData as SqliteAsk;
const opening = sqliteFrom(wasm)(bytes);

parentPort?.on('message', async (select: string) => {
  let answer: SqliteAnswer;
  try {
    const database = await opening;
    answer = { ok: true, value: await database.query(select) };
  } catch (error) {
    answer = { ok: false, error: error instanceof Error ? error.message : String(error) };
  }
  parentPort?.postMessage(answer);
});
