import {
  leaves,
  mapBindings,
  type Slot,
  type StackPart,
  slotsOf,
  type Template,
} from '../templates';
import type { Arrangement } from './list';

/**
 * A template as the renderer needs it: its parts without what feeds them, and which property each
 * text of an entry goes to. The same for templates that differ in their expressions alone.
 */
export interface RowPlan {
  readonly template: string;
  readonly row: StackPart;
  readonly slots: readonly PlanSlot[];
  readonly heightPx: number;
}

export interface PlanSlot extends Pick<Slot, 'part' | 'property'> {
  /** Without a value the part takes no room. */
  readonly leaves: boolean;
}

export const rowPlanOf = ({ id, row }: Template): Omit<RowPlan, 'heightPx'> => ({
  template: id,
  row: { ...row, children: row.children.map((child) => mapBindings(child, () => '')) },
  slots: slotsOf(row).map(({ part, property, binding }) => ({
    part,
    property,
    leaves: leaves(binding),
  })),
});

/** One thing in the arranged sequence, finished: nothing is left to compute. */
export interface Entry {
  readonly kind: 'row';
  readonly key: string;
  /** Position of its item in the source. */
  readonly item: number;
  /** Position of its plan. */
  readonly plan: number;
  /** One for each of the plan's slots; undefined: missing. */
  readonly texts: readonly (string | undefined)[];
}

/** What has to be known of the whole list to place any part of it. Heights in px, one a line. */
export interface Sequence {
  /** The same for the same sequence. */
  readonly id: number;
  readonly arrangement: Arrangement;
  readonly entryCount: number;
  /** Undefined: those that were sent with this sequence before. */
  readonly lineHeights: Float32Array<ArrayBuffer> | undefined;
}
