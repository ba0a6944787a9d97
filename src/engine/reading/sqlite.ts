import type { SqlValue } from 'sql.js';
import { grouped } from '../../core/base';
import type { SqlitePort } from '../../core/items';

const maxRows = 2_000_000;

/**
 * SQLite by its WebAssembly build (sql.js), loaded when a database is first read. `wasm`: where
 * the build stands, an address in the browser and a path in Node.
 */
export function sqliteFrom(wasm: string): SqlitePort {
  return async (bytes) => {
    const { default: load } = await import('sql.js');
    const { Database } = await load({ locateFile: () => wasm });
    const database = new Database(bytes);
    return {
      query(select) {
        const statement = database.prepare(select);
        // The package's types do not know yet that whole numbers can come without loss.
        const get: (values: null, how: { useBigInt: boolean }) => SqlValue[] =
          statement.get.bind(statement);
        try {
          const rows: SqlValue[][] = [];
          while (statement.step()) {
            if (rows.length === maxRows)
              throw new Error(`it gives more than ${grouped(maxRows)} rows`);
            rows.push(get(null, { useBigInt: true }));
          }
          return { columns: statement.getColumnNames(), rows };
        } finally {
          statement.free();
        }
      },
      close: () => database.close(),
    };
  };
}
