import { grouped } from '../../base';

/** A row is no book: so many characters of a text are laid out. */
export const maxLaidChars = 4_000;

/** The text as it is laid out: of a longer one its beginning, and how many characters are left. */
export function laidOut(text: string): string {
  if (text.length <= maxLaidChars) return text;
  // A character of two units stays whole.
  const isHalf = /[\uD800-\uDBFF]/.test(text.charAt(maxLaidChars - 1));
  const end = isHalf ? maxLaidChars - 1 : maxLaidChars;
  return `${text.slice(0, end)} … (+${text.length - end})`;
}

/** Why the text that is laid out is not the whole one; undefined: it is. */
export function leftOut(laid: string): string | undefined {
  if (laid.length <= maxLaidChars) return undefined;
  const left = Number(/ … \(\+(\d+)\)$/.exec(laid)?.[1]);
  return `a row lays out ${grouped(maxLaidChars)} characters, and the text has ${grouped(left)} more`;
}
