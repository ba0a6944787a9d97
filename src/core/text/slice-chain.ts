import type { Slice } from './face';
import { isIn, type Stretch, unitsOf } from './runs/ranges';

/** Positions of slices, ascending; the same object for the same ones. */
type Positions = readonly number[];

/** Slices in the order in which they are tried. */
export class SliceChain {
  private readonly byChar = new Map<number, Positions>();
  private readonly byPositions = new Map<string, Positions>();
  private readonly slicesAt = new Map<Positions, readonly Slice[]>();

  /** Families in order; within one, its slices in the order in which they are tried. */
  constructor(private readonly slices: readonly Slice[]) {}

  /** Those that have any character of a stretch in their ranges, in order. */
  slicesFor(text: string, { start, end }: Stretch): readonly Slice[] {
    const wanted = new Set<Positions>();
    let last: Positions | undefined;
    for (let at = start; at < end; ) {
      const char = text.codePointAt(at) ?? 0;
      const positions = this.positionsOf(char);
      if (positions !== last) wanted.add(positions);
      last = positions;
      at += unitsOf(char);
    }
    return this.slicesOf(wanted.size === 1 && last !== undefined ? last : this.union(wanted));
  }

  /** Whether anything here draws a character. */
  has(char: number): boolean {
    return this.positionsOf(char).length > 0;
  }

  private slicesOf(positions: Positions): readonly Slice[] {
    let slices = this.slicesAt.get(positions);
    if (slices === undefined) {
      slices = positions.flatMap((at) => this.slices[at] ?? []);
      this.slicesAt.set(positions, slices);
    }
    return slices;
  }

  private union(all: ReadonlySet<Positions>): Positions {
    const positions = new Set([...all].flat());
    return this.interned([...positions].sort((one, other) => one - other));
  }

  private positionsOf(char: number): Positions {
    let positions = this.byChar.get(char);
    if (positions === undefined) {
      const own = this.slices.flatMap(({ ranges }, at) => (isIn(ranges, char) ? [at] : []));
      positions = this.interned(own);
      this.byChar.set(char, positions);
    }
    return positions;
  }

  private interned(positions: Positions): Positions {
    const id = positions.join();
    const known = this.byPositions.get(id) ?? positions;
    this.byPositions.set(id, known);
    return known;
  }
}
