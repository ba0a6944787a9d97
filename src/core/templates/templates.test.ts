import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { draftRow, likelyPart } from './draft';
import { draftLabel, kinds, meterRegion, type Part, type StackPart } from './parts';
import { addRun, insertPart, type Side } from './rewriting/insert';
import { removePart } from './rewriting/remove';
import { replacePart } from './rewriting/replace';
import {
  mapBindings,
  partIds,
  partsOf,
  partWithId,
  slotsOf,
  stackAround,
  withProperty,
} from './template';

const label = (id: string) => draftLabel(id, { expr: id }, 'body');
const outline = (part: Part): string =>
  part.part === 'stack' ? `${part.direction}(${part.children.map(outline).join(' ')})` : part.id;

describe('putting a part beside another', () => {
  const row = draftRow(['name']);

  test.each<[Side, string]>([
    ['below', 'across(down(title new))'],
    ['above', 'across(down(new title))'],
    ['after', 'across(title new)'],
    ['before', 'across(new title)'],
  ])('%s', (side, expected) => {
    expect(
      outline(insertPart(row, { beside: 'title', side }, { part: label('new'), stackId: 'words' })),
    ).toBe(expected);
  });

  test('the two take over the width of the one', () => {
    const words = insertPart(
      row,
      { beside: 'title', side: 'below' },
      { part: label('new'), stackId: 'words' },
    ).children[0];
    expect(words).toMatchObject({ part: 'stack', width: { share: 1 } });
  });

  test('a third goes into the stack that is there', () => {
    const two = insertPart(
      row,
      { beside: 'title', side: 'below' },
      { part: label('second'), stackId: 'words' },
    );
    expect(
      outline(
        insertPart(
          two,
          { beside: 'second', side: 'below' },
          { part: label('third'), stackId: 'more' },
        ),
      ),
    ).toBe('across(down(title second third))');
  });

  test('beside a whole row that runs across: at its end', () => {
    const two = insertPart(
      row,
      { beside: 'title', side: 'below' },
      { part: label('second'), stackId: 'words' },
    );
    expect(
      outline(
        insertPart(
          two,
          { beside: 'row', side: 'after' },
          { part: label('value'), stackId: 'more' },
        ),
      ),
    ).toBe('across(down(title second) value)');
    expect(
      outline(
        insertPart(
          two,
          { beside: 'row', side: 'below' },
          { part: label('value'), stackId: 'more' },
        ),
      ),
    ).toBe('down(across(down(title second)) value)');
  });
});

describe('any inserting and removing', () => {
  const sides = fc.constantFrom<Side>('before', 'after', 'above', 'below');
  const steps = fc.array(fc.record({ anchor: fc.nat(), side: sides, isRemoval: fc.boolean() }), {
    maxLength: 25,
  });

  test('keeps ids apart, loses no other part, and leaves no stack with nothing to hold', () => {
    fc.assert(
      fc.property(steps, (all) => {
        let row: StackPart = draftRow(['name']);
        for (const [n, { anchor, side, isRemoval }] of all.entries()) {
          const ids = partIds(row);
          const id = ids[anchor % ids.length] ?? 'row';
          const previous = row;
          const before = leaves(row);
          if (isRemoval) {
            row = removePart(row, id);
            const inside = leaves(partWithId(previous, id) ?? previous);
            const kept = id === 'row' ? before : before.filter((leaf) => !inside.includes(leaf));
            expect(leaves(row)).toEqual(kept);
          } else {
            row = insertPart(
              row,
              { beside: id, side },
              { part: label(`new-${n}`), stackId: `stack-${n}` },
            );
            expect(new Set(leaves(row))).toEqual(new Set([...before, `new-${n}`]));
          }
          expect(new Set(partIds(row)).size).toBe(partIds(row).length);
          const empty = [...partsOf(row)].filter(
            (part) => part.part === 'stack' && part.children.length === 0,
          );
          expect(empty.every((part) => part.id === 'row')).toBe(true);
        }
      }),
    );
  });

  const leaves = (part: Part) =>
    [...partsOf(part)].filter((each) => each.part !== 'stack').map((each) => each.id);
});

