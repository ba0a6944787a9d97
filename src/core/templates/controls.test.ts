import { describe, expect, test } from 'vitest';
import { rowPlanOf } from '../lists';
import type { Field } from '../values';
import { compileTemplate } from './compile';
import { allKinds, draftStack, kinds, type StandingPart } from './parts';
import { neutralStyles } from './styles';
import { neutralColours } from './tokens';

const fields: readonly Field[] = [
  { name: 'count', type: 'number', required: false },
  { name: 'isDone', type: 'boolean', required: false },
  { name: 'dye', type: 'text', required: false },
];
const tokens = { styles: neutralStyles, colours: neutralColours, spacing: [] };

const templateOf = (...parts: readonly StandingPart[]) => ({
  ...{ id: 't', name: 't', type: 'x' },
  row: draftStack('row', 'across', parts),
});

/** What is drawn of a part for an item. */
function drawn(part: StandingPart, item: object) {
  const scope = {
    fields,
    sources: new Map(),
    formats: [],
    tokens,
    hasPicture: () => true,
    locale: 'en',
  };
  const compiled = compileTemplate(templateOf(part), scope);
  expect(compiled.findings.filter(({ code }) => code !== 'name-missing')).toEqual([]);
  return compiled.values({ ...item });
}

const count = { expr: 'count' };

describe('a badge', () => {
  const badge = kinds.badge.draft('badge', count, 'beside');

  test.each([
    [{ count: 7 }, {}, '7'],
    [{ count: 99 }, {}, '99'],
    [{ count: 100 }, {}, '99+'],
    [{ count: 1_204 }, { max: 1_000 }, '1000+'],
    [{ count: 0 }, {}, '0'],
    [{ count: 0 }, { atZero: 'leaves' as const }, undefined],
    [{}, {}, undefined],
    [{ count: 2.5 }, { max: 1 }, '2.5'],
  ])('of %j with %j says %j', (item, more, words) => {
    expect(drawn({ ...badge, ...more }, item)).toEqual([words]);
  });

  test('leaves its row at zero only if it says so', () => {
    const leaves = (part: StandingPart) =>
      rowPlanOf(templateOf(part), tokens).slots.map((slot) => slot.leaves);
    expect(leaves(badge)).toEqual([false]);
    expect(leaves({ ...badge, atZero: 'leaves' })).toEqual([true]);
    expect(leaves({ ...badge, text: { ...count, else: null } })).toEqual([true]);
  });
});

test('a bar without a value is empty, or leaves where it says so', () => {
  const bar = kinds.progress.draft('p', count, 'beside');
  const leaving = { ...bar, missing: 'leaves' as const };
  expect([drawn(bar, {}), drawn(leaving, {}), drawn(leaving, { count: 0 })]).toEqual([
    ...[[0], [undefined], [0]],
  ]);
  const leaves = (part: StandingPart) =>
    rowPlanOf(templateOf(part), tokens).slots.map((slot) => slot.leaves);
  expect([leaves(bar), leaves(leaving)]).toEqual([[false], [true]]);
});

test('controls show the values of an item, and nothing where there is none', () => {
  const both = (part: StandingPart, item: object) => [drawn(part, item)[0], drawn(part, {})[0]];
  expect(both(kinds.progress.draft('p', count, 'beside'), { count: 0.4 })).toEqual([0.4, 0]);
  expect(both(kinds.rating.draft('r', count, 'beside'), { count: 4 })).toEqual([4, 0]);
  expect(both(kinds.meter.draft('m', count, 'beside'), { count: 3 })).toEqual([3, 0]);
  const done = { expr: 'isDone' };
  expect(both(kinds.switch.draft('s', done, 'beside'), { isDone: true })).toEqual([true, false]);
  expect(both(kinds.checkbox.draft('c', done, 'beside'), { isDone: true })).toEqual([true, false]);
  expect(both(kinds.slider.draft('l', count, 'beside'), { count: 2 })).toEqual([2, 0]);
  expect(drawn(kinds.stepper.draft('t', count, 'beside'), { count: 2 })).toEqual([2, '2']);
  const dye = { expr: 'dye' };
  expect(both(kinds.swatch.draft('w', dye, 'beside'), { dye: '#a32' })).toEqual(['#a32', 'woad']);
});

test('a line is upright beside others and level under them', () => {
  const sizes = (direction: 'across' | 'down') => {
    const line = { ...kinds.line.draft('l', '', 'beside'), thickness: 2, inset: 5 };
    const row = { ...templateOf(line), row: draftStack('row', direction, [line]) };
    const [plan] = rowPlanOf(row, tokens).row.children;
    return [plan?.values['width'], plan?.values['height'], plan?.values['padding']];
  };
  const ends = { start: 0, end: 0, top: 0, bottom: 0 };
  expect(sizes('across')).toEqual([{ fixed: 2 }, { share: 1 }, { ...ends, top: 5, bottom: 5 }]);
  expect(sizes('down')).toEqual([{ share: 1 }, { fixed: 2 }, { ...ends, start: 5, end: 5 }]);
});

test('every kind that stands in a row says what it is laid out as', () => {
  for (const { part, box } of allKinds())
    expect([part, box === undefined]).toEqual([part, part === 'run']);
});

test('a control that nothing names is told of: who hears the row would not know what it is', () => {
  const scope = {
    ...{ fields, sources: new Map(), formats: [], tokens, hasPicture: () => false, locale: 'en' },
  };
  const unnamed = (part: StandingPart) =>
    compileTemplate(templateOf(part), scope)
      .findings.filter(({ code }) => code === 'name-missing')
      .map(({ place }) => place.in === 'part' && place.part);
  const done = kinds.switch.draft('done', { expr: 'isDone' }, 'beside');
  expect(unnamed(done)).toEqual(['done']);
  expect(unnamed({ ...done, name: ' ' })).toEqual(['done']);
  expect(unnamed({ ...done, name: 'Done' })).toEqual([]);
  expect(unnamed({ ...done, name: { expr: 'dye' } })).toEqual([]);
  const { text, ...silent } = kinds.button.draft('buy', 'Buy', 'beside');
  expect(unnamed({ ...silent, text: text ?? '' })).toEqual([]);
  expect(unnamed({ ...silent, icon: 'cart' })).toEqual(['buy']);
});

test('a broken picture leaves if it says so, as far as that is known beforehand', () => {
  const scope = {
    ...{ fields, sources: new Map(), formats: [], tokens, locale: 'en' },
    hasPicture: (name: string) => name === 'lace',
  };
  const image = kinds.image.draft('image', { expr: 'dye' }, 'beside');
  const shown = (more: object, dye: string) =>
    compileTemplate(templateOf({ ...image, ...more }), scope).values({ dye });
  expect(shown({ broken: 'leaves' }, 'lace')).toEqual(['lace']);
  expect(shown({ broken: 'leaves' }, 'sock')).toEqual([undefined]);
  expect(shown({}, 'sock')).toEqual(['sock']);
});
