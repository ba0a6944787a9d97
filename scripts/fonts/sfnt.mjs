// Cuts a font file (ISO/IEC 14496-22, sfnt) down to what measuring needs.

/** Tables that shaping and advances are read from; outlines, names and the rest go. */
const measured = new Set(
  'cmap head hhea hmtx maxp OS/2 GSUB GPOS GDEF HVAR fvar avar MVAR'.split(' '),
);

const tagAt = (bytes, at) => String.fromCharCode(...bytes.subarray(at, at + 4));

/** @returns {Map<string, Uint8Array>} */
export function tablesOf(bytes) {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const tables = new Map();
  for (let i = 0; i < view.getUint16(4); i += 1) {
    const at = 12 + 16 * i;
    const start = view.getUint32(at + 8);
    tables.set(tagAt(bytes, at), bytes.subarray(start, start + view.getUint32(at + 12)));
  }
  return tables;
}

/** A file of these tables. */
export function sfntOf(tables) {
  const padded = (length) => (length + 3) & ~3;
  let at = 12 + 16 * tables.size;
  const size = [...tables.values()].reduce((sum, table) => sum + padded(table.length), at);
  const bytes = new Uint8Array(size);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, 0x10000);
  view.setUint16(4, tables.size);
  [...tables].forEach(([tag, table], i) => {
    const entry = 12 + 16 * i;
    for (let char = 0; char < 4; char += 1) bytes[entry + char] = tag.charCodeAt(char);
    view.setUint32(entry + 8, at);
    view.setUint32(entry + 12, table.length);
    bytes.set(table, at);
    at += padded(table.length);
  });
  return bytes;
}

const isIn = (ranges, char) => ranges.some(([from, to]) => char >= from && char <= to);

/**
 * A `cmap` with only the characters of the ranges (format 12), and the variation sequences of the
 * old one (format 14). `glyphs`: pairs of character and glyph of the whole font.
 */
function cutCmap(cmap, glyphs, ranges) {
  const groups = [];
  for (const [char, glyph] of glyphs) {
    if (!isIn(ranges, char)) continue;
    const last = groups.at(-1);
    if (last !== undefined && last.to + 1 === char && last.glyph + char - last.from === glyph)
      last.to = char;
    else groups.push({ from: char, to: char, glyph });
  }
  const sequences = variationSequences(cmap);
  const head = 4 + 8 * (sequences === undefined ? 1 : 2);
  const length = 16 + 12 * groups.length;
  const bytes = new Uint8Array(head + length + (sequences?.length ?? 0));
  const view = new DataView(bytes.buffer);
  view.setUint16(2, sequences === undefined ? 1 : 2);
  let at = 4;
  const record = (platform, encoding, offset) => {
    view.setUint16(at, platform);
    view.setUint16(at + 2, encoding);
    view.setUint32(at + 4, offset);
    at += 8;
  };
  if (sequences !== undefined) record(0, 5, head + length);
  record(3, 10, head);
  view.setUint16(head, 12);
  view.setUint32(head + 4, length);
  view.setUint32(head + 12, groups.length);
  groups.forEach(({ from, to, glyph }, i) => {
    for (const [field, value] of [from, to, glyph].entries())
      view.setUint32(head + 16 + 12 * i + 4 * field, value);
  });
  if (sequences !== undefined) bytes.set(sequences, head + length);
  return bytes;
}

/** The subtable of format 14, if there is one. */
function variationSequences(cmap) {
  const view = new DataView(cmap.buffer, cmap.byteOffset, cmap.length);
  for (let i = 0; i < view.getUint16(2); i += 1) {
    const offset = view.getUint32(8 + 8 * i);
    if (view.getUint16(offset) === 14)
      return cmap.slice(offset, offset + view.getUint32(offset + 2));
  }
  return undefined;
}

/** What measures like the font in text of the ranges. `glyphs` as for `cutCmap`, ascending. */
export function measuredPart(bytes, glyphs, ranges) {
  const tables = new Map([...tablesOf(bytes)].filter(([tag]) => measured.has(tag)));
  tables.set('cmap', cutCmap(tables.get('cmap'), glyphs, ranges));
  return sfntOf(tables);
}
