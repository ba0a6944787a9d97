/** What is around an item where it stands: all of it may be unknown. */
export interface RowContext {
  /** Its position in the list, from 0. */
  readonly index?: number;
  /** How many the list has. */
  readonly count?: number;
  /** Id of the look that the list is shown in. */
  readonly look?: string;
  /** The time, as ISO 8601 with a zone. */
  readonly now?: string;
}

export const nowhere: RowContext = {};
