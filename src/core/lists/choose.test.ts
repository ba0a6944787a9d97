import fc from 'fast-check';
import { expect, test } from 'vitest';
import { candidates, choicesOfItems, chosenIn, countsOfChoices, mapTemplates } from './choose';
import type { Choice, List } from './list';

const listWith = (choices: readonly Choice[]): List => ({
  ...{ id: 'l', name: 'l', source: 's', choices, otherwise: null },
  arrangement: { kind: 'list', gap: 0, edge: 0, separators: true },
});

test('what is chosen is the same in all looks, or by look; where a look is not named, nothing is', () => {
  expect([chosenIn('brief', 'rich'), chosenIn(null, 'rich'), chosenIn(undefined, 'rich')]).toEqual([
    ...['brief', null, undefined],
  ]);
  const byLook = { usual: 'brief', rich: null };
  expect(['usual', 'rich', 'bold', undefined].map((look) => chosenIn(byLook, look))).toEqual([
    ...['brief', null, undefined, undefined],
  ]);
  expect(mapTemplates(byLook, (id) => `${id}-2`)).toEqual({ usual: 'brief-2', rich: null });
});

test('the first choice takes an item whose type is its own and whose condition holds', () => {
  const types = ['skein', 'tool'];
  const choice = fc.record(
    { type: fc.constantFrom(...types), when: fc.constantFrom('a', 'b', 'c') },
    { requiredKeys: [] },
  );
  const item = fc.record({ type: fc.nat(2), true: fc.subarray(['a', 'b', 'c']) });
  fc.assert(
    fc.property(fc.array(choice, { maxLength: 6 }), fc.array(item), (choices, items) => {
      const list = listWith(choices as readonly Choice[]);
      const taken = choicesOfItems(
        Uint16Array.from(items, ({ type }) => type),
        candidates(list, types),
        (at, place) => items[place]?.true.includes(list.choices[at]?.when ?? '') === true,
      );
      for (const [at, { type, true: holding }] of items.entries()) {
        const first = list.choices.findIndex(
          (each) =>
            (each.type === undefined || each.type === types[type]) &&
            (each.when === undefined || holding.includes(each.when)),
        );
        expect(taken[at]).toBe(first < 0 ? choices.length : first);
      }
      expect(countsOfChoices(taken, choices.length).reduce((a, b) => a + b)).toBe(items.length);
    }),
  );
});
