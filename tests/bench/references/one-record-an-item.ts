import Dexie from 'dexie';

/** Items kept the plain way: a record each, as the documentation of the database shows it. */
const database = new Dexie('reference');
database.version(1).stores({ items: '[project+position]' });

export async function storeRecords(items: readonly object[]): Promise<void> {
  await database.table('items').clear();
  await database
    .table('items')
    .bulkPut(items.map((item, position) => ({ project: 'p', position, item })));
}

export async function readRecords(): Promise<readonly object[]> {
  const records = await database
    .table('items')
    .where('[project+position]')
    .between(['p', 0], ['p', Number.POSITIVE_INFINITY])
    .toArray();
  return records.map((record) => record.item);
}

export async function readFirstRecords(count: number): Promise<readonly object[]> {
  return database
    .table('items')
    .where('[project+position]')
    .between(['p', 0], ['p', count])
    .toArray();
}
