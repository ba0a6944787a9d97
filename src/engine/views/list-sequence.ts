import type { LineTable } from '../../core/layout';
import {
  type Arranged,
  type Arrangement,
  arrange,
  columnsOf,
  type KnownSequence,
  linesOf,
  plansByChoice,
  type Sequence,
} from '../../core/lists';

const nothing: Arranged = {
  kinds: new Uint8Array(),
  items: new Int32Array(),
  plans: new Uint16Array(),
};
const noLines: LineTable = {
  firsts: new Int32Array(),
  columns: new Uint8Array(),
  heights: new Int32Array(),
};

/** Heights of entries that are being measured. */
export interface RowHeights {
  readonly units: Int32Array;
  /** Each change of some of them gives another one. */
  readonly changeCount: number;
}

/** What a sequence is made of. */
interface Arranging {
  /** The choice that takes each item; the same array where they are the same. */
  readonly choices: Int16Array;
  /** Positions of items as they are sorted; undefined: as they came. */
  readonly order: Int32Array | undefined;
  /** -1 where its items are left out. */
  readonly planOfChoice: Int16Array;
  /** The height of each plan's rows, in whole 1/64 px. */
  readonly planHeights: Int32Array;
  /** The heights of entries that hang on their texts, for the sequence that is arranged by now. */
  readonly heightsOf: (arranged: Arranged) => RowHeights | undefined;
  readonly arrangement: Arrangement;
}

/** The entries of a list in their lines. Most edits change words alone: then they stay as they are. */
export class ListSequence {
  arranged = nothing;
  private lines = noLines;
  private id = 0;
  private heightsId = 0;
  private entries: Int32Array | undefined;
  /** What entries, lines and heights were made of. */
  private ofEntries: readonly unknown[] = [];
  private ofLines: readonly unknown[] = [];
  private ofHeights: readonly unknown[] = [];

  get count(): number {
    return this.arranged.items.length;
  }

  clear(): void {
    this.arranged = nothing;
    this.ofEntries = [];
    this.entries = undefined;
    this.takeLines(noLines, []);
  }

  arrange({ choices, order, planOfChoice, planHeights, heightsOf, arrangement }: Arranging): void {
    const ofEntries = [choices, order, planOfChoice.join()];
    if (!isSame(ofEntries, this.ofEntries)) {
      this.arranged = arrange(plansByChoice(choices, planOfChoice), order);
      this.entries = undefined;
      this.ofEntries = ofEntries;
    }
    const columns = columnsOf(arrangement);
    const ofLines = [this.arranged, columns];
    const own = heightsOf(this.arranged);
    const ofHeights = [this.arranged, columns, planHeights.join(), own, own?.changeCount];
    if (isSame(ofHeights, this.ofHeights)) return;
    const heights = { ofPlans: planHeights, ofEntries: own?.units };
    const lines = linesOf(this.arranged, heights, columns);
    if (isSame(ofLines, this.ofLines)) this.takeHeights(lines, ofHeights);
    else {
      this.takeLines(lines, ofLines);
      this.ofHeights = ofHeights;
    }
  }

  /** Whether an asker has the entries as they stand. */
  isKnown(known: KnownSequence | undefined): boolean {
    return known?.id === this.id;
  }

  /** The sequence as it is drawn; `known` is what was sent before. */
  toDraw(arrangement: Arrangement, known: KnownSequence | undefined): Sequence {
    const { id, heightsId } = this;
    const areLinesKnown = this.isKnown(known);
    const { firsts, columns, heights } = this.lines;
    return {
      id,
      heightsId,
      arrangement,
      entryCount: this.count,
      lines: areLinesKnown ? undefined : { firsts: firsts.slice(), columns: columns.slice() },
      heights: known?.heightsId === heightsId ? undefined : heights.slice(),
    };
  }

  /** Where an item stands; -1: it is left out. Where all stand is found once for a sequence. */
  entryOf(item: number): number {
    this.entries ??= inverse(this.arranged.items);
    return this.entries[item] ?? -1;
  }

  private takeLines(lines: LineTable, of: readonly unknown[]): void {
    this.id += 1;
    this.ofLines = of;
    this.takeHeights(lines, []);
  }

  private takeHeights(lines: LineTable, of: readonly unknown[]): void {
    this.lines = lines;
    this.heightsId += 1;
    this.ofHeights = of;
  }
}

// A project that crossed from the page is another object each time: what counts is what it says.
const isSame = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((each, at) => each === other[at]);

/** Where each number stands; -1: nowhere. */
function inverse(numbers: Int32Array): Int32Array {
  const highest = numbers.reduce((most, number) => Math.max(most, number), -1);
  const places = new Int32Array(highest + 1).fill(-1);
  for (let at = 0; at < numbers.length; at += 1) places[numbers[at] ?? 0] = at;
  return places;
}
