import type { RowMeasures } from '../views';

/** Who measures texts, as far as it is there, and lets others have their turn. */
export interface PackMeasures {
  readonly measures: RowMeasures;
  /** Once more may be measured than now; rejected where what it takes does not come. */
  readonly more: () => Promise<void>;
  /** Rejected where nobody waits for it any more. */
  readonly pause: () => Promise<void>;
}
