/**
 * What kinds of entry there are: what may stand in a sequence. The order is that of their numbers
 * in columns, not of where they stand.
 */
export const entryKinds = [
  'row',
  'header',
  'heading',
  'insert',
  'separator',
  'footing',
  'state',
  'footer',
  'bar',
] as const;
export type EntryKind = (typeof entryKinds)[number];

/** The number of a kind in columns. */
export const kindNumber = (kind: EntryKind): number => entryKinds.indexOf(kind);
