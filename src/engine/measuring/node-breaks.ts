import LineBreaker from 'linebreak';
import type { FindBreaks } from '../../core/text';

/** Small kana and the like: Chromium breaks before them as before any other. */
const smallKana =
  /[\u3041\u3043\u3045\u3047\u3049\u3063\u3083\u3085\u3087\u308e\u3095\u3096\u30a1\u30a3\u30a5\u30a7\u30a9\u30c3\u30e3\u30e5\u30e7\u30ee\u30f5\u30f6\u30fc\u31f0-\u31ff\uff67-\uff70]/g;
const kana = '\u3042';
/** Thai, Lao, Burmese and Khmer: their words are found in a dictionary. */
const wordsWithoutSpaces = /[\u0e00-\u0eff\u1000-\u109f\u1780-\u17ff]+/g;
const words = new Intl.Segmenter('th', { granularity: 'word' });
const staysWithWord = /^[\u0e2f\u0e46]/;
const hebrew = /[\u05d0-\u05ea]/;
const hyphens = new Set(['-', '\u2010']);
const glue = /[ \t\n\u00a0\u200b\ufffc\u202f\u2007\u2011]/;
const letterOfWords =
  /(?![\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}])\p{L}/u;

/** Unicode Standard Annex 14 where the browser's own finder is not: Node, the command line. */
export const nodeBreaks: FindBreaks = (text) => {
  const found = new Set<number>();
  const breaker = new LineBreaker(text.replace(smallKana, kana));
  for (let next = breaker.nextBreak(); next !== null; next = breaker.nextBreak())
    if (next.position < text.length) found.add(next.position);
  for (const stretch of text.matchAll(wordsWithoutSpaces))
    for (const { index, segment } of words.segment(stretch[0]))
      if (index > 0 && !staysWithWord.test(segment)) found.add(stretch.index + index);
  for (let at = 2; at < text.length; at += 1)
    if (text[at - 1] === '-' && hebrew.test(text[at - 2] ?? '') && hebrew.test(text[at] ?? ''))
      found.add(at);
  return [...found].filter((at) => !isHyphenBeforeWord(text, at)).sort((one, other) => one - other);
};

/** A hyphen at the start of a word stays with it. */
function isHyphenBeforeWord(text: string, at: number): boolean {
  const isAtStart = at === 1 || glue.test(text[at - 2] ?? '');
  if (!hyphens.has(text[at - 1] ?? '') || !isAtStart) return false;
  const char = text.codePointAt(at) ?? 0;
  return char >= 0x7f && letterOfWords.test(String.fromCodePoint(char));
}
