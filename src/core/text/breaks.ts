import type { FindBreaks } from './lines';

/**
 * Between printable ASCII characters Chromium breaks by a table of its own, not by Unicode Standard
 * Annex 14: found by trying all pairs in it. By the first of a pair, what it may be broken before.
 */
const digitsAndLetters = '0123456789@ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';
const breaksBefore = new Map<string, ReadonlySet<string>>();
const putAll = (first: string, second: string) => {
  for (const char of first) breaksBefore.set(char, new Set(second));
};
putAll('!"#%&)*+,.:;=>\\]|}~', '(<[{');
putAll('-', `"#%&'(*+-<=>[\\^_\`{|~${digitsAndLetters}`);
putAll('?', `#$%&(*+-<=>[\\^_\`{|~${digitsAndLetters}`);

const space = 0x20;
const hyphen = 0x2d;
const noBreakSpace = 0xa0;
const isPrintable = (unit: number): boolean => unit > space && unit < 0x7f;
const isDigit = (unit: number): boolean => unit >= 0x30 && unit <= 0x39;
const isAlphanumeric = (unit: number): boolean =>
  isDigit(unit) || (unit >= 0x41 && unit <= 0x5a) || (unit >= 0x61 && unit <= 0x7a);

/**
 * Where Chromium may break a paragraph whose white space is collapsed: after spaces, between ASCII
 * by its table, elsewhere where `find` (Annex 14 with dictionaries) says so.
 */
export const chromiumBreaks =
  (find: FindBreaks): FindBreaks =>
  (text) => {
    let found: ReadonlySet<number> | undefined;
    const breaks: number[] = [];
    for (let at = 1; at < text.length; at += 1) {
      const before = text.charCodeAt(at - 1);
      const after = text.charCodeAt(at);
      if (after === space) continue;
      if (before === space) breaks.push(at);
      else if (isPrintable(before) && isPrintable(after)) {
        if (breaksBetween(text, at)) breaks.push(at);
      } else if (isForeign(before) || isForeign(after)) {
        found ??= new Set(find(text));
        if (found.has(at)) breaks.push(at);
      }
    }
    return breaks;
  };

const isForeign = (unit: number): boolean => unit >= 0x7f && unit !== noBreakSpace;

function breaksBetween(text: string, at: number): boolean {
  // A minus is no hyphen: only what follows a letter or digit is cut from its number.
  if (text.charCodeAt(at - 1) === hyphen && isDigit(text.charCodeAt(at)))
    return at > 1 && isAlphanumeric(text.charCodeAt(at - 2));
  return breaksBefore.get(text[at - 1] ?? '')?.has(text[at] ?? '') === true;
}
