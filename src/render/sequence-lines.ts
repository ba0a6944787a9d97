import { Lines } from '../core/layout';
import type { LineRange, Sequence } from '../core/lists';

const noHeights = new Int32Array();

/** What is drawn before anything is. */
export const noSequence: Pick<Sequence, 'arrangement' | 'entryCount'> = {
  arrangement: { kind: 'list', gap: 0, edge: 0, separators: false },
  entryCount: 0,
};

/** Where the lines of a sequence stand. */
export function linesOf({ lines, heights, arrangement }: Sequence): Lines {
  const { firsts, columns } = lines ?? { firsts: noHeights, columns: new Uint8Array() };
  return new Lines(
    { firsts, columns, heights: heights ?? noHeights },
    arrangement.edge,
    arrangement.gap,
  );
}

export const noLines = new Lines(
  { firsts: noHeights, columns: new Uint8Array(), heights: noHeights },
  0,
  0,
);

export const isSamePlaces = (one: Sequence, other: Sequence): boolean =>
  one.id === other.id &&
  one.heightsId === other.heightsId &&
  one.arrangement.edge === other.arrangement.edge &&
  one.arrangement.gap === other.arrangement.gap;

/** How many entries lines have; a strip counts for one. */
export function entriesIn(lines: Lines, { first, last }: LineRange): number {
  let count = 0;
  for (let line = first; line <= last; line += 1) count += Math.max(1, lines.columnsOf(line));
  return count;
}
