import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef, useState } from 'react';

interface SplitProps {
  /** What its height is kept under, in this browser. */
  readonly name: string;
  /** What the border says of itself. */
  readonly words: string;
  /** The share of the page that it has at most. */
  readonly max: number;
  /** Its height until somebody says another; undefined: as high as what it holds. */
  readonly first?: number;
  readonly children: ReactNode;
}

/** Something with a border beneath that is dragged, or moved by arrows: it keeps its height. */
export function Split({ name, words, max, first, children }: SplitProps) {
  const [heightPx, setHeight] = useState(() => kept(name) ?? first);
  const box = useRef<HTMLDivElement>(null);
  const set = (px: number | undefined) => {
    const next = px === undefined ? first : Math.min(Math.max(leastPx, px), innerHeight * max);
    setHeight(next);
    keep(name, px === undefined ? undefined : next);
  };
  const now = () => box.current?.getBoundingClientRect().height ?? leastPx;
  const onDown = (event: PointerEvent) => {
    event.preventDefault();
    const start = now() - event.clientY;
    const ended = new AbortController();
    const { signal } = ended;
    window.addEventListener('pointermove', (moved) => set(start + moved.clientY), { signal });
    for (const end of ['pointerup', 'pointercancel'] as const)
      window.addEventListener(end, () => ended.abort(), { signal });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowDown' ? 8 : event.key === 'ArrowUp' ? -8 : 0;
    if (by === 0) return;
    event.preventDefault();
    set(now() + by);
  };
  return (
    <>
      <div
        ref={box}
        className="relative overflow-y-auto"
        style={{ height: heightPx, maxHeight: `${max * 100}vh` }}
      >
        {children}
      </div>
      {/* biome-ignore lint/a11y/useSemanticElements: a line between two parts that can be moved */}
      <div
        role="separator"
        aria-orientation="horizontal"
        aria-label={words}
        aria-valuenow={Math.round(heightPx ?? 0)}
        aria-valuemin={leastPx}
        tabIndex={0}
        title={`${words}: drag, or arrows; twice as at first`}
        className="h-1.5 cursor-ns-resize touch-none border-t border-rule hover:bg-chosen focus-visible:bg-chosen max-[1000px]:hidden"
        onPointerDown={onDown}
        onDoubleClick={() => set(undefined)}
        onKeyDown={onKeyDown}
      />
    </>
  );
}

const leastPx = 40;
const keyOf = (name: string): string => `yarn-card split ${name}`;

function kept(name: string): number | undefined {
  try {
    const px = Number(localStorage.getItem(keyOf(name)) ?? Number.NaN);
    return Number.isFinite(px) ? px : undefined;
  } catch {
    return undefined;
  }
}

function keep(name: string, px: number | undefined): void {
  try {
    if (px === undefined) localStorage.removeItem(keyOf(name));
    else localStorage.setItem(keyOf(name), String(px));
  } catch {
    // Where nothing may be kept, it holds until the page is left.
  }
}
