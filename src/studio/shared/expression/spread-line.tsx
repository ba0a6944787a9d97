import type { ReactNode } from 'react';
import { count, grouped } from '../../../core/base';
import type { Ends, Measure, Spread } from '../../../core/items';
import { handItem } from '../session/at-hand';

/** What the two ends are called, by what is measured. */
export const endWords: Readonly<Record<Measure, readonly [first: string, last: string]>> = {
  number: ['smallest', 'largest'],
  date: ['first', 'last'],
  chars: ['shortest', 'longest'],
  elements: ['fewest', 'most'],
};

interface SpreadLineProps {
  readonly spread: Spread;
  /** An end as words: the first or the last. */
  readonly words: (end: 'smallest' | 'largest', ends: Ends & { measure: Measure }) => string;
}

/** What an expression gives over all items; each part leads to its item. */
export function SpreadLine({ spread, words }: SpreadLineProps) {
  const { itemCount, missingCount, firstMissing, ends } = spread;
  return (
    <p className="flex flex-wrap gap-x-2 text-sm text-ash">
      {ends?.measure === 'truth' && (
        <>
          <To item={ends.firstTrue}>true for {grouped(ends.trueCount)}</To>
          <To item={ends.firstFalse}>
            false for {grouped(itemCount - missingCount - ends.trueCount)}
          </To>
        </>
      )}
      {ends !== undefined &&
        ends.measure !== 'truth' &&
        (['smallest', 'largest'] as const).map((end, at) => (
          <To key={end} item={ends[end].item}>
            {endWords[ends.measure][at]} <bdi className="text-ink">{words(end, ends)}</bdi>
          </To>
        ))}
      {missingCount > 0 && (
        <To item={firstMissing} isBad>
          none for {grouped(missingCount)} of {count(itemCount, 'item')}
        </To>
      )}
    </p>
  );
}

interface ToProps {
  readonly item: number;
  readonly isBad?: boolean;
  readonly children: ReactNode;
}

/** Words that lead to an item, if there is one. */
function To({ item, isBad = false, children }: ToProps) {
  if (item < 0) return <span>{children}</span>;
  return (
    <button
      type="button"
      title="Have this item at hand"
      className={`max-w-full truncate text-start underline decoration-rule underline-offset-2 ${isBad ? 'text-madder' : ''}`}
      onClick={() => void handItem(item)}
    >
      {children}
    </button>
  );
}
