import { expect, test } from 'vitest';
import { kinds, settingsIn } from './parts';
import type { Property } from './property';

const names = ({ kind }: Property) =>
  kind === 'colour' ? ['ink', 'madder'] : kind === 'style' ? ['title', 'small'] : undefined;
const settings = (typed: string, kind: 'label' | 'stack' | 'image' = 'label') =>
  settingsIn(typed, kinds[kind].properties, names);
const first = (typed: string, kind: 'label' | 'stack' | 'image' = 'label') => {
  const [setting] = settings(typed, kind);
  return setting && [setting.property, setting.isUnread ? 'unread' : setting.value];
};

test('a property is found by the first letters of any of its words, with what it begins with', () => {
  expect(first('pad', 'stack')).toEqual(['padding', kinds.stack.properties.padding.default]);
  expect(first('colour')).toEqual(['colour', 'madder']);
  expect(first('strike')).toEqual(['strike', true]);
  expect(first('width')).toEqual(['width', 'fit']);
  expect(settings('gr').map(({ property }) => property)).toEqual(['maxWidth', 'maxHeight']);
  expect(settings('')).toHaveLength(Object.keys(kinds.label.properties).length);
  expect(settings('nothing of the kind')).toEqual([]);
});

test.each<[string, 'label' | 'stack' | 'image', string, unknown]>([
  ['padding 12', 'stack', 'padding', { start: 12, end: 12, top: 12, bottom: 12 }],
  ['padding 4 12', 'stack', 'padding', { start: 12, end: 12, top: 4, bottom: 4 }],
  ['lines 2', 'label', 'lines', 2],
  ['lines all', 'label', 'lines', 'all'],
  ['least width 40 px', 'label', 'minWidth', 40],
  ['width 80', 'label', 'width', { fixed: 80 }],
  ['width share 2', 'label', 'width', { share: 2 }],
  ['width fit', 'label', 'width', 'fit'],
  ['colour mad', 'label', 'colour', 'madder'],
  ['col #a23a2c', 'label', 'colour', '#a23a2c'],
  ['style = isNew ? "title" : "small"', 'label', 'style', { expr: 'isNew ? "title" : "small"' }],
  ['colour when stock < 5 madder', 'label', 'colour', { expr: 'stock < 5 ? "madder" : null' }],
  ['lines when isLong 3', 'label', 'lines', { expr: 'isLong ? 3 : 1' }],
  ['corners circle', 'image', 'radius', 'circle'],
  ['if too long shr', 'label', 'overflow', 'shrink'],
  ['italic no', 'label', 'italic', false],
  ['read aloud as How much', 'label', 'name', 'How much'],
])('“%s” sets it to what was written', (typed, kind, property, value) => {
  expect(first(typed, kind)).toEqual([property, value]);
});

test.each([
  'lines 0',
  'lines many',
  'width -3',
  'opacity 4',
  'colour of the sea',
  'weight bold',
  'italic maybe',
])('“%s” is told to be no value of it', (typed) => {
  expect(first(typed)?.[1]).toBe('unread');
});
