import { createRequire } from 'node:module';
import initSqlJs from 'sql.js';
import { describe, expect, test } from 'vitest';
import { atOnce } from '../../src/core/base';
import { infer, read, readSchema } from '../../src/core/items';
import { readProject } from '../../src/core/project';
import { Engine, sqliteFrom } from '../../src/engine';
import { documentOfBytes, quietPorts } from '../support/documents';
import { mutations } from './mutations';

/**
 * Files of each kind, damaged: they are read or refused in words, and nothing throws or hangs.
 * `npm run fuzz` runs 10,000 of each; the tests a few hundred.
 */
const fileCount = Number(process.env['FUZZ_FILES'] ?? 250);
const wasm = createRequire(import.meta.url).resolve('sql.js/dist/sql-wasm.wasm');
const longest = { timeout: 3_600_000 };

const items = [
  {
    id: 'sk-1',
    kind: 'skein',
    name: 'Merino "lace", undyed',
    grams: 100,
    maker: { town: 'Ousby' },
  },
  { id: 'sk-2', kind: 'skein', name: 'צמר 🧶', grams: 50.5, tags: ['a', 'b'], made: '24.03.2026' },
  { id: 't-1', kind: 'tool', name: '', price: null, big: 1.5, loan: false },
];
const csv = 'id;name;price\r\nsk-1;"Merino ""lace"", undyed";14,50\r\nsk-2;"two\nlines";9\r\n';

const utf16 = (text: string) => Uint8Array.from([0xff, 0xfe, ...Buffer.from(text, 'utf16le')]);

async function database(): Promise<Uint8Array> {
  const { Database } = await initSqlJs({ locateFile: () => wasm });
  const made = new Database();
  made.run('CREATE TABLE skein (id TEXT PRIMARY KEY, grams INTEGER, price REAL, pic BLOB)');
  made.run('CREATE INDEX by_grams ON skein (grams)');
  for (let id = 0; id < 40; id += 1)
    made.run('INSERT INTO skein VALUES (?, ?, ?, ?)', [`sk-${id}`, id * 10, id / 3, null]);
  made.run('CREATE VIEW heavy AS SELECT * FROM skein WHERE grams > 100');
  return made.export();
}

const utf8 = (text: string) => new TextEncoder().encode(text);

describe.each<[string, () => Uint8Array | Promise<Uint8Array>]>([
  ['stock.json', () => utf8(JSON.stringify({ page: 1, stock: items }, null, 1))],
  ['stock.ndjson', () => utf8(items.map((item) => `${JSON.stringify(item)}\n`).join(''))],
  ['stock.csv', () => utf8(csv)],
  ['stock.tsv', () => utf8(csv.replaceAll(';', '\t'))],
  ['utf16.csv', () => utf16(csv)],
  ['shop.db', database],
])('%s, damaged', (name, make) => {
  test('is read or refused', longest, async () => {
    for (const { bytes, id } of mutations(await make(), fileCount)) {
      const done = await read(
        documentOfBytes(name, bytes),
        { file: name, gathers: true },
        { ...quietPorts, sqlite: sqliteFrom(wasm), first: () => {} },
      );
      if (!done.ok) {
        expect(done.error.message, `mutation ${id}`).toContain(name);
        continue;
      }
      // However damaged: no item from nothing, and what was read can be typed.
      expect(done.value.items.length, `mutation ${id}`).toBeLessThanOrEqual(bytes.length);
      atOnce(infer(done.value.items, name, done.value.gathered));
    }
  });
});

describe('a project file, damaged', () => {
  test('opens, with findings, or is refused', longest, async () => {
    const demo = await import('node:fs').then((fs) =>
      fs.readFileSync('public/demo/thrumwick.yarncard.json'),
    );
    let openCount = 0;
    for (const { bytes } of mutations(demo, fileCount)) {
      const done = await readProject(new TextDecoder().decode(bytes), 'x.yarncard.json');
      if (!done.ok) {
        expect(done.error.message).toMatch(/\w/);
        continue;
      }
      openCount += 1;
      const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
      engine.holdFile(done.value.project, done.value.items);
      for (const list of done.value.project.lists)
        engine.update(done.value.project, { from: 0, to: 1_000 }, list.id);
      engine.surveyNow();
    }
    expect(openCount).toBeGreaterThan(0);
  });
});

describe('a schema, damaged', () => {
  test('gives types or is refused', longest, () => {
    const schema = JSON.stringify({
      $defs: { maker: { type: 'object', properties: { town: { type: 'string' } } } },
      type: 'object',
      required: ['id'],
      properties: {
        id: { type: 'string' },
        maker: { $ref: '#/$defs/maker' },
        tags: { type: 'array', items: { type: ['string', 'null'] } },
      },
    });
    for (const { bytes } of mutations(utf8(schema), fileCount)) {
      const document = parsed(new TextDecoder().decode(bytes));
      if (document !== undefined) readSchema(document, 'x.schema.json');
    }
  });
});

function parsed(text: string) {
  try {
    const value = JSON.parse(text);
    return typeof value === 'object' && value !== null && !Array.isArray(value) ? value : undefined;
  } catch {
    return undefined;
  }
}
