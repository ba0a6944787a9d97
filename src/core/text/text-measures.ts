import { type LaidText, layText, type TextRoom } from './laid/laid-text';
import { type FindBreaks, lineStarts } from './lines';
import type { TextMeasure } from './measure';
import { Paragraph, unit } from './paragraph';
import type { Font, Span } from './shape';
import { SummedText } from './sums/summed-text';
import { TextPool } from './sums/text-pool';
import { WordTable } from './sums/word-table';
import { WordWidths } from './sums/word-widths';
import { drawnSize } from './widths';
import { type ParagraphOfRuns, paragraphsOf, paragraphsOfRuns } from './words';

export interface TextFont extends Pick<Font, 'weight' | 'numerals'> {
  /** The size of letters, in CSS px. */
  readonly sizePx: number;
  /** What stands after each of them, in CSS px. */
  readonly spacingPx: number;
  /** A font of the project's own that draws what it can; undefined: none. */
  readonly family: string | undefined;
}

/** A text, or a run of one that goes on in another font. */
export interface TextRun {
  readonly words: string;
  readonly font: TextFont;
}

/** Where texts of a language are shaped, and how they are broken. */
export interface TextPort {
  /** What the language is drawn with now, after a font of the project's own. */
  readonly chain: (family: string | undefined) => Font['chain'];
  /** Whether all is there that a text takes to be shaped. */
  readonly hasFaces: (text: string) => boolean;
  /** Whether any face, or a font of the project's own, draws a character, but for the one that draws all as boxes. */
  readonly draws: (char: number, family: string | undefined) => boolean;
  readonly findBreaks: FindBreaks;
}

/** Where texts are measured: device px in a CSS px, and BCP 47 tag. */
export interface TextPlace extends Pick<Font, 'language'> {
  readonly ratio: number;
}

/** Letters that are surely drawn. */
const isOfFirstFace = /^[\u0020-\u007e\u00a0-\u024f\n]*$/;
/** What is never drawn by itself. */
const isUnseen = /[\p{Default_Ignorable_Code_Point}\p{White_Space}\p{Cc}]/u;

/** How many texts are kept that are no sums of words: they are measured again in every width. */
const maxKept = 20_000;
/** How many numbers are kept together. */
const maxPool = 65_536;

/** Measures of texts in one language. */
export class TextMeasures {
  private readonly known = new Map<string, TextMeasure>();
  private readonly widths = new Map<string, WordWidths>();
  private readonly words: WordTable;
  private pool = new TextPool();

  constructor(
    private readonly place: TextPlace,
    private readonly port: TextPort,
  ) {
    this.words = new WordTable(port.findBreaks, port.hasFaces);
  }

  /** Whether other words than those that it knows are measured slowly. */
  get isFull(): boolean {
    return this.words.isFull;
  }

  /** Undefined: some face that it takes is not there. */
  of(runs: readonly TextRun[]): TextMeasure | undefined {
    const [only, another] = runs;
    if (only !== undefined && another === undefined) {
      if (this.pool.size > maxPool) this.pool = new TextPool();
      const at = this.put(only.words, this.pool);
      if (at !== undefined) return this.summed(only.font).show(this.pool, at);
    }
    const isMeasurable =
      this.known.has(idOfRuns(runs)) || runs.every(({ words }) => this.port.hasFaces(words));
    return isMeasurable ? this.whole(runs) : undefined;
  }

  /** Where each letter of a text is drawn; undefined: some face that it takes is not there. */
  laid(runs: readonly TextRun[], room: TextRoom): LaidText | undefined {
    if (!runs.every(({ words }) => this.port.hasFaces(words))) return undefined;
    const fonts = runs.map(({ font }) => this.fontOf(font));
    return layText({ paragraphs: splitIntoParagraphs(runs), fonts }, room, this.port.findBreaks);
  }

  /** The characters of a text that nothing draws; none while faces that it takes are not there. */
  undrawn(words: string, family: string | undefined): readonly string[] {
    if (isOfFirstFace.test(words) || !this.port.hasFaces(words)) return [];
    return [...words].filter(
      (char) => !isUnseen.test(char) && !this.port.draws(char.codePointAt(0) ?? 0, family),
    );
  }

