import type { ListFrame } from '../../core/arranged';
import type { Finding } from '../../core/base';
import type { RowPlan } from '../../core/lists';

/** What drawing the list needs, as of one version of project and items. */
export interface Frame extends ListFrame {
  readonly version: number;
  /** The same as long as items alone change: what was counted over them still tells how they fare. */
  readonly edition: number;
  /** Id of the list that is shown. */
  readonly list: string | undefined;
  /** Id of the source that its items are of. */
  readonly source: string | undefined;
  readonly plans: readonly RowPlan[];
  readonly itemCount: number;
  /** How many items of the source are of each of its types. */
  readonly typeCounts: readonly (readonly [type: string, count: number])[];
  readonly findings: readonly Finding[];
}
