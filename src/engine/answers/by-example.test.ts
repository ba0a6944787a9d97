import { expect, test } from 'vitest';
import { openShop } from '../../../tests/support/shop';
import { ByExample } from './by-example';

const many = Array.from({ length: 12_000 }, (_, at) => ({
  id: `p-${at}`,
  name: at % 2 === 0 ? 'Lace' : 'Sock',
}));

test('words for an item of many are proposed, and told apart on others', () => {
  const { engine, type } = openShop(many);
  const answer = new ByExample(engine).propose({
    type: type(),
    examples: [{ item: 0, text: 'p-0: Lace' }],
  });
  expect(answer.proposals[0]?.expr).toBe('`${id}: ${name}`');
  expect(answer.rows.every(({ item, texts }) => item % 60 === 0 && texts.length > 0)).toBe(true);
});

test('words that follow no common rule: what gives the first is shown, and what it gives for the others', () => {
  const { engine, type } = openShop(many);
  const answer = new ByExample(engine).propose({
    type: type(),
    examples: [
      { item: 0, text: 'p-0: Lace' },
      { item: 1, text: 'quite another' },
    ],
  });
  expect([answer.proposals, answer.isTwoRules]).toEqual([[], true]);
  expect(answer.nearest).toMatchObject({
    proposal: { expr: '`${id}: ${name}`' },
    misses: [{ item: 1, wanted: 'quite another', text: 'p-1: Sock' }],
  });
});
