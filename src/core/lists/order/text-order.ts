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
  const keyed = inCheapOrder(texts);
  const sorted = keyed.map(({ text }) => text);
  const isLikeBefore = new Uint8Array(sorted.length);
  const isUsual = isUsualOrder(compare);
  let moves = maxMoves * sorted.length;
  let isPlainBefore = false;
  for (let at = 1; at < sorted.length; at += 1) {
    const text = sorted[at] ?? '';
    const [before, own] = [keyed[at - 1], keyed[at]];
    // Marks are left out of keys, and may tell letters apart.
    const isPlain = isUsual && plain.test(text) && own !== undefined && letters.test(own.key);
    // What only letters tell apart needs no asking, as long as nothing was moved in between.
    const isSettled =
      isPlain && isPlainBefore && before?.key !== own?.key && sorted[at - 1] === before?.text;
    isPlainBefore = isPlain;
    if (isSettled) continue;
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

interface Keyed {
  readonly key: string;
  readonly text: string;
}

/** Sorted as plain texts, which is quicker than by a function. */
function inCheapOrder(texts: readonly string[]): readonly Keyed[] {
  return texts
    .map((text) => `${cheapKey(text)}\0${text}`)
    .sort()
    .map((both) => {
      const end = both.indexOf('\0');
      return { key: both.slice(0, end), text: both.slice(end + 1) };
    });
}

const letters = /^[a-z0-9 ]*$/;
const marks = /\p{M}+/gu;
const plain = /^[\x20-\x7e]*$/;
const digit = /[0-9]/;

/** Without marks, in small letters, numbers by what they say: so many digits, then the digits. */
function cheapKey(text: string): string {
  const bare = plain.test(text)
    ? text
    : text.normalize('NFKD').replace(marks, '').replaceAll('\0', '');
  const small = bare.toLowerCase();
  return digit.test(small) ? withLengths(small) : small;
}

function withLengths(text: string): string {
  let key = '';
  let from = 0;
  for (let at = 0; at < text.length; at += 1) {
    if (!isDigit(text, at)) continue;
    key += text.slice(from, at);
    let end = at + 1;
    while (isDigit(text, end)) end += 1;
    let first = at;
    while (first < end - 1 && text[first] === '0') first += 1;
    key += String.fromCharCode(48 + Math.min(end - first, 9)) + text.slice(first, end);
    from = end;
    at = end - 1;
  }
  return key + text.slice(from);
}

const isDigit = (text: string, at: number): boolean => {
  const code = text.charCodeAt(at);
  return code >= 48 && code <= 57;
};

const known = new WeakMap<Compare, boolean>();

/** Whether a locale has plain letters, digits and spaces in the cheap order: where two stand for one, it has not. */
function isUsualOrder(compare: Compare): boolean {
  let isUsual = known.get(compare);
  if (isUsual === undefined) {
    const signs = [...' 0123456789abcdefghijklmnopqrstuvwxyz'];
    const pairs = signs.flatMap((one) => signs.map((other) => `x${one}${other}`));
    const cheap = inCheapOrder(pairs).map(({ text }) => text);
    isUsual = cheap.every((text, at) => at === 0 || compare(cheap[at - 1] ?? '', text) <= 0);
    known.set(compare, isUsual);
  }
  return isUsual;
}
