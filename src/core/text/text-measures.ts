import { type FindBreaks, lineStarts } from './lines';
import { Paragraph, unit } from './paragraph';
import { PlainWords } from './plain-words';
import type { Font } from './shape';
import { paragraphsOf } from './words';

/** A text at one size and weight. Lengths in whole 1/64 device px. */
export interface TextMeasure {
  readonly isEmpty: boolean;
  /** On one line. */
  readonly width: number;
  /** How many lines it takes in a width, counted up to `max` and one more. */
  lineCount(width: number, max: number): number;
}

export interface TextFont extends Pick<Font, 'weight' | 'language'> {
  /** In CSS px. */
  readonly sizePx: number;
}

/** So many texts are kept: measured again and again in every width. */
const maxKept = 20_000;

/** Measures of texts, kept by text and font. */
export class TextMeasures {
  private readonly known = new Map<string, TextMeasure>();
  private readonly plain = new Map<string, PlainWords>();

  /** `ratio`: device px in a CSS px; `chainOf`: what a language is drawn with. */
  constructor(
    private readonly ratio: number,
    private readonly chainOf: (language: string) => Font['chain'],
    private readonly findBreaks: FindBreaks,
  ) {}

  of(words: string, font: TextFont): TextMeasure {
    const plain = this.plainWords(font);
    // Their words are kept: nothing is gained by keeping such a text, too.
    if (plain.takes(words)) return this.plainText(words, font, plain);
    const id = `${idOf(font)} ${words}`;
    let measure = this.known.get(id);
    if (measure === undefined) {
      if (this.known.size >= maxKept) this.known.clear();
      measure = this.measured(words, font);
      this.known.set(id, measure);
    }
    return measure;
  }

  private plainText(words: string, of: TextFont, plain: PlainWords): TextMeasure {
    return {
      isEmpty: false,
      get width() {
        return plain.width(words);
      },
      lineCount: (available, max) =>
        plain.lineCount(words, available, max) ??
        this.count([new Paragraph(words, this.fontOf(of), this.sizeOf(of))], available, max),
    };
  }

  private fontOf({ weight, language }: TextFont): Font {
    return { chain: this.chainOf(language), weight, language };
  }

  private sizeOf({ sizePx }: TextFont): number {
    return Math.fround(sizePx * this.ratio);
  }

  private measured(words: string, of: TextFont): TextMeasure {
    const font = this.fontOf(of);
    const size = this.sizeOf(of);
    const texts = paragraphsOf(words);
    let paragraphs: readonly Paragraph[] | undefined;
    const shaped = () => {
      paragraphs ??= texts.map((text) => new Paragraph(text, font, size));
      return paragraphs;
    };
    const counts = new Map<number, number>();
    let width: number | undefined;
    return {
      isEmpty: texts.every((text) => text === ''),
      get width() {
        width ??= widthOnOneLine(texts, font, size);
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

  private plainWords(of: TextFont): PlainWords {
    const id = idOf(of);
    let words = this.plain.get(id);
    if (words === undefined) {
      words = new PlainWords(this.fontOf(of), this.sizeOf(of), this.findBreaks);
      this.plain.set(id, words);
    }
    return words;
  }

  private count(paragraphs: readonly Paragraph[], available: number, max: number): number {
    let count = 0;
    for (const paragraph of paragraphs) {
      if (count > max) break;
      const starts = lineStarts(paragraph, this.findBreaks, available * unit, max - count);
      count += Math.max(1, starts.length);
    }
    return count;
  }
}

const idOf = ({ weight, sizePx, language }: TextFont): string => `${weight} ${sizePx} ${language}`;

/** As wide as its widest paragraph. */
const widthOnOneLine = (texts: readonly string[], font: Font, size: number): number =>
  Math.round(
    Math.max(...texts.map((text) => new Paragraph(text, font, size).width(0, text.length))) / unit,
  );
