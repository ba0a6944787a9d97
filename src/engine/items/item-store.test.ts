import fc from 'fast-check';
import { expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { openShop } from '../../../tests/support/shop';
import { atOnce } from '../../core/base';
import { type Item, successionOf } from '../../core/items';
import { edits, type Project } from '../../core/project';
import { changedItems, type ItemChange } from './changes';
import { ItemStore } from './item-store';

const now = '2026-03-02T10:00:00Z';
const item = fc.record({
  id: fc.oneof(fc.constantFrom('a', 'b', '', '__proto__'), fc.nat(60).map(String)),
  kind: fc.constantFrom('skein', 'tool', 'other'),
  price: fc.constantFrom('1,50', '7,00', 'dear', 3),
});
const items = fc.array(item, { maxLength: 40 });
const change: fc.Arbitrary<ItemChange> = fc.oneof(
  fc.record({
    kind: fc.constant('value' as const),
    position: fc.nat(39),
    path: fc.constantFrom(['id'], ['kind'], ['price']),
    value: fc.constantFrom('a', 'c', 'tool', '2,00', undefined),
  }),
  fc.record({ kind: fc.constant('add' as const), at: fc.nat(39), items: fc.array(item) }),
  fc.record({ kind: fc.constant('remove' as const), positions: fc.array(fc.nat(39)) }),
);

/** A project with two types that a field tells apart, a decoding, another name and computed properties. */
function projectWithAll(): Project {
  const { project } = openShop([
    { id: 'a', kind: 'skein', price: '1,50' },
    { id: 'b', kind: 'tool', price: '2,50' },
    { id: 'c', kind: 'skein', price: '9,00' },
    { id: 'd', kind: 'tool', price: '4,00' },
  ]);
  let made = project();
  for (const { id } of made.types) {
    made = edited(made, edits.decodeField({ type: id, path: ['price'] }, { decimal: ',' }));
    made = edited(made, edits.addComputed(id, 'double', 'price * 2'));
    made = edited(made, edits.renameField({ type: id, path: ['id'] }, 'number'));
  }
  return made;
}

const project = projectWithAll();
const [source] = project.sources;
if (source === undefined) throw new Error('the project has no source');

/** All that is asked of a store. */
function asked(store: ItemStore, keys: readonly string[]) {
  if (source === undefined) throw new Error('the project has no source');
  const shaped = store.items(project, source, now);
  const own = store.keys(project, source, now);
  const find = store.finder(project, source, now);
  const raw = store.rawKeys(project, source);
  return {
    shaped,
    types: { ...store.types(project, source), indexOf: undefined },
    keys: shaped.map((_, at) => own.at(at)),
    repeated: own.repeated,
    findings: own.findings,
    found: keys.map((key) => [key, find(key), raw.positionOf(key)]),
    misfits: atOnce(store.misfits(project, source, now)),
  };
}

const wanted = ['a', 'b', 'c', '', '#1', '#2', 'a#2', '__proto__', '7', 'nobody'];

test('items that come of others are known as if all were looked at anew', () => {
  fc.assert(
    fc.property(
      items,
      fc.array(fc.record({ change, isAsked: fc.boolean(), isByItems: fc.boolean() }), {
        maxLength: 8,
      }),
      (first, changes) => {
        let raw: readonly Item[] = first;
        let store = new ItemStore(raw);
        asked(store, wanted);
        for (const { change: next, isAsked, isByItems } of changes) {
          const changed = changedItems(raw, next);
          raw = changed.items;
          store = store.after(isByItems ? successionOf(store.raw, raw) : changed);
          if (isAsked) asked(store, wanted);
        }
        expect(asked(store, wanted)).toEqual(asked(new ItemStore(raw), wanted));
      },
    ),
    { numRuns: 400 },
  );
});
