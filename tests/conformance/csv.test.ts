import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { mustRead } from '../support/documents';

const folder = 'node_modules/csv-spectrum';
const fixtures = readdirSync(join(folder, 'csvs')).map((file) => file.replace(/\.csv$/, ''));

/**
 * The fixtures of csv-spectrum. `location_coordinates` contradicts itself: its JSON drops the
 * space that its CSV has before a quoted cell's text.
 */
describe('csv-spectrum', () => {
  test('has its twelve fixtures', () => {
    expect(fixtures.length).toBe(12);
  });

  test.each(fixtures.filter((name) => name !== 'location_coordinates'))('%s', async (name) => {
    const { items } = await mustRead(
      `${name}.csv`,
      readFileSync(join(folder, 'csvs', `${name}.csv`)),
    );
    expect(items).toEqual(JSON.parse(readFileSync(join(folder, 'json', `${name}.json`), 'utf8')));
  });
});
