import type { Stretch } from './runs/ranges';
import { isRtlPossible, type Run, runsOf } from './runs/runs';
import { type Shaped, type Span, shape } from './shape';
import { type Advances, advancesOf, widthOf } from './widths';

/** 1/64 px: what Chromium lets a line overflow by. */
export const unit = 1 / 64;

/** A paragraph: how wide its stretches are, and what fits. Widths in px, multiples of 1/64. */
export class Paragraph {
  private readonly runs: readonly Run[];
  private readonly shaped: Shaped;
  private readonly advances: Advances;
  /** Where each unit begins, summed over the whole paragraph. */
  private readonly sums: Float64Array;
  /** The same, where a unit without a glyph has its cluster's start. */
  private readonly places: Float64Array;
  private readonly mayRunLeft: boolean;
  private readonly itemStarts: number[] = [];
  private readonly itemEnds: number[] = [];
  /** The size of its largest letters. */
  private readonly largestPx: number;

  /** `spans`: its fonts, up to its end. */
  constructor(
    readonly text: string,
    private readonly spans: readonly Span[],
  ) {
    this.largestPx = Math.max(0, ...spans.map(({ font }) => font.sizePx));
    this.runs = runsOf(text);
    this.shaped = shape(text, spans, this.runs);
    this.advances = advancesOf(this.shaped);
    const count = text.length;
    this.sums = new Float64Array(count + 1);
    for (let at = 0; at < count; at += 1)
      this.sums[at + 1] = (this.sums[at] ?? 0) + (this.advances.ofUnits[at] ?? 0);
    this.places = this.sums.slice();
    for (let at = 1; at < count; at += 1)
      if (this.shaped.hasGlyph[at] === 0) this.places[at] = this.places[at - 1] ?? 0;
    this.mayRunLeft = isRtlPossible(text);
    for (let at = 0; at < count; at += 1) {
      const item = this.shaped.items[at] ?? 0;
      this.itemStarts[item] ??= at;
      this.itemEnds[item] = at + 1;
    }
  }

  /** Width of a stretch without the spaces at its end. */
  width(start: number, end: number): number {
    return this.wholeWidth(start, this.trimmed(start, end));
  }

  /** The same with the spaces at its end. */
  private wholeWidth(start: number, end: number): number {
    if (end <= start) return 0;
    const { isUnsafe } = this.shaped;
    const isCut =
      (start > 0 && isUnsafe[start] === 1) || (end < this.text.length && isUnsafe[end] === 1);
    if (!isCut) return widthOf(this.shaped, this.advances, start, end);
    const anew = shape(this.text, this.spans, this.runs, { start, end });
    return widthOf(anew, advancesOf(anew), start, end);
  }

  /** The unit past which nothing fits any more that begins at `start`, from sums alone. */
  surelyPast(start: number, availablePx: number): number {
    let end = start;
    while (end < this.text.length && !this.isFar(start, end, availablePx)) end += 1;
    return end;
  }

  isFar(start: number, end: number, availablePx: number): boolean {
    return this.roughWidth(start, end) > availablePx + 2 * this.largestPx + 40;
  }

  /** How wide a stretch is at least, from sums alone: to tell what cannot fit without more ado. */
  private roughWidth(start: number, end: number): number {
    return (this.sums[end] ?? 0) - (this.sums[start] ?? 0);
  }

  hasGlyphAt(at: number): boolean {
    return this.shaped.hasGlyph[at] === 1;
  }

  /**
   * Whether a stretch fits into a width, as Chromium's line breaker decides: it works with the
   * positions of the whole item, and shapes anew only what is unsafe to cut.
   */
  fits(start: number, end: number, availablePx: number): boolean {
    const last = this.trimmed(start, end);
    if (last <= start) return true;
    let available = availablePx + unit;
    const item = this.shaped.items[last - 1] ?? 0;
    const itemStart = this.itemStarts[item] ?? 0;
    const itemEnd = this.itemEnds[item] ?? this.text.length;
    const from = Math.max(start, itemStart);
    if (this.mayRunLeft || (from === itemStart && last === itemEnd))
      return this.width(start, last) <= available;
    if (from > start) available -= this.wholeWidth(start, from);
    return this.fitsInItem(from, last, available, { start: itemStart, end: itemEnd });
  }

  private fitsInItem(start: number, end: number, availablePx: number, item: Stretch): boolean {
    const { isUnsafe } = this.shaped;
    const origin = this.places[item.start] ?? 0;
    const place = (at: number) => Math.fround((this.places[at] ?? 0) - origin) * 64;
    const startPlace = Math.ceil(Math.fround((this.sums[start] ?? 0) - origin) * 64);
    const isStartUnsafe = start > item.start && isUnsafe[start] === 1;
    const isEndUnsafe = end < item.end && isUnsafe[end] === 1;
    let available = availablePx * 64;
    let firstSafe = start;
    if (isStartUnsafe) {
      while (firstSafe < end && isUnsafe[firstSafe] === 1) firstSafe += 1;
      if (firstSafe >= end) return place(end) <= startPlace + available;
      const anew = Math.ceil(this.shapedWidth(start, firstSafe) * 64);
      available += Math.ceil(place(firstSafe)) - startPlace - anew;
    }
    // Kerning with what comes after counts here.
    if (place(end) > startPlace + available) return false;
    if (!isEndUnsafe) return this.width(start, end) <= availablePx;
    let lastSafe = end;
    while (lastSafe > start && isUnsafe[lastSafe] === 1) lastSafe -= 1;
    if (isStartUnsafe && lastSafe < firstSafe) return this.width(start, end) <= availablePx;
    const anew = Math.ceil(this.shapedWidth(lastSafe, end) * 64);
    return anew <= startPlace + available - Math.ceil(place(lastSafe));
  }

  /** The width of a stretch that is shaped by itself, without any rounding. */
  private shapedWidth(start: number, end: number): number {
    const anew = shape(this.text, this.spans, this.runs, { start, end });
    const { ofUnits } = advancesOf(anew);
    return ofUnits.reduce((width, advance) => width + advance, 0);
  }

  private trimmed(start: number, end: number): number {
    let last = end;
    while (last > start && this.text[last - 1] === ' ') last -= 1;
    return last;
  }
}
