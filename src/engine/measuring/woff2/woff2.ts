import { Bytes, Written } from './bytes';
import { glyphTables } from './glyphs';

/** Unpacks a Brotli stream into as many bytes as it is told. */
export type Unpack = (bytes: Uint8Array, size: number) => Uint8Array;

export interface FontTable {
  readonly tag: string;
  readonly bytes: Uint8Array;
}

interface Entry {
  readonly tag: string;
  readonly transform: number;
  readonly length: number;
  /** As it stands in the file. */
  readonly heldLength: number;
}

/** Tags by their number (WOFF 2.0, section 4.1). */
const tags =
  'cmap head hhea hmtx maxp name OS/2 post cvt  fpgm glyf loca prep CFF  VORG EBDT EBLC gasp hdmx kern LTSH PCLT VDMX vhea vmtx BASE GDEF GPOS GSUB EBSC JSTF MATH CBDT CBLC COLR CPAL SVG  sbix acnt avar bdat bloc bsln cvar fdsc feat fmtx fvar gvar hsty just lcar mort morx opbd prop trak Zapf Silf Glat Gloc Feat Sill';
const anyTag = 63;

/** No font that is measured is larger, unwrapped. */
const mostBytes = 64_000_000;

/** The tables of a font that is wrapped for the web (WOFF 2.0); throws where it is no such font. */
export function tablesOfWoff2(
  file: Uint8Array,
  unpack: Unpack,
): { readonly flavour: number; readonly tables: readonly FontTable[] } {
  const head = new Bytes(file);
  head.long();
  const flavour = head.long();
  if (flavour === 0x74746366) throw new Error('Several fonts in one file are not taken.');
  head.long();
  const count = head.word();
  head.take(6);
  const packedLength = head.long();
  head.take(24);
  const entries = Array.from({ length: count }, () => entryOf(head));
  const total = entries.reduce((sum, { heldLength }) => sum + heldLength, 0);
  if (total > mostBytes) throw new Error('The font is too large.');
  const held = new Bytes(unpack(head.take(packedLength), total));
  const tables = entries.map((entry) => ({ ...entry, bytes: held.take(entry.heldLength) }));
  return { flavour, tables: restored(tables) };
}

function entryOf(head: Bytes): Entry {
  const flags = head.byte();
  const number = flags & anyTag;
  const tag =
    number === anyTag
      ? String.fromCharCode(...head.take(4))
      : tags.slice(5 * number, 5 * number + 4);
  const transform = flags >> 6;
  const length = head.base128();
  const isTransformed = isOfGlyphs(tag) ? transform !== 3 : transform !== 0;
  return { tag, transform, length, heldLength: isTransformed ? head.base128() : length };
}

const isOfGlyphs = (tag: string): boolean => tag === 'glyf' || tag === 'loca';

type Held = Entry & FontTable;

/** The tables as they were before they were made smaller. */
function restored(tables: readonly Held[]): readonly FontTable[] {
  const find = (tag: string) => tables.find((table) => table.tag === tag);
  const held = find('glyf');
  const glyphs = held && held.transform !== 3 ? glyphTables(held.bytes) : undefined;
  return tables.map(({ tag, transform, bytes }) => {
    if (glyphs !== undefined && tag === 'glyf') return { tag, bytes: glyphs.glyf };
    if (glyphs !== undefined && tag === 'loca') return { tag, bytes: glyphs.loca };
    if (glyphs !== undefined && tag === 'head') return { tag, bytes: withLongPlaces(bytes) };
    if (tag === 'hmtx' && transform === 1) {
      const [across, most] = [find('hhea')?.bytes, find('maxp')?.bytes];
      if (glyphs === undefined || across === undefined || most === undefined)
        throw new Error('The widths of the font can’t be read.');
      return { tag, bytes: advances(bytes, wordAt(across, 34), wordAt(most, 4), glyphs.xMins) };
    }
    return { tag, bytes };
  });
}

const wordAt = (bytes: Uint8Array, at: number): number =>
  new DataView(bytes.buffer, bytes.byteOffset, bytes.length).getUint16(at);

/** A `head` that says that `loca` is in its long form. */
function withLongPlaces(head: Uint8Array): Uint8Array {
  const own = head.slice();
  new DataView(own.buffer).setInt16(50, 1);
  return own;
}

/** Makes `hmtx` again, of which side bearings that are the least x were left out (section 5.4). */
function advances(
  transformed: Uint8Array,
  advanceCount: number,
  glyphCount: number,
  xMins: Int16Array,
): Uint8Array {
  const from = new Bytes(transformed);
  const flags = from.byte();
  const widths = Array.from({ length: advanceCount }, () => from.word());
  const bearing = (bit: number, glyph: number) =>
    (flags & bit) === 0 ? from.signed() : (xMins[glyph] ?? 0);
  const bearings = Array.from({ length: glyphCount }, (_, glyph) =>
    bearing(glyph < advanceCount ? 1 : 2, glyph),
  );
  const written = new Written();
  bearings.forEach((each, glyph) => {
    if (glyph < advanceCount) written.word(widths[glyph] ?? 0);
    written.word(each);
  });
  return written.all;
}
