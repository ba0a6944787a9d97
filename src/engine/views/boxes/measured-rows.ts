import type { RowValues } from '../../../core/arranged';
import type { MeasuredText } from '../../../core/layout';
import {
  anyText,
  breadthAt,
  type EntryWidths,
  type FontedWords,
  type LabelFont,
  RowBoxes,
  type RowLabel,
  type RowPlace,
  widthOf,
} from '../../../core/lists';
import { type TextPlace, TextPool } from '../../../core/text';
import { cutOff, cutRuns } from '../../cut';

/** Who measures texts, as far as it is there: faces come when they are first wanted. */
export interface RowMeasures {
  /** It is another one whenever more can be measured exactly. */
  readonly edition: number;
  /** It is another one whenever texts may be measured otherwise. */
  readonly facesId: number;
  /** Undefined: what it takes has not come yet. */
  at(place: TextPlace): RowTexts | undefined;
}

/** Measures of texts: whole, or as numbers of words in a pool. */
export interface RowTexts {
  /** A text of one run or more; undefined: some face that it takes is not there. */
  of(runs: readonly FontedWords[]): MeasuredText | undefined;
  /** The characters of a text that no face draws. */
  undrawn(words: string, family: string | undefined): readonly string[];
  /** Where a text stands in a pool; undefined: it is no sum of words. */
  put(words: string, pool: TextPool): number | undefined;
  /** Measures texts of a pool, one after the other. */
  summed(font: LabelFont): { show(pool: TextPool, at: number): MeasuredText };
}

/** How wide an entry is, in CSS px. */
export const entryWidth = (
  { arranged, breadths }: Pick<RowValues, 'arranged' | 'breadths'>,
  entry: number,
  widths: EntryWidths,
): number => widthOf(breadthAt(arranged, breadths, entry), widths);

/** Numbers of words that are kept of all rows together: 16 MB. */
const maxKept = 4_000_000;

/** A turn takes some milliseconds with so many rows that were kept, or letters that are new. */
const rowsATurn = 200;
const lettersATurn = 10_000;

/** A template's boxes with the measures of its labels, in their order. */
interface Measured {
  readonly boxes: RowBoxes;
  readonly labels: readonly KeptLabel[];
}

/** A label whose text stands in the pool. */
interface KeptLabel {
  readonly label: RowLabel;
  /** Where its text stands. */
  at: number;
  /** Its text in a size that is smaller by some steps. */
  readonly inSteps: (steps: number) => MeasuredText;
}

/**
 * Solves the rows of a list one after the other. Their texts are kept as numbers of words, so that
 * in another width nothing is evaluated, split or shaped again.
 */
export class MeasuredRows {
  private readonly pool = new TextPool();
  /** Where the texts of each entry stand in the pool, as many as the template with most labels has. */
  private readonly texts: Int32Array;
  /** Which parts of each entry have left. */
  private readonly left: Int32Array;
  private readonly isKept: Uint8Array;
  private readonly labelCount: number;
  private readonly boxes: readonly RowBoxes[];
  private readonly measured: Measured[] = [];
  private measures: RowTexts | undefined;
  /** The letters of all texts that were measured anew. */
  letterCount = 0;
  /** What was solved since the last turn of others. */
  private ofTurn = { rowCount: 0, letters: 0 };

  constructor(
    private readonly rows: RowValues,
    private readonly from: RowMeasures,
    private readonly place: TextPlace & RowPlace,
  ) {
    const count = rows.arranged.items.length;
    this.boxes = rows.plans.map((plan) => new RowBoxes(plan, place));
    this.labelCount = Math.max(0, ...this.boxes.map(({ labels }) => labels.length));
    this.texts = new Int32Array(count * this.labelCount);
    this.left = new Int32Array(count);
    this.isKept = new Uint8Array(count);
  }

