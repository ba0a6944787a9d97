import type { Runtime } from '../../core/handoff';
import type { RowMeasures } from '../views';

/** What packing takes from where it runs. */
export interface PackPorts extends PackMeasures {
  readonly runtime: () => Promise<Runtime>;
}

/** Who measures texts, as far as it is there, and lets others have their turn. */
export interface PackMeasures {
  readonly measures: RowMeasures;
  /** Once more may be measured than now; rejected where what it takes does not come. */
  readonly more: () => Promise<void>;
  /** Rejected where nobody waits for it any more. */
  readonly pause: () => Promise<void>;
}
