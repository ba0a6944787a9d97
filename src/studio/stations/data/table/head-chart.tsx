import type { Source } from '../../../../core/project';
import { markOf } from '../../../shared/controls/typed';
import { useEvidence } from '../field/use-evidence';
import type { Column } from './columns';

const widthPx = 64;
const heightPx = 14;

/** A column's values in a glance: how they spread, and under them how full the field is. */
export function HeadChart({
  column,
  source,
}: {
  readonly column: Column;
  readonly source: Source;
}) {
  const evidence = useEvidence({ source, type: undefined, ...column });
  const counts =
    evidence === undefined
      ? []
      : evidence.bins.length > 1
        ? evidence.bins.map((bin) => bin.count)
        : evidence.frequent.map((each) => each.count);
  const max = Math.max(1, ...counts);
  const share =
    evidence === undefined ? 0 : evidence.presentCount / Math.max(1, evidence.itemCount);
  const step = widthPx / Math.max(8, counts.length);
  const colour = markOf(column.field).colour;
  return (
    <svg
      width={widthPx}
      height={heightPx + 3}
      role="img"
      className="mt-0.5 block"
      aria-label={evidence === undefined ? 'not counted yet' : `${Math.round(share * 100)} % full`}
    >
      {counts.map((count, at) => {
        const height = Math.max(1, (count / max) * heightPx);
        return (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: a bin is its place
            key={at}
            x={at * step}
            y={heightPx - height}
            width={step - 1}
            height={height}
            fill={colour}
            opacity={0.75}
          />
        );
      })}
      <rect x={0} y={heightPx + 1.5} width={widthPx} height={1.5} fill="var(--rule)" />
      <rect x={0} y={heightPx + 1.5} width={widthPx * share} height={1.5} fill={colour} />
    </svg>
  );
}
