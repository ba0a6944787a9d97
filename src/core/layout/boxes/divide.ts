import { type Claim, clamp, type LayoutNode } from './node';

/** Half away from zero. */
const roundAway = (value: number): number =>
  value < 0 ? -Math.floor(-value + 0.5) : Math.floor(value + 0.5);

/**
 * Sizes of what shares a room (CSS Flexible Box Layout 1, section 9.7), in whole units with the
 * roundings of Chromium: from the last to the first, each takes its part of what is left.
 */
export function divide(available: number, nodes: readonly LayoutNode[]): void {
  let wanted = 0;
  for (const { claim } of nodes) {
    claim.size = clamp(claim.basis, claim.min, claim.max);
    wanted += claim.size;
  }
  const isGrowing = wanted < available;
  for (const { claim } of nodes) begin(claim, isGrowing);
  const initialFree = freeOf(available, nodes);
  while (nodes.some(({ claim }) => !claim.isFrozen)) {
    shareOut(nodes, freeOf(available, nodes), initialFree, isGrowing);
    let violation = 0;
    for (const { claim } of nodes) if (!claim.isFrozen) violation += claim.violation;
    for (const { claim } of nodes) if (!claim.isFrozen) settle(claim, violation);
  }
}

function begin(claim: Claim, isGrowing: boolean): void {
  const { grow, shrink, basis, padding, size } = claim;
  claim.factor = Math.fround(isGrowing ? grow : shrink);
  claim.weight = isGrowing ? claim.factor : claim.factor * (basis - padding);
  claim.isFrozen = claim.factor === 0 || (isGrowing ? basis > size : basis < size);
}

function freeOf(available: number, nodes: readonly LayoutNode[]): number {
  let free = available;
  for (const { claim } of nodes) free -= claim.isFrozen ? claim.size : claim.basis;
  return free;
}

function shareOut(
  nodes: readonly LayoutNode[],
  free: number,
  initialFree: number,
  isGrowing: boolean,
): void {
  let factors = 0;
  let weights = 0;
  for (const { claim } of nodes) {
    if (claim.isFrozen) continue;
    factors += claim.factor;
    weights += claim.weight;
  }
  let left = free;
  if (factors > 0 && factors < 1) {
    const part = Math.trunc(initialFree * factors);
    if (Math.abs(part) < Math.abs(left)) left = part;
  }
  const isDivided = weights > 0 && (isGrowing ? left > 0 : left < 0);
  for (let at = nodes.length - 1; at >= 0; at -= 1) {
    const claim = nodes[at]?.claim;
    if (claim === undefined || claim.isFrozen) continue;
    let part = 0;
    if (isDivided && weights > 0) {
      part = roundAway(left * (claim.weight / weights));
      left -= part;
      weights -= claim.weight;
    }
    aim(claim, claim.basis + part);
  }
}

function aim(claim: Claim, target: number): void {
  claim.target = clamp(target, claim.min, claim.max);
  claim.violation = claim.target - target;
}

/** All are settled where none is past its bounds, else those that are past them on the heavier side. */
function settle(claim: Claim, violation: number): void {
  const isOff = violation > 0 ? claim.violation > 0 : claim.violation < 0;
  if (violation !== 0 && !isOff) return;
  claim.isFrozen = true;
  claim.size = claim.target;
}
