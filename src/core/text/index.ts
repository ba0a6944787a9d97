/**
 * Text: how wide words are and where lines break, to the last 1/64 px as Chromium draws them. It
 * knows fonts through a port and nothing of parts, projects or pages; layout calls it.
 */
export { chromiumBreaks } from './breaks';
export type { Face, Glyphs, Numerals, Shaping, Slice } from './face';
export type { LaidLine, LaidText, TextRoom } from './laid/laid-text';
export type { LaidGlyph, Piece } from './laid/pieces';
export { type FindBreaks, lineStarts } from './lines';
export type { TextMeasure } from './measure';
export { ownFace } from './own-face';
export { Paragraph } from './paragraph';
export { isIn, type Ranges, type Stretch } from './runs/ranges';
export { scriptOf } from './script-names';
export type { Font, Span } from './shape';
export { SliceChain } from './slice-chain';
export type { SummedText } from './sums/summed-text';
export { TextPool } from './sums/text-pool';
export {
  type TextFont,
  TextMeasures,
  type TextPlace,
  type TextPort,
  type TextRun,
} from './text-measures';
export { drawnRuns, drawnWords, paragraphsOfRuns } from './words';
