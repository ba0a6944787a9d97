import type { Runtime } from '../../core/handoff';
import type { DrawingMeasures } from '../drawing';
import type { OwnFonts } from '../measuring';
import type { RowMeasures } from '../views';

/** What drawing takes besides. */
export interface DrawPorts extends PackMeasures {
  readonly measures: RowMeasures & DrawingMeasures;
  /** A file that rows are drawn with, as it is served. */
  readonly face: (file: string) => Promise<Uint8Array>;
  /** The project's own. */
  readonly fonts: OwnFonts;
}

/** What packing takes from where it runs. */
export interface PackPorts extends DrawPorts {
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
