import { createRequire } from 'node:module';
import initSqlJs from 'sql.js';
import { describe, expect, test } from 'vitest';
import { documentOfBytes, quietPorts } from '../../../tests/support/documents';
import { read } from '../../core/items';
import { sqliteFrom } from './sqlite';

const wasm = createRequire(import.meta.url).resolve('sql.js/dist/sql-wasm.wasm');

async function databaseOf(...statements: readonly string[]): Promise<Uint8Array> {
  const { Database } = await initSqlJs({ locateFile: () => wasm });
  const database = new Database();
  for (const statement of statements) database.run(statement);
  return database.export();
}

const readDatabase = (bytes: Uint8Array, at?: string) =>
  read(
    documentOfBytes('shop.db', bytes),
    { file: 'shop.db', at },
    { ...quietPorts, sqlite: sqliteFrom(wasm), first: () => {} },
  );

const shop = databaseOf(
  'CREATE TABLE "odd ""name" (a)',
  'CREATE TABLE skein (id TEXT PRIMARY KEY, grams INTEGER, price REAL, note TEXT, pic BLOB)',
  "INSERT INTO skein VALUES ('sk-1', 100, 14.5, NULL, x'0102'), ('sk-2', 9007199254740993, 8, 'soft', NULL)",
);

describe('SQLite databases', () => {
  test('the table with the most rows, values as they are, digits kept', async () => {
    const items = await readDatabase(await shop);
    expect(items).toMatchObject({
      ok: true,
      value: {
        format: 'sqlite',
        at: 'skein',
        items: [
          { id: 'sk-1', grams: 100, price: 14.5, note: null, pic: '2 bytes' },
          { id: 'sk-2', grams: '9007199254740993', price: 8, note: 'soft', pic: null },
        ],
        places: [
          { at: 'skein', count: 2 },
          { at: 'odd "name', count: 0 },
        ],
        findings: [{ code: 'bytes-left' }],
      },
    });
  });

  test('columns of one name are all kept, and it is said how', async () => {
    const twice = await readDatabase(await shop, 'SELECT id, grams AS id FROM skein');
    expect(twice).toMatchObject({
      ok: true,
      value: {
        items: [{ id: 'sk-1', 'id 2': 100 }, { id: 'sk-2' }],
        findings: [{ code: 'heading-repeats' }],
      },
    });
  });

  test('a SELECT of one’s own', async () => {
    const items = await readDatabase(await shop, 'SELECT id, grams / 2 AS half FROM skein LIMIT 1');
    expect(items).toMatchObject({ ok: true, value: { items: [{ id: 'sk-1', half: 50 }] } });
  });

  test('what is wrong is said plainly', async () => {
    const code = async (bytes: Uint8Array, at?: string) => {
      const items = await readDatabase(bytes, at);
      return items.ok ? 'read' : items.error.code;
    };
    const bytes = await shop;
    expect(await code(bytes, 'tools')).toBe('no-such-table');
    expect(await code(bytes, 'SELECT * FROM')).toBe('select-fails');
    expect(await code(bytes, 'SELECT id FROM skein; SELECT 1')).toBe('several-statements');
    expect(await code(bytes, "SELECT id, ';x' AS mark FROM skein;")).toBe('read');
    const wrong = await readDatabase(bytes, 'SELECT colour FROM skein');
    expect(!wrong.ok && wrong.error.message).toContain('no such column: colour');
    const empty = await readDatabase(await databaseOf('CREATE TABLE a (b, c)'));
    expect(empty).toMatchObject({ ok: true, value: { items: [], columns: ['b', 'c'] } });
    expect(await code(await databaseOf('CREATE TABLE a (b)', 'DROP TABLE a'))).toBe('no-table');
    expect(await code(bytes.slice(0, 60))).toBe('sqlite-fails');
  });

  test('cut short or changed anywhere, it is read or refused, never more', async () => {
    const bytes = await shop;
    for (let round = 0; round < 60; round += 1) {
      const broken = bytes.slice(0, Math.floor((bytes.length * (round + 1)) / 60));
      broken[(round * 97) % broken.length] = round;
      const items = await readDatabase(broken, 'skein');
      expect(typeof items.ok).toBe('boolean');
    }
  });
});
