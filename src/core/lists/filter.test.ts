import fc from 'fast-check';
import { expect, test } from 'vitest';
import { filterWords, foldedText, hasWords, placesOfWords } from './filter';

const letters = fc.string({
  unit: fc.constantFrom('a', 'B', 'é', 'Å', 'ﬁ', ' ', '編', 'ß', '\u0301'),
});

test('a text has the words that are typed, whatever marks and case they are written with', () => {
  expect(hasWords(foldedText('Élan, undyed'), filterWords('  elan UND '))).toBe(true);
  expect(hasWords(foldedText('Madder sock'), filterWords('sock madder'))).toBe(true);
  expect(hasWords(foldedText('Madder sock'), filterWords('sock woad'))).toBe(false);
  expect(filterWords('   ')).toEqual([]);
});

test('found words stand where they are marked', () => {
  expect(placesOfWords('Élan lace', filterWords('el'))).toEqual([[0, 2]]);
  expect(placesOfWords('lace, lace', filterWords('lace'))).toEqual([
    ...[
      [0, 4],
      [6, 10],
    ],
  ]);
  fc.assert(
    fc.property(letters, letters, (text, typed) => {
      const words = filterWords(typed);
      const places = placesOfWords(text, words);
      let end = 0;
      for (const [from, to] of places) {
        expect(from).toBeGreaterThanOrEqual(end);
        expect(to).toBeGreaterThan(from);
        expect(to).toBeLessThanOrEqual(text.length);
        const marked = foldedText(text.slice(from, to));
        expect(words.some((word) => marked.includes(word))).toBe(true);
        end = to;
      }
      if (words.length > 0 && hasWords(foldedText(text), words))
        expect(places.length).toBeGreaterThan(0);
    }),
    { numRuns: 2_000 },
  );
});
