import type { Json, Turns } from '../base';
import {
  blockLength,
  type Checked,
  type Columns,
  isMissing,
  isTrue,
  type Pass,
  passOver,
} from '../values';
import { type Extreme, type Measure, measured, measureOf } from './evidence';

/** What an expression gives over all items: for how many nothing, and what stands at the ends. */
export interface Spread {
  readonly itemCount: number;
  readonly missingCount: number;
  /** Position of the first item without a value, or -1. */
  readonly firstMissing: number;
  readonly ends: Ends | undefined;
}

export type Ends =
  | { readonly measure: Measure; readonly smallest: Extreme; readonly largest: Extreme }
  | {
      readonly measure: 'truth';
      readonly trueCount: number;
      /** Positions, or -1. */
      readonly firstTrue: number;
      readonly firstFalse: number;
    };

const blocksATurn = 5;

/** Positions are those in the items of the columns. */
export function* spreadOf(checked: Checked, columns: Columns): Turns<Spread> {
  const { length } = columns.items;
  const tally = new Tally(measureOf(checked.type));
  const take = taker(passOver(checked, columns), tally);
  for (let from = 0; from < length; from += blockLength) {
    take(from, Math.min(blockLength, length - from));
    if ((from / blockLength) % blocksATurn === blocksATurn - 1) yield from / length;
  }
  return tally.spread(length);
}

/** Counts one block. */
type Take = (from: number, count: number) => void;

function taker(pass: Pass, tally: Tally): Take {
  switch (pass.by) {
    case 'numbers':
      return (from, count) => {
        const block = pass.blocks(from);
        for (let i = 0; i < count; i += 1) {
          const value = block[i] ?? 0;
          if (Number.isNaN(value)) tally.miss(from + i);
          else tally.measure(value, value, from + i);
        }
      };
    case 'conditions':
      return (from, count) => {
        const block = pass.blocks(from);
        for (let i = 0; i < count; i += 1) {
          if (block[i] === isMissing) tally.miss(from + i);
          else tally.tell(block[i] === isTrue, from + i);
        }
      };
    case 'texts': {
      const { table, codes } = pass.texts;
      const measures = Float64Array.from(table, (text) => tally.measureOf(text));
      return (from, count) => {
        const block = codes(from);
        for (let i = 0; i < count; i += 1) {
          const code = block[i] ?? 0;
          if (code < 0) tally.miss(from + i);
          else tally.measure(measures[code] ?? 0, table[code] ?? '', from + i);
        }
      };
    }
    case 'items':
      return (from, count) => {
        for (let at = from; at < from + count; at += 1) {
          const value = pass.valueAt(at);
          if (value === undefined) tally.miss(at);
          else if (typeof value === 'boolean') tally.tell(value, at);
          else tally.measure(tally.measureOf(value), value, at);
        }
      };
  }
}

class Tally {
  private missingCount = 0;
  private firstMissing = -1;
  private trueCount = 0;
  private firstTrue = -1;
  private firstFalse = -1;
  private min = Number.POSITIVE_INFINITY;
  private max = Number.NEGATIVE_INFINITY;
  private smallest: Extreme | undefined;
  private largest: Extreme | undefined;

  constructor(private readonly measured: Measure | undefined) {}

  measureOf(value: Json): number {
    return this.measured === undefined ? Number.NaN : measured(this.measured, value);
  }

  miss(at: number): void {
    if (this.missingCount === 0) this.firstMissing = at;
    this.missingCount += 1;
  }

  tell(isHeld: boolean, at: number): void {
    if (isHeld) this.trueCount += 1;
    if (isHeld && this.firstTrue < 0) this.firstTrue = at;
    if (!isHeld && this.firstFalse < 0) this.firstFalse = at;
  }

  /** What measures nothing is neither less nor more than anything. */
  measure(size: number, value: Json, item: number): void {
    if (size < this.min) {
      this.min = size;
      this.smallest = { value, item };
    }
    if (size > this.max) {
      this.max = size;
      this.largest = { value, item };
    }
  }

  spread(itemCount: number): Spread {
    const { missingCount, firstMissing } = this;
    return { itemCount, missingCount, firstMissing, ends: this.ends() };
  }

  private ends(): Ends | undefined {
    const { measured: measure, smallest, largest, trueCount, firstTrue, firstFalse } = this;
    if (measure !== undefined && smallest !== undefined && largest !== undefined)
      return { measure, smallest, largest };
    if (firstTrue < 0 && firstFalse < 0) return undefined;
    return { measure: 'truth', trueCount, firstTrue, firstFalse };
  }
}
