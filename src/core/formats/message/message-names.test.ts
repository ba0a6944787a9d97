import { parseCST } from 'messageformat/cst';
import { describe, expect, test } from 'vitest';
import { readsField, renamedInFormat } from '../dates/fields';
import { messageNames } from './message-names';

const messages = [
  '{$value :number} of {$name}',
  'costs $price, {$price}',
  '.input {$value :number} .match $value 0 {{none of $value}} * {{{$value} left \\{$x\\} {$y}}}',
  '.local $full = {|$name is quoted| :string} {{{$full} and {$name :string opt=$other}}}',
  '{{ {$a-b.c :date length=long} }}',
  '{|\\|$no| :string}{$yes}',
  '',
  'no variables',
];

/** All variables of the package's own tree, by their places. */
function variablesIn(node: unknown): number[] {
  if (typeof node !== 'object' || node === null) return [];
  if (Array.isArray(node)) return node.flatMap(variablesIn);
  const isVariable = 'type' in node && node.type === 'variable' && 'start' in node;
  const own = isVariable && typeof node.start === 'number' ? [node.start + 1] : [];
  return [...own, ...Object.values(node).flatMap(variablesIn)];
}

test.each(messages)('finds the variables of %j where the package finds them', (message) => {
  const places = messageNames(message).map(({ from }) => from);
  expect(places).toEqual([...new Set(variablesIn(parseCST(message)))].sort((a, b) => a - b));
});

describe('a field under another name', () => {
  const left = { as: 'message', message: '{$stock} of {$value}, $stock' } as const;
  const money = { as: 'money', currency: { expr: 'shop.currency' } } as const;

  test('is read under it by messages and by options from the item', () => {
    expect(renamedInFormat(left, ['stock'], 'inStock').message).toBe(
      '{$inStock} of {$value}, $stock',
    );
    expect(renamedInFormat(money, ['shop', 'currency'], 'code').currency).toEqual({
      expr: 'shop.code',
    });
  });

  test('is only what the format reads of the item itself', () => {
    expect([readsField(left, ['stock']), readsField(left, ['value'])]).toEqual([true, false]);
    expect([readsField(money, ['shop']), readsField(money, ['code'])]).toEqual([true, false]);
    expect(renamedInFormat(left, ['value'], 'amount')).toEqual(left);
  });
});
