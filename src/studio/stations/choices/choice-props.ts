import type { Finding } from '../../../core/base';
import type { Choice, List } from '../../../core/lists';
import type { Look, Project } from '../../../core/project';
import type { ChoiceTable } from '../../../engine';

/** What is known of a choice in its line of the table. */
export interface ChoiceRowProps {
  readonly project: Project;
  readonly list: List;
  readonly looks: readonly (Look | undefined)[];
  /** Undefined: what all others get. */
  readonly choice: Choice | undefined;
  readonly at: number;
  readonly table: ChoiceTable | undefined;
  readonly findings: readonly Finding[];
  /** Whether it takes the item at hand. */
  readonly isTaken: boolean;
}
