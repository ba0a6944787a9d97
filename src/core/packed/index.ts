/**
 * A project as an app's page needs it: data that was made ahead of time, and a list of it with its
 * items. It reads no expression and draws nothing; the element of the pack draws.
 */
export { type PackedRaised, withValueAt } from './acting';
export { type PackedFrame, type PackedSettings, PackedView } from './list';
export type {
  PackedExpression,
  PackedList,
  PackedProject,
  PackedScope,
  PackedSlot,
  PackedSource,
  PackedTemplate,
} from './packed';
