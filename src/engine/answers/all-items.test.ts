import { expect, test } from 'vitest';
import { openShop } from '../../../tests/support/shop';
import { atOnce, inTurns } from '../../core/base';
import { successionOf } from '../../core/items';
import { edits } from '../../core/project';
import { AllItems } from './all-items';

const many = Array.from({ length: 12_000 }, (_, at) => ({
  id: `p-${at}`,
  ...(at < 6_000 ? { kind: 'yarn', grams: 50 } : { kind: 'tool', material: 'ash' }),
  name: at % 2 === 0 ? 'Lace' : 'Sock',
  ...(at % 3 === 0 && { price: at }),
}));

test('missing values are counted for each proposal, in turns, over all items', async () => {
  const { engine, type } = openShop(
    many.map(({ id, name, price }) => ({ id, name, ...(price !== undefined && { price }) })),
  );
  let pauses = 0;
  const pause = async () => {
    pauses += 1;
  };
  const exprs = [['name'], ['name', 'price'], []];
  const counts = await inTurns(new AllItems(engine).missing({ type: type(), exprs }), pause);
  expect([counts, pauses > 2]).toEqual([[0, 8_000, 0], true]);
});

test('what an expression gives over the items of a type, by their places in the source', () => {
  const { engine, project } = openShop(many);
  const all = new AllItems(engine);
  const tool = project().types.find(({ value }) => value === 'tool')?.id ?? '';
  const spread = (expr: string) => atOnce(all.spread({ type: tool, expr }));
  expect(spread('price * 2')).toEqual({
    itemCount: 6_000,
    missingCount: 4_000,
    firstMissing: 6_001,
    ends: {
      measure: 'number',
      smallest: { value: 12_000, item: 6_000 },
      largest: { value: 23_994, item: 11_997 },
    },
  });
  expect(spread('price > 9000')?.ends).toEqual({
    measure: 'truth',
    trueCount: 999,
    firstTrue: 9_003,
    firstFalse: 6_000,
  });
  expect(spread('index')?.ends).toMatchObject({ smallest: { value: 6_000, item: 6_000 } });
  expect(spread('lookup("stock", id)?.name')).toMatchObject({
    missingCount: 0,
    ends: { measure: 'chars', smallest: { value: 'Lace', item: 6_000 } },
  });
  expect(spread('nothing')).toBeUndefined();
});

test('columns are made anew when items or the type change', () => {
  const { engine, type, make } = openShop([{ id: 'a', price: 1 }]);
  const all = new AllItems(engine);
  const largest = (expr: string, without?: string) => {
    const ends = atOnce(all.spread({ type: type(), expr, without }))?.ends;
    return ends?.measure === 'number' ? ends.largest.value : undefined;
  };
  expect(largest('price')).toBe(1);
  engine.replaceLive(
    'stock',
    successionOf(
      [],
      [
        { id: 'b', price: 7 },
        { id: 'a', price: 1 },
      ],
    ),
  );
  expect(largest('price')).toBe(7);
  make(edits.addComputed(type(), 'double', 'price * 2'));
  expect(largest('double')).toBe(14);
  expect(largest('double', 'double')).toBeUndefined();
});
