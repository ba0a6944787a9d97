import { describe, expect, test } from 'vitest';
import type { Json } from '../../core/base';
import type { Item } from '../../core/items';
import type { Field } from '../../core/values';
import {
  type BlockColumn,
  type ItemChange,
  changedItems as succession,
  valueTyped,
} from './changes';

const changedItems = (before: readonly Item[], change: ItemChange) =>
  succession(before, change).items;

const items: readonly Item[] = [
  { id: 'a', grams: 100, maker: { town: 'Ousby' } },
  { id: 'b', grams: 50 },
];

describe('a change by hand', () => {
  test('puts a value in, inside records too, and leaves the rest as it is', () => {
    const changed = changedItems(items, {
      kind: 'value',
      position: 1,
      path: ['maker', 'town'],
      value: 'Ings',
    });
    expect(changed).toEqual([items[0], { id: 'b', grams: 50, maker: { town: 'Ings' } }]);
    expect(changed[0]).toBe(items[0]);
  });

  test('takes a value away', () => {
    expect(
      changedItems(items, { kind: 'value', position: 0, path: ['grams'], value: undefined })[0],
    ).toEqual({ id: 'a', maker: { town: 'Ousby' } });
  });

  test('has names for names, whatever they are', () => {
    const changed = changedItems(items, {
      kind: 'value',
      position: 0,
      path: ['__proto__'],
      value: 'x',
    });
    expect(Object.keys(changed[0] ?? {})).toContain('__proto__');
    expect(Object.getPrototypeOf(changed[0])).toBe(Object.prototype);
  });

  test('adds, removes and empties', () => {
    const added = changedItems(items, { kind: 'add', at: 1, items: [{ id: 'x' }] });
    expect(added.map((item) => item['id'])).toEqual(['a', 'x', 'b']);
    expect(changedItems(added, { kind: 'remove', positions: [0, 2] })).toEqual([{ id: 'x' }]);
    expect(changedItems(items, { kind: 'empty' })).toEqual([]);
  });

  test('of an item that is not there changes nothing', () => {
    expect(changedItems(items, { kind: 'value', position: 7, path: ['id'], value: 'z' })).toEqual(
      items,
    );
  });

  test('a pasted block fills cells from its corner on and adds rows past the end', () => {
    const columns: readonly BlockColumn[] = [
      {
        path: ['grams'],
        field: { name: 'weight', from: 'grams', type: 'integer', required: true },
      },
      undefined,
      { path: ['id'], field: { name: 'id', type: 'text', required: true } },
      { path: ['maker', 'town'], field: { name: 'town', type: 'text', required: false } },
    ];
    const cells = [
      ['75', 'goes nowhere', 'b2'],
      ['20', '', 'c', 'Ings', 'past the last column'],
    ];
    const base = { kind: 'skein' };
    expect(changedItems(items, { kind: 'block', positions: [1], columns, cells, base })).toEqual([
      items[0],
      { id: 'b2', grams: 75 },
      { kind: 'skein', grams: 20, id: 'c', maker: { town: 'Ings' } },
    ]);
  });
});

describe('what is typed into a cell', () => {
  test.each<[string, Field['type'], Json | undefined]>([
    ['12', 'integer', 12],
    ['12,5', 'number', 12.5],
    ['about 12', 'number', 'about 12'],
    [' ', 'number', ' '],
    ['Yes', 'boolean', true],
    ['0', 'boolean', false],
    ['perhaps', 'boolean', 'perhaps'],
    ['012', 'text', '012'],
    ['{"a":1}', 'record', { a: 1 }],
    ['[1,', 'list', '[1,'],
    ['', 'integer', undefined],
  ])('%j as %s', (text, type, value) => {
    expect(valueTyped(text, { name: 'x', required: true, type } as Field)).toEqual(value);
  });

  test('nothing is an empty text only where a text is required', () => {
    const field = { name: 'x', type: 'text' } as const;
    expect(valueTyped('', { ...field, required: true })).toBe('');
    expect(valueTyped('', { ...field, required: false })).toBeUndefined();
  });

  test('stays as it was typed where it is decoded', () => {
    const decode = { decimal: ',' } as const;
    expect(valueTyped('1,5', { name: 'x', required: true, type: 'number', decode })).toBe('1,5');
  });
});
