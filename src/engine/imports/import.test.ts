import { describe, expect, test } from 'vitest';
import { never, openShop, shop } from '../../../tests/support/shop';
import { atOnce } from '../../core/base';
import { type Item, infer } from '../../core/items';
import { edits } from '../../core/project';
import { EngineImport } from './import';

function open(items?: readonly Item[]) {
  const opened = openShop(items);
  return { ...opened, imports: new EngineImport(opened.engine) };
}

const readOf = (items: readonly Item[]) =>
  ({
    read: { format: 'json', at: '$[*]', items, findings: [] },
    inference: atOnce(infer(items, 'stock')),
  }) as const;

describe('importing again', () => {
  test('says what was added, changed, removed and left, and undo takes it back', () => {
    const { imports, source, make, names, backTo } = open();
    const later = [
      { ...shop[0], name: 'Merino lace' },
      shop[2] ?? {},
      { id: 'd', name: 'Cobweb', made: '26.03.2026', price: '27,00' },
    ];
    const summary = imports.importAgain(source(), 'later.json', readOf(later), 'replace');
    expect(summary).toMatchObject({
      addedCount: 1,
      changedCount: 1,
      removedCount: 1,
      unchangedCount: 1,
      added: ['d'],
      changed: [{ key: 'a', fields: ['name'] }],
      removed: ['b'],
    });
    const { revision, from, found } = summary;
    const before = make(edits.importAgain('stock', { revision: revision ?? never(), from, found }));
    expect(names()).toEqual(['Merino lace', 'Slub', 'Cobweb']);
    backTo(before);
    expect(names()).toEqual(['Lace', 'Sock', 'Slub']);
  });

  test('the same items again write nothing', () => {
    const { imports, source } = open();
    const again = shop.map((item) => ({ ...item }));
    const summary = imports.importAgain(source(), 'stock.json', readOf(again), 'replace');
    expect(summary.revision).toBeUndefined();
    expect(summary.unchangedCount).toBe(3);
  });

  test('a key that repeats is listed', () => {
    const { imports, source } = open();
    const twice = [...shop, { id: 'a', name: 'Lace too' }];
    const { findings, repeated } = imports.importAgain(
      source(),
      'stock.json',
      readOf(twice),
      'replace',
    );
    expect(findings).toMatchObject([{ code: 'key-repeats' }]);
    expect(repeated).toEqual(['a']);
  });

  test('asks first where no key matches or most items would go, and does nothing before', () => {
    const goods = Array.from({ length: 9 }, (_, at) => ({ id: `g${at}`, name: `Good ${at}` }));
    const { imports, source, names } = open(goods);
    const others = goods.map((item) => ({ ...item, id: `x${item.id}` }));
    for (const later of [others, goods.slice(0, 4)]) {
      const summary = imports.importAgain(source(), 'later.json', readOf(later), 'ask');
      expect(summary).toMatchObject({ isAsked: true, revision: undefined });
      expect(names()).toEqual(goods.map(({ name }) => name));
    }
    const most = imports.importAgain(source(), 'later.json', readOf(goods.slice(0, 5)), 'ask');
    expect(most).toMatchObject({ isAsked: false, removedCount: 4 });
  });

  test('adds and updates, and keeps what did not come again', () => {
    const { imports, source, make, names } = open();
    const later = [
      { ...shop[0], name: 'Merino lace' },
      { id: 'd', name: 'Cobweb' },
    ];
    const summary = imports.importAgain(source(), 'later.json', readOf(later), 'add and update');
    expect(summary).toMatchObject({
      ...{ addedCount: 1, changedCount: 1, removedCount: 0, unchangedCount: 2 },
      isAsked: false,
    });
    const { revision, from, found } = summary;
    make(edits.importAgain('stock', { revision: revision ?? never(), from, found }));
    expect(names()).toEqual(['Merino lace', 'Sock', 'Slub', 'Cobweb']);
  });

  test('a file or another source is a set, if it is of the same types', () => {
    const { imports, engine, source, make } = open();
    const others = [{ id: 'z', name: 'Zephyr', made: '01.02.2026', price: '3,00' }];
    const set = imports.asSet(source(), 'more', readOf(others));
    make(edits.addSet('stock', 'more', 'more', set ?? never()));
    engine.showSet('stock', 'more');
    expect(engine.heldIn('stock').map(({ name }) => name)).toEqual(['Zephyr']);
    expect(imports.asSet(source(), 'odd', readOf([{ town: 'Ings', lat: 3 }]))).toBeUndefined();
  });

  test('without a key items are told apart by what they are', () => {
    const { imports, source, make } = open();
    make(edits.setKey('stock', null));
    const later = [shop[1] ?? {}, shop[0] ?? {}, { ...shop[2], name: 'Linen slub' }];
    expect(imports.importAgain(source(), 'stock.json', readOf(later), 'replace')).toMatchObject({
      addedCount: 1,
      removedCount: 1,
      unchangedCount: 2,
    });
  });
});

