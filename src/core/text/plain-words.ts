import type { FindBreaks } from './lines';
import { type Font, shape } from './shape';
import { advancesAt } from './widths';

/** Latin words with one space between them: no other script. */
const plain = /^[!-~À-ÖØ-öø-ÿ‘’“”…€]+(?: [!-~À-ÖØ-öø-ÿ‘’“”…€]+)*$/;
const hasLetter = /[A-Za-z]/;
const steps = 65_536;
const unitsAPx = 64;

/** Texts of plain words are measured word by word: most rows are made of the same few thousand. */
export class PlainWords {
  /** By word, in 1/65536 px: sums of them are exact. */
  private readonly widths = new Map<string, number>();
  /** Words that have no break in them. */
  private readonly whole = new Map<string, boolean>();
  private readonly space: number;
  private readonly isSound: boolean;

  constructor(
    private readonly font: Font,
    private readonly sizePx: number,
    private readonly findBreaks: FindBreaks,
  ) {
    this.space = this.measured(' ');
    this.isSound = this.hasNoKerningWithSpaces();
  }

  /** Whether a text is of such words, none of which may be broken. */
  takes(text: string): boolean {
    if (!this.isSound || !plain.test(text) || !hasLetter.test(text)) return false;
    return text.split(' ').every((word) => this.isWhole(word));
  }

  private isWhole(word: string): boolean {
    let isWhole = this.whole.get(word);
    if (isWhole === undefined) {
      if (this.whole.size >= maxWords) this.whole.clear();
      isWhole = this.findBreaks(word).length === 0;
      this.whole.set(word, isWhole);
    }
    return isWhole;
  }

  /** On one line, in whole 1/64 px. */
  width(text: string): number {
    let sum = 0;
    for (const word of text.split(' ')) sum += this.widthOf(word) + this.space;
    return inUnits(sum - this.space);
  }

  /** How many lines in a width in 1/64 px, up to `max` and one more; undefined: a word does not fit. */
  lineCount(text: string, available: number, max: number): number | undefined {
    const words = text.split(' ');
    let lines = 1;
    let start = 0;
    let at = 0;
    for (const [i, word] of words.entries()) {
      const end = at + this.widthOf(word);
      const isWhole = start === 0 && i === words.length - 1;
      if (!fits(start, end, available, isWhole)) {
        if (at === start || !fits(at, end, available, false)) return undefined;
        lines += 1;
        if (lines > max) return lines;
        start = at;
      }
      at = end + this.space;
    }
    return lines;
  }

  private widthOf(word: string): number {
    let width = this.widths.get(word);
    if (width === undefined) {
      if (this.widths.size >= maxWords) this.widths.clear();
      width = this.measured(word);
      this.widths.set(word, width);
    }
    return width;
  }

  private measured(word: string): number {
    const run = { start: 0, end: word.length, level: 0, script: 'Latn', isEmoji: false };
    const { ofGlyphs } = advancesAt(shape(word, this.font, [run]), this.sizePx);
    return ofGlyphs.reduce((sum, advance) => sum + advance * steps, 0);
  }

  /** A font may move letters beside a space; then words can't be summed. */
  private hasNoKerningWithSpaces(): boolean {
    const chars = Array.from({ length: 0xdf }, (_, at) => String.fromCharCode(0x21 + at));
    const words = [...chars, ...'‘’“”…€'].filter((char) => plain.test(char));
    const sum = words.reduce((total, word) => total + this.measured(word) + this.space, 0);
    return this.measured(words.join(' ')) === sum - this.space;
  }
}

/** 39,000 words take some 3 MB. */
const maxWords = 50_000;

const inUnits = (sum: number): number => Math.ceil(Math.fround(sum / steps) * unitsAPx);

/** The rule of `Paragraph.fits` where the text may be cut at both ends. */
function fits(start: number, end: number, available: number, isWhole: boolean): boolean {
  const room = available + 1;
  if (inUnits(end - start) > room) return false;
  const startPlace = Math.ceil(Math.fround(start / steps) * unitsAPx);
  return isWhole || Math.fround(end / steps) * unitsAPx <= startPlace + room;
}
