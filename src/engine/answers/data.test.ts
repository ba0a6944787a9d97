import { describe, expect, test } from 'vitest';
import { everything, never, openShop, quiet, shop } from '../../../tests/support/shop';
import { atOnce } from '../../core/base';
import { type Item, infer } from '../../core/items';
import { draftSource, edits, idsIn, ownSet } from '../../core/project';
import { EngineData } from './data';
import { plainLook } from './table';

function open(items?: readonly Item[]) {
  const opened = openShop(items);
  return { ...opened, data: new EngineData(opened.engine) };
}

describe('decoding', () => {
  const made = { source: 'stock', type: undefined, path: ['made'] };

  test('is tried on all values before it is kept: what fails is counted, with the reason', () => {
    const trial = open().data.readings.tryDecoding(made, { pattern: 'dd.MM.yyyy' });
    expect(trial).toMatchObject({ gives: 'date', triedCount: 3, failCount: 1 });
    expect(trial.samples[0]).toEqual({ raw: '24.03.2026', value: '2026-03-24' });
    expect(trial.fails[0]).toMatchObject({ item: 2, raw: 'in spring' });
  });

  test('a slip in the pattern is said in words', () => {
    const { slips } = open().data.readings.tryDecoding(made, { pattern: 'dd.mm.yyyy' });
    expect(slips.length).toBe(1);
    expect(open().data.readings.tryDecoding(made, { pattern: "dd.MM 'open" }).wrong).toMatch(/./);
  });

  test('is proposed from the values', () => {
    expect(open().data.readings.proposals(made)[0]?.decoding).toEqual({ pattern: 'dd.MM.yyyy' });
    const price = { ...made, path: ['price'] };
    expect(open().data.readings.proposals(price)[0]?.decoding).toEqual({ decimal: ',' });
  });

  test('is offered for all fields at once, with what is left to be said; never for what a person said', async () => {
    const items = [
      { no: 'a', day: '03/02/2026', born: '2 Mar 2020', fee: '1.234,5', kept: 'ja', words: 'x' },
      { no: 'b', day: '05/06/2026', born: '9 May 2021', fee: '—', kept: 'nein', words: '2' },
      { no: 'c', day: '07/08/2026', born: 'in spring', fee: '3,25', kept: 'ja', words: 'y' },
    ];
    const { data, make, type } = open(items);
    const pause = async () => {};
    const found = await data.readings.betterReadings('stock', undefined, pause);
    const ways = found.map(({ path, ways: own, readCount, valueCount }) => [
      path.join('.'),
      own.map(({ gives }) => gives).join(' '),
      `${readCount} of ${valueCount}`,
    ]);
    expect(ways).toEqual([
      ['day', 'date date', '3 of 3'],
      ['born', 'date', '2 of 3'],
      ['fee', 'number', '3 of 3'],
      ['kept', 'boolean', '3 of 3'],
    ]);
    const fee = found[2]?.ways[0]?.decoding;
    expect(fee).toEqual({ decimal: ',', none: ['—'] });
    if (fee !== undefined) make(edits.decodeField({ type: type(), path: ['fee'] }, fee));
    make(edits.retypeField({ type: type(), path: ['day'] }, 'text'));
    const left = await data.readings.betterReadings('stock', undefined, pause);
    expect(left.map(({ path }) => path.join('.'))).toEqual(['born', 'kept']);
    expect(
      data.rows('stock', plainLook, { from: 0, to: 3 }).rows.map(({ item }) => item['fee']),
    ).toEqual([1234.5, null, 3.25]);
  });

  test('changes the rows, not the items that were read; after a rename too', () => {
    const { engine, make, type, data, project } = open();
    make(edits.decodeField({ type: type(), path: ['made'] }, { pattern: 'dd.MM.yyyy' }));
    make(edits.renameField({ type: type(), path: ['made'] }, 'dyed on'));
    expect(engine.heldIn('stock').map((item) => item['dyed on'])).toEqual([
      '2026-03-24',
      '2026-03-25',
      undefined,
    ]);
    expect(engine.itemsOf(project()).get('stock')).toBe(shop);
    const trial = data.readings.tryDecoding(
      { ...made, path: ['dyed on'] },
      { pattern: 'dd.MM.yyyy' },
    );
    expect(trial.triedCount).toBe(3);
    expect(engine.surveyNow().findings).toMatchObject([
      { code: 'not-decoded', place: { item: 2 } },
    ]);
  });
});

describe('another type for a field', () => {
  const price = { source: 'stock', type: undefined, path: ['price'] };

  test('is tried before it is made: values that are none of it are counted, with ways to read them', () => {
    const { lost, valueCount, ways } = open().data.readings.tryType(price, 'number');
    expect(lost).toMatchObject({ code: 'field-of-other-type', place: { item: 0, field: 'price' } });
    expect(lost?.message).toContain('3 items of stock have something else');
    expect([valueCount, ways]).toEqual([3, [{ decoding: { decimal: ',' }, readCount: 3 }]]);
    expect(open().data.readings.tryType(price, 'text')).toEqual({
      valueCount: 3,
      lost: undefined,
      ways: [],
    });
  });
});

