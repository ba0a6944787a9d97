import { describe, expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, quiet } from '../../tests/support/shop';
import { atOnce } from '../core/base';
import { type Item, infer } from '../core/items';
import { edits, makeProject } from '../core/project';
import { EngineData } from './answers';
import { Engine } from './engine';

const items: readonly Item[] = Array.from({ length: 5 }, (_, at) => ({
  id: `s-${at}`,
  name: `Skein ${at}`,
  ...(at !== 3 && { grams: at * 10 }),
}));
const project = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items },
  atOnce(infer(items, 'stock')),
);
const [template] = project.templates;
const row = { template: template?.id ?? '', part: template?.row.id ?? '' };
const acting = edited(
  project,
  edits.addAction({ id: 'open' }),
  edits.addAction({ id: 'weigh', when: 'grams > 10', payload: { expr: '`${grams} g`' } }),
  edits.addAction({
    ...{ id: 'keep', payload: 'key' },
    effect: { does: 'write', field: 'grams', value: 'grams + 1' },
  }),
  edits.set({ ...row, property: 'tap' }, 'open'),
  edits.set({ ...row, property: 'menu' }, 'weigh keep nobody'),
);

function engineFor(): Engine {
  const engine = new Engine({ pause: quiet, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', items);
  engine.update(acting, everything);
  return engine;
}

const answer = (key: string, gesture: 'tap' | 'menu') =>
  engineFor().answerTo({ ...row, key, gesture });

test('what is done to an item is done to it wherever it is by then, and to no other once it is gone', () => {
  const engine = engineFor();
  const data = new EngineData(engine);
  const { at } = engine.answerTo({ ...row, key: 's-2', gesture: 'tap' });
  if (at === undefined) throw new Error('it is nowhere');
  data.change('stock', '', { kind: 'remove', positions: [0] });
  expect(data.changeOf(at, { kind: 'value', path: ['grams'], value: 7 })).toBeTypeOf('number');
  expect(engine.heldIn('stock').map(({ id, grams }) => [id, grams])).toEqual([
    ...[
      ['s-1', 10],
      ['s-2', 7],
      ['s-3', undefined],
      ['s-4', 40],
    ],
  ]);
  expect(data.changeOf(at, { kind: 'remove' })).toBeTypeOf('number');
  expect(data.changeOf(at, { kind: 'remove' })).toBe(undefined);
  expect(engine.heldIn('stock')).toHaveLength(3);
});

test('an action that hands nothing over for some items is told, with how many', () => {
  const engine = engineFor();
  const told = () => engine.surveyNow().findings.filter(({ code }) => code.startsWith('event.'));
  expect(told()).toEqual([]);
  engine.update(
    edited(acting, edits.changeAction('weigh', { when: undefined, payload: { expr: 'grams' } })),
    everything,
  );
  expect(told()).toMatchObject([
    {
      code: 'event.payload',
      place: { property: 'menu' },
      message: expect.stringContaining('1 item'),
    },
  ]);
});

describe('a gesture on a row', () => {
  test('hands over the whole item, unless its action says otherwise', () => {
    expect(answer('s-2', 'tap')).toMatchObject({
      at: { source: 'stock', set: '', key: 's-2' },
      raised: [{ action: { id: 'open' }, isAllowed: true, payload: items[2] }],
    });
    expect(answer('s-2', 'menu').raised).toMatchObject([
      { action: { id: 'weigh' }, isAllowed: true, payload: '20 g', payloadType: 'text' },
      { action: { id: 'keep' }, isAllowed: true, payload: 's-2', written: 21 },
    ]);
  });

  test('is not allowed where its condition does not hold, and says if there is nothing to hand over', () => {
    expect(answer('s-1', 'menu').raised[0]).toMatchObject({ isAllowed: false, payload: '10 g' });
    const [weigh, keep] = answer('s-3', 'menu').raised;
    expect([weigh?.isAllowed, keep?.written]).toEqual([false, undefined]);
  });

  test('of an item that is gone meanwhile says so', () => {
    expect(answer('nobody', 'tap')).toMatchObject({
      at: undefined,
      raised: [{ action: { id: 'open' }, payload: undefined }],
    });
    const engine = engineFor();
    expect(
      engine.answerTo({ ...row, key: 's-1', gesture: 'tap', template: 'gone' }).raised,
    ).toEqual([]);
  });
});
