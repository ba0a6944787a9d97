/**
 * Drawing: a row whose boxes are known as SVG, by the boxes of the solver and the places of its
 * letters. Nothing is measured here and nothing fetched; who calls knows fonts and pictures.
 */
export { type EmbeddedFace, svgDocument } from './document';
export { namesShown } from './named';
export { drawnRow, type LaidRow, type LayWords, layRow } from './row';
export type { DrawnIn, GlyphPlace, GlyphShapes, HeldPicture, Letters } from './sketch';
export { type PartPlace, type RowState, type SheetTask, specSheet } from './spec-sheet';
export { element } from './svg';
