import type { Arranged, EntryWidths, RowPlace, RowPlan, Shrunk } from '../lists';
import type { EntryValue } from '../templates';
import type { TextPlace } from '../text';
import type { RowHeights } from './list-sequence';

/** What the boxes of rows hang on besides their values. */
export interface RowBox extends TextPlace, RowPlace {
  readonly widths: EntryWidths;
}

/** Rows as they stand in a list. */
export interface RowValues {
  readonly arranged: Pick<Arranged, 'kinds' | 'items' | 'plans'>;
  readonly plans: readonly RowPlan[];
  /** How wide the rows of each plan stand; undefined: as cells. */
  readonly breadths?: Uint8Array | undefined;
  /** Finished values of an entry. */
  readonly valuesAt: (entry: number) => readonly EntryValue[];
}

/** Who finds out how high rows are, and how small their texts: the port to what measures. */
export interface MeasuresRows {
  /** Heights of entries; undefined: those of their plans. `box`: undefined while nobody has said it. */
  heightsOf(rows: RowValues, box: RowBox | undefined): RowHeights | undefined;
  /** Measures what is about to be seen; false: nothing there hangs on anything but its plan. */
  measure(places: readonly number[]): boolean;
  /** How labels of an entry's row have shrunk; undefined: none may, or it is not yet known. */
  shrunkIn(rows: RowValues, entry: number, box: RowBox | undefined): readonly Shrunk[] | undefined;
  /** The same of a row that stands in no list. */
  shrunkOf(
    plan: RowPlan,
    values: readonly EntryValue[],
    box: RowBox | undefined,
  ): readonly Shrunk[] | undefined;
  /** How high a row is that stands in no list, in CSS px; undefined: it is not yet known. */
  heightOf(
    plan: RowPlan,
    values: readonly EntryValue[],
    box: RowBox | undefined,
  ): number | undefined;
}
