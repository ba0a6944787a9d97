const maxSaid = 480;
const kept = { start: 260, end: 160 };

/**
 * Words for a message. What it quotes (a value, a name, a path) may be megabytes long: the middle
 * of long words goes, so that their end, which says what to do, stays.
 */
export function clipped(words: string): string {
  if (words.length <= maxSaid) return words;
  return `${words.slice(0, kept.start)} … ${words.slice(-kept.end)}`;
}
