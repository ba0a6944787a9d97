import type { TextDirection } from '../core/base';
import type { Bar, Entry, KnownSequence, RowPlace, RowPlan, Sequence } from '../core/lists';
import type { ActingPorts } from './acting';
import type { Pictures } from './parts';
import type { Eye } from './seen';
import type { FrameWork } from './work-log';

export interface ListViewPorts {
  /** The finished entries at some places, as of a version; none if the version is no more. */
  entries(version: number, places: readonly number[]): Promise<readonly Entry[]>;
  pictures: Pictures;
  /** What rows do; none: they are only looked at. */
  readonly acting?: ActingPorts;
  /** A row was pressed; `part` is what of it. */
  pressed(entry: Entry, part: string | undefined): void;
  /** A heading was pressed whose section can be folded. */
  folded?(entry: Entry): void;
  /** The end of the rows is in sight, or nearly so. */
  nearsEnd?(): void;
  /** A person scrolled. */
  scrolled?(): void;
  /** Where rows begin: at the left, unless it says otherwise. */
  direction?(): TextDirection;
  /** How many times as large as styles say text is. */
  textSize?(): number;
  /** How many times as large as templates say the space in rows is. */
  density?(): number;
  /** How much of the box the device keeps for itself at its bottom, in px. */
  safeBelow?(): number;
  /** The box has another width: rows may be of other heights. */
  resized?(): void;
}

/** What practitioners ask of a pool: rows made so far, in use now, and bindings since the start. */
export interface PoolReadout {
  readonly made: number;
  readonly inUse: number;
  readonly bound: number;
  /** Of the last frames in which anything was drawn, the latest last. */
  readonly work: readonly FrameWork[];
}

/** What an update should answer first, and where it is drawn. */
export interface Wanted {
  readonly from: number;
  readonly to: number;
  /** The cell that each strip begins with in sight, by its key. */
  readonly strips: ReadonlyMap<string, number>;
  readonly sequence: KnownSequence;
  readonly box: RowPlace & { readonly widthPx: number };
  readonly keep?: readonly Eye[];
}

export interface Shown {
  readonly version: number;
  /** The same as long as items alone change. */
  readonly edition: number;
  /** Id of the list. */
  readonly list: string | undefined;
  readonly sequence: Sequence;
  readonly plans: readonly RowPlan[];
  readonly entries: readonly Entry[];
  /** Where each of them stands. */
  readonly places: readonly number[];
  readonly above: Bar | undefined;
  readonly below: Bar | undefined;
  /** The heading over the first of these entries, where it is none of them. */
  readonly over: { readonly at: number; readonly entry: Entry } | undefined;
  /** Where the row stands now that was looked at, if it is another place. */
  readonly kept: Eye | undefined;
}
