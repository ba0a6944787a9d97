import type { Lines } from '../../layout';
import { stripColumns } from './lines';

/** Lines from one to another, both with them. */
export interface LineRange {
  readonly first: number;
  readonly last: number;
}

/** From one up to but without another: places, or the cells of a strip, counted from its first. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Where entries stand that are drawn together. */
export interface DrawnLines {
  readonly lines: Lines;
  readonly entryCount: number;
  /** Of the strip that a line is. */
  readonly windowOf: (line: number) => Stretch;
}

/** The places from one up to but without another. */
export const placesBetween = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(0, to - from) }, (_, at) => from + at);

/** The places of all entries in some lines, of strips those in their windows; they ascend. */
export function placesIn({ first, last }: LineRange, drawn: DrawnLines): number[] {
  const { lines, entryCount } = drawn;
  const places: number[] = [];
  for (let line = Math.max(0, first); line <= last && line < lines.count; line += 1) {
    const start = lines.firstOf(line);
    const end = lines.endOf(line, entryCount);
    const seen = isStrip(lines, line) ? drawn.windowOf(line) : { from: 0, to: end - start };
    for (let at = start + Math.max(0, seen.from); at < Math.min(end, start + seen.to); at += 1)
      places.push(at);
  }
  return places;
}

export const isStrip = (lines: Lines, line: number): boolean =>
  lines.columnsOf(line) === stripColumns;

/** Lines on from one, `by` -1 or 1, that have so many entries; a strip counts for one. */
export function lineAfter(lines: Lines, from: number, by: 1 | -1, entries: number): number {
  let line = from;
  for (let left = entries; left > 0 && line + by >= 0 && line + by < lines.count; ) {
    line += by;
    left -= Math.max(1, lines.columnsOf(line));
  }
  return line;
}

/** Places that follow each other, as one stretch each. */
export function runsOf(places: readonly number[]): readonly Stretch[] {
  const runs: { from: number; to: number }[] = [];
  for (const place of places) {
    const last = runs.at(-1);
    if (last?.to === place) last.to = place + 1;
    else runs.push({ from: place, to: place + 1 });
  }
  return runs;
}
