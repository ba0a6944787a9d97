import type { Entry } from '../../core/lists';

/** Where a row can be let go: beside another row, or in a section where no row stands. */
export interface Gap {
  /** Place of the entry that it is told by. */
  readonly at: number;
  readonly side: 'before' | 'after' | 'in';
}

/** The entry at a place; undefined: there is none. */
export type EntryAt = (at: number) => Promise<Pick<Entry, 'kind' | 'key'> | undefined>;

/** Where an app would put what it is handed. */
export type DropPlace =
  | { readonly key: string; readonly side: 'before' | 'after' }
  | { readonly section: string };

/**
 * The gap that a row leaves, or the next one from a gap on: between two rows there is one, after the
 * upper; a section begins and ends with one of its own. The row that is moved bounds none.
 */
export async function gapBeside(
  gap: Gap,
  by: 1 | -1,
  { entryAt, isMoved }: { readonly entryAt: EntryAt; isMoved(key: string): boolean },
): Promise<Gap | undefined> {
  const next = by > 0 ? await gapBelow(gap, entryAt) : await gapAbove(gap, entryAt);
  const entry = next && (await entryAt(next.at));
  if (next === undefined || entry === undefined) return undefined;
  const isOwn = entry.kind === 'row' && next.side === 'after' && isMoved(entry.key);
  return isOwn ? gapBeside(next, by, { entryAt, isMoved }) : next;
}

async function gapBelow({ at, side }: Gap, entryAt: EntryAt): Promise<Gap | undefined> {
  if (side === 'before') return { at, side: 'after' };
  let heading: number | undefined;
  for (let place = at + 1; ; place += 1) {
    const entry = await entryAt(place);
    if (entry?.kind === 'row')
      return { at: place, side: heading === undefined ? 'after' : 'before' };
    if (heading !== undefined && (entry === undefined || entry.kind === 'heading'))
      return { at: heading, side: 'in' };
    if (entry === undefined) return undefined;
    if (entry.kind === 'heading') heading = place;
  }
}

async function gapAbove({ at, side }: Gap, entryAt: EntryAt): Promise<Gap | undefined> {
  let isOverHeading = side === 'in';
  for (let place = at - 1; place >= 0; place -= 1) {
    const entry = await entryAt(place);
    if (entry?.kind === 'row') return { at: place, side: 'after' };
    if (entry?.kind !== 'heading') continue;
    if (side === 'after') return { at, side: 'before' };
    if (isOverHeading) return { at: place, side: 'in' };
    isOverHeading = true;
  }
  return side === 'after' ? { at, side: 'before' } : undefined;
}

/** The gap at the top of a section. */
export async function gapUnder(heading: number, entryAt: EntryAt): Promise<Gap> {
  for (let at = heading + 1; ; at += 1) {
    const entry = await entryAt(at);
    if (entry?.kind === 'row') return { at, side: 'before' };
    if (entry === undefined || entry.kind === 'heading') return { at: heading, side: 'in' };
  }
}
