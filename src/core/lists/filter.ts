/** A box above the rows: those stay in whose fields have all that is typed in it. */
export interface ListFilter {
  /** Names of fields. */
  readonly fields: readonly string[];
  /** Nothing is shown until something is typed. */
  readonly reveals?: true;
}

/** A text as it is looked for: without marks, case and width (Unicode UAX 15, NFKD). */
export const foldedText = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase();

/** The words that are looked for. */
export const filterWords = (typed: string): readonly string[] =>
  foldedText(typed).split(/\s+/).filter(Boolean);

/** Whether a folded text has all words. */
export const hasWords = (folded: string, words: readonly string[]): boolean =>
  words.every((word) => folded.includes(word));

/** Where a text has words, as positions in the text as it is written; they do not overlap. */
export function placesOfWords(
  text: string,
  words: readonly string[],
): readonly (readonly [from: number, to: number])[] {
  const { folded, froms, ends } = foldedWithPlaces(text);
  const found: [number, number][] = [];
  for (const word of words)
    for (let at = folded.indexOf(word); at >= 0; at = folded.indexOf(word, at + word.length))
      found.push([froms[at] ?? 0, ends[at + word.length - 1] ?? text.length]);
  found.sort(([one], [other]) => one - other);
  let end = 0;
  return found.filter(([from, to]) => {
    if (from < end) return false;
    end = to;
    return true;
  });
}

/** A folded text, and for each of its units where its letter begins and ends in the text as it is written. */
function foldedWithPlaces(text: string) {
  let folded = '';
  const froms: number[] = [];
  const ends: number[] = [];
  let at = 0;
  for (const letter of text) {
    const own = foldedText(letter);
    for (let unit = 0; unit < own.length; unit += 1) {
      froms.push(at);
      ends.push(at + letter.length);
    }
    folded += own;
    at += letter.length;
  }
  return { folded, froms, ends };
}
