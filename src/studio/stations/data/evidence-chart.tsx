import { Bar, BarChart, Tooltip, XAxis, YAxis } from 'recharts';
import type { Evidence } from '../../../core/items';
import type { ValueType } from '../../../core/values';
import { markOf } from '../../shared/typed';
import { shown } from './evidence-words';

const widthPx = 300;
const heightPx = 92;

interface Datum {
  readonly words: string;
  readonly count: number;
}

/** The values of a field: how they spread where they can be measured, else the most frequent ones. */
export default function EvidenceChart({
  evidence,
  field,
}: {
  readonly evidence: Evidence;
  readonly field: ValueType;
}) {
  const colour = markOf(field).colour;
  const frequent = evidence.frequent.map(({ value, count }) => ({ words: shown(value), count }));
  const isSpread =
    evidence.bins.length > 1 && (frequent.length === 0 || evidence.measure !== 'chars');
  const data = isSpread ? spread(evidence) : frequent;
  if (data.length === 0) return null;
  return (
    <figure aria-label={isSpread ? 'How the values spread' : 'The most frequent values'}>
      {isSpread ? (
        <BarChart width={widthPx} height={heightPx} data={[...data]} margin={margin}>
          <XAxis dataKey="words" tickLine={false} interval="preserveStartEnd" tick={tick} />
          <YAxis hide />
          <Tooltip content={Told} isAnimationActive={false} cursor={false} />
          <Bar dataKey="count" fill={colour} isAnimationActive={false} />
        </BarChart>
      ) : (
        <BarChart
          layout="vertical"
          width={widthPx}
          height={18 * data.length + 6}
          data={[...data]}
          margin={margin}
        >
          <XAxis type="number" hide />
          <YAxis
            type="category"
            dataKey="words"
            width={110}
            tickLine={false}
            axisLine={false}
            interval={0}
            tick={tick}
            tickFormatter={(words: string) =>
              words.length > 16 ? `${words.slice(0, 15)}…` : words
            }
          />
          <Tooltip content={Told} isAnimationActive={false} cursor={false} />
          <Bar dataKey="count" fill={colour} isAnimationActive={false} label={label} />
        </BarChart>
      )}
    </figure>
  );
}

const margin = { top: 4, right: 40, bottom: 0, left: 0 };
const tick = { fontSize: 11, fill: 'var(--ash)' };
const label = { position: 'right', fontSize: 11, fill: 'var(--ash)' } as const;

function spread({ bins, measure }: Evidence): Datum[] {
  return bins.map(({ from, to, count }) => ({
    words: measure === 'date' ? new Date(from).toISOString().slice(0, 10) : range(from, to),
    count,
  }));
}

function range(from: number, to: number): string {
  const words = (value: number) =>
    Math.abs(value) >= 1e6 || (value !== 0 && Math.abs(value) < 0.01)
      ? value.toPrecision(3)
      : String(Math.round(value * 100) / 100);
  return from === to ? words(from) : `${words(from)}–${words(to)}`;
}

function Told({
  active,
  payload,
}: {
  readonly active?: boolean;
  readonly payload?: readonly { readonly payload?: Datum }[];
}) {
  const datum = payload?.[0]?.payload;
  if (active !== true || datum === undefined) return null;
  return (
    <span className="rounded-md border border-ash bg-paper px-2 py-0.5 text-xs">
      {datum.words}: {datum.count}
    </span>
  );
}
