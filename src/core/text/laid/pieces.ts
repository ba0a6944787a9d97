import type { TextDirection } from '../../base';
import type { Slice } from '../face';
import type { Stretch } from '../runs/ranges';
import type { Run } from '../runs/runs';
import { type ShapedGlyph, type Span, shape } from '../shape';
import { advancesOf } from '../widths';

/** A glyph where it is drawn: px to the right of where its piece begins, and above the baseline. */
export interface LaidGlyph {
  readonly slice: Slice;
  readonly glyph: number;
  readonly xPx: number;
  readonly yPx: number;
}

/** Words of one run that go in one direction. */
export interface Piece {
  /** Which of the text's runs they are of. */
  readonly run: number;
  readonly words: string;
  readonly direction: TextDirection;
  readonly widthPx: number;
  /** What of it stands apart: figures among letters that are joined do not, alone they would. */
  readonly spaced: 'letters' | 'spaces' | 'nothing';
  readonly glyphs: readonly LaidGlyph[];
}

/** A span of a text, and the run that it is of. */
export interface RunSpan extends Span {
  readonly run: number;
}

/** A paragraph that is to be drawn. */
export interface Drawable {
  readonly text: string;
  readonly spans: readonly RunSpan[];
  readonly runs: readonly Run[];
}

interface Advanced extends ShapedGlyph {
  readonly advancePx: number;
}

/** A piece whose glyphs are not yet placed. */
export interface LoosePiece extends Stretch {
  readonly of: Drawable;
  readonly run: number;
  readonly level: number;
  /** From left to right. */
  readonly glyphs: readonly Advanced[];
}

/** A stretch of a paragraph as pieces from left to right. */
export function piecesOf(of: Drawable, stretch: Stretch): readonly LoosePiece[] {
  const { text, spans, runs } = of;
  const shaped = shape(text, spans, runs, stretch);
  const { ofGlyphs } = advancesOf(shaped);
  const pieces: LoosePiece[] = [];
  for (let start = stretch.start; start < stretch.end; ) {
    const item = shaped.items[start - stretch.start];
    let end = start + 1;
    while (end < stretch.end && shaped.items[end - stretch.start] === item) end += 1;
    const level = runs.find((run) => run.end > start)?.level ?? 0;
    const isRtl = (level & 1) === 1;
    const segments = shaped.segments
      .filter((segment) => segment.item === item)
      .sort((one, other) => (isRtl ? other.start - one.start : one.start - other.start));
    const glyphs = segments.flatMap(({ firstGlyph, glyphCount }) =>
      shaped.glyphs.slice(firstGlyph, firstGlyph + glyphCount).map((glyph, i) => ({
        ...glyph,
        advancePx: ofGlyphs[firstGlyph + i] ?? 0,
      })),
    );
    const run = spans.find((span) => span.end > start)?.run ?? 0;
    pieces.push({ of, start, end, run, level, glyphs });
    start = end;
  }
  return inVisualOrder(pieces);
}

/** Unicode Standard Annex 9, rule L2. */
function inVisualOrder(pieces: readonly LoosePiece[]): readonly LoosePiece[] {
  const ordered = [...pieces];
  const highest = Math.max(0, ...pieces.map(({ level }) => level));
  for (let level = highest; level > 0; level -= 1)
    for (let from = 0; from < ordered.length; ) {
      let to = from;
      while ((ordered[to]?.level ?? -1) >= level) to += 1;
      if (to > from) ordered.splice(from, to - from, ...ordered.slice(from, to).reverse());
      from = Math.max(to, from) + 1;
    }
  return ordered;
}

export const widthOfPieces = (pieces: readonly LoosePiece[]): number =>
  pieces.reduce((width, { glyphs }) => width + advanceOf(glyphs), 0);

const advanceOf = (glyphs: readonly Advanced[]): number =>
  glyphs.reduce((sum, { advancePx }) => sum + advancePx, 0);

/** What fits into a width of pieces in a line of a direction: letters go at the line's end, but for the first. */
export function fitting(
  pieces: readonly LoosePiece[],
  availablePx: number,
  direction: TextDirection,
): readonly LoosePiece[] {
  const isRtl = direction === 'rtl';
  const kept: LoosePiece[] = [];
  let leftPx = availablePx;
  for (const piece of isRtl ? [...pieces].reverse() : pieces) {
    const letters = lettersOf(isRtl ? [...piece.glyphs].reverse() : piece.glyphs);
    let count = 0;
    for (const letter of letters) {
      const px = advanceOf(letter);
      if (px > leftPx && kept.length + count > 0) break;
      leftPx -= px;
      count += 1;
    }
    const glyphs = letters.slice(0, count).flat();
    if (count > 0) kept.push(partOf(piece, new Set(glyphs), isRtl ? glyphs.reverse() : glyphs));
    if (count < letters.length) break;
  }
  return isRtl ? kept.reverse() : kept;
}

