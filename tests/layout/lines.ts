// Line counts of generated paragraphs, ours against Chromium's: `tsx tests/layout/lines.ts`.
import { seededRandom } from '../../src/core/base';
import {
  chromiumBreaks,
  drawnRuns,
  lineStarts,
  type Numerals,
  Paragraph,
  type SliceChain,
} from '../../src/core/text';
import { chainFor, familiesFor, nodeBreaks } from '../../src/engine/measuring';
import { browserBreaks } from './browser-breaks';
import { scripts, textMaker } from './corpus';
import { allSlices, ownSlice } from './measuring';
import { loadFaces, openPage, rowCss } from './page';

const sizes = [11, 13, 14, 16, 17, 20, 24];
const weights = [400, 500, 600, 700];
const spacings = [0, 0.4, 3, -0.5];
const numerals: readonly Numerals[] = ['proportional', 'tabular', 'usual'];

interface RunOf {
  readonly words: string;
  readonly font: {
    readonly sizePx: number;
    readonly weight: number;
    readonly spacingPx: number;
    readonly numerals: Numerals;
    /** Drawn in a font of the project's own, as far as that goes. */
    readonly isOwn: boolean;
  };
}

export interface Wrong {
  readonly script: string;
  readonly runs: readonly RunOf[];
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
  /** How many runs of one font each a paragraph has at most. */
  readonly maxRuns?: number;
  /** Whether letters stand apart, and some are of a font of the project's own. */
  readonly isSet?: boolean;
}): Promise<{ readonly count: number; readonly wrong: readonly Wrong[] }> {
  const { seed, perScript, ratio, widths } = task;
  const make = textMaker(seed);
  const random = seededRandom(seed + 1);
  const paragraphs = (task.only ?? scripts).flatMap((script) =>
    Array.from({ length: perScript }, (_, at) => {
      const text = make(script, 3 + ((at * 5) % 14)).normalize();
      const fonts = (run: number) => ({
        sizePx: sizes[((at + run) * 3) % sizes.length] ?? 16,
        weight: weights[(at + run) % weights.length] ?? 400,
        spacingPx: task.isSet === true ? (spacings[(at + run) % spacings.length] ?? 0) : 0,
        numerals: task.isSet === true ? (numerals[(at + 2 * run) % 3] ?? 'usual') : 'usual',
        isOwn: task.isSet === true && (at + run) % 3 > 0,
      });
      return { script, runs: runsOf(text, fonts, random, task.maxRuns ?? 1) };
    }),
  );
  const texts = paragraphs.flatMap(({ runs }) => textOf(runs));
  const language = 'en';
  const families = familiesFor(language)
    .map((family) => `'${family}'`)
    .join();
  const slices = await allSlices();
  const chains = [chainFor(language, slices), chainFor(language, slices, await ownSlice())];
  const { page, close } = await openPage(ratio);
  const findBreaks = chromiumBreaks(
    task.breaks === 'node' ? nodeBreaks : await browserBreaks(page, texts),
  );
  await loadFaces(page, texts, families);
  const wrong: Wrong[] = [];
  let count = 0;
  for (let at = 0; at < paragraphs.length; at += 100) {
    const some = paragraphs.slice(at, at + 100);
    const theirs = await page.evaluate(
      ({ some, widths, families, rowCss, language }) =>
        some.map(({ runs }) =>
          widths.map((width) => {
            const box = document.createElement('div');
            box.dir = 'auto';
            box.lang = language;
            const font = ({ font }: RunOf, linePx: number) =>
              `font:${font.weight} ${font.sizePx}px/${linePx}px ${font.isOwn ? "'Own own'," : ''}${families};letter-spacing:${font.spacingPx}px;font-variant-numeric:${font.numerals === 'usual' ? 'normal' : `${font.numerals}-nums`}`;
            const [first, ...others] = runs;
            if (first === undefined) return 0;
            box.style.cssText = `width:${width}px;${font(first, 30)};${rowCss};overflow-wrap:anywhere`;
            box.append(first.words);
            for (const run of others) {
              const span = document.createElement('span');
              span.style.cssText = font(run, 0);
              span.append(run.words);
              box.append(span);
            }
            document.body.append(box);
            const height = box.getBoundingClientRect().height;
            box.remove();
            return height / 30;
          }),
        ),
      { some, widths: [...widths], families, rowCss, language },
    );
    some.forEach(({ script, runs }, i) => {
      let end = 0;
      const spans = runs.map(({ words, font }) => {
        end += words.length;
        const sizePx = Math.fround(font.sizePx * ratio);
        const spacingPx = Math.fround(Math.fround(font.spacingPx) * ratio);
        const chain = chains[font.isOwn ? 1 : 0] as SliceChain;
        const { weight, numerals } = font;
        return { end, font: { chain, language, weight, sizePx, spacingPx, numerals } };
      });
      const paragraph = new Paragraph(textOf(runs), spans);
      widths.forEach((widthPx, j) => {
        const available = Math.floor(Math.fround(widthPx * ratio) * 64) / 64;
        const ours = lineStarts(paragraph, findBreaks, available, Infinity).length;
        const counted = theirs[i]?.[j] ?? Number.NaN;
        count += 1;
        if (Math.abs(counted - ours) > 0.01)
          wrong.push({ script, runs, widthPx, theirs: counted, ours });
      });
    });
  }
  await close();
  return { count, wrong };
}

const textOf = (runs: readonly RunOf[]): string => runs.map(({ words }) => words).join('');

/** A text in runs of some fonts, two of which may be the same. */
function runsOf(
  text: string,
  fontOf: (run: number) => RunOf['font'],
  random: () => number,
  max: number,
): readonly RunOf[] {
  const count = 1 + Math.floor(random() * max);
  const ends = Array.from({ length: count - 1 }, () => Math.floor(random() * text.length));
  const cuts = [0, ...ends.sort((one, other) => one - other), text.length];
  const words = cuts.slice(1).map((end, at) => text.slice(cuts[at], end));
  return drawnRuns(words)
    .map((words, at) => ({ words, font: fontOf(random() < 0.3 ? 0 : at) }))
    .filter(({ words }) => words !== '');
}
