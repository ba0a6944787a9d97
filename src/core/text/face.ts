import type { Ranges, Stretch } from './runs/ranges';

/** How a stretch is shaped. */
export interface Shaping {
  /** ISO 15924 tag. */
  readonly script: string;
  readonly isRtl: boolean;
  /** BCP 47 tag. */
  readonly language: string;
  /** Letters stand apart: none of them are joined to one sign. */
  readonly isSpaced: boolean;
  readonly numerals: Numerals;
}

/** Digits as a font has them, each as wide as it is, or all of one width. */
export type Numerals = 'usual' | 'proportional' | 'tabular';

/** Glyphs in visual order as columns: filled anew by the next shaping. */
export interface Glyphs {
  count: number;
  readonly glyph: Int32Array;
  /** UTF-16 unit of the text that the glyph is of. */
  readonly cluster: Int32Array;
  /** 1: the text may not be cut before the cluster without shaping anew. */
  readonly isUnsafe: Uint8Array;
  /** In 1/1024 of the font's units, kerning included. */
  readonly advance: Float64Array;
  /** How far it is drawn to the right of its place, and above the baseline, in the same. */
  readonly right: Float64Array;
  readonly up: Float64Array;
}

/** A font file at one weight: the port to who shapes. */
export interface Face {
  /** Font units in an em. */
  readonly unitsPerEm: number;
  readonly hasColour: boolean;
  /** How far lines of it reach above and below the baseline, in font units. */
  readonly ascent: number;
  readonly descent: number;
  shape(text: string, stretch: Stretch, how: Shaping): Glyphs;
  /** The advance of a glyph by itself, in whole font units and in 1/1024 of them. */
  advanceOf(glyph: number): { readonly units: number; readonly fine: number };
  has(char: number): boolean;
  hasSequence(char: number, selector: number): boolean;
}

/** One file of a family: it draws the characters of its ranges and no others. */
export interface Slice {
  readonly family: string;
  readonly ranges: Ranges;
  /** The file that it is drawn with, or the content of a font of the project's own. */
  readonly file: string;
  face(weight: number): Face;
}
