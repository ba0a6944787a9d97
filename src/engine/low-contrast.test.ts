import { expect, test } from 'vitest';
import { atOnce } from '../core/base';
import { infer } from '../core/items';
import { makeProject } from '../core/project';
import { draftStack, kinds, type StackPart, type StandingPart } from '../core/templates';
import { Engine } from './engine';

const items = ['#c9c9c9', '#101010', 'madder', '#efefef'].map((dye, at) => ({
  ...{ id: `o-${at}`, name: `Oar ${at}`, dye },
}));

/** What is told of texts that are hard to read. */
function found(...children: readonly StandingPart[]) {
  return foundIn(draftStack('row', 'across', children));
}

function foundIn(row: StackPart) {
  const inference = atOnce(infer(items, 'oars'));
  const drafted = makeProject('oars.json', { format: 'json', at: '$[*]', items }, inference);
  const templates = drafted.templates.map((each) => ({ ...each, row }));
  const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('oars', items);
  engine.update({ ...drafted, templates }, { from: 0, to: 0 });
  return engine.surveyNow().findings.filter(({ code }) => code === 'look-contrast');
}

const label = kinds.label.draft('name', { expr: 'name' }, 'beside');

test('texts in the colours of the project can be read in both schemes', () => {
  expect(found(label, { ...label, id: 'other', style: 'small' })).toEqual([]);
});

test('a colour by value is judged for every item, in the scheme where it is harder to read', () => {
  const [finding] = found({ ...label, colour: { expr: 'dye' } });
  expect(finding).toMatchObject({
    place: { part: 'name', property: 'colour', item: 1 },
    message:
      '“name” of “oar-plain” is hard to read in 3 of 4 rows: in the dark scheme it has 1.12 to 1 on what lies behind it, where 4.5 is needed.',
    hint: 'Instead of #101010, #848484 is the nearest colour that passes there.',
  });
});

test('a text is judged on what lies behind it: a stack, a badge, a button', () => {
  const on = (background: string) =>
    foundIn({ ...draftStack('row', 'across', [label]), background }).length;
  expect(on('soft')).toBe(0);
  expect(on('#25222c')).toBe(1);
  const badge = { ...kinds.badge.draft('badge', { expr: 'name' }, 'beside'), tint: 'soft' };
  expect(found(badge)).toMatchObject([{ place: { part: 'badge', property: 'colour' } }]);
  expect(found({ ...badge, tint: 'woad' })).toEqual([]);
  const button = kinds.button.draft('buy', { expr: 'name' }, 'beside');
  expect(found(button)).toEqual([]);
  expect(found({ ...button, tint: 'rule' })).toHaveLength(1);
  expect(found({ ...button, kind: 'plain', tint: 'rule' })).toHaveLength(1);
});

test('runs have the colour of their label until they say one, or a style', () => {
  const run = kinds.run.draft('more', { expr: 'name' }, 'beside');
  const runs = (more: object) =>
    found({ ...label, colour: '#eeeeee', runs: [{ ...run, ...more }] });
  expect(runs({}).map(({ place }) => place.in === 'part' && place.part)).toEqual(['name', 'more']);
  expect(runs({ colour: 'madder' })).toHaveLength(1);
  expect(runs({ style: 'body' })).toHaveLength(1);
});

test('large letters need less; on a picture nobody knows what is behind', () => {
  const grey = { ...label, colour: '#8a8a8a' };
  expect(found(grey)).toHaveLength(1);
  const image = kinds.image.draft('image', { expr: 'name' }, 'beside');
  const over = { ...draftStack('cover', 'over', [image, grey]) };
  expect(found(over)).toEqual([]);
});
