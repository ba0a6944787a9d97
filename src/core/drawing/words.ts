import type { RunWords } from '../lists';
import { isLeading, styleNamed } from '../templates';
import type { Piece } from '../text';
import { buttonInk } from './kinds/pills';
import { colourSaid, fullHex, rowColour, type Sketch } from './sketch';
import { clipped, element, escaped, filled, rounded } from './svg';

/** The words of a label, or those in a pill, where they stand. */
export function drawnWords(sketch: Sketch): string {
  const { exact: box, words, ratio } = sketch;
  if (words === undefined) return '';
  const { label, laid } = words;
  const { node } = label;
  const runs = label.runsAt(node.steps);
  const lineHeight = node.lineHeight / 64;
  const leading = Math.floor((lineHeight - laid.ascentPx - laid.descentPx) / 2);
  const lines = laid.lines.flatMap(({ pieces, widthPx }, at) => {
    // Letters stand on whole device px.
    const y = Math.round(box.y * ratio + at * lineHeight + leading + laid.ascentPx) / ratio;
    let x = box.x + startOfLine(sketch, widthPx / ratio, laid.direction === 'rtl');
    return pieces.map((piece) => {
      const run = runs[piece.run];
      const place = { x, y, width: piece.widthPx / ratio };
      x += place.width;
      return run === undefined ? '' : drawnPiece(sketch, piece, run, place);
    });
  });
  return clipped(sketch.box, ...lines);
}

function startOfLine({ exact: box, part, said }: Sketch, width: number, isRtl: boolean): number {
  const room = box.width - width;
  const align = part.box === 'pill' || room < 0 ? 'start' : said('align');
  if (align === 'centre') return room / 2;
  return (align === 'end') === isRtl ? 0 : room;
}

/** Where the words of a piece begin at the left, their baseline, and how wide they are. */
interface PiecePlace {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

function drawnPiece(sketch: Sketch, piece: Piece, run: RunWords, place: PiecePlace): string {
  const { said, ratio, part } = sketch;
  const ink = inkOf(sketch, run.part);
  const { ascent, descent } = extentsOf(sketch, run);
  const ground = { ...place, y: place.y - ascent, height: ascent + descent };
  const behind = run.look === 'code' ? rounded(ground, 3, filled(rowColour(sketch, 'soft'))) : '';
  // As Chromium draws such lines: in whole device px.
  const thickness = Math.max(1, (run.font.sizePx * ratio) / 10);
  const stripe = (y: number) => {
    const [top, height] = [Math.round(y * ratio) / ratio, Math.floor(thickness) / ratio];
    return rounded({ ...place, y: top, height }, 0, filled(ink));
  };
  const address = addressOf(sketch, run);
  const isUnderlined = address !== undefined && said('underlined') !== false;
  const isStruck = [run.part, part.id].some((each) => said('strike', each) === true);
  const drawn =
    behind +
    (isUnderlined ? stripe(place.y + underlineOffsetPx) : '') +
    drawnLetters(sketch, piece, run, { ...place, ink }) +
    (isStruck ? stripe(place.y - ascent / 3 - thickness / ratio / 2) : '');
  return address === undefined ? drawn : element('a', { href: address }, drawn);
}

/** How far the font of a run reaches above and below the baseline, in CSS px. */
function extentsOf({ words, ratio }: Sketch, { font }: RunWords) {
  if (words === undefined) return { ascent: 0, descent: 0 };
  const { label, laid } = words;
  const { sizePx } = label.fontAt(0, label.node.steps);
  const scaled = (px: number) => Math.round((px * font.sizePx) / sizePx) / ratio;
  return { ascent: scaled(laid.ascentPx), descent: scaled(laid.descentPx) };
}

const underlineOffsetPx = 2;

function addressOf({ said, part }: Sketch, { address, part: run }: RunWords): string | undefined {
  const own = address ?? said(part.part === 'link' ? 'address' : 'link', run);
  return isLeading(own) ? own : undefined;
}

/** What words are drawn in: the colour that their run says, that of its own style, or that of the label. */
function inkOf(sketch: Sketch, run: string): string {
  const { part, said } = sketch;
  const ofRun = (each: string): string | undefined =>
    colourSaid(sketch, 'colour', each) ??
    (said('style', each) === undefined ? undefined : inkOfStyle(sketch, said('style', each)));
  const own = part.part === 'button' ? buttonInk(sketch) : ofRun(run);
  return own ?? ofRun(part.id) ?? rowColour(sketch, 'ink');
}

const inkOfStyle = ({ tokens, scheme }: Sketch, name: unknown): string | undefined => {
  const { colour } = styleNamed(tokens.styles, name);
  return fullHex(tokens.colours.find((each) => each.name === colour)?.[scheme]);
};

/** How far letters lean that no file draws leaning, as they rise by one: Chromium's own. */
const slant = 0.25;

/** Spaces at the ends of a piece are kept as ones that nobody leaves out. */
function drawnLetters(
  sketch: Sketch,
  { words, direction, spaced, glyphs }: Piece,
  run: RunWords,
  { x, y, width, ink }: PiecePlace & { readonly ink: string },
): string {
  const { letters, said, ratio, id, part } = sketch;
  const { sizePx, weight, spacingPx, family, numerals } = run.font;
  const isItalic = run.look === 'emphasis' || said('italic', run.part) === true;
  if (letters.kind === 'text') {
    const language = said('language', part.id);
    return element(
      'text',
      {
        x: direction === 'rtl' ? x + width : x,
        y,
        'font-size': sizePx,
        'font-weight': weight,
        'font-style': isItalic ? 'italic' : undefined,
        'font-family': letters.families(
          family,
          typeof language === 'string' ? language : undefined,
        ),
        'letter-spacing': spaced === 'letters' ? spacingPx : undefined,
        'word-spacing': spaced === 'spaces' ? spacingPx : undefined,
        class: numerals === 'usual' ? undefined : numerals,
        ...(direction === 'rtl' && { direction, 'unicode-bidi': 'bidi-override' }),
        lang: typeof language === 'string' ? language : undefined,
        ...filled(ink),
      },
      escaped(words.replace(/^ | $/g, '\u00a0')),
    );
  }
  const { shapes } = letters;
  let path = '';
  let painted = '';
  for (const glyph of glyphs) {
    const place = { x: x + glyph.xPx / ratio, y: y - glyph.yPx / ratio };
    const at = { ...place, sizePx, weight, slant: isItalic ? slant : 0 };
    const own = shapes.path(glyph, at);
    if (own === undefined) painted += shapes.painted(glyph, at, id);
    else path += own;
  }
  return (path === '' ? '' : element('path', { d: path, ...filled(ink) })) + painted;
}
