/** An SQLite database that was opened; `query` throws with SQLite's own words. */
export interface SqliteDatabase {
  query(select: string): SqliteTable | Promise<SqliteTable>;
  close(): void;
}

interface SqliteTable {
  readonly columns: readonly string[];
  readonly rows: SqliteRows;
}

export type SqliteRows = readonly (readonly (number | string | bigint | Uint8Array | null)[])[];

/** Opens the bytes of a database; throws where they are none. */
export type SqlitePort = (bytes: Uint8Array) => Promise<SqliteDatabase>;