describe('items that keep coming', () => {
  const inferred = (items: readonly Item[]) => ({
    items,
    inference: atOnce(infer(items, 'stock')),
  });

  test('take the place of those that were there, and undo of an edit does not take them back', () => {
    const { imports, source, make, names, backTo } = open();
    const before = make(edits.renameSource('stock', 'Shelves'));
    const later = [...shop.slice(1), { ...shop[0], id: 'd', name: 'Cobweb' }];
    expect(imports.keepUp(source(), inferred(later))).toMatchObject({
      addedCount: 1,
      removedCount: 1,
      isChanged: true,
    });
    backTo(before);
    expect(names()).toEqual(['Sock', 'Slub', 'Cobweb']);
  });

  test('are left alone where nothing changed', () => {
    const { imports, source, engine } = open();
    const before = engine.heldIn('stock');
    expect(imports.keepUp(source(), inferred([...shop]))).toMatchObject({ isChanged: false });
    expect(engine.heldIn('stock')).toBe(before);
  });

  test('that are all gone take nothing from what is known of the types', () => {
    const { imports, source, make, project, names } = open();
    const before = project();
    const { found } = imports.keepUp(source(), inferred([]));
    expect(names()).toEqual([]);
    make(edits.typesGrow('stock', found));
    expect(project()).toBe(before);
  });

  test('bring new fields to the types, once', () => {
    const { imports, source, make, project } = open();
    const { found } = imports.keepUp(
      source(),
      inferred(shop.map((item) => ({ ...item, dye: 'woad' }))),
    );
    make(edits.typesGrow('stock', found));
    expect(project().types[0]?.fields.map((field) => field.name)).toContain('dye');
    const grown = project();
    make(edits.typesGrow('stock', found));
    expect(project()).toBe(grown);
  });

  test('come as events by key: what they bring is looked at, the rest stays as it is', () => {
    const { imports, source, make, project, names } = open();
    const came = imports.takeEvents(source(), [
      { name: 'changed', data: JSON.stringify({ ...shop[1], name: 'Sock yarn', dye: 'weld' }) },
      { name: 'removed', data: '"a"' },
      { name: 'added', data: JSON.stringify({ ...shop[0], id: 'd', name: 'Cobweb' }) },
    ]);
    expect(came).toMatchObject({
      addedCount: 1,
      changedCount: 1,
      removedCount: 1,
      ignoredCount: 0,
    });
    expect(names()).toEqual(['Sock yarn', 'Slub', 'Cobweb']);
    make(edits.typesGrow('stock', came.found));
    expect(project().types[0]?.fields.find((field) => field.name === 'dye')).toMatchObject({
      type: 'text',
      required: false,
    });
  });

  test('of merged types stay of one type, whatever would tell them apart', () => {
    const mixed = Array.from({ length: 20 }, (_, at) =>
      at % 2 === 0
        ? { id: `y${at}`, kind: 'yarn', metres: 400, fibre: 'wool' }
        : { id: `t${at}`, kind: 'tool', sizeMm: 4, material: 'birch' },
    );
    const { imports, source, make, project } = open(mixed);
    expect(project().types).toHaveLength(2);
    make(edits.mergeTypes('stock'));
    const { found } = imports.keepUp(source(), inferred(mixed.slice(1)));
    make(edits.typesGrow('stock', found));
    expect(project().types).toHaveLength(1);
  });
});
