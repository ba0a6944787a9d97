import type { KnownSequence, RowPlace } from '../lists';

/** Entries from `from` up to but without `to`. */
export interface EntryRange {
  readonly from: number;
  readonly to: number;
  /** The cell that each strip begins with in sight, by its key; none: its first. Strips count for one entry. */
  readonly strips?: ReadonlyMap<string, number>;
  /** What the asker has of the sequence: it is not sent again. */
  readonly sequence?: KnownSequence;
  /** The box that rows are drawn in; undefined: as before. */
  readonly box?: ListBox;
  /**
   * The row that stays where it is looked at, where others stand around it: the first of these that
   * is still there. Keys, and where they stood.
   */
  readonly keep?: readonly Kept[];
}

/** A row by its key, and its place. */
export interface Kept {
  readonly key: string;
  readonly at: number;
}

/** Where a list is drawn. */
export interface ListBox extends RowPlace {
  /** Inner width, in CSS px. */
  readonly widthPx: number;
}
