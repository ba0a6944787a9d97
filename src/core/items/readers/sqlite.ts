import { count, type Finding, failed, type Json, ok, type Result } from '../../base';
import { itemFindings } from '../findings';
import type { Item } from '../item';
import { columnNames } from './column-names';
import type { ItemsRead, ReadPorts, ReadTask } from './reader';
import type { SqliteDatabase, SqliteRows } from './sqlite-port';

/** The first 16 bytes of every SQLite 3 file. Source: SQLite file format, 1.3. */
const magic = 'SQLite format 3\0';

export function looksLikeSqlite(head: Uint8Array): boolean {
  return [...magic].every((char, at) => head[at] === char.charCodeAt(0));
}

/** Rows of a table or of a `SELECT` (in `task.at`); without one, of the table with the most rows. */
export async function readSqlite(
  bytes: Uint8Array,
  task: ReadTask,
  ports: ReadPorts,
): Promise<Result<ItemsRead, Finding>> {
  if (ports.sqlite === undefined) return failed(itemFindings.fileIsBinary(task.file));
  let database: SqliteDatabase | undefined;
  let asked: string | undefined;
  try {
    database = await ports.sqlite(bytes);
    const tables = await tablesOf(database);
    const at = task.at ?? tables[0]?.at;
    if (at === undefined) return failed(itemFindings.noTable(task.file));
    const isSelect = /^\s*(?:select|with)\b/i.test(at);
    if (isSelect && hasSeveralStatements(at))
      return failed(itemFindings.severalStatements(task.file));
    if (!isSelect && !tables.some((table) => table.at === at))
      return failed(
        itemFindings.noSuchTable(
          task.file,
          at,
          tables.map((table) => table.at),
        ),
      );
    const select = isSelect ? at : `SELECT * FROM ${quoted(at)}`;
    asked = isSelect ? at : undefined;
    const read = await database.query(select);
    const { rows } = read;
    const { names: columns, findings } = columnNames(read.columns, task.file);
    if (rows.length === 0)
      return ok({
        ...{ format: 'sqlite', at, items: [], columns, places: tables },
        findings: [itemFindings.listEmpty(task.file, at)],
      });
    const items = rows.map((row) => itemOf(columns, row));
    const all = [...findings, ...bytesLeft(columns, rows, task.file)];
    return ok({ format: 'sqlite', at, items, findings: all, places: tables });
  } catch (error) {
    const wrong = error instanceof Error ? error.message : String(error);
    return failed(
      asked === undefined
        ? itemFindings.sqliteFails(task.file, wrong)
        : itemFindings.selectFails(task.file, wrong),
    );
  } finally {
    database?.close();
  }
}

async function tablesOf(database: SqliteDatabase) {
  const { rows } = await database.query(
    "SELECT name FROM sqlite_schema WHERE type IN ('table', 'view') AND name NOT LIKE 'sqlite\\_%' ESCAPE '\\'",
  );
  const tables: { readonly at: string; readonly count: number }[] = [];
  for (const [name] of rows) {
    const at = String(name);
    const counted = await database.query(`SELECT count(*) FROM ${quoted(at)}`);
    tables.push({ at, count: Number(counted.rows[0]?.[0] ?? 0) });
  }
  return tables.sort((a, b) => b.count - a.count);
}

const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

function itemOf(columns: readonly string[], row: SqliteRows[number]): Item {
  return Object.fromEntries(columns.map((name, at) => [name, jsonOf(row[at] ?? null)]));
}

/** Whole numbers that a double can't hold stay texts with every digit; bytes are told by their number. */
function jsonOf(value: SqliteRows[number][number]): Json {
  if (value instanceof Uint8Array) return count(value.length, 'byte');
  if (typeof value !== 'bigint') return value;
  const number = Number(value);
  return Number.isSafeInteger(number) ? number : String(value);
}

/** Bytes are no values of a row: which columns had some is told. */
function bytesLeft(columns: readonly string[], rows: SqliteRows, file: string): Finding[] {
  return columns.flatMap((name, at) => {
    const itemCount = rows.filter((row) => row[at] instanceof Uint8Array).length;
    return itemCount === 0 ? [] : [itemFindings.bytesLeft(file, name, itemCount)];
  });
}

/** Whether anything but space stands behind a semicolon that is not within quotes or a remark. */
const hasSeveralStatements = (sql: string): boolean =>
  /;\s*\S/.test(sql.replace(/'(?:[^']|'')*'|"(?:[^"]|"")*"|--[^\n]*|\/\*[\s\S]*?\*\//g, ''));
