import { Lines } from '../core/layout';
import type { Sequence } from '../core/lists';

const noHeights = new Int32Array();

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
