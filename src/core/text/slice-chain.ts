import type { Slice } from './face';
import { isIn, type Stretch, unitsOf } from './ranges';

/** Slices in the order in which they are tried. */
export class SliceChain {
  private readonly byChar = new Map<number, readonly number[]>();

  /** Families in order; within one, its slices in the order in which they are tried. */
  constructor(private readonly slices: readonly Slice[]) {}

  /** Those that have any character of a stretch in their ranges, in order. */
  slicesFor(text: string, { start, end }: Stretch): readonly Slice[] {
    const wanted = new Set<number>();
    for (let at = start; at < end; ) {
      const char = text.codePointAt(at) ?? 0;
      for (const slice of this.positionsOf(char)) wanted.add(slice);
      at += unitsOf(char);
    }
    return [...wanted]
      .sort((one, other) => one - other)
      .flatMap((position) => this.slices[position] ?? []);
  }

  /** Whether anything here draws a character. */
  has(char: number): boolean {
    return this.positionsOf(char).length > 0;
  }

  private positionsOf(char: number): readonly number[] {
    let positions = this.byChar.get(char);
    if (positions === undefined) {
      positions = this.slices.flatMap(({ ranges }, at) => (isIn(ranges, char) ? [at] : []));
      this.byChar.set(char, positions);
    }
    return positions;
  }
}
