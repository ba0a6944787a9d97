/** A text as it is compared: what differs only by keyboard or by script of digits is the same. */
export interface Folded {
  readonly text: string;
  /** What was typed, composed (NFC). */
  readonly typed: string;
  /** Where each character of `text` stands in `typed`; one more for the end. */
  readonly at: readonly number[];
}

/** Marks of direction, which no keyboard types. Standard: UAX 9. */
const marks = /[\u200e\u200f\u061c\u202a-\u202e\u2066-\u2069]/;

const alike = new Map(
  (
    [
      [
        ' ',
        '\u00a0\u1680\u2000\u2001\u2002\u2003\u2004\u2005\u2006\u2007\u2008\u2009\u200a\u202f\u205f\u3000',
      ],
      ["'", '\u2018\u2019\u02bc\uff07'],
      ['-', '\u2212\u2010\u2011\uff0d'],
      ['%', '\u066a'],
    ] as const
  ).flatMap(([one, all]) => [...all].map((char) => [char, one] as const)),
);

export function fold(words: string): Folded {
  const typed = words.normalize('NFC');
  const at: number[] = [];
  let text = '';
  for (let place = 0; place < typed.length; place += 1) {
    const char = typed[place] ?? '';
    if (marks.test(char)) continue;
    at.push(place);
    text += alike.get(char) ?? digitOf(char) ?? char;
  }
  return { text, typed, at: [...at, typed.length] };
}

/** A stretch as it was typed; marks of direction at their end belong to what follows. */
export const typedOf = (
  { typed, at }: Folded,
  { from, to }: { from: number; to: number },
): string => (from < to ? typed.slice(at[from], (at[to - 1] ?? 0) + 1) : '');

export const folded = (words: string): string => fold(words).text;

/** A decimal digit of any script as an ASCII one: each script has its ten in a row. */
function digitOf(char: string): string | undefined {
  if (char <= '\u007f' || !/\p{Nd}/u.test(char)) return undefined;
  const code = char.charCodeAt(0);
  let value = 0;
  while (value < 9 && /\p{Nd}/u.test(String.fromCharCode(code - value - 1))) value += 1;
  return String(value);
}

const wordChar = /[\p{L}\p{M}\p{N}]/u;
/** Scripts that put no spaces between words. */
const spaceless =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;

/** Whether a word can begin or end between the two characters at a place. */
export function isBoundary(text: string, at: number): boolean {
  const before = text[at - 1];
  const after = text[at];
  if (before === undefined || after === undefined) return true;
  if (!wordChar.test(before) || !wordChar.test(after)) return true;
  return spaceless.test(before) || spaceless.test(after);
}

export const isDigit = (char: string | undefined): boolean =>
  char !== undefined && char >= '0' && char <= '9';

/** Places from which to which a rendering stands in the text, whole words only. */
export function* standsIn(
  text: string,
  rendered: string,
  isNumber: boolean,
): Generator<readonly [from: number, to: number], void> {
  if (rendered === '') return;
  for (let from = text.indexOf(rendered); from >= 0; from = text.indexOf(rendered, from + 1)) {
    const to = from + rendered.length;
    const fits = isNumber
      ? fitsAsNumber(text, rendered, from, to)
      : isBoundary(text, from) && isBoundary(text, to);
    if (fits) yield [from, to];
  }
}

/** A number touches no digit, nor a sign between digits: 14 does not stand in 14.50. */
function fitsAsNumber(text: string, rendered: string, from: number, to: number): boolean {
  const isLastDigit = isDigit(rendered.at(-1));
  const isFirstDigit = isDigit(rendered[0]);
  if (isFirstDigit && isDigit(text[from - 1])) return false;
  if (isLastDigit && isDigit(text[to])) return false;
  const between = /[.,'٬٫]/;
  if (isLastDigit && between.test(text[to] ?? '') && isDigit(text[to + 1])) return false;
  if (isFirstDigit && between.test(text[from - 1] ?? '') && isDigit(text[from - 2])) return false;
  // A sign before it belongs to it, but for discounts.
  const isSigned = text[from - 1] === '-' && !/[\p{L}\p{N}]/u.test(text[from - 2] ?? ' ');
  if (isFirstDigit && isSigned && !rendered.includes('%')) return false;
  return !/\p{L}/u.test(rendered.at(-1) ?? '') || isBoundary(text, to);
}

/** Digits of the numbers in a text, whatever stands between their groups. */
export function numbersIn(text: string): ReadonlySet<string> {
  const found = new Set<string>();
  for (const [run] of text.matchAll(/\d+(?:[.,' ٬٫]\d+)*/g)) {
    const groups = run.split(/[.,' ٬٫]/);
    for (let from = 0; from < groups.length; from += 1)
      for (let to = from + 1; to <= groups.length; to += 1)
        found.add(groups.slice(from, to).join(''));
  }
  return found;
}
