/**
 * Texts in the order of a locale, with few questions to its collator: they are first put in an order
 * that is cheap and mostly the same, and then brought in the true one by moving what is out of place.
 */

/** More moves than this for each text: the cheap order says nothing of these texts. */
const maxMoves = 12;

/** For each text the place of it among all, the same for what the locale does not tell apart; NaN where there is none. */
export function placesOfTexts(
  texts: readonly (string | undefined)[],
  compare: Compare,
): Float64Array {
  const distinct = [...new Set(texts)].filter((text) => text !== undefined);
  const { sorted, isLikeBefore } = inOrderOf(distinct, compare);
  const places = new Map<string, number>();
  let place = -1;
  for (const [at, text] of sorted.entries()) {
    if (isLikeBefore[at] !== 1) place += 1;
    places.set(text, place);
  }
  return Float64Array.from(texts, (text) =>
    text === undefined ? Number.NaN : (places.get(text) ?? Number.NaN),
  );
}

export type Compare = (one: string, other: string) => number;

interface InOrder {
  readonly sorted: readonly string[];
  /** 1 where a text is the same to the locale as the one before it. */
  readonly isLikeBefore: Uint8Array;
}

function inOrderOf(texts: readonly string[], compare: Compare): InOrder {
  const sorted = inCheapOrder(texts);
  const isLikeBefore = new Uint8Array(sorted.length);
  let moves = maxMoves * sorted.length;
  for (let at = 1; at < sorted.length; at += 1) {
    const text = sorted[at] ?? '';
    let to = at;
    let told = compare(sorted[to - 1] ?? '', text);
    while (told > 0) {
      sorted[to] = sorted[to - 1] ?? '';
      isLikeBefore[to] = isLikeBefore[to - 1] ?? 0;
      to -= 1;
      told = to === 0 ? -1 : compare(sorted[to - 1] ?? '', text);
    }
    sorted[to] = text;
    isLikeBefore[to] = told === 0 ? 1 : 0;
    if (to === at) continue;
    isLikeBefore[to + 1] = 0;
    moves -= at - to;
    if (moves < 0) return allAsked(sorted, compare);
  }
  return { sorted, isLikeBefore };
}

function allAsked(texts: string[], compare: Compare): InOrder {
  const sorted = texts.sort(compare);
  const like = sorted.map((text, at) => at > 0 && compare(sorted[at - 1] ?? '', text) === 0);
  return { sorted, isLikeBefore: Uint8Array.from(like, Number) };
}

function inCheapOrder(texts: readonly string[]): string[] {
  return texts
    .map((text) => ({ text, key: cheapKey(text) }))
    .sort((one, other) => (one.key < other.key ? -1 : one.key > other.key ? 1 : 0))
    .map(({ text }) => text);
}

const marks = /\p{M}+/gu;
const plain = /^[\x20-\x7e]*$/;
/** Numbers in texts are ordered by what they say: so many digits, then the digits. */
const numbers = /0*(\d+)/g;

function cheapKey(text: string): string {
  const bare = plain.test(text) ? text : text.normalize('NFKD').replace(marks, '');
  return bare
    .toLowerCase()
    .replace(numbers, (_, digits: string) => String.fromCharCode(48 + digits.length) + digits);
}
