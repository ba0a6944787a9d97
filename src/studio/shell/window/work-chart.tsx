import { Bar, BarChart, ReferenceLine, XAxis, YAxis } from 'recharts';
import type { PoolReadout } from '../../../render';

const widthPx = 330;
const heightPx = 84;
/** A frame of a screen that draws sixty a second, in ms. */
const frameMs = 16.7;

/** How much work drawing the list was, frame by frame, the latest at the end. */
export default function WorkChart({ work }: Pick<PoolReadout, 'work'>) {
  const slowest = Math.max(0, ...work.map(({ ms }) => ms));
  const last = work.at(-1);
  const said = `work of the last ${work.length} frames: ${slowest.toFixed(1)} ms at most`;
  return (
    <figure aria-label="Work per frame">
      <BarChart
        width={widthPx}
        height={heightPx}
        data={work.map(({ at, ms }) => ({ at, ms }))}
        margin={{ top: 4, right: 4, bottom: 0, left: 0 }}
        accessibilityLayer={false}
      >
        <XAxis dataKey="at" hide />
        <YAxis
          width={26}
          domain={[0, Math.max(8, Math.ceil(slowest))]}
          tick={{ fontSize: 11, fill: 'currentColor' }}
          tickCount={3}
        />
        <ReferenceLine y={frameMs} stroke="currentColor" strokeDasharray="3 3" />
        <Bar dataKey="ms" fill="var(--row-mark)" isAnimationActive={false} />
      </BarChart>
      <figcaption className="tabular-nums">
        {said}
        {last !== undefined && `; ${last.bound} bindings in the latest`}
      </figcaption>
    </figure>
  );
}