describe('the table', () => {
  test('tells a value that could not be read from one that is missing', () => {
    const items = [
      { id: 'a', at: { made: '24.03.2026' } },
      { id: 'b', at: { made: 'in spring' } },
      { id: 'c', at: { made: '' } },
      { id: 'd', at: {} },
    ];
    const { data, make, type } = open(items);
    make(edits.decodeField({ type: type(), path: ['at', 'made'] }, { pattern: 'dd.MM.yyyy' }));
    const { rows } = data.rows('stock', plainLook, { from: 0, to: 4 });
    expect(rows.map(({ unread }) => unread)).toEqual([
      [],
      [{ path: ['at', 'made'], raw: 'in spring' }],
      [],
      [],
    ]);
  });

  test('shows items as the type wants them, in the order that is asked for', () => {
    const { data, make, type } = open();
    make(edits.decodeField({ type: type(), path: ['price'] }, { decimal: ',' }));
    const look = { ...plainLook, sort: { path: ['price'], isDescending: false } };
    const { count, rows } = data.rows('stock', look, { from: 0, to: 2 });
    expect([count, rows.map((row) => [row.position, row.item['price']])]).toEqual([
      3,
      [
        [1, 9],
        [2, 12],
      ],
    ]);
  });

  test('gives evidence over all items of the type that is asked for', async () => {
    const mixed: readonly Item[] = [
      { id: '1', kind: 'skein', grams: 100, wool: true },
      { id: '2', kind: 'tool', wood: 'ash' },
      { id: '3', kind: 'skein', grams: 50, wool: true },
      { id: '4', kind: 'tool', wood: 'oak' },
    ];
    const { data } = open(mixed);
    const asked = { source: 'stock', path: ['grams'] };
    expect(await data.evidence({ ...asked, type: undefined }, quiet)).toMatchObject({
      itemCount: 2,
      presentCount: 2,
    });
    expect(await data.evidence({ ...asked, path: ['nothing'], type: undefined }, quiet)).toBe(
      undefined,
    );
  });
});

describe('another source', () => {
  const makers: readonly Item[] = [
    { id: 'a', town: 'Ousby' },
    { id: 'b', town: 'Ings' },
  ];

  test('is looked into by key: its own items, its other set, after undo', () => {
    const { engine, make, project, data } = open();
    const draft = draftSource(idsIn(project()), {
      file: 'makers.json',
      read: { format: 'json', at: '$[*]', items: makers },
      inference: atOnce(infer(makers, 'makers')),
    });
    engine.hold('makers', makers);
    make(edits.addSource(draft));
    const place = { template: 'stock-plain', part: 'title', property: 'text' } as const;
    make(edits.bind(place, { expr: 'lookup("makers", id).town', else: 'nowhere' }));
    const words = () => engine.view(everything).entries.map((entry) => entry.values[0]);
    expect(words()).toEqual(['Ousby', 'Ings', 'nowhere']);
    const revision = data.change('makers', 'moved', {
      kind: 'value',
      position: 0,
      path: ['town'],
      value: 'Garth',
    });
    make(edits.addSet('makers', 'moved', 'Moved', revision));
    engine.showSet('makers', 'moved');
    expect(words()).toEqual(['Garth', 'Ings', 'nowhere']);
    make(edits.setKey('makers', null));
    expect(engine.view(everything).findings).toMatchObject([{ code: 'source-without-key' }]);
  });
});

describe('sets', () => {
  test('nothing is made where there is no item to make others like', async () => {
    const { data, source, engine } = open();
    engine.hold('stock', []);
    const made = await data.make(source(), { set: 'many', count: 5, seed: 7, rules: {} }, quiet);
    expect(made).toMatchObject({ ok: false, error: { code: 'nothing-made' } });
  });

  test('made up items stand beside the source’s own and are switched to', async () => {
    const { data, engine, source, make, names } = open();
    const made = await data.make(
      source(),
      { set: 'many', count: 5_000, seed: 7, rules: {} },
      quiet,
    );
    if (!made.ok) throw new Error(made.error.message);
    make(edits.addSet('stock', 'many', 'Many', made.value));
    expect(names().length).toBe(3);
    engine.showSet('stock', 'many');
    expect(names().length).toBe(5_000);
    engine.showSet('stock', ownSet);
    expect(names()).toEqual(['Lace', 'Sock', 'Slub']);
  });

  test('the same seed makes the same items', async () => {
    const [one, other] = [open(), open()];
    for (const { data, source, make } of [one, other]) {
      const made = await data.make(source(), { set: 'many', count: 50, seed: 7, rules: {} }, quiet);
      make(edits.addSet('stock', 'many', 'Many', made.ok ? made.value : never()));
    }
    expect(one.engine.itemsOf(one.project()).get('stock/many')).toEqual(
      other.engine.itemsOf(other.project()).get('stock/many'),
    );
  });

  test('nothing can be made like nothing', async () => {
    const { data, engine, source } = open();
    engine.hold('stock', []);
    expect(
      await data.make(source(), { set: ownSet, count: 5, seed: 1, rules: {} }, quiet),
    ).toMatchObject({
      ok: false,
    });
  });

  test('the nasty ones can all be shown', () => {
    const { data, engine, source, make } = open();
    make(edits.addSet('stock', 'nasty', 'Nasty', data.nasty(source(), 'nasty')));
    engine.showSet('stock', 'nasty');
    const { entries } = engine.view(everything);
    expect(entries.length).toBeGreaterThan(8);
    expect(new Set(entries.map((entry) => entry.key)).size).toBe(entries.length);
  });
});

describe('items that are typed', () => {
  test('are changed one by one, with undo to each', () => {
    const { data, make, names, backTo } = open();
    const change = (value: string) =>
      data.change('stock', ownSet, { kind: 'value', position: 0, path: ['name'], value });
    const first = make(edits.itemsChanged('stock', change('Lace 1'), 'name'));
    const second = make(edits.itemsChanged('stock', change('Lace 2'), 'name'));
    expect(names()[0]).toBe('Lace 2');
    backTo(second);
    expect(names()[0]).toBe('Lace 1');
    backTo(first);
    expect(names()[0]).toBe('Lace');
  });
});