  /** The boxes of an entry; undefined: what it takes has not come yet. */
  solve(entry: number, widths: EntryWidths): RowBoxes | undefined {
    this.measures ??= this.from.at(this.place);
    const { measures } = this;
    if (measures === undefined) return undefined;
    const own = this.measuredOf(this.rows.arranged.plans[entry] ?? 0, measures);
    if (own === undefined) return undefined;
    if (!this.showKept(entry, own) && !this.measure(entry, own, measures)) return undefined;
    own.boxes.solve(entryWidth(this.rows, entry, widths));
    return own.boxes;
  }

  /** The same where no height hangs on texts: at once, whatever can be measured. */
  solveWithoutTexts(entry: number, widths: EntryWidths): RowBoxes | undefined {
    const boxes = this.boxes[this.rows.arranged.plans[entry] ?? 0];
    boxes?.fill(this.rows.valuesAt(entry));
    boxes?.measure(() => anyText);
    boxes?.solve(entryWidth(this.rows, entry, widths));
    return boxes;
  }

  /** Tells whether others should have a turn now; a pass asks it for each row. */
  isTurnOver(): boolean {
    this.ofTurn.rowCount += 1;
    const letters = this.letterCount - this.ofTurn.letters;
    if (this.ofTurn.rowCount < rowsATurn && letters < lettersATurn) return false;
    this.ofTurn = { rowCount: 0, letters: this.letterCount };
    return true;
  }

  private measuredOf(plan: number, measures: RowTexts): Measured | undefined {
    const boxes = this.boxes[plan];
    if (this.measured[plan] === undefined && boxes !== undefined)
      this.measured[plan] = {
        boxes,
        labels: boxes.labels.map((label) => this.keptLabel(label, measures)),
      };
    return this.measured[plan];
  }

  private keptLabel(label: RowLabel, measures: RowTexts): KeptLabel {
    const summed: ReturnType<RowTexts['summed']>[] = [];
    const kept: KeptLabel = {
      label,
      at: 0,
      inSteps: (steps) => {
        summed[steps] ??= measures.summed(label.fontAt(0, steps));
        return summed[steps].show(this.pool, kept.at);
      },
    };
    return kept;
  }

  private showKept(entry: number, { boxes, labels }: Measured): boolean {
    if (this.isKept[entry] !== 1) return false;
    const first = entry * this.labelCount;
    boxes.leaveAs(this.left[entry] ?? 0);
    for (let at = 0; at < labels.length; at += 1) {
      const kept = labels[at];
      if (kept === undefined) continue;
      kept.at = this.texts[first + at] ?? 0;
      kept.label.node.text = kept.inSteps(0);
      kept.label.node.smaller = kept.inSteps;
    }
    return true;
  }

  private measure(entry: number, own: Measured, measures: RowTexts): boolean {
    const { boxes } = own;
    boxes.fill(this.rows.valuesAt(entry));
    for (const { runs } of boxes.labels)
      for (const { words } of runs) this.letterCount += words.length;
    if (boxes.hangsOnTexts && this.keep(entry, own, measures)) return this.showKept(entry, own);
    return boxes.measure((runs, language) => {
      const own = language === undefined ? measures : this.from.at({ ...this.place, language });
      return own?.of(cutRuns(runs));
    });
  }

  /** Keeps what the boxes are filled with, if all texts are sums of words. */
  private keep(entry: number, { boxes }: Measured, measures: RowTexts): boolean {
    const { size } = this.pool;
    if (size >= maxKept) return false;
    const first = entry * this.labelCount;
    for (let at = 0; at < boxes.labels.length; at += 1) {
      const label = boxes.labels[at];
      const [only] = label?.runsAt(0) ?? [];
      const text = only && measures.put(cutOff(only.words), this.pool);
      if (text === undefined) {
        this.pool.cutTo(size);
        return false;
      }
      this.texts[first + at] = text;
    }
    this.left[entry] = boxes.left;
    this.isKept[entry] = 1;
    return true;
  }
}
