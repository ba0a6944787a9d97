import type { Json } from '../../base';

/** What both sides changed, each otherwise: the first side's stays. Undefined: it is not there on that side. */
export interface Conflict {
  readonly path: readonly string[];
  readonly ours: Json | undefined;
  readonly theirs: Json | undefined;
}

/** The value that two people's changes of a third make together. */
export interface Merged {
  readonly value: Json | undefined;
  readonly conflicts: readonly Conflict[];
}

/** A value as it was and as two sides have it now. */
export interface Sides<T> {
  readonly base: T;
  readonly ours: T;
  readonly theirs: T;
}
