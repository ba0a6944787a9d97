import { describe, expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { atOnce } from '../base';
import { type Item, infer } from '../items';
import { edits } from './edits';
import { goesWith } from './foresee';
import { isShapeKnown } from './known-shape';
import { makeProject } from './make';

const lamps: readonly Item[] = [
  { id: 'a', kind: 'floor', watt: 40, shade: 'linen' },
  { id: 'b', kind: 'desk', watt: 7 },
];
const found = (items: readonly Item[]) => atOnce(infer(items, 'lamps', undefined, null)).types;
const project = makeProject(
  'lamps.json',
  { format: 'json', at: '$[*]', items: lamps },
  { ...atOnce(infer(lamps, 'lamps', undefined, null)), key: 'id' },
);
const [source] = project.sources;

describe('items from another place in a document', () => {
  test.each([
    ['the same', lamps, true],
    ['some of them', lamps.slice(1), true],
    ['with one more field', [{ id: 'c', kind: 'desk', watt: 9, dimmer: true }], true],
    ['without the key', [{ kind: 'desk', watt: 9, shade: 'tin' }], false],
    ['of another kind', [{ id: 'x', harbour: 'Garth', berths: 20, depth: 3, tide: 2 }], false],
    ['none', [], false],
  ] as const)('%s are of the types that are known: %s', (_, items, isKnown) => {
    if (source === undefined) throw new Error('no source');
    expect(isShapeKnown(project, source, items.length === 0 ? [] : found(items))).toBe(isKnown);
  });

  test('are known by the names that they come with, whatever a person called the fields', () => {
    const type = project.types[0]?.id ?? '';
    const renamed = edited(
      project,
      edits.renameField({ type, path: ['watt'] }, 'power'),
      edits.renameField({ type, path: ['id'] }, 'number'),
    );
    const [own] = renamed.sources;
    expect(own && isShapeKnown(renamed, own, found(lamps))).toBe(true);
  });
});

test('what goes with a source is said by name', () => {
  const findings = goesWith(project, source?.id ?? '');
  expect(findings.map(({ code }) => code)).toEqual(['type-goes']);
  expect(findings[0]?.message).toContain('plain');
});
