import { expose } from 'comlink';
import type { SqliteDatabase } from '../../core/items';
import { sqliteFrom } from './sqlite';

let database: SqliteDatabase | undefined;

/** What the worker of one database does; it is ended with its database. */
const protocol = {
  async open(wasm: string, bytes: Uint8Array): Promise<void> {
    database = await sqliteFrom(wasm)(bytes);
  },

  query(select: string) {
    if (database === undefined) throw new Error('No database is open.');
    return database.query(select);
  },
};

export type SqliteProtocol = typeof protocol;

expose(protocol);
