import type { PooledRow } from './pool';

/** Where each row is seen, in px from the top of its box, by what it shows. */
export type Standing = ReadonlyMap<string, number>;

interface Sight {
  /** How far the box is scrolled, in px. */
  readonly top: number;
  readonly heightPx: number;
}

const movingMs = 150;
/** So many rows move at once at most: all of a window, and no frame is late for more. */
const mostMoving = 40;

/** Where rows are seen now; headings, which stick, are none of them. */
export function standingOf(rows: Iterable<PooledRow>, { top }: Sight): Standing {
  const standing = new Map<string, number>();
  for (const { role, identity, placed } of rows)
    if (role === 'plain' && placed !== undefined) standing.set(identity, placed.y - top);
  return standing;
}

/** Rows in sight that stood elsewhere come from there, new ones appear: unless who looks wants no motion. */
export function moveRows(
  rows: Iterable<PooledRow>,
  before: Standing,
  { top, heightPx }: Sight,
): void {
  if (matchMedia('(prefers-reduced-motion: reduce)').matches) return;
  let count = 0;
  for (const row of rows) {
    const { outer, role, identity, placed } = row;
    if (role !== 'plain' || placed === undefined) continue;
    const y = placed.y - top;
    if (y + placed.height < 0 || y > heightPx) continue;
    const was = before.get(identity);
    const by = was === undefined ? 0 : Math.max(-heightPx, Math.min(heightPx, was - y));
    if (was !== undefined && Math.abs(by) < 1) continue;
    count += 1;
    if (count > mostMoving) return;
    row.moving?.cancel();
    // `translate` goes on top of the transform that places the row: it may be placed anew meanwhile.
    const frames = was === undefined ? { opacity: [0, 1] } : { translate: [`0 ${by}px`, '0 0'] };
    row.moving = outer.animate(frames, { duration: movingMs, easing: 'ease-out' });
  }
}
