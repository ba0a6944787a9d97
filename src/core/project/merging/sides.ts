import type { Json } from '../../base';

/** What both sides changed, each otherwise: the first side's stays. Undefined: it is not there on that side. */
export interface Conflict {
  readonly path: readonly string[];
  readonly ours: Json | undefined;
  readonly theirs: Json | undefined;
  /** Both sides made one: theirs stands beside it under another id. */
  readonly isKeptTwice?: true;
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

/** What may be done with the elements of lists, by where they stand. */
export interface Rules {
  /** What tells the elements of a list apart; undefined: nothing does, and the list is one value. */
  readonly keyOf: (element: Json, path: readonly string[]) => string | undefined;
  /** Whether of two new elements of one id theirs may get another one. */
  readonly mayRename: (path: readonly string[]) => boolean;
}
