import type { TextMeasure } from '../measure';
import type { TextPool } from './text-pool';
import { steps, type WordWidths } from './word-widths';

const unitsAPx = 64;
const stepsAUnit = steps / unitsAPx;
/** In units: by so much no sum is ever rounded. */
const edge = 4;
/** Sums below are exact in float32, in whatever order Chromium adds the pieces. */
const exactBelowPx = 256;

/**
 * The measure of a text that is a sum of words: shown one after the other, so that a list of rows
 * needs one for each of its labels.
 */
export class SummedText implements TextMeasure {
  private pool: TextPool | undefined;
  private at = 0;
  private count = 0;
  private known = -1;
  /** The start of the line that is being filled. */
  private lineStart = 0;
  private lines = 0;
  private pieces = 0;

  /** `whole`: measures the text shown as a whole, where the sum can't decide. */
  constructor(
    private readonly widths: WordWidths,
    private readonly whole: (pool: TextPool, at: number) => TextMeasure,
  ) {}

  /** Becomes the text that stands in a pool. */
  show(pool: TextPool, at: number): this {
    this.pool = pool;
    this.at = at;
    this.count = pool.countAt(at);
    this.known = -1;
    return this;
  }

  get isEmpty(): boolean {
    return this.count === 0;
  }

  get width(): number {
    if (this.known < 0) this.known = this.count === 0 ? 0 : this.summedWidth();
    return this.known;
  }

  lineCount(available: number, max: number): number {
    const count = this.widths.isSound ? this.summedLines(available, max) : undefined;
    return count ?? this.asWhole().lineCount(available, max);
  }

  private summedWidth(): number {
    const { widths, pool } = this;
    if (pool === undefined || !widths.isSound) return this.asWhole().width;
    let sum = 0;
    let pieces = 0;
    for (let word = 0; word < this.count; word += 1) {
      const own = pool.wordAt(this.at, word);
      sum += widths.of(own) + widths.space;
      pieces += widths.piecesOf(own);
    }
    sum -= widths.space;
    if (pieces > 0 && isDoubtful(sum, pieces + this.count)) return this.asWhole().width;
    return inUnits(sum);
  }

  /** Undefined: a word does not fit by itself, or the last bit decides. */
  private summedLines(available: number, max: number): number | undefined {
    const { widths, pool, count } = this;
    if (pool === undefined) return undefined;
    this.lines = 1;
    this.lineStart = 0;
    this.pieces = 0;
    let at = 0;
    for (let word = 0; word < count; word += 1) {
      const own = pool.wordAt(this.at, word);
      const end = at + widths.of(own);
      let from = at;
      if (!widths.isSimple(own)) {
        this.pieces += widths.piecesOf(own);
        const cuts = widths.cutsOf(own);
        if (cuts === null) return undefined;
        for (let i = 0; cuts !== undefined && i < cuts.length; i += 1) {
          const cut = at + (cuts[i] ?? 0);
          if (!this.take(from, cut, available, false)) return undefined;
          from = cut;
        }
      }
      if (!this.take(from, end, available, word === count - 1)) return undefined;
      if (this.lines > max) return this.lines;
      at = end + widths.space;
    }
    return this.lines;
  }

  /** Adds what may not be broken to the line, or begins another one with it; false: the sum can't tell. */
  private take(from: number, to: number, available: number, isLast: boolean): boolean {
    // Far from the edge no rounding decides.
    if (to - this.lineStart < (available - edge) * stepsAUnit) return true;
    if (this.pieces > 0 && isOnEdge(to - this.lineStart, available, this.pieces + this.count))
      return false;
    if (fits(this.lineStart, to, available, isLast && this.lineStart === 0)) return true;
    if (from === this.lineStart) return false;
    this.lines += 1;
    this.lineStart = from;
    return this.take(from, to, available, false);
  }

  private asWhole(): TextMeasure {
    if (this.pool === undefined) return nothing;
    return this.whole(this.pool, this.at);
  }
}

const nothing: TextMeasure = { isEmpty: true, width: 0, lineCount: () => 0 };

const inUnits = (sum: number): number => Math.ceil(Math.fround(sum / steps) * unitsAPx);

/** How much of a unit float32 may be off after so many additions. */
const errorOf = (sum: number, pieces: number): number =>
  (pieces * unitsAPx * 2 ** (Math.floor(Math.log2(sum / steps)) - 23)) / 2;

/** Whether the order in which pieces are added may decide how a sum is rounded up. */
function isDoubtful(sum: number, pieces: number): boolean {
  if (sum < exactBelowPx * steps) return false;
  const units = (sum / steps) * unitsAPx;
  const error = errorOf(sum, pieces);
  return Math.ceil(units - error) !== Math.ceil(units + error);
}

/** Whether the same may decide if a line fits. */
function isOnEdge(sum: number, available: number, pieces: number): boolean {
  if (sum < exactBelowPx * steps) return false;
  const over = (sum / steps) * unitsAPx - available - 1;
  return Math.abs(over) <= 1 + errorOf(sum, pieces);
}

/** The rule of `Paragraph.fits` where the text may be cut at both ends. */
function fits(start: number, end: number, available: number, isWhole: boolean): boolean {
  const room = available + 1;
  if (inUnits(end - start) > room) return false;
  const startPlace = Math.ceil(Math.fround(start / steps) * unitsAPx);
  return isWhole || Math.fround(end / steps) * unitsAPx <= startPlace + room;
}
