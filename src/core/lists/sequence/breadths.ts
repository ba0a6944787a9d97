import { kindNumber } from './entry-kinds';

/**
 * How wide an entry stands, as a number in columns: as a cell beside others, in a line of its own,
 * or as a cell of a strip, which is scrolled sideways.
 */
export const breadths = { cell: 0, line: 1, strip: 2 } as const;
export type Breadth = keyof typeof breadths;

const insert = kindNumber('insert');

/** Entries as columns: of which kind each is, and of which plan. */
interface EntryColumns {
  readonly kinds: Uint8Array;
  readonly plans: Uint16Array;
}

/** Of an entry among others. `ofPlans`: of the rows of each plan; undefined: cells. */
export function breadthAt(
  { kinds, plans }: EntryColumns,
  ofPlans: Uint8Array | undefined,
  entry: number,
): number {
  const kind = kinds[entry] ?? 0;
  if (kind === 0) return ofPlans?.[plans[entry] ?? 0] ?? breadths.cell;
  // An insert comes right after its row, and goes on where that stands.
  const isInStrip =
    kind === insert && entry > 0 && ofPlans?.[plans[entry - 1] ?? 0] === breadths.strip;
  return isInStrip ? breadths.strip : breadths.line;
}
