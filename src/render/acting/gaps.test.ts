import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type EntryAt, type Gap, gapBeside } from './gaps';

/** Sections by the keys of their rows, as they stand in a list: each under its heading. */
const entriesOf = (sections: readonly (readonly string[])[]) =>
  sections.flatMap((rows, section) => [
    { kind: 'heading' as const, key: `section ${section}` },
    ...rows.map((key) => ({ kind: 'row' as const, key })),
    { kind: 'footing' as const, key: `section ${section}` },
  ]);

async function gapsOf(
  sections: readonly (readonly string[])[],
  moved: string,
  by: 1 | -1,
): Promise<readonly string[]> {
  const entries = entriesOf(sections);
  const entryAt: EntryAt = async (at) => entries[at];
  const named = ({ at, side }: Gap) => `${side} ${entries[at]?.key}`;
  const walk = { entryAt, isMoved: (key: string) => key === moved };
  const own = entries.findIndex(({ key }) => key === moved);
  let gap = await gapBeside({ at: own, side: 'after' }, -1, walk);
  const seen: string[] = [];
  for (; gap !== undefined; gap = await gapBeside(gap, by, walk)) seen.push(named(gap));
  return seen;
}

test('a row goes by steps from where it is through each section, those without rows too', async () => {
  const sections = [['a', 'b', 'c'], [], ['d']];
  expect(await gapsOf(sections, 'b', 1)).toEqual([
    ...['after a', 'after c', 'in section 1', 'before d', 'after d'],
  ]);
  expect(await gapsOf(sections, 'd', -1)).toEqual([
    ...['before d', 'in section 1', 'after c', 'after b', 'after a', 'before a'],
  ]);
});

test('downwards and upwards go through the same gaps, each once, and there is one more than other rows and headings between', () => {
  const counts = fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 6 });
  return fc.assert(
    fc.asyncProperty(counts, fc.nat(), async (perSection, pick) => {
      let next = 0;
      const sections = perSection.map((count) =>
        Array.from({ length: count }, () => `row ${next++}`),
      );
      if (next === 0) return;
      const moved = `row ${pick % next}`;
      const down = await gapsOf(sections, moved, 1);
      const up = await gapsOf(sections, moved, -1);
      expect(down[0]).toBe(up[0]);
      const all = [...up.toReversed(), ...down.slice(1)];
      expect(new Set(all).size).toBe(all.length);
      // A section with other rows has a gap before each of them and one at its end, another just one.
      const others = sections.map((rows) => rows.filter((key) => key !== moved).length);
      expect(all.length).toBe(others.reduce((sum, count) => sum + count + 1, 0));
    }),
  );
});
