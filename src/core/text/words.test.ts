import fc from 'fast-check';
import { expect, test } from 'vitest';
import { drawnRuns, drawnWords, paragraphsOf, paragraphsOfRuns } from './words';

test('words are measured as the page draws them: white space collapsed, no soft hyphens', () => {
  expect(paragraphsOf('  hand\u00adspun\t lace \r\n\n of  one ply \n ')).toEqual([
    'handspun lace',
    '',
    'of one ply',
  ]);
  expect([' ', '\u00ad', '\n', '\n\n'].map(paragraphsOf)).toEqual([[], [], [''], ['', '']]);
  expect(drawnWords(' hand\u00adspun ')).toBe(' handspun ');
});

/** Letters with marks, joined emoji, flags, syllables, and white space of all kinds. */
const pieces = fc.constantFrom(
  ...[
    'a',
    'e',
    '\u0301',
    ' ',
    '  ',
    '\t',
    '\n',
    '\u00ad',
    '👩',
    '©',
    '\u0600',
    '\u200d',
    '💻',
    '🇫',
    '🇮',
    '한',
    '\u11a8',
    'क',
    '्',
    'ष',
  ],
);
const texts = fc.array(
  fc.array(pieces, { maxLength: 6 }).map((each) => each.join('')),
  { maxLength: 5 },
);
const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' });

test('runs are the whole text again, and none of them begins within a letter', () => {
  fc.assert(
    fc.property(texts, (runs) => {
      const drawn = drawnRuns(runs);
      const text = drawn.join('');
      expect(drawn).toHaveLength(runs.length);
      expect(text).toBe(drawnWords(runs.join('')));
      const begins = new Set([...graphemes.segment(text)].map(({ index }) => index));
      let at = 0;
      for (const each of drawn) {
        if (each !== '') expect(begins).toContain(at);
        at += each.length;
      }
    }),
  );
});

test('white space of runs is collapsed as if they were one text', () => {
  fc.assert(
    fc.property(texts, (runs) => {
      const paragraphs = paragraphsOfRuns(runs);
      expect(paragraphs.map(({ text }) => text)).toEqual([...paragraphsOf(runs.join(''))]);
      for (const { text, ends } of paragraphs) {
        expect(ends).toEqual([...ends].sort((one, other) => one - other));
        expect(Math.max(0, ...ends)).toBe(text.length);
      }
    }),
  );
  expect(paragraphsOfRuns(['was ', ' €9', ' \n now '])).toEqual([
    { text: 'was €9', ends: [4, 6, 6] },
    { text: 'now', ends: [0, 0, 3] },
  ]);
});