test('removing the last but one part of a stack leaves the last in its place', () => {
  const two = insertPart(
    draftRow(['name']),
    { beside: 'title', side: 'below' },
    {
      part: label('second'),
      stackId: 'words',
    },
  );
  const one = removePart(two, 'second');
  expect(outline(one)).toBe('across(title)');
  expect(stackAround(one, 'title')?.id).toBe('row');
  expect(one.children[0]).toMatchObject({ width: { share: 1 } });
});

test.each([
  [{ name: 'picture', type: 'text', required: true } as const, 'skein-wool', 'image'],
  [{ name: 'cover', type: 'text', required: true } as const, undefined, 'image'],
  [{ name: 'link', type: 'text', required: true } as const, 'https://example.org/a', 'image'],
  [{ name: 'file', type: 'text', required: true } as const, 'a/b.webp', 'image'],
  [{ name: 'name', type: 'text', required: true } as const, 'Lace', 'label'],
  [{ name: 'pictures', type: 'integer', required: true } as const, undefined, 'label'],
])('%o with %s becomes %s', (field, sample, kind) => {
  expect(likelyPart(field, sample)).toBe(kind);
});

describe('the runs of a label', () => {
  const run = (id: string) => kinds.run.draft(id, { expr: id }, 'beside');
  const row = addRun(addRun(draftRow(['name']), 'title', run('was')), 'title', run('now'));
  const texts = (of: StackPart) => slotsOf(of).map(({ part }) => part);

  test('are fed after the label itself, in their order', () => {
    expect(partIds(row)).toEqual(['row', 'title', 'was', 'now']);
    expect(texts(row)).toEqual(['title', 'was', 'now']);
    const changed = mapBindings(row, () => ({ expr: 'changed' }));
    expect(slotsOf(changed).map(({ binding }) => binding)).toEqual(
      Array.from({ length: 3 }, () => ({ expr: 'changed' })),
    );
  });

  test('are changed and taken out by themselves; a label without any says nothing of them', () => {
    const struck = replacePart(row, 'was', (part) => withProperty(part, 'strike', true));
    expect(partWithId(struck, 'was')).toMatchObject({ part: 'run', strike: true });
    expect(partIds(removePart(struck, 'was'))).toEqual(['row', 'title', 'now']);
    expect(removePart(removePart(struck, 'was'), 'now')).toEqual(draftRow(['name']));
  });

  test('a part that is put beside one stands beside its label', () => {
    const beside = insertPart(
      row,
      { beside: 'was', side: 'after' },
      { part: label('new'), stackId: 's' },
    );
    expect(outline(beside)).toBe('across(title new)');
    expect(texts(beside)).toEqual(['title', 'was', 'now', 'new']);
  });
});

describe('how good the value of a meter is', () => {
  const at = (value: number, more: object = {}) =>
    meterRegion({
      ...{ value, min: 0, max: 10, low: 3, high: 7, optimum: undefined },
      ...more,
    });

  test.each([
    // The best is in the middle.
    [1, {}, 'middling'],
    [5, {}, 'good'],
    [9, {}, 'middling'],
    // The best is much.
    [9, { optimum: 10 }, 'good'],
    [5, { optimum: 10 }, 'middling'],
    [1, { optimum: 10 }, 'bad'],
    // The best is little.
    [1, { optimum: 0 }, 'good'],
    [7, { optimum: 0 }, 'middling'],
    [8, { optimum: 0 }, 'bad'],
    // Without bounds all is good.
    [2, { low: undefined, high: undefined }, 'good'],
    // Bounds beyond each other become the nearest.
    [5, { low: 8, high: 2, optimum: 10 }, 'bad'],
  ])('%j of %j is %s', (value, more, region) => {
    expect(at(value, more).region).toBe(region);
  });

  test('what is beyond its bounds fills none or all of it', () => {
    expect([-3, 0, 2.5, 10, 99].map((value) => at(value).share)).toEqual([0, 0, 0.25, 1, 1]);
    expect(at(5, { min: 4, max: 4 }).share).toBe(0);
    expect(at(5, { min: 6, max: 2 }).share).toBe(0);
  });
});