/** Neighbouring glyphs of one cluster. */
function lettersOf(glyphs: readonly Advanced[]): readonly (readonly Advanced[])[] {
  const letters: Advanced[][] = [];
  for (const glyph of glyphs) {
    const last = letters.at(-1);
    if (last?.[0]?.cluster === glyph.cluster) last.push(glyph);
    else letters.push([glyph]);
  }
  return letters;
}

function partOf(
  piece: LoosePiece,
  kept: ReadonlySet<Advanced>,
  glyphs: readonly Advanced[],
): LoosePiece {
  if (kept.size === piece.glyphs.length) return piece;
  const clusters = glyphs.map(({ cluster }) => cluster);
  const last = Math.max(...clusters);
  const after = piece.glyphs.map(({ cluster }) => cluster).filter((each) => each > last);
  return {
    ...piece,
    start: Math.min(...clusters),
    end: Math.min(piece.end, ...after),
    glyphs,
  };
}

/** Letters that are written together with the one after them or before them (Unicode, Joining_Type). */
const joined =
  /^[\p{Script=Arabic}\p{Script=Syriac}\p{Script=Mandaic}\p{Script=Nko}\p{Script=Mongolian}\p{Script=Hanifi_Rohingya}]$/u;
/** Those of them that are not with the one after them: of type right-joining or non-joining, signs and digits. */
const endsJoining =
  /^[\u0621-\u0625\u0627\u0629\u062f-\u0632\u0648\u0671-\u0673\u0675-\u0677\u0688-\u0699\u06c0\u06c3-\u06cb\u06cd\u06cf\u06d2\u06d3\u06d5\u06ee\u06ef\u0710\u0715-\u0719\u071e\u0728\u072a\u072c\u072f\P{L}]$/u;
const startsUnjoined = /^[\u0621\P{L}]$/u;
const transparent = /\p{M}/u;
const joiner = '\u200d';

/** Half of a letter of South Asia's scripts that stood before what was cut off; alone it shows its sign. */
const half = /^[\u094d\u09cd\u0a4d\u0acd\u0b4d\u0bcd\u0c4d\u0ccd\u0d4d\u0dca]$/u;

/** The words of a piece: letters that were joined to what was cut off keep their shape. */
function wordsOf({ of: { text }, start, end }: LoosePiece): string {
  const before = isJoinedAt(text, start) ? joiner : '';
  const isCut = isJoinedAt(text, end) || (end < text.length && half.test(text[end - 1] ?? ''));
  return `${before}${text.slice(start, end)}${isCut ? joiner : ''}`;
}

function isJoinedAt(text: string, at: number): boolean {
  let last = at - 1;
  while (transparent.test(text[last] ?? '')) last -= 1;
  const [one, other] = [text[last] ?? '', text[at] ?? ''];
  const areLetters = joined.test(one) && joined.test(other);
  return areLetters && !endsJoining.test(one) && !startsUnjoined.test(other);
}

/** A piece with its glyphs in their places. */
export function placedPiece(piece: LoosePiece): Piece {
  const { run, level, glyphs } = piece;
  let xPx = 0;
  const placed = glyphs.map(({ slice, glyph, right, up, unitsPerEm, sizePx, advancePx }) => {
    const scale = sizePx / unitsPerEm;
    const laid = { slice, glyph, xPx: xPx + right * scale, yPx: up * scale };
    xPx += advancePx;
    return laid;
  });
  const direction = (level & 1) === 1 ? 'rtl' : 'ltr';
  return {
    run,
    words: wordsOf(piece),
    direction,
    widthPx: xPx,
    spaced: spacedOf(piece),
    glyphs: placed,
  };
}

function spacedOf({ of: { text }, glyphs }: LoosePiece): Piece['spaced'] {
  const spaced = glyphs.filter(({ spacingPx }) => spacingPx !== 0);
  if (spaced.length === 0) return 'nothing';
  return spaced.every(({ cluster }) => /[ \u00a0]/.test(text[cluster] ?? ''))
    ? 'spaces'
    : 'letters';
}
