import { Bar, BarChart, Tooltip, XAxis, YAxis } from 'recharts';
import { count, grouped } from '../../../../core/base';
import type { Evidence } from '../../../../core/items';
import type { ValueType } from '../../../../core/values';
import type { Only } from '../../../../engine';
import { markOf } from '../../../shared/controls/typed';
import { shown } from './evidence-words';

const widthPx = 300;
const heightPx = 92;

interface Datum {
  readonly words: string;
  readonly count: number;
  readonly only: Only;
}

interface EvidenceChartProps {
  readonly evidence: Evidence;
  readonly field: ValueType;
  readonly path: readonly string[];
  /** Shows the items of a bar in the table. */
  readonly onOnly: (only: Only) => void;
}

/** The values of a field: how they spread where they can be measured, else the most frequent ones. */
export default function EvidenceChart({ evidence, field, path, onOnly }: EvidenceChartProps) {
  const colour = markOf(field).colour;
  const frequent = evidence.frequent.map(({ value, count }): Datum => {
    const words = shown(value);
    return { words, count, only: { path, words, value } };
  });
  const isSpread =
    evidence.bins.length > 1 && (frequent.length === 0 || evidence.measure !== 'chars');
  const data = isSpread ? spread(evidence, path) : frequent;
  if (data.length === 0) return null;
  const bar = { fill: colour, onOnly };
  return (
    <figure aria-label={isSpread ? 'How the values spread' : 'The most frequent values'}>
      {isSpread ? (
        <BarChart
          width={widthPx}
          height={heightPx}
          data={data}
          margin={margin}
          accessibilityLayer={false}
        >
          <XAxis dataKey="words" tickLine={false} interval="preserveStartEnd" tick={tick} />
          <YAxis hide />
          <Tooltip content={Told} isAnimationActive={false} cursor={false} />
          <Bar dataKey="count" isAnimationActive={false} shape={<Leading {...bar} />} />
        </BarChart>
      ) : (
        <BarChart
          layout="vertical"
          width={widthPx}
          height={18 * data.length + 6}
          data={data}
          margin={margin}
          accessibilityLayer={false}
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
          <Bar
            dataKey="count"
            isAnimationActive={false}
            label={label}
            shape={<Leading {...bar} />}
          />
        </BarChart>
      )}
      {isSpread && <FarAway evidence={evidence} path={path} onOnly={onOnly} />}
    </figure>
  );
}

const margin = { top: 4, right: 40, bottom: 0, left: 0 };
const tick = { fontSize: 11, fill: 'var(--ash)' };
const label = { position: 'right', fontSize: 11, fill: 'var(--ash)' } as const;

interface LeadingProps {
  readonly fill: string;
  readonly onOnly: (only: Only) => void;
  readonly x?: number;
  readonly y?: number;
  readonly width?: number;
  readonly height?: number;
  readonly payload?: Datum;
}

/** A bar that leads to its items, by press and by key. */
function Leading({ fill, onOnly, x = 0, y = 0, width = 0, height = 0, payload }: LeadingProps) {
  if (payload === undefined || payload.count === 0) return null;
  const { only, words } = payload;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a bar of a drawing cannot be a button element
    <g
      role="button"
      tabIndex={0}
      aria-label={`Show ${count(payload.count, 'item')}: ${words}`}
      className="cursor-pointer outline-none focus-visible:opacity-60 hover:opacity-75"
      onClick={() => onOnly(only)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onOnly(only);
      }}
    >
      <rect x={x} y={y} width={width} height={height} fill={fill} />
    </g>
  );
}

/** What the bars leave out: values far from all others. */
function FarAway({ evidence, path, onOnly }: Omit<EvidenceChartProps, 'field'>) {
  const { beyond, bins, measure } = evidence;
  const [first, last] = [bins[0], bins.at(-1)];
  if (measure === undefined || first === undefined || last === undefined) return null;
  const sides = [
    { count: beyond.below, words: 'below', from: Number.NEGATIVE_INFINITY, to: below(first.from) },
    { count: beyond.above, words: 'beyond', from: above(last.to), to: Number.POSITIVE_INFINITY },
  ].filter((side) => side.count > 0);
  return sides.map(({ count, words, from, to }) => (
    <button
      key={words}
      type="button"
      className="me-2 text-weld underline"
      onClick={() => onOnly({ path, words: `${path.join('.')} ${words}`, measure, from, to })}
    >
      and {grouped(count)} {words}
    </button>
  ));
}

/** The next number that is past an end. */
const above = (value: number): number => value + Math.max(Math.abs(value), 1) * 1e-12;
const below = (value: number): number => value - Math.max(Math.abs(value), 1) * 1e-12;

function spread({ bins, measure }: Evidence, path: readonly string[]): Datum[] {
  if (measure === undefined) return [];
  return bins.map(({ from, to, count }, at) => {
    const words = measure === 'date' ? new Date(from).toISOString().slice(0, 10) : range(from, to);
    // What stands just at the end of a bin is counted in the next one.
    const isEndInNext = at < bins.length - 1 && bins[at + 1]?.from === to;
    const only = { path, words, measure, from, to: isEndInNext ? below(to) : to };
    return { words, count, only };
  });
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
