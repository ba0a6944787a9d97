/**
 * Of things that stayed, those that have to be taken elsewhere so that all stand in their new order:
 * no fewer would do, since those left alone are a longest run that ascends (M. L. Fredman, On
 * computing the length of longest increasing subsequences, 1975).
 *
 * @param olds where each stood before, in the order in which they stand now; none twice
 * @returns positions among `olds`, ascending
 */
export function leastMoves(olds: ArrayLike<number>): readonly number[] {
  const count = olds.length;
  // Of the best runs of each length the position of the last member, and for each member the one before.
  const ends = new Int32Array(count);
  const before = new Int32Array(count);
  let length = 0;
  for (let at = 0; at < count; at += 1) {
    const old = olds[at] ?? 0;
    let low = 0;
    let high = length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((olds[ends[middle] ?? 0] ?? 0) < old) low = middle + 1;
      else high = middle;
    }
    before[at] = low === 0 ? -1 : (ends[low - 1] ?? -1);
    ends[low] = at;
    if (low === length) length += 1;
  }
  const stays = new Uint8Array(count);
  for (let at = length === 0 ? -1 : (ends[length - 1] ?? -1); at >= 0; at = before[at] ?? -1)
    stays[at] = 1;
  const moves: number[] = [];
  for (let at = 0; at < count; at += 1) if (stays[at] === 0) moves.push(at);
  return moves;
}
