import { create } from 'zustand';

/** How much larger than in the window the row on the bench is drawn; undefined: as large as it has room for. */
export const useBenchZoom = create<{ readonly wish: number | undefined }>()(() => ({
  wish: undefined,
}));

const [least, most, step] = [0.5, 2, 1.15];

/** A step larger or smaller than it is drawn now. */
export function zoomBench(by: 1 | -1, now: number): void {
  const wish = Math.min(most, Math.max(least, by > 0 ? now * step : now / step));
  useBenchZoom.setState({ wish });
}

export const fitBench = (): void => useBenchZoom.setState({ wish: undefined });
