import type { JsonRecord } from '../base';

/** What is around an item where it stands: all of it may be unknown. */
export interface RowContext {
  /** Its position in the list, from 0. */
  readonly index?: number;
  /** How many the list has. */
  readonly count?: number;
  /** Id of the look that the list is shown in. */
  readonly look?: string;
  /** The part of the list that it stands in: all of it where the list has no sections. */
  readonly section?: SectionValue;
  /** The time, as ISO 8601 with a zone. */
  readonly now?: string;
}

/** A section as expressions see it. */
export type SectionValue = JsonRecord & {
  /** What its items have in common, in words; none: they have no such value. */
  readonly name?: string;
  /** Its position among all sections, from 0. */
  readonly index: number;
  readonly count: number;
  readonly items: readonly JsonRecord[];
};

export const nowhere: RowContext = {};
