import fc from 'fast-check';
import { expect, test } from 'vitest';
import { bitsOf } from './markup';

const looks = (text: string) => bitsOf(text).map(({ words, look }) => [look, words]);

test('emphasis, strong words, code and links are bits of their own', () => {
  expect(looks('A *fine* and **strong** `k2tog`, see [the book](https://example.org/a)')).toEqual([
    ...[
      ['plain', 'A '],
      ['emphasis', 'fine'],
      ['plain', ' and '],
      ['strong', 'strong'],
    ],
    ...[
      ['plain', ' '],
      ['code', 'k2tog'],
      ['plain', ', see '],
      ['link', 'the book'],
    ],
  ]);
  expect(bitsOf('[mail](mailto:a@example.org)')).toEqual([
    { words: 'mail', look: 'link', address: 'mailto:a@example.org' },
  ]);
});

test.each([
  ...['2 * 3 * 4', '* not * this', '**', '****', '`', '[words]', '[words](no address here)'],
  ...['<b>bold</b>', '*over\nlines*', '', 'a**b', '[a [b](c', '](x)'],
])('“%s” is text as it stands', (text) => {
  expect(looks(text)).toEqual([['plain', text]]);
});

test('no word is lost, and nothing is drawn that was not written', () => {
  const pieces = fc.array(fc.constantFrom('*', '**', '`', '[', '](', ')', 'a', ' b', '\n', '<'));
  fc.assert(
    fc.property(pieces, (each) => {
      const text = each.join('');
      let at = 0;
      for (const { words } of bitsOf(text)) {
        const found = text.indexOf(words, at);
        expect(found).toBeGreaterThanOrEqual(at);
        at = found + words.length;
      }
      expect(bitsOf(text).length).toBeGreaterThan(0);
    }),
  );
});

test('signs without an end cost no more than their length', () => {
  for (const sign of ['*', '**a', '`', '[', '[a](', '*a ']) {
    const text = sign.repeat(20_000);
    expect(bitsOf(text).length).toBeLessThanOrEqual(20_001);
  }
});
