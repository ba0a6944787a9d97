import type { SortKey } from './order/sort';

/**
 * The id of a template; null: left out on purpose. By the ids of looks where these differ: in one
 * that is not there nothing is chosen.
 */
export type Chosen = string | null | Readonly<Record<string, string | null>>;

/** Which template an item gets that is of a type, for which a condition holds, or both. */
export interface Choice {
  /** Id of an item type; none: those of all types. */
  readonly type?: string;
  /** An expression that gives yes or no; none: it holds for all. */
  readonly when?: string;
  /** None: nothing is chosen. */
  readonly template?: Chosen;
}

/** How entries are placed. Edges and gaps in px. */
export type Arrangement =
  | {
      readonly kind: 'list';
      readonly gap: number;
      readonly edge: number;
      readonly separators: boolean;
    }
  | {
      readonly kind: 'grid';
      readonly columns: number;
      readonly gap: number;
      readonly edge: number;
    };

/** A source with its choices and its arrangement. */
export interface List {
  readonly id: string;
  readonly name: string;
  readonly source: string;
  /** The first that takes an item decides. */
  readonly choices: readonly Choice[];
  /** What items get that no choice takes; none: nothing is chosen for them. */
  readonly otherwise?: Chosen;
  /** By what its items are sorted, the first counting most; none: as they came. */
  readonly order?: readonly SortKey[];
  readonly arrangement: Arrangement;
}

export function columnsOf(arrangement: Arrangement): number {
  return arrangement.kind === 'grid' ? arrangement.columns : 1;
}
