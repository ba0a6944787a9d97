import { Suspense, useState } from 'react';
import { count } from '../../../core/base';
import type { PoolReadout } from '../../../render';
import { onDemand } from '../../shared/controls/on-demand';

const WorkChart = onDemand(() => import('./work-chart'));

interface PoolLineProps {
  readonly readout: PoolReadout | undefined;
  /** Rows light up as they are bound, or not any more. */
  readonly onMark: (isOn: boolean) => void;
}

/** What practitioners ask of a pool; pressed, how much work each frame of the list was. */
export function PoolLine({ readout, onMark }: PoolLineProps) {
  const [isOpen, setIsOpen] = useState(false);
  const [isMarking, setIsMarking] = useState(false);
  if (readout === undefined) return null;
  return (
    <div dir="ltr" className="border-t border-(--row-rule) text-xs text-(--row-ash)">
      <button
        type="button"
        aria-expanded={isOpen}
        title="The work of each frame"
        className="block w-full truncate px-4 py-1 text-start tabular-nums hover:underline"
        onClick={() => setIsOpen(!isOpen)}
      >
        {`${count(readout.inUse, 'row')} in use, ${readout.made} made, ${count(readout.bound, 'binding')}`}
      </button>
      {isOpen && (
        <div className="px-3 pb-1">
          <Suspense fallback={null}>
            <WorkChart work={readout.work} />
          </Suspense>
          <label className="flex items-center gap-1.5 py-0.5">
            <input
              type="checkbox"
              checked={isMarking}
              onChange={({ target }) => {
                setIsMarking(target.checked);
                onMark(target.checked);
              }}
            />
            rows light up as they are bound
          </label>
        </div>
      )}
    </div>
  );
}
