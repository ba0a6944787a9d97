import type { Point } from '../../../../shared/pointer/pointer-drag';
import type { Box } from '../dragging/landing';

/** Where a thread comes onto a part, and from which side of the row. */
export interface ThreadEnd extends Point {
  readonly from: 'above' | 'below';
}

/** So far an end keeps from the corners of its part, and from the next end. */
const marginPx = 6;
const stepPx = 6;

/**
 * Where the thread of a part ends, so that it crosses no words on its way from the row's edge: on
 * the part's own edge, the nearest to its start that is free; on the row's edge where none is.
 * `index`: of several threads of one part each has its own place.
 */
export function threadEnd(
  part: Box,
  {
    row,
    words,
    index,
    isFromRight,
  }: {
    readonly row: Box;
    /** Boxes of what has words, the part's own not among them. */
    readonly words: readonly Box[];
    readonly index: number;
    readonly isFromRight: boolean;
  },
): ThreadEnd {
  const isLower = part.top + part.height / 2 > row.top + row.height / 2 + 1;
  const sides = isLower ? (['below', 'above'] as const) : (['above', 'below'] as const);
  for (const from of sides) {
    const y = from === 'above' ? part.top : part.top + part.height;
    const edge = from === 'above' ? row.top : row.top + row.height;
    const [top, bottom] = [Math.min(y, edge), Math.max(y, edge)];
    for (const x of placesOn(part, index, isFromRight)) {
      const isFree = words.every(
        (box) =>
          x < box.left ||
          x > box.left + box.width ||
          bottom <= box.top + 1 ||
          top >= box.top + box.height - 1,
      );
      if (isFree) return { x, y, from };
    }
  }
  const [x = part.left] = placesOn(part, index, isFromRight);
  return { x, y: isLower ? row.top + row.height : row.top, from: isLower ? 'below' : 'above' };
}

function placesOn({ left, width }: Box, index: number, isFromRight: boolean): readonly number[] {
  const count = Math.max(1, Math.floor((width - 2 * marginPx) / stepPx) + 1);
  const first = Math.min(Math.round((16 + index * 18) / stepPx), count - 1);
  const places = Array.from({ length: count }, (_, at) => {
    const place = marginPx + ((first + at) % count) * stepPx;
    return isFromRight ? left + width - place : left + place;
  });
  return width < 2 * marginPx ? [left + width / 2] : places;
}

/**
 * From a value's dot along the border of the values, where no words stand, to the row's corner (the
 * gate), along the row's edge, and onto the part. `lane`: of several along the border.
 */
export function threadPath(start: Point, end: Point, gate: Point, lane = 0): string {
  const along = start.x + 7 + (lane % lanes) * 2;
  const turn = Math.min(turnPx, Math.abs(gate.y - start.y) / 2) * Math.sign(gate.y - start.y);
  const toGate =
    `Q${along} ${start.y} ${along} ${start.y + turn}L${along} ${gate.y - turn}` +
    `Q${along} ${gate.y} ${along + Math.abs(turn)} ${gate.y}L${gate.x} ${gate.y}`;
  return `M${start.x} ${start.y}${toGate}${fromGate(gate, end)}`;
}

/** So many lie beside each other before the border of the values is full. */
const lanes = 4;

/** Outside of the row as far as it can, and straight onto the part: beside words, not over them. */
export function fromGate(gate: Point, end: Point): string {
  const turn = Math.min(turnPx, Math.abs(end.x - gate.x) / 2) * Math.sign(end.x - gate.x);
  const down = turnPx * Math.sign(end.y - gate.y);
  return `L${end.x - turn} ${gate.y}Q${end.x} ${gate.y} ${end.x} ${gate.y + down}L${end.x} ${end.y}`;
}

/** So far outside of the row a thread runs, and so large its turns are at most. */
export const gatePx = 12;
const turnPx = 10;
