import type { Lines } from '../core/layout';

/** Where one looks in a list: at a line, so far past its edge, or at the list's end. */
export type Seen = { readonly line: number; readonly offsetPx: number } | 'end';

interface Window {
  /** Its distance from the top of the content, in px. */
  readonly offset: number;
  readonly heightPx: number;
}

/** Undefined: at the beginning, where one stays whatever comes. */
export function seenIn(lines: Lines, { offset, heightPx }: Window): Seen | undefined {
  if (offset <= 0 || lines.count === 0) return undefined;
  if (offset + heightPx >= lines.heightPx - 1) return 'end';
  const line = lines.at(offset);
  return { line, offsetPx: offset - lines.topPx(line) };
}

/** Which offset shows the same where lines have other heights. */
export function offsetOf(seen: Seen, lines: Lines): number {
  if (seen === 'end') return lines.heightPx;
  const maxPx = lines.heightPxOf(seen.line) - 1;
  return lines.topPx(seen.line) + Math.min(seen.offsetPx, maxPx);
}

/** A row that is looked at, and where it stands. */
export interface Eye {
  readonly key: string;
  readonly at: number;
}

interface Looking extends Window {
  readonly selectedKey: string | undefined;
  /** At the beginning, too, where what comes above it waits. */
  readonly holdsNew: boolean;
}

/**
 * The rows that are looked at, the one that counts most first: the selected row where it is in
 * sight, else those that are wholly so, from above. At the beginning none but that one is.
 */
export function rowsLookedAt(
  rows: readonly Eye[],
  lines: Lines,
  { offset, heightPx, selectedKey, holdsNew }: Looking,
): readonly Eye[] {
  const inSight = rows.filter(({ at }) => {
    const top = lines.topPx(lines.of(at));
    return top >= offset && top < offset + heightPx;
  });
  const selected = inSight.filter(({ key }) => key === selectedKey);
  const fromAbove = inSight.toSorted((one, other) => one.at - other.at);
  return [...selected, ...(offset > 0 || holdsNew ? fromAbove : [])];
}
