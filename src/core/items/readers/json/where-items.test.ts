import { expect, test } from 'vitest';
import type { Json } from '../../../base';
import { likeliestPlace } from './where-items';

const town = (name: string, tags: readonly string[] = []) => ({ name, size: 3, tags });
const many = <T extends Json>(count: number, of: (at: number) => T): T[] =>
  Array.from({ length: count }, (_, at) => of(at));

test.each<[string, Json, string | undefined]>([
  ['a list at the root', [town('a'), town('b')], '$[*]'],
  ['a list in a record', { type: 'all', found: [town('a'), town('b')] }, '$.found[*]'],
  [
    'records by their names, though a list in one of them is longer',
    { AT: town('a', ['x', 'y', 'z', 'u', 'v']), BE: town('b', ['x']), CH: town('c') },
    '$[*]',
  ],
  [
    'the same deeper, beside what is said of it',
    { about: { name: 'towns', made: 2026 }, data: { AT: town('a'), BE: town('b'), CH: town('c') } },
    '$.data[*]',
  ],
  [
    'the longer list beside a shorter',
    { notes: [{ by: 'me' }, { by: 'you' }], towns: many(20, () => town('a')) },
    '$.towns[*]',
  ],
  ['plain values under many names', Object.fromEntries(many(30, (at) => [`k${at}`, at])), '$[*]'],
  ['a list in a list of one', { all: [{ towns: many(9, () => town('a')) }] }, '$.all[0].towns[*]'],
  ['one record', { name: 'a', street: 'b', size: 3, tags: ['x'] }, undefined],
  [
    'one record with two records in it',
    { from: { name: 'a' }, to: { at: 'b', by: 'c' } },
    undefined,
  ],
])('%s', (_, document, at) => {
  expect(likeliestPlace(document)?.best.at).toBe(at);
});

test('the others are offered too, those that hold more first', () => {
  const document = { few: many(2, () => town('a')), many: many(20, () => town('b')), none: [] };
  expect(likeliestPlace(document)?.all).toEqual([
    { at: '$.many[*]', count: 20 },
    { at: '$.few[*]', count: 2 },
  ]);
});

test('a document of many records with lists in them takes no longer than a look at each value', () => {
  const document = Object.fromEntries(
    many(20_000, (at) => [`k${at}`, { ...town('a'), parts: many(5, () => ({ a: { b: [1] } })) }]),
  );
  expect(likeliestPlace(document)?.best).toEqual({ at: '$[*]', count: 20_000 });
});
