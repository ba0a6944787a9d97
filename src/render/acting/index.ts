/**
 * What rows do: pointers and keys become gestures, one at most from down to up, and gestures ask for
 * actions. What becomes of an action, who shows the list knows.
 */

export type { ActingPorts, GesturePlace, Offered } from './acts';
export type { ControlValue } from './changes';
export type { DropPlace } from './gaps';
export { Living, type LivingList } from './living';
