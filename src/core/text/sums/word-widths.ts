import { type Font, type Shaped, shape } from '../shape';
import { type Advances, advancesOf } from '../widths';
import type { WordTable } from './word-table';

/** Units of sums: 1/65536 px, in which no sum of a row's words is rounded. */
export const steps = 65_536;

/** In a word's byte: the number of its pieces, and whether it may be broken. */
const maxPieces = 127;
const hasCuts = 128;

/** How wide words are in one font, by their number. */
export class WordWidths {
  /** The width of the space between two words, in steps. */
  readonly space: number;
  /** Whether words may be summed: a font may move letters beside a space. */
  readonly isSound: boolean;
  private widths = new Float64Array(0);
  private pieces = new Uint8Array(0);
  private readonly cuts = new Map<number, Float64Array | null>();

  /** `font`: what it is drawn with now: faces come when words are first seen that take them. */
  constructor(
    private readonly table: WordTable,
    private readonly font: () => Font,
  ) {
    this.space = this.sumOf(' ', 'Zyyy');
    this.isSound = this.hasNoKerningWithSpaces();
  }

  /** The width of a word, in steps. */
  of(word: number): number {
    const width = this.widths[word];
    return width === undefined || width < 0 ? this.measured(word) : width;
  }

  /** Whether it is of the font that spaces are of, and nowhere broken; to be asked after its width. */
  isSimple(word: number): boolean {
    return this.pieces[word] === 0;
  }

  /**
   * How many pieces a word adds to those that Chromium sums one by one; 0: it is of the font that
   * spaces are of.
   */
  piecesOf(word: number): number {
    return (this.pieces[word] ?? 0) & maxPieces;
  }

  /** Where its breaks stand in it, in steps; null: there they can't be cut without shaping anew. */
  cutsOf(word: number): Float64Array | null | undefined {
    return ((this.pieces[word] ?? 0) & hasCuts) === 0 ? undefined : this.cuts.get(word);
  }

  private measured(word: number): number {
    if (word >= this.widths.length) this.grow(word);
    const own = this.table.wordAt(word);
    if (own === undefined) return 0;
    const shaped = this.shaped(`${own.text} `, own.script);
    const advances = advancesOf(shaped);
    const count = shaped.segments.length - 1;
    this.pieces[word] = Math.min(maxPieces, count) | (own.breaks.length > 0 ? hasCuts : 0);
    const width = sumOf(advances.ofGlyphs) - this.space;
    this.widths[word] = width;
    if (own.breaks.length > 0) this.cuts.set(word, cutsAt(own.breaks, shaped, advances));
    return width;
  }

  private grow(word: number): void {
    const count = Math.max(1_024, word + 1, this.widths.length * 2);
    const widths = new Float64Array(count).fill(-1);
    widths.set(this.widths);
    const pieces = new Uint8Array(count);
    pieces.set(this.pieces);
    this.widths = widths;
    this.pieces = pieces;
  }

  private shaped(text: string, script: string) {
    const run = { start: 0, end: text.length, level: 0, script, isEmoji: false };
    return shape(text, [{ end: text.length, font: this.font() }], [run]);
  }

  private sumOf(text: string, script: string): number {
    return sumOf(advancesOf(this.shaped(text, script)).ofGlyphs);
  }

  private hasNoKerningWithSpaces(): boolean {
    const words = Array.from({ length: 0x5e }, (_, at) => String.fromCharCode(0x21 + at));
    for (let char = 0xc0; char <= 0xff; char += 1) words.push(String.fromCharCode(char));
    let sum = 0;
    for (const word of words) sum += this.sumOf(word, 'Latn') + this.space;
    return this.sumOf(words.join(' '), 'Latn') === sum - this.space;
  }
}

const sumOf = (advances: Float64Array): number =>
  advances.reduce((sum, advance) => sum + advance * steps, 0);

function cutsAt(
  breaks: readonly number[],
  { isUnsafe }: Shaped,
  { ofUnits }: Advances,
): Float64Array | null {
  if (breaks.some((at) => isUnsafe[at] === 1)) return null;
  return Float64Array.from(breaks, (at) => sumOf(ofUnits.subarray(0, at)));
}
