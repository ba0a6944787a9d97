import type { Paragraph } from './paragraph';

/** Where a text may be broken, ascending; of a text that begins at `from`, taken anew from there. */
export type FindBreaks = (text: string) => readonly number[];

/** A line that begins with one has fewer breaks after it. */
export const hyphens = new Set(['-', '\u2010']);
const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' });
/** Scripts whose words are found in a dictionary: what is a word hangs on where the line begins. */
export const hasWordsWithoutSpaces = /[\u0e00-\u0eff\u1000-\u109f\u1780-\u17ff]/;

/** Where each line of a paragraph begins in a width; no more than `max` of them, and one for "more". */
export function lineStarts(
  paragraph: Paragraph,
  findBreaks: FindBreaks,
  widthPx: number,
  max: number,
): readonly number[] {
  const { text } = paragraph;
  const starts: number[] = [];
  const isTakenAnew = hasWordsWithoutSpaces.test(text);
  const all = findBreaks(text);
  let start = 0;
  while (start < text.length && starts.length <= max) {
    starts.push(start);
    const isAnew = start > 0 && (isTakenAnew || hyphens.has(text[start] ?? ''));
    const breaks = isAnew ? breaksFrom(paragraph, findBreaks, start, widthPx) : all;
    start = lineEnd(paragraph, breaks, start, widthPx);
    while (text[start] === ' ') start += 1;
  }
  return starts;
}

/** So much more than can stand in the line is looked at: words at its end are found as in the whole text. */
const aheadOfLine = 200;

/** Breaks of a text that begins with a line; those past it are of nobody's interest. */
function breaksFrom(
  paragraph: Paragraph,
  findBreaks: FindBreaks,
  start: number,
  widthPx: number,
): readonly number[] {
  const end = paragraph.surelyPast(start, widthPx) + aheadOfLine;
  return findBreaks(paragraph.text.slice(start, end)).map((at) => at + start);
}

function lineEnd(
  paragraph: Paragraph,
  breaks: readonly number[],
  start: number,
  widthPx: number,
): number {
  const { text } = paragraph;
  let next = firstAfter(breaks, start);
  const first = breaks[next] ?? text.length;
  let best = -1;
  for (;;) {
    const end = breaks[next] ?? text.length;
    if (best >= 0 && paragraph.isFar(start, end, widthPx)) break;
    if (!paragraph.fits(start, end, widthPx)) break;
    best = end;
    if (end === text.length) break;
    next += 1;
  }
  return best >= 0 ? best : breakAnywhere(paragraph, start, first, widthPx);
}

/** No opportunity fits: the longest run of graphemes that does, at least one. */
function breakAnywhere(
  paragraph: Paragraph,
  start: number,
  opportunity: number,
  widthPx: number,
): number {
  const { text } = paragraph;
  let end = opportunity;
  while (end > start && text[end - 1] === ' ') end -= 1;
  let best = start;
  let first: number | undefined;
  for (const { index, segment } of graphemes.segment(text.slice(start, end))) {
    const at = start + index + segment.length;
    first ??= at;
    if (!paragraph.fits(start, at, widthPx)) break;
    best = at;
  }
  const broken = best > start ? best : wholeLigature(paragraph, start, first ?? opportunity);
  return broken === end ? opportunity : broken;
}

/** Not even one grapheme fits: Chromium does not cut a ligature of three or more Latin letters. */
function wholeLigature(paragraph: Paragraph, start: number, first: number): number {
  const { text } = paragraph;
  if (first !== start + 1) return first;
  let end = start + 1;
  while (end < text.length && !paragraph.hasGlyphAt(end) && end - start < 5) end += 1;
  const isLigature = end - start >= 3 && /^[a-z]+$/.test(text.slice(start, end));
  return isLigature ? end - 1 : first;
}

/** Position of the first number that is greater. */
function firstAfter(numbers: readonly number[], than: number): number {
  let low = 0;
  let high = numbers.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((numbers[middle] ?? 0) <= than) low = middle + 1;
    else high = middle;
  }
  return low;
}
