// Line counts of generated paragraphs, ours against Chromium's: `tsx tests/layout/lines.ts`.
import { chromiumBreaks, lineStarts, Paragraph } from '../../src/core/text';
import { chainFor, familiesFor, nodeBreaks } from '../../src/engine/measuring';
import { browserBreaks } from './browser-breaks';
import { scripts, textMaker } from './corpus';
import { allSlices } from './measuring';
import { loadFaces, openPage, rowCss } from './page';

const sizes = [11, 13, 14, 16, 17, 20, 24];
const weights = [400, 500, 600, 700];

export interface Wrong {
  readonly script: string;
  readonly text: string;
  readonly font: string;
  readonly widthPx: number;
  readonly theirs: number;
  readonly ours: number;
}

/** How many line counts were compared, and those that differ. */
export async function compareLines(task: {
  readonly seed: number;
  readonly perScript: number;
  readonly ratio: number;
  readonly widths: readonly number[];
  readonly only?: readonly string[];
  /** Whose line breaks: the browser's own, or those of the command line. */
  readonly breaks?: 'browser' | 'node';
}): Promise<{ readonly count: number; readonly wrong: readonly Wrong[] }> {
  const { seed, perScript, ratio, widths } = task;
  const make = textMaker(seed);
  const paragraphs = (task.only ?? scripts).flatMap((script) =>
    Array.from({ length: perScript }, (_, at) => ({
      script,
      text: make(script, 3 + ((at * 5) % 14)).normalize(),
      sizePx: sizes[(at * 3) % sizes.length] ?? 16,
      weight: weights[at % weights.length] ?? 400,
    })),
  );
  const language = 'en';
  const families = familiesFor(language)
    .map((family) => `'${family}'`)
    .join();
  const slices = await allSlices();
  const chain = chainFor(language, slices);
  const { page, close } = await openPage(ratio);
  const findBreaks = chromiumBreaks(
    task.breaks === 'node'
      ? nodeBreaks
      : await browserBreaks(
          page,
          paragraphs.map(({ text }) => text),
        ),
  );
  await loadFaces(
    page,
    paragraphs.map(({ text }) => text),
    families,
  );
  const wrong: Wrong[] = [];
  let count = 0;
  for (let at = 0; at < paragraphs.length; at += 100) {
    const some = paragraphs.slice(at, at + 100);
    const theirs = await page.evaluate(
      ({ some, widths, families, rowCss, language }) =>
        some.map(({ text, sizePx, weight }) =>
          widths.map((width) => {
            const box = document.createElement('div');
            box.dir = 'auto';
            box.lang = language;
            box.style.cssText = `width:${width}px;font:${weight} ${sizePx}px/30px ${families};${rowCss};overflow-wrap:anywhere`;
            box.textContent = text;
            document.body.append(box);
            const height = box.getBoundingClientRect().height;
            box.remove();
            return height / 30;
          }),
        ),
      { some, widths: [...widths], families, rowCss, language },
    );
    some.forEach(({ script, text, sizePx, weight }, i) => {
      const font = { chain, weight, language };
      const paragraph = new Paragraph(text, font, Math.fround(sizePx * ratio));
      widths.forEach((widthPx, j) => {
        const available = Math.floor(Math.fround(widthPx * ratio) * 64) / 64;
        const ours = lineStarts(paragraph, findBreaks, available, Infinity).length;
        const counted = theirs[i]?.[j] ?? Number.NaN;
        count += 1;
        if (Math.abs(counted - ours) > 0.01)
          wrong.push({
            script,
            text,
            font: `${weight} ${sizePx}px`,
            widthPx,
            theirs: counted,
            ours,
          });
      });
    });
  }
  await close();
  return { count, wrong };
}
