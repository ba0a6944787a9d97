import {
  type Arrangement,
  lineAfter,
  placesBetween,
  placesIn,
  type Stretch,
  stripMeasures,
  widthsIn,
} from '../lists';
import type { ListSequence } from './list-sequence';
import type { EntryRange } from './range';

/** Cells of a strip on both sides of those in sight. */
const cellsAround = 3;

/** Where entries stand that a range asks for: of strips, the cells that are seen. */
export function wantedPlaces(
  sequence: ListSequence,
  { from, to, strips }: EntryRange,
  { arrangement, widthPx }: { readonly arrangement: Arrangement; readonly widthPx: number },
): readonly number[] {
  const { count: entryCount, placed: lines } = sequence;
  if (!sequence.hasStrips) return placesBetween(from, Math.min(to, entryCount));
  if (to <= from) return [];
  const cellPx = widthsIn(arrangement, widthPx).strip + stripMeasures(arrangement).gap;
  const inSight = Math.ceil(widthPx / Math.max(1, cellPx)) + 1;
  const windowOf = (line: number): Stretch => {
    const at = strips?.get(sequence.stripKey(line) ?? '') ?? 0;
    return { from: at - cellsAround, to: at + inSight + cellsAround };
  };
  const first = lines.of(from);
  const more = to - from - Math.max(1, lines.columnsOf(first));
  return placesIn(
    { first, last: lineAfter(lines, first, 1, more) },
    { lines, entryCount, windowOf },
  );
}
