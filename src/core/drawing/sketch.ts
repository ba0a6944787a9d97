import type { TextDirection } from '../base';
import type { LayoutNode } from '../layout';
import type { PartPlan, RowLabel } from '../lists';
import {
  type Constant,
  colourOf,
  colourOfRows,
  type EntryValue,
  type RowColour,
  type Tokens,
} from '../templates';
import type { LaidGlyph, LaidText } from '../text';
import type { Box } from './svg';

/** A picture that a drawing can hold. */
export interface HeldPicture {
  /** An address of data, or one at which it is found. */
  readonly address: string;
  /** Drawn in the colour of words: it has none of its own. */
  readonly isSymbol: boolean;
}

/** How letters are drawn: as text, by fonts that are named, or as shapes. */
export type Letters =
  | { readonly kind: 'text'; readonly families: FamiliesFor }
  | { readonly kind: 'outlines'; readonly shapes: GlyphShapes };

/**
 * The fonts of words, as CSS names them (CSS Fonts 4, section 2.1): after one of the project's own,
 * those of a language; `language` undefined: that of the list.
 */
export type FamiliesFor = (own: string | undefined, language: string | undefined) => string;

/** Shapes of glyphs: the port to who reads fonts. */
export interface GlyphShapes {
  /** SVG path data (SVG 2, section 9.3) of a glyph whose place is (x, y); undefined: it has colours of its own. */
  path(glyph: LaidGlyph, at: GlyphPlace): string | undefined;
  /** The elements of one that has. `id`: another one each time. */
  painted(glyph: LaidGlyph, at: GlyphPlace, id: () => string): string;
}

export interface GlyphPlace {
  readonly x: number;
  readonly y: number;
  /** How large letters are, in CSS px. */
  readonly sizePx: number;
  readonly weight: number;
  /** How far letters lean to the right, as they rise by one. */
  readonly slant: number;
}

/** What the drawing of a row hangs on besides its boxes. */
export interface DrawnIn {
  readonly scheme: 'light' | 'dark';
  readonly direction: TextDirection;
  readonly pictures: (name: string) => HeldPicture | undefined;
  readonly letters: Letters;
  /** Another one each time: what is named within a picture is named once. */
  readonly id: () => string;
}

/** A part where it stands in its row, with what an item says of it. */
export interface Sketch extends DrawnIn {
  readonly part: PartPlan;
  readonly node: LayoutNode;
  /** It is the row itself: what is in it is seen within its border alone. */
  readonly isRow: boolean;
  /** Where it is drawn: its edges are on whole device px, as Chromium has them. */
  readonly box: Box;
  /** Where it stands. */
  readonly exact: Box;
  readonly tokens: Tokens;
  /** Device px in a CSS px. */
  readonly ratio: number;
  /** A property of this part, or of another one. */
  readonly said: (property: string, part?: string) => Said;
  /** The words of a label, laid out. */
  readonly words: { readonly label: RowLabel; readonly laid: LaidText } | undefined;
  /** Draws what is in it. */
  readonly inner: () => string;
}

export type Said = Constant | EntryValue;
export type DrawPart = (sketch: Sketch) => string;

/** A colour by the name or the value that a property says; undefined: nobody knows it. */
export function colourSaid(
  { said, tokens, scheme }: Sketch,
  property: string,
  part?: string,
): string | undefined {
  return fullHex(colourOf(tokens.colours, said(property, part))?.[scheme]);
}

export const rowColour = ({ scheme }: DrawnIn, name: RowColour): string =>
  colourOfRows(name)[scheme];

/** #RGB as #RRGGBB. */
export const fullHex = (colour: string | undefined): string | undefined =>
  colour?.length === 4 ? `#${[...colour.slice(1)].map((digit) => digit + digit).join('')}` : colour;

export const numberSaid = ({ said }: Sketch, property: string): number | undefined => {
  const value = said(property);
  return typeof value === 'number' ? value : undefined;
};

export const pictureSaid = ({ said, pictures }: Sketch, property: string) => {
  const name = said(property);
  return typeof name === 'string' ? pictures(name) : undefined;
};
