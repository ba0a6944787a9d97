import { expect, test } from 'vitest';
import { openShop } from '../../tests/support/shop';
import { inTurns } from '../core/base';
import { ByExample } from './by-example';

const many = Array.from({ length: 12_000 }, (_, at) => ({
  id: `p-${at}`,
  name: at % 2 === 0 ? 'Lace' : 'Sock',
  ...(at % 3 === 0 && { price: at }),
}));

test('missing values are counted for each proposal, in turns, over all items', async () => {
  const { engine, type } = openShop(many);
  let pauses = 0;
  const pause = async () => {
    pauses += 1;
  };
  const exprs = [['name'], ['name', 'price'], []];
  const counts = await inTurns(new ByExample(engine).missing({ type: type(), exprs }), pause);
  expect([counts, pauses]).toEqual([[0, 8_000, 0], 2]);
});

test('words for an item of many are proposed, and told apart on others', () => {
  const { engine, type } = openShop(many);
  const answer = new ByExample(engine).propose({
    type: type(),
    examples: [{ item: 0, text: 'p-0: Lace' }],
  });
  expect(answer.proposals[0]?.expr).toBe('`${id}: ${name}`');
  expect(answer.rows.every(({ item, texts }) => item % 60 === 0 && texts.length > 0)).toBe(true);
});
