/** Tops of all lines and, last, the height of all: one more than there are lines. In px. */
export function lineTops(
  lineHeights: ArrayLike<number>,
  edgePx: number,
  gapPx: number,
): Float64Array {
  const tops = new Float64Array(lineHeights.length + 1);
  let top = edgePx;
  for (let i = 0; i < lineHeights.length; i += 1) {
    tops[i] = top;
    top += (lineHeights[i] ?? 0) + gapPx;
  }
  tops[lineHeights.length] = lineHeights.length === 0 ? 0 : top - gapPx + edgePx;
  return tops;
}

/** The line at a height: the last whose top is at or above it. */
export function lineAt(tops: Float64Array, yPx: number): number {
  let low = 0;
  let high = Math.max(0, tops.length - 2);
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((tops[middle] ?? 0) <= yPx) low = middle;
    else high = middle - 1;
  }
  return low;
}
