/** Characters: pairs of first and last code point one after the other, ascending. */
export type Ranges = ArrayLike<number>;

export function isIn(ranges: Ranges, char: number): boolean {
  let low = 0;
  let high = ranges.length / 2 - 1;
  while (low <= high) {
    const middle = (low + high) >> 1;
    if (char < (ranges[2 * middle] ?? 0)) high = middle - 1;
    else if (char > (ranges[2 * middle + 1] ?? 0)) low = middle + 1;
    else return true;
  }
  return false;
}

/** UTF-16 units of a text from the first up to but without the last. */
export interface Stretch {
  readonly start: number;
  readonly end: number;
}

/** Whether any character of a stretch is in the ranges. */
export function touches(ranges: Ranges, text: string, { start, end }: Stretch): boolean {
  for (let at = start; at < end; ) {
    const char = text.codePointAt(at) ?? 0;
    if (isIn(ranges, char)) return true;
    at += unitsOf(char);
  }
  return false;
}

/** How many UTF-16 units a character takes. */
export const unitsOf = (char: number): number => (char > 0xffff ? 2 : 1);
