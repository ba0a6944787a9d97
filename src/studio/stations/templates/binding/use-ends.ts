import type { Spread } from '../../../../core/items';
import { useSpread } from '../../../shared/expression/use-spread';
import { useBenchItem } from '../bench/bench-item';
import type { Selection } from '../selection';

/** The item on the bench, then those at the ends of an expression's values over all items. */
export function useEnds(
  { template }: Selection,
  expr: string,
): { readonly spread: Spread | undefined; readonly items: readonly number[] } {
  const here = useBenchItem(template);
  const spread = useSpread({ type: template.type, expr });
  return { spread, items: [here, ...endsOf(spread)] };
}

function endsOf(spread: Spread | undefined): readonly number[] {
  const ends = spread?.ends;
  if (ends === undefined) return [];
  return ends.measure === 'truth'
    ? [ends.firstTrue, ends.firstFalse].filter((item) => item >= 0)
    : [ends.smallest.item, ends.largest.item];
}
