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

/**
 * The selected row where it is in sight, else the first that is wholly so; undefined: at the
 * beginning without such a row.
 */
export function rowLookedAt(
  rows: readonly Eye[],
  lines: Lines,
  { offset, heightPx, selectedKey }: Window & { readonly selectedKey: string | undefined },
): Eye | undefined {
  const inSight = rows.filter(({ at }) => {
    const top = lines.topPx(lines.of(at));
    return top >= offset && top < offset + heightPx;
  });
  const selected = inSight.find(({ key }) => key === selectedKey);
  const [first] = inSight.toSorted((one, other) => one.at - other.at);
  return selected ?? (offset > 0 ? first : undefined);
}