  /** Puts a text into a pool as the sum of its words; undefined: it is none. */
  put(words: string, pool: TextPool): number | undefined {
    const [text, another] = paragraphsOf(words);
    if (another !== undefined) return undefined;
    if (text === undefined) return pool.add(noWords, 0);
    // A line without words is a line.
    if (text === '') return undefined;
    const numbers = this.words.numbersOf(text);
    return numbers && pool.add(numbers.words, numbers.count);
  }

  /** Measures texts of a pool, one after the other. */
  summed(font: TextFont): SummedText {
    return new SummedText(this.wordWidths(font), (pool, at) =>
      this.whole([{ words: this.textAt(pool, at), font }]),
    );
  }

  private textAt(pool: TextPool, at: number): string {
    const words = Array.from(
      { length: pool.countAt(at) },
      (_, word) => this.words.wordAt(pool.wordAt(at, word))?.text,
    );
    return words.join(' ');
  }

  private whole(runs: readonly TextRun[]): TextMeasure {
    const id = idOfRuns(runs);
    let measure = this.known.get(id);
    if (measure === undefined) {
      if (this.known.size >= maxKept) this.known.clear();
      measure = this.measured(runs);
      this.known.set(id, measure);
    }
    return measure;
  }

  private fontOf({ weight, sizePx, spacingPx, family, numerals }: TextFont): Font {
    const ofDevice = (px: number) => Math.fround(Math.fround(px) * this.place.ratio);
    return {
      chain: this.port.chain(family),
      weight,
      language: this.place.language,
      sizePx: drawnSize(ofDevice(sizePx)),
      spacingPx: ofDevice(spacingPx),
      numerals,
    };
  }

  private measured(runs: readonly TextRun[]): TextMeasure {
    const texts = splitIntoParagraphs(runs);
    let paragraphs: readonly Paragraph[] | undefined;
    const shaped = () => {
      if (paragraphs === undefined) {
        const fonts = runs.map(({ font }) => this.fontOf(font));
        paragraphs = texts.map(({ text, ends }) => new Paragraph(text, spansOf(ends, fonts)));
      }
      return paragraphs;
    };
    const counts = new Map<number, number>();
    let width: number | undefined;
    return {
      isEmpty: texts.length === 0,
      get width() {
        width ??= widthOnOneLine(shaped());
        return width;
      },
      lineCount: (available, max) => {
        let count = counts.get(available);
        if (count === undefined || count > max) {
          count = this.count(shaped(), available, max);
          counts.set(available, count);
        }
        return count;
      },
    };
  }

  private wordWidths(of: TextFont): WordWidths {
    const id = idOf(of);
    let widths = this.widths.get(id);
    if (widths === undefined) {
      widths = new WordWidths(this.words, () => this.fontOf(of));
      this.widths.set(id, widths);
    }
    return widths;
  }

  private count(paragraphs: readonly Paragraph[], available: number, max: number): number {
    let count = 0;
    for (const paragraph of paragraphs) {
      if (count > max) break;
      const starts = lineStarts(paragraph, this.port.findBreaks, available * unit, max - count);
      count += Math.max(1, starts.length);
    }
    return count;
  }
}

const noWords = new Int32Array(0);

const idOf = ({ weight, sizePx, spacingPx, family = '', numerals }: TextFont): string =>
  `${weight} ${sizePx} ${spacingPx} ${numerals} ${family}`;
const idOfRuns = (runs: readonly TextRun[]): string =>
  runs.map(({ words, font }) => `${idOf(font)} ${words.length} ${words}`).join('');

function splitIntoParagraphs(runs: readonly TextRun[]): readonly ParagraphOfRuns[] {
  const [only, another] = runs;
  if (only === undefined || another !== undefined)
    return paragraphsOfRuns(runs.map(({ words }) => words));
  return paragraphsOf(only.words).map((text) => ({ text, ends: [text.length] }));
}

const spansOf = (ends: readonly number[], fonts: readonly Font[]): readonly Span[] =>
  ends.flatMap((end, at): Span[] => {
    const font = fonts[at];
    return font === undefined || end <= (ends[at - 1] ?? 0) ? [] : [{ end, font }];
  });

/** The width of its widest paragraph. */
const widthOnOneLine = (paragraphs: readonly Paragraph[]): number =>
  Math.round(Math.max(0, ...paragraphs.map((each) => each.width(0, each.text.length))) / unit);
