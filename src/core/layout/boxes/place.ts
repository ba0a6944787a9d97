import type { Alignment, Distribution } from './node';

/** Where a thing stands in the room that is left over beside it. */
export function offset(align: Alignment, free: number): number {
  if (align === 'centre') return Math.trunc(free / 2);
  return align === 'end' ? free : 0;
}

const round = (value: number): number => Math.floor(value + 0.5);

/** What several leave of a room, and how it is spread. */
export interface Spread {
  readonly distribute: Distribution;
  readonly free: number;
  readonly count: number;
}

/** Where the one `at` begins, before sizes and gaps are added. */
export function distributed({ distribute, free, count }: Spread, at: number): number {
  switch (distribute) {
    case 'start':
      return 0;
    case 'centre':
      return Math.trunc(free / 2);
    case 'end':
      return free;
    case 'between':
      return free > 0 && count > 1 ? round((at * free) / (count - 1)) : 0;
    case 'around':
      return free > 0 ? Math.trunc(free / (2 * count)) + round((at * free) / count) : 0;
    case 'evenly': {
      const part = free / (count + 1);
      return free > 0 ? Math.trunc(part) + round(at * part) : 0;
    }
  }
}
