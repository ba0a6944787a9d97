/** What a list may be in, beside simply showing its rows. */
export const listStates = ['loading', 'empty', 'filtered', 'failed', 'more', 'end'] as const;
export type ListState = (typeof listStates)[number];

/** More items are on their way, or none are left: both stand after the rows. */
export const hidesRows = (state: ListState): boolean => state !== 'more' && state !== 'end';

interface StateOf {
  readonly rowCount: number;
  readonly isFiltered: boolean;
  /** Items are left that nobody asked for yet. */
  readonly hasMore: boolean;
}

/** The state of a list; `wished`: what is to be seen whatever its items are. */
export function stateOf(
  wished: ListState | undefined,
  { rowCount, isFiltered, hasMore }: StateOf,
): ListState {
  if (wished !== undefined) return wished;
  if (rowCount > 0) return hasMore ? 'more' : 'end';
  return isFiltered ? 'filtered' : 'empty';
}

/** So many rows without words stand there while items are on their way. */
export const skeletonCount = 12;
