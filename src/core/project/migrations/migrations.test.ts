import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { json } from '../../../../tests/support/arbitrary';
import { Engine } from '../../../engine';
import { readProject } from '../file/read';
import { writeProject } from '../file/write';
import { migrated } from '.';

const first = readFileSync('tests/fixtures/version-1.yarncard.json', 'utf8');

async function opened(text: string) {
  const read = await readProject(text, 'old.yarncard.json');
  if (!read.ok) throw new Error(read.error.message);
  return read.value;
}

describe('a file of version 1', () => {
  test('opens in the form of today, with the same rows as it had', async () => {
    const { project, items, findings } = await opened(first);
    expect([project.yarncard, findings]).toEqual([2, []]);
    const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
    for (const [source, own] of items) engine.hold(source, own);
    const frame = engine.update(project, { from: 0, to: 5 });
    expect(frame.findings).toEqual([]);
    expect(
      frame.plans.map(({ template, heightPx }) => [template, heightPx]),
    ).toMatchInlineSnapshot(`
      [
        [
          "skein-brief",
          60,
        ],
        [
          "tool-brief",
          60,
        ],
        [
          "class-brief",
          58,
        ],
      ]
    `);
    const images = frame.plans.flatMap(({ row }) =>
      row.children.flatMap(({ part, values }) => (part === 'image' ? [values] : [])),
    );
    expect(images).toMatchObject([
      { width: { fixed: 40 }, height: { fixed: 40 }, fit: 'cover', radius: 'circle' },
      { width: { fixed: 40 }, height: { fixed: 40 }, fit: 'cover', radius: 6 },
    ]);
  });

  test('is written in that form, and opens again as it was', async () => {
    const { project, items } = await opened(first);
    const text = [...writeProject(project, items)].join('');
    const again = await opened(text);
    expect([...writeProject(again.project, again.items)].join('')).toBe(text);
  });

  test('with anything at all in it is brought over without a fault', () => {
    const bent = fc.record({ yarncard: fc.constant(1), templates: json });
    fc.assert(
      fc.property(bent, (project) => {
        expect(migrated(project)['yarncard']).toBe(2);
      }),
    );
  });
});
