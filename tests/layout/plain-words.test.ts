import fc from 'fast-check';
import { expect, test } from 'vitest';
import { chromiumBreaks, lineStarts, Paragraph, TextMeasures } from '../../src/core/text';
import { chainFor, nodeBreaks } from '../../src/engine/measuring';
import { allSlices } from './measuring';

const word = fc.stringMatching(/^[A-Za-z0-9äéßÅ.,;:'%()"?!&+“”’…€-]{1,12}$/);
const texts = fc.array(word, { minLength: 1, maxLength: 25 }).map((words) => words.join(' '));

test('texts of plain words have the lines and widths that shaping as a whole gives', async () => {
  const chain = chainFor('en', await allSlices());
  const findBreaks = chromiumBreaks(nodeBreaks);
  const looks = fc.record({
    text: texts,
    sizePx: fc.constantFrom(11, 12, 14, 15, 20),
    weight: fc.constantFrom(400, 550, 600, 700),
    ratio: fc.constantFrom(1, 1.25, 1.5, 2),
    widthPx: fc.integer({ min: 20, max: 500 }),
  });
  fc.assert(
    fc.property(looks, ({ text, sizePx, weight, ratio, widthPx }) => {
      const measures = new TextMeasures(ratio, () => chain, findBreaks);
      const own = measures.of(text, { sizePx, weight, language: 'en' });
      const whole = new Paragraph(
        text,
        { chain, weight, language: 'en' },
        Math.fround(sizePx * ratio),
      );
      expect(own.width).toBe(Math.round(whole.width(0, text.length) * 64));
      const units = Math.floor(widthPx * ratio * 64);
      const starts = lineStarts(whole, findBreaks, units / 64, Number.POSITIVE_INFINITY);
      expect(own.lineCount(units, 1_000)).toBe(starts.length);
    }),
    { numRuns: 1_500 },
  );
});
