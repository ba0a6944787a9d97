/** The name that was probably meant: least edit distance, at most a third of the length off. */
export function nearest(wrong: string, names: Iterable<string>): string | undefined {
  let best: string | undefined;
  let bestDistance = Math.max(1, Math.floor(wrong.length / 3)) + 1;
  for (const name of names) {
    const distance = editDistance(wrong.toLowerCase(), name.toLowerCase(), bestDistance);
    if (distance < bestDistance) {
      best = name;
      bestDistance = distance;
    }
  }
  return best;
}

/** How many edits lie between two names, in whatever case. */
export const spellingDistance = (a: string, b: string): number =>
  editDistance(a.toLowerCase(), b.toLowerCase(), Number.POSITIVE_INFINITY);

/** Edit distance with neighbours swapped as one edit; any number past `limit` may come back as `limit`. */
function editDistance(a: string, b: string, limit: number): number {
  if (Math.abs(a.length - b.length) >= limit) return limit;
  let twoBack: readonly number[] = [];
  let previous: readonly number[] = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const change = (previous[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1);
      const isSwapped = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
      const swap = isSwapped ? (twoBack[j - 2] ?? 0) + 1 : limit;
      row.push(Math.min(change, swap, (previous[j] ?? 0) + 1, (row[j - 1] ?? 0) + 1));
    }
    twoBack = previous;
    previous = row;
  }
  return previous[b.length] ?? limit;
}
