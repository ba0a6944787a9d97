import {
  type Constant,
  childrenOf,
  constantsOf,
  type EntryValue,
  leaves,
  type Part,
  type Slot,
  slotsOf,
  type Template,
} from '../templates';
import type { Arrangement } from './list';

/**
 * A template as the renderer needs it: its parts with all that is fixed about them, and which
 * property each value of an entry goes to. There is no expression in it, so that it is the same for
 * templates that differ in their expressions alone.
 */
export interface RowPlan {
  readonly template: string;
  readonly row: PartPlan;
  readonly slots: readonly PlanSlot[];
  readonly heightPx: number;
}

export interface PartPlan {
  readonly part: string;
  readonly id: string;
  /** By property; the default where it says nothing or an entry brings the value. */
  readonly values: Readonly<Record<string, Constant | undefined>>;
  readonly children: readonly PartPlan[];
}

export interface PlanSlot extends Pick<Slot, 'part' | 'property'> {
  readonly kind: Slot['declared']['kind'];
  /** Without a value the part takes no room. */
  readonly leaves: boolean;
}

export const rowPlanOf = ({ id, row }: Template): Omit<RowPlan, 'heightPx'> => ({
  template: id,
  row: partPlanOf(row),
  slots: slotsOf(row).map(({ part, property, declared, binding }) => ({
    part,
    property,
    kind: declared.kind,
    leaves: leaves(binding),
  })),
});

const partPlanOf = (part: Part): PartPlan => ({
  part: part.part,
  id: part.id,
  values: constantsOf(part),
  children: childrenOf(part).map(partPlanOf),
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
  readonly values: readonly EntryValue[];
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
