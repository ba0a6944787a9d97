import type { Finding, Turns } from '../../core/base';
import { hangsOnText } from '../../core/lists';
import { boxFindings, type CheckedAt } from './box-findings';
import { type LabelCuts, labelCuts } from './label-cuts';
import { MeasuredHeights } from './measured-heights';
import { MeasuredRows, type RowBox, type RowMeasures, type RowValues } from './measured-rows';

/** What rows are measured with. */
interface Measurable {
  /** Each change of items or project gives another one. */
  readonly version: number;
  /** Undefined: nobody measures; heights that hang on texts stay rough. */
  readonly measures: RowMeasures | undefined;
}

/** What of a view hangs on how wide texts are: heights of rows, and how their parts fare. */
export class RowMeasuring {
  private heights: MeasuredHeights | undefined;
  private rows: MeasuredRows | undefined;
  /** What the rows are of. */
  private ofRows: readonly unknown[] = [];

  constructor(private readonly world: Measurable) {}

  /** Heights of entries; undefined: those of their plans. `box`: undefined while nobody has said it. */
  heightsOf(values: RowValues, box: RowBox | undefined): MeasuredHeights | undefined {
    const { measures } = this.world;
    if (box === undefined || measures === undefined || !values.plans.some(hangsOnText)) {
      this.heights = undefined;
      return undefined;
    }
    const rows = this.rowsOf(values, measures, box);
    const { widthPx } = box;
    if (this.heights === undefined || !this.heights.isOf(rows, widthPx))
      this.heights = new MeasuredHeights({ of: values, rows, widthPx }, measures, this.heights);
    return this.heights;
  }

  /** Measures what is about to be seen; false: nothing there hangs on texts. */
  measure(from: number, to: number): boolean {
    this.heights?.measure(from, to);
    return this.heights !== undefined;
  }

  /** Measures all rows, with turns for others. */
  *measuring(): Turns<void> {
    if (this.heights !== undefined && !this.heights.isDone) yield* this.heights.measuring();
  }

  /** Whether rows are left whose height is rough, though it could be known. */
  get isRough(): boolean {
    return this.heights !== undefined && !this.heights.isDone && !this.heights.isStuck;
  }

  /** How a label fares in all rows; undefined: nothing can be measured, or not yet. */
  *cuts(
    values: RowValues,
    label: { readonly template: string; readonly part: string },
    box: RowBox | undefined,
  ): Turns<LabelCuts | undefined> {
    const { measures } = this.world;
    if (measures === undefined || box === undefined) return undefined;
    return yield* labelCuts(values, this.rowsOf(values, measures, box), label, box.widthPx);
  }

  /** What is wrong with boxes at all that is asked for. */
  *findings(values: RowValues, at: CheckedAt): Turns<readonly Finding[]> {
    const { measures } = this.world;
    if (measures === undefined || at.widths.length === 0) return [];
    return yield* boxFindings(values, measures, at);
  }

  /** The rows as they can be solved in any width. */
  private rowsOf(values: RowValues, measures: RowMeasures, box: RowBox): MeasuredRows {
    const { version } = this.world;
    const of = [values.arranged, values.plans, version, box.ratio, box.textSize, box.language];
    if (this.rows === undefined || of.some((each, at) => each !== this.ofRows[at])) {
      this.rows = new MeasuredRows(values, measures, box);
      this.ofRows = of;
    }
    return this.rows;
  }
}
