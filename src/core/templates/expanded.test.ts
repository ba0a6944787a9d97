import { describe, expect, test } from 'vitest';
import { rowPlanOf } from '../lists';
import { type Field, pathsRead, renameStep } from '../values';
import { compileTemplate } from './compile';
import { elementPaths } from './expanded/seen';
import { draftStack, kinds, type StackPart, type StandingPart } from './parts';
import { removePart } from './rewriting/remove';
import { neutralStyles } from './styles';
import { neutralColours } from './tokens';

const fields: readonly Field[] = [
  { name: 'name', type: 'text', required: true },
  {
    ...{ name: 'places', type: 'list', required: false },
    of: {
      type: 'record',
      fields: [
        { name: 'town', type: 'text', required: true },
        { name: 'count', type: 'number', required: false },
      ],
    },
  },
];
const tokens = { styles: neutralStyles, colours: neutralColours, spacing: [] };
const scope = {
  ...{ fields, sources: new Map(), formats: [], tokens, locale: 'en', hasPicture: () => true },
};

const town = kinds.label.draft('town', { expr: 'place.town' }, 'beside');
const left = kinds.badge.draft('left', { expr: 'place.count' }, 'beside');

const repeated = (more: Partial<StackPart>, ...children: StandingPart[]): StackPart =>
  draftStack('row', 'across', [
    { ...draftStack('places', 'down', children), over: { expr: 'places' }, as: 'place', ...more },
  ]);

const compiled = (row: StackPart) => compileTemplate({ id: 't', name: 't', type: 'x', row }, scope);

/** What is drawn of an item, by where it is drawn. */
function drawn(row: StackPart, item: object): Record<string, unknown> {
  const { slots, values } = compiled(row);
  const plan = rowPlanOf({ id: 't', name: 't', type: 'x', row }, tokens);
  const all = values({ ...item });
  expect(plan.slots.map(({ part, property }) => ({ part, property }))).toEqual(
    slots.map(({ drawnAt }) => drawnAt),
  );
  return Object.fromEntries(
    plan.slots.map(({ part, property }, at) => [`${part}.${property}`, all[at]]),
  );
}

const places = ['Ousby', 'Renwick', 'Alston'].map((name, at) => ({ town: name, count: at }));

test('one within another one is told of, and stands once', () => {
  const inner = { ...draftStack('inner', 'across', [town]), over: { expr: 'places' } };
  const row = repeated({ max: 2 }, { ...inner, more: 'and more' });
  expect(compiled(row).findings.map(({ code }) => code)).toContain('repeat-nested');
  expect(Object.keys(drawn(row, { places })).filter((each) => each.endsWith('.text'))).toEqual([
    ...['town.text', 'town·2.text'],
  ]);
});

describe('a stack that stands once for each element of a list', () => {
  test('has its parts as often as there are elements, each with the values of its own', () => {
    const row = repeated({ max: 2 }, town);
    expect(drawn(row, { places: places.slice(0, 1) })).toEqual({
      ...{ 'places.over': 1, 'town.text': 'Ousby', 'town.leaves': false },
      ...{ 'town·2.text': undefined, 'town·2.leaves': true },
    });
    expect(drawn(row, { places })).toMatchObject({
      ...{ 'town.text': 'Ousby', 'town·2.text': 'Renwick', 'town·2.leaves': false },
    });
  });

  test('says how many are too many, if it says any words for them', () => {
    const row = repeated({ max: 1, more: { expr: '`+${rest} of ${name}`' } }, town);
    expect(drawn(row, { name: 'Loom', places })).toMatchObject({
      ...{ 'places·more.text': '+2 of Loom', 'places·more.leaves': false },
    });
    expect(drawn(row, { name: 'Loom', places: places.slice(0, 1) })).toMatchObject({
      ...{ 'places·more.text': undefined, 'places·more.leaves': true },
    });
  });

  test.each([[{}], [{ places: [] }], [{ places: null }], [{ places: 'Ousby' }]])(
    'of %j shows nothing',
    (item) => {
      expect(drawn(repeated({ max: 1 }, town), item)).toMatchObject({ 'town.leaves': true });
    },
  );

  test('a part that leaves by what it says itself leaves where it says so', () => {
    const row = repeated({ max: 2 }, { ...left, leaves: { expr: 'place.count === 0' } });
    expect(drawn(row, { places })).toMatchObject({ 'left.leaves': true, 'left·2.leaves': false });
  });

  test('an element that is called like a field hides it; names that every object has are only names', () => {
    const row = repeated({ as: 'name', max: 1 }, { ...town, text: { expr: 'name.town' } });
    expect(drawn(row, { name: 'Loom', places })).toMatchObject({ 'town.text': 'Ousby' });
    const odd = repeated(
      { as: '__proto__', max: 1 },
      { ...town, text: { expr: '__proto__.town' } },
    );
    expect(drawn(odd, { places })).toMatchObject({ 'town.text': 'Ousby' });
  });

  test('what is wrong in it is told once, where it was written', () => {
    const wrong = compiled(repeated({}, { ...town, text: { expr: 'place.twon' } })).findings;
    expect(wrong).toMatchObject([{ place: { part: 'town', property: 'text' } }]);
    const noList = compiled(repeated({ over: { expr: 'name' } }, town)).findings;
    expect(noList[0]).toMatchObject({
      ...{ code: 'value-unfit', place: { part: 'places', property: 'over' } },
    });
  });
});

test('a name for elements leads back to the list: what reads through it is known', () => {
  const row = repeated({}, town);
  const params = elementPaths(row).get('town');
  expect(pathsRead('place.town', params)).toEqual([['places', '[]', 'town']]);
  expect(pathsRead('name + place.town', params)).toEqual([['name'], ['places', '[]', 'town']]);
  expect(renameStep('place.town', ['places', '[]', 'town'], 'where', params)).toBe('place.where');
  // A field that is called like the elements is not what they are.
  expect(renameStep('place.town', ['place'], 'spot', params)).toBe('place.town');
  expect(elementPaths(row).has('places')).toBe(false);
});

test('a repeated stack that is left with one part goes on repeating it', () => {
  const row = removePart(repeated({}, town, left), 'left');
  expect(row.children[0]).toMatchObject({ part: 'stack', over: { expr: 'places' } });
  expect(removePart(row, 'town').children).toEqual([]);
});
