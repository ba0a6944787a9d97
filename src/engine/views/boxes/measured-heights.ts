import type { RowValues } from '../../../core/arranged';
import type { Turns } from '../../../core/base';
import { unitsOf } from '../../../core/layout';
import { type EntryWidths, type HeightBy, heightBy } from '../../../core/lists';
import type { MeasuredRows, RowMeasures } from './measured-rows';

interface Made {
  readonly of: RowValues;
  readonly rows: MeasuredRows;
  readonly widths: EntryWidths;
}

const entriesATurn = 50;
/** Measuring so many takes some hundredths of a second. */
const maxLettersATurn = 20_000;

/**
 * Heights of entries whose rows hang on their values or texts: rough ones at first, so that the first rows
 * wait for nothing; those in sight and then all others as they are drawn.
 */
export class MeasuredHeights {
  readonly units: Int32Array;
  changeCount = 0;
  private readonly isMeasured: Uint8Array;
  /** The edition with which all entries were tried. */
  private triedWith = -1;
  private left: number;
  private readonly by: readonly HeightBy[];

  constructor(
    private readonly made: Made,
    private readonly measures: RowMeasures,
    before: MeasuredHeights | undefined,
  ) {
    const { plans, arranged } = made.of;
    const count = arranged.items.length;
    this.by = plans.map(heightBy);
    this.isMeasured = new Uint8Array(count);
    this.left = count;
    const rough = plans.map(
      (plan, at) => unitsOf(plan.heightPx) * (this.by[at] === 'texts' ? roughly : 1),
    );
    // An edit changes few heights: those of before are the best guess.
    const known = before?.units.length === count ? before.units : undefined;
    this.units = Int32Array.from({ length: count }, (_, entry) =>
      Math.round(known?.[entry] ?? rough[arranged.plans[entry] ?? 0] ?? 0),
    );
  }

  isOf(rows: MeasuredRows, { cell, line, strip }: EntryWidths): boolean {
    const { widths } = this.made;
    const isAsWide = widths.cell === cell && widths.line === line && widths.strip === strip;
    return this.made.rows === rows && isAsWide;
  }

  /** Whether all is measured. */
  get isDone(): boolean {
    return this.left === 0;
  }

  /** Whether all was tried with the faces that are there: the rest waits for others. */
  get isStuck(): boolean {
    return this.triedWith === this.measures.edition;
  }

  /**
   * Measures entries at once: those that are about to be seen. Gives the one that it came to: of
   * long texts it takes few, so that others have their turn.
   */
  measure(from: number, to: number): number {
    const { rows } = this.made;
    const end = Math.min(to, this.units.length);
    const maxLetters = rows.letterCount + maxLettersATurn;
    let isChanged = false;
    let entry = Math.max(0, from);
    for (; entry < end && rows.letterCount < maxLetters; entry += 1)
      if (this.isMeasured[entry] !== 1 && this.measureOne(entry)) isChanged = true;
    if (isChanged) this.changeCount += 1;
    return entry;
  }

  /** Measures all entries, with turns for others. */
  *measuring(): Turns<void> {
    const { edition } = this.measures;
    // Before anything can be measured, looking at all would give nothing.
    const isVain = edition === 0 && this.by.every((by) => by === 'texts');
    for (let from = 0; !isVain && from < this.units.length; ) {
      from = this.measure(from, from + entriesATurn);
      yield from / this.units.length;
    }
    this.triedWith = edition;
  }

  /** Tells whether it is another height than before. */
  private measureOne(entry: number): boolean {
    const { of, rows, widths } = this.made;
    const position = of.arranged.plans[entry] ?? 0;
    const heightPx = {
      nothing: () => of.plans[position]?.heightPx,
      values: () => rows.solveWithoutTexts(entry, widths)?.heightPx,
      texts: () => rows.solve(entry, widths)?.heightPx,
    }[this.by[position] ?? 'nothing']();
    if (heightPx === undefined) return false;
    const height = unitsOf(heightPx);
    this.isMeasured[entry] = 1;
    this.left -= 1;
    if (this.units[entry] === height) return false;
    this.units[entry] = height;
    return true;
  }
}

/** How many times as high as with one line a label a row is taken for until it is measured. */
const roughly = 1.4;
