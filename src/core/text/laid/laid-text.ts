import type { TextDirection } from '../../base';
import { type FindBreaks, lineStarts } from '../lines';
import { Paragraph, unit } from '../paragraph';
import { directionOfText, runsOf } from '../runs/runs';
import type { Font } from '../shape';
import type { ParagraphOfRuns } from '../words';
import {
  type Drawable,
  fitting,
  type LoosePiece,
  type Piece,
  piecesOf,
  placedPiece,
  widthOfPieces,
} from './pieces';

/** A line of a text. */
export interface LaidLine {
  /** From left to right, one beside the other. */
  readonly pieces: readonly Piece[];
  readonly widthPx: number;
}

/** A text as it is drawn; all lengths in device px. */
export interface LaidText {
  readonly lines: readonly LaidLine[];
  readonly direction: TextDirection;
  /** How far the first run's font reaches above and below the baseline, as Chromium rounds it. */
  readonly ascentPx: number;
  readonly descentPx: number;
}

/** The room that a text has. */
export interface TextRoom {
  /** In 1/64 device px. */
  readonly width: number;
  /** Infinity stands for as many as the text takes. */
  readonly maxLines: number;
  /** Lines that are seen whole: the sign that there is more stands at the last of them; none where there is none. */
  readonly wholeLines: number;
  /** What has no room on one line is cut off there, without a sign. */
  readonly isClipped: boolean;
}

/** A text with the fonts of its runs. */
export interface TextOfRuns {
  readonly paragraphs: readonly ParagraphOfRuns[];
  readonly fonts: readonly Font[];
}

/** Where each letter of a text is drawn in its room: what of it is shown, line by line. */
export function layText(
  { paragraphs, fonts }: TextOfRuns,
  { width, maxLines, wholeLines, isClipped }: TextRoom,
  findBreaks: FindBreaks,
): LaidText {
  const direction = directionOfText(paragraphs.map(({ text }) => text).join(' '));
  const availablePx = width * unit;
  const lines: (readonly LoosePiece[])[] = [];
  for (const paragraph of paragraphs) {
    if (lines.length > maxLines) break;
    const drawable = drawableOf(paragraph, fonts, direction);
    const { text } = drawable;
    const starts =
      maxLines === 1
        ? [0]
        : lineStarts(
            new Paragraph(text, drawable.spans),
            findBreaks,
            availablePx,
            maxLines - lines.length,
          );
    if (starts.length === 0) lines.push([]);
    starts.forEach((start, at) => {
      const end = trimmed(text, start, starts[at + 1] ?? text.length);
      lines.push(piecesOf(drawable, { start, end }));
    });
  }
  const shown = lines.slice(0, maxLines);
  const signed = maxLines === 1 ? 1 : Math.min(maxLines, wholeLines);
  const last = shown[signed - 1];
  // A text that may take any number of lines goes on without a sign.
  const isTooLong = Number.isFinite(maxLines) && lines.length > signed;
  const isTooWide = maxLines === 1 && !isClipped && widthOfPieces(last ?? []) > availablePx + unit;
  if (last !== undefined && (isTooLong || isTooWide))
    shown[signed - 1] = shortened(last, fonts[0], availablePx, direction);
  return { lines: shown.map(placedLine), direction, ...extentsOf(fonts[0]) };
}

const ellipsis = '\u2026';

/** A line with the sign at its end that there is more. */
function shortened(
  pieces: readonly LoosePiece[],
  font: Font | undefined,
  availablePx: number,
  direction: TextDirection,
): readonly LoosePiece[] {
  if (font === undefined) return pieces;
  const paragraph = { text: ellipsis, ends: [ellipsis.length] };
  // Chromium gives it no spacing of letters.
  const own = { ...font, spacingPx: 0 };
  const sign = piecesOf(drawableOf(paragraph, [own], direction), { start: 0, end: 1 });
  const kept = fitting(pieces, availablePx - widthOfPieces(sign), direction);
  return direction === 'rtl' ? [...sign, ...kept] : [...kept, ...sign];
}

function drawableOf(
  { text, ends }: ParagraphOfRuns,
  fonts: readonly Font[],
  direction: TextDirection,
): Drawable {
  const spans = ends.flatMap((end, run) => {
    const font = fonts[run];
    return font === undefined || end <= (ends[run - 1] ?? 0) ? [] : [{ end, font, run }];
  });
  return { text, spans, runs: runsOf(text, direction) };
}

function trimmed(text: string, start: number, end: number): number {
  let last = end;
  while (last > start && text[last - 1] === ' ') last -= 1;
  return last;
}

const placedLine = (pieces: readonly LoosePiece[]): LaidLine => ({
  pieces: pieces.map(placedPiece),
  widthPx: widthOfPieces(pieces),
});

/**
 * Those of the first face that has a space, which lines are placed by. Both are whole px; where the
 * one below is rounded down, Chromium gives it a px of the one above, so that no descender is cut off.
 */
function extentsOf(font: Font | undefined): Pick<LaidText, 'ascentPx' | 'descentPx'> {
  const face = font?.chain.slicesFor(' ', { start: 0, end: 1 })[0]?.face(font.weight);
  if (font === undefined || face === undefined) return { ascentPx: 0, descentPx: 0 };
  const px = (units: number) => (units / face.unitsPerEm) * font.sizePx;
  const [ascent, descent] = [Math.round(px(face.ascent)), Math.round(px(face.descent))];
  const given = descent < px(face.descent) && ascent >= 1 ? 1 : 0;
  return { ascentPx: ascent - given, descentPx: descent + given };
}
