import { type RefObject, useEffect, useRef, useState } from 'react';
import type { EntryRange } from '../../../../engine';
import { Scroller } from '../../../../render';

export const rowPx = 26;
const overscan = 5;
const restAfterMs = 140;

export interface RowScroll {
  /** The rows in sight, with some more. */
  readonly range: EntryRange;
  /** How high all rows are in the page. */
  readonly bodyPx: number;
  /** Where a row stands in them. */
  topPxOf(row: number): number;
  /** The box was scrolled or resized. */
  see(): void;
  /** Brings a row into sight, below the heads. */
  reveal(row: number): void;
}

/** Scrolls rows of one height, more of them than an element can be high. */
export function useRowScroll(host: RefObject<HTMLElement | null>, count: number): RowScroll {
  const [range, setRange] = useState<EntryRange>({ from: 0, to: 24 });
  const [, setPlaces] = useState(0);
  const known = useRef<Scroller>(undefined);
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [bodyPx, setBodyPx] = useState(0);
  // Who rests looks once more: at as many rows as there are by then.
  const countNow = useRef(count);
  countNow.current = count;

  const scroller = (): Scroller | undefined => {
    if (known.current === undefined && host.current !== null)
      known.current = new Scroller(host.current, { style: { height: '' } });
    return known.current;
  };
  const look = () => {
    const own = scroller();
    const { clientHeight = 600, scrollHeight = 0, scrollTop = 0 } = host.current ?? {};
    if (own === undefined) return;
    own.setHeight(clientHeight - Math.max(0, scrollHeight - own.sizerPx));
    const from = Math.max(0, Math.floor(own.offset / rowPx) - overscan);
    const end = from + Math.ceil(clientHeight / rowPx) + 2 * overscan;
    const to = Math.min(countNow.current, end);
    setRange((before) => (before.from === from && before.to === to ? before : { from, to }));
    // Past what an element can be high, a row's place follows each move.
    if (own.isScaled) setPlaces(own.offset - scrollTop);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: the scroller lives as long as the table
  useEffect(() => {
    const own = scroller();
    own?.setContent(count * rowPx);
    setBodyPx(own?.sizerPx ?? 0);
    look();
  }, [count]);
  useEffect(() => () => clearTimeout(rest.current), []);

  return {
    range,
    bodyPx,
    topPxOf: (row) => known.current?.near(row * rowPx) ?? 0,
    see() {
      scroller()?.moved();
      look();
      clearTimeout(rest.current);
      rest.current = setTimeout(() => {
        known.current?.rest();
        look();
      }, restAfterMs);
    },
    reveal(row) {
      const own = scroller();
      if (own === undefined || host.current === null) return;
      const headPx = host.current.querySelector('thead')?.offsetHeight ?? 0;
      const seenPx = host.current.clientHeight - headPx;
      const top = row * rowPx;
      if (top < own.offset) own.scrollTo(top);
      else if (top + rowPx > own.offset + seenPx) own.scrollTo(top + rowPx - seenPx);
      look();
    },
  };
}
