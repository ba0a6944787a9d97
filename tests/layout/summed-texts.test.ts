import fc from 'fast-check';
import { expect, test } from 'vitest';
import { chromiumBreaks, lineStarts, Paragraph, TextMeasures } from '../../src/core/text';
import { chainFor, nodeBreaks } from '../../src/engine/measuring';
import { scripts, textMaker } from './corpus';
import { allSlices } from './measuring';

const word = fc.stringMatching(/^[A-Za-z0-9äéßÅłşő.,;:'%()"?!&+/“”’…€–·-]{1,12}$/);
const latin = fc.array(word, { minLength: 1, maxLength: 25 }).map((words) => words.join(' '));
const make = textMaker(20_261_128);
/** Words of each script between spaces, as lists of real items have them. */
const ofScripts = fc
  .tuple(fc.constantFrom(...scripts), fc.integer({ min: 1, max: 25 }))
  .map(([script, count]) => make(script, count).normalize());

const chain = chainFor('en', await allSlices());
const findBreaks = chromiumBreaks(nodeBreaks);
const port = { chain: () => chain, hasFaces: () => true, draws: () => true, findBreaks };

test.each([
  { name: 'Latin words with signs', texts: latin },
  { name: 'words of all scripts', texts: ofScripts },
])('$name: sums of words have the lines and widths that shaping as a whole gives', ({ texts }) => {
  const looks = fc.record({
    text: texts,
    sizePx: fc.constantFrom(11, 12, 14, 15, 20, 28),
    weight: fc.constantFrom(400, 550, 600, 700),
    spacingPx: fc.constantFrom(0, 0, 0.3, 2),
    numerals: fc.constantFrom('usual', 'usual', 'tabular', 'proportional'),
    ratio: fc.constantFrom(1, 1.25, 1.5, 2),
    widthPx: fc.integer({ min: 20, max: 700 }),
  });
  fc.assert(
    fc.property(looks, ({ text, sizePx, weight, spacingPx, numerals, ratio, widthPx }) => {
      const own = new TextMeasures({ ratio, language: 'en' }, port).of([
        { words: text, font: { sizePx, weight, spacingPx, family: undefined, numerals } },
      ]);
      const font = {
        ...{ chain, weight, numerals, language: 'en', sizePx: Math.fround(sizePx * ratio) },
        spacingPx: Math.fround(Math.fround(spacingPx) * ratio),
      };
      const whole = new Paragraph(text, [{ end: text.length, font }]);
      expect(own?.width).toBe(Math.round(whole.width(0, text.length) * 64));
      const units = Math.floor(widthPx * ratio * 64);
      const starts = lineStarts(whole, findBreaks, units / 64, Number.POSITIVE_INFINITY);
      expect(own?.lineCount(units, 1_000)).toBe(starts.length);
    }),
    { numRuns: Number(process.env['TEXTS'] ?? 500) },
  );
});
