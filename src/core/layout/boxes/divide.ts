import { clamp } from './node';

/** One that takes part in dividing room along an axis. */
export interface Claim {
  /** Factors by which it grows and shrinks. */
  readonly grow: number;
  readonly shrink: number;
  /** Its size before room is divided. */
  readonly basis: number;
  readonly padding: number;
  readonly min: number;
  readonly max: number;
}

/** Half away from zero. */
const roundAway = (value: number): number =>
  value < 0 ? -Math.floor(-value + 0.5) : Math.floor(value + 0.5);

/**
 * Sizes of what shares a room (CSS Flexible Box Layout 1, section 9.7), in whole units with the
 * roundings of Chromium: from the last to the first, each takes its part of what is left.
 */
export function divide(available: number, claims: readonly Claim[]): readonly number[] {
  const items = claims.map((claim) => new Item(claim));
  const isGrowing = items.reduce((sum, { size }) => sum + size, 0) < available;
  for (const item of items) item.begin(isGrowing);
  const initialFree = freeOf(available, items);
  for (;;) {
    const open = items.filter(({ isFrozen }) => !isFrozen);
    if (open.length === 0) return items.map(({ size }) => size);
    shareOut(open, freeOf(available, items), initialFree, isGrowing);
    const violation = open.reduce((sum, item) => sum + item.violation, 0);
    for (const item of open) item.settle(violation);
  }
}

class Item {
  size: number;
  isFrozen = false;
  factor = 0;
  weight = 0;
  violation = 0;
  private target = 0;

  constructor(readonly claim: Claim) {
    this.size = clamp(claim.basis, claim.min, claim.max);
  }

  begin(isGrowing: boolean): void {
    const { grow, shrink, basis, padding } = this.claim;
    this.factor = Math.fround(isGrowing ? grow : shrink);
    this.weight = isGrowing ? this.factor : this.factor * (basis - padding);
    const isPast = isGrowing ? basis > this.size : basis < this.size;
    this.isFrozen = this.factor === 0 || isPast;
  }

  aim(target: number): void {
    this.target = clamp(target, this.claim.min, this.claim.max);
    this.violation = this.target - target;
  }

  settle(violation: number): void {
    const isOff = violation > 0 ? this.violation > 0 : this.violation < 0;
    if (violation !== 0 && !isOff) return;
    this.isFrozen = true;
    this.size = this.target;
  }
}

const freeOf = (available: number, items: readonly Item[]): number =>
  items.reduce((left, item) => left - (item.isFrozen ? item.size : item.claim.basis), available);

function shareOut(
  open: readonly Item[],
  free: number,
  initialFree: number,
  isGrowing: boolean,
): void {
  const factors = open.reduce((sum, { factor }) => sum + factor, 0);
  let weights = open.reduce((sum, { weight }) => sum + weight, 0);
  let left = free;
  if (factors > 0 && factors < 1) {
    const part = Math.trunc(initialFree * factors);
    if (Math.abs(part) < Math.abs(left)) left = part;
  }
  const isDivided = weights > 0 && (isGrowing ? left > 0 : left < 0);
  for (const item of [...open].reverse()) {
    let part = 0;
    if (isDivided && weights > 0) {
      part = roundAway(left * (item.weight / weights));
      left -= part;
      weights -= item.weight;
    }
    item.aim(item.claim.basis + part);
  }
}
