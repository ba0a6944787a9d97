import { type PointerEvent, useState } from 'react';
import { useBeside } from '../../shared/window/window-settings';
import { BesidePane } from './beside-pane';
import { WindowPane } from './window-pane';

const minPx = 320;
const maxPx = 820;
const stepPx = 16;
/** With a second one beside it: as wide as the narrow phone with its edges. */
const twoPx = 371;

const within = (px: number): number => Math.max(minPx, Math.min(maxPx, px));

/** The window at the end of the workbench, as wide as one drags its edge. */
export function WindowSide() {
  const [widthPx, setWidth] = useState(() =>
    within(Math.min(400, Math.round(window.innerWidth * 0.37))),
  );
  const isOpen = useBeside((beside) => beside.isOpen);
  const drag = (event: PointerEvent<HTMLDivElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    setWidth(within(window.innerWidth - event.clientX));
  };
  return (
    <section aria-label="Window" data-pane="window" className="flex shrink-0 max-[1000px]:w-full">
      {/* biome-ignore lint/a11y/useSemanticElements: a separator that can be moved is not a rule */}
      <div
        role="separator"
        tabIndex={0}
        aria-orientation="vertical"
        aria-label="Width of the window"
        aria-valuenow={widthPx}
        aria-valuemin={minPx}
        aria-valuemax={maxPx}
        className="relative w-px cursor-col-resize max-[1000px]:hidden touch-none bg-rule before:absolute before:inset-y-0 before:-inset-x-1 hover:bg-woad focus-visible:bg-woad"
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
        onKeyDown={(event) => {
          if (event.key === 'ArrowLeft') setWidth(within(widthPx + stepPx));
          else if (event.key === 'ArrowRight') setWidth(within(widthPx - stepPx));
        }}
      />
      <div className="shrink-0 max-[1000px]:w-full!" style={{ width: isOpen ? twoPx : widthPx }}>
        <WindowPane />
      </div>
      {isOpen && (
        <div className="shrink-0 max-[1000px]:hidden" style={{ width: twoPx }}>
          <BesidePane />
        </div>
      )}
    </section>
  );
}
