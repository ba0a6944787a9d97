/** A way of writing that ECMAScript has no grammar for. */
export interface WrittenForm {
  readonly what: string;
  /** Looked for in the text with the insides of its quotes blotted out. */
  readonly pattern: RegExp;
  /** The whole text with the stretch written otherwise; the groups are as the author wrote them. */
  readonly write: (groups: Groups) => readonly (string | undefined)[];
  readonly says?: string;
  /** A slip and no habit: nothing is said of it but what mends it. */
  readonly isSlip?: true;
}

export interface Groups {
  readonly before: string;
  readonly after: string;
  /** The n-th group; empty where it did not take part. */
  readonly at: (group: number) => string;
}

/** The stretch, written otherwise. */
export const instead =
  (words: (at: (group: number) => string) => string): WrittenForm['write'] =>
  ({ before, after, at }) => [before + words(at) + after];
