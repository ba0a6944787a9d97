export type Compare = (one: string, other: string) => number;

export const plainSigns = [...' 0123456789abcdefghijklmnopqrstuvwxyz'];

/** A sign that is not of the first 128: the letters it is made of, and whether the locale puts it with them. */
export interface MarkedLetter {
  /** Small letters a to z, none for a mark alone; undefined if it is made of anything else. */
  readonly bare: string | undefined;
  /** Whether its marks count only where all else is the same. */
  readonly isLikeBare: boolean;
}

const known = new WeakMap<Compare, Map<number, MarkedLetter>>();

export function markedLetters(code: number, compare: Compare): MarkedLetter {
  let ofLocale = known.get(compare);
  if (ofLocale === undefined) {
    ofLocale = new Map();
    known.set(compare, ofLocale);
  }
  let letter = ofLocale.get(code);
  if (letter === undefined) {
    letter = bareOf(String.fromCharCode(code), compare);
    ofLocale.set(code, letter);
  }
  return letter;
}

const marks = /\p{M}+/gu;
const fewLetters = /^[a-z]{0,3}$/;

function bareOf(letter: string, compare: Compare): MarkedLetter {
  const bare = letter.normalize('NFKD').replace(marks, '').toLowerCase();
  if (!fewLetters.test(bare)) return { bare: undefined, isLikeBare: false };
  return { bare, isLikeBare: bare.length === 1 && isLike(letter, bare, compare) };
}

/** Whatever plain sign stands before it or after. */
const isLike = (letter: string, bare: string, compare: Compare): boolean =>
  plainSigns.slice(1).every((next, at) => {
    const sign = plainSigns[at] ?? '';
    const isBefore = (one: string, other: string) => compare(one, other) < 0;
    return (
      isBefore(letter + sign, bare + next) &&
      isBefore(bare + sign, letter + next) &&
      isBefore(sign + letter, next + bare) &&
      isBefore(sign + bare, next + letter)
    );
  });
