import type { Finding } from '../../core/base';
import type {
  Bar,
  Entry,
  EntryKind,
  KnownSequence,
  ListState,
  RowPlace,
  RowPlan,
  Sequence,
} from '../../core/lists';

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
interface Kept {
  readonly key: string;
  readonly at: number;
}

/** Where a list is drawn. */
export interface ListBox extends RowPlace {
  /** Inner width, in CSS px. */
  readonly widthPx: number;
}

/** What drawing the list needs, as of one version of project and items. */
export interface Frame {
  readonly version: number;
  /** The same as long as items alone change: what was counted over them still tells how they fare. */
  readonly edition: number;
  /** Id of the list that is shown. */
  readonly list: string | undefined;
  /** Id of the source that its items are of. */
  readonly source: string | undefined;
  readonly sequence: Sequence;
  readonly plans: readonly RowPlan[];
  readonly entries: readonly Entry[];
  /** Where each of them stands. */
  readonly places: readonly number[];
  readonly above: Bar | undefined;
  readonly below: Bar | undefined;
  /** The heading over the first of them, where headings stick and it is none of them. */
  readonly over: { readonly at: number; readonly entry: Entry } | undefined;
  /** Where the row stands now that was to be kept; undefined: nowhere, or where it did. */
  readonly kept: Kept | undefined;
  readonly itemCount: number;
  readonly state: ListState;
  /** How many entries of each kind there are. */
  readonly kindCounts: Readonly<Record<EntryKind, number>>;
  /** How many items of the source are of each of its types. */
  readonly typeCounts: readonly (readonly [type: string, count: number])[];
  readonly findings: readonly Finding[];
}
