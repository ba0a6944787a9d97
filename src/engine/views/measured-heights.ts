import type { Turns } from '../../core/base';
import { unitsOf } from '../../core/layout';
import { type Arranged, hangsOnText, heightPxOf, type RowPlan } from '../../core/lists';
import type { EntryValue, TextStyle } from '../../core/templates';
import type { TextMeasure } from '../../core/text';

/** Who measures texts, as far as it is there: faces come when they are first wanted. */
export interface RowMeasures {
  /** Another one whenever more can be measured exactly. */
  readonly edition: number;
  /** Undefined: what it takes has not come yet. */
  text(
    words: string,
    style: TextStyle,
    around: { readonly ratio: number; readonly language: string },
  ): TextMeasure | undefined;
}

/** What the heights of rows hang on besides their values. */
export interface RowBox {
  /** Of a row or cell, in CSS px. */
  readonly widthPx: number;
  /** Device px in a CSS px. */
  readonly ratio: number;
  readonly language: string;
}

interface Made {
  readonly arranged: Arranged;
  readonly plans: readonly RowPlan[];
  readonly box: RowBox;
  /** Finished values of an entry. */
  readonly valuesAt: (entry: number) => readonly EntryValue[];
}

const entriesATurn = 50;
/** So many take some hundredths of a second. */
const maxLettersATurn = 20_000;

/**
 * Heights of entries whose rows hang on their texts: rough ones at first, so that the first rows
 * wait for nothing; those in sight and then all others as they are drawn.
 */
export class MeasuredHeights {
  readonly units: Int32Array;
  changeCount = 0;
  private readonly isMeasured: Uint8Array;
  /** With which edition all entries were tried. */
  private triedWith = -1;
  private left: number;
  private readonly hangs: readonly boolean[];

  constructor(
    private readonly made: Made,
    private readonly measures: RowMeasures,
    before: MeasuredHeights | undefined,
  ) {
    const { plans, arranged } = made;
    const count = arranged.items.length;
    this.hangs = plans.map(hangsOnText);
    this.isMeasured = new Uint8Array(count);
    this.left = count;
    const rough = plans.map((plan, at) => unitsOf(plan.heightPx) * (this.hangs[at] ? roughly : 1));
    // An edit changes few heights: those of before are the best guess.
    const known = before?.units.length === count ? before.units : undefined;
    this.units = Int32Array.from({ length: count }, (_, entry) =>
      Math.round(known?.[entry] ?? rough[arranged.plans[entry] ?? 0] ?? 0),
    );
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
    let isChanged = false;
    let letters = 0;
    let entry = Math.max(0, from);
    for (; entry < Math.min(to, this.units.length) && letters < maxLettersATurn; entry += 1) {
      if (this.isMeasured[entry] === 1) continue;
      const values = this.made.valuesAt(entry);
      for (const value of values) if (typeof value === 'string') letters += value.length;
      if (this.measureOne(entry, values)) isChanged = true;
    }
    if (isChanged) this.changeCount += 1;
    return entry;
  }

  /** Measures all entries, with turns for others. */
  *measuring(): Turns<void> {
    const { edition } = this.measures;
    // Before anything can be measured, looking at all would give nothing.
    for (let from = 0; edition > 0 && from < this.units.length; ) {
      from = this.measure(from, from + entriesATurn);
      yield from / this.units.length;
    }
    this.triedWith = edition;
  }

  /** True: it is another height than before. */
  private measureOne(entry: number, values: readonly EntryValue[]): boolean {
    const { arranged, plans, box } = this.made;
    const position = arranged.plans[entry] ?? 0;
    const plan = plans[position];
    if (plan === undefined) return false;
    const height: number | undefined = this.hangs[position]
      ? this.heightOf(plan, values, box)
      : unitsOf(plan.heightPx);
    if (height === undefined) return false;
    this.isMeasured[entry] = 1;
    this.left -= 1;
    if (this.units[entry] === height) return false;
    this.units[entry] = height;
    return true;
  }

  private heightOf(plan: RowPlan, values: readonly EntryValue[], box: RowBox): number | undefined {
    let isKnown = true;
    const text = (words: string, style: TextStyle) => {
      const measure = this.measures.text(words, style, box);
      if (measure === undefined) isKnown = false;
      return measure ?? unknown;
    };
    const height = heightPxOf(plan, values, box.widthPx, { ratio: box.ratio, text });
    return isKnown ? unitsOf(height) : undefined;
  }
}

/** So many times as high as with one line a label: a guess until it is measured. */
const roughly = 1.4;
const unknown: TextMeasure = { isEmpty: false, width: 0, lineCount: () => 1 };
