import { Bytes, Written } from './bytes';

/** The tables `glyf` and `loca` as every reader of fonts knows them. */
interface GlyphTables {
  readonly glyf: Uint8Array;
  /** In its long form. */
  readonly loca: Uint8Array;
  /** The least x of each glyph. */
  readonly xMins: Int16Array;
}

interface Point {
  readonly dx: number;
  readonly dy: number;
  readonly isOnCurve: boolean;
}

/** No font has a glyph with more points. */
const mostPoints = 65_535;

/** Makes `glyf` and `loca` again of what they were turned into (WOFF 2.0, section 5.1). */
export function glyphTables(transformed: Uint8Array): GlyphTables {
  const head = new Bytes(transformed);
  head.word();
  head.word();
  const count = head.word();
  head.word();
  const sizes = Array.from({ length: 7 }, () => head.long());
  const streams = sizes.map((size) => new Bytes(head.take(size)));
  const [contours, points, flags, glyphs, composites, boxes, instructions] = streams;
  if (!contours || !points || !flags || !glyphs || !composites || !boxes || !instructions)
    throw new Error('The glyphs of the font are not all there.');
  const hasBox = boxes.take(4 * ((count + 31) >> 5));
  const written = new Written();
  const places = new Written();
  const xMins = new Int16Array(count);
  const place = () => {
    places.word(written.length >>> 16);
    places.word(written.length & 0xffff);
  };
  /** Length and bytes of what turns a glyph's points. */
  const instruct = () => {
    const length = glyphs.short();
    written.word(length);
    written.put(instructions.take(length));
  };
  for (let glyph = 0; glyph < count; glyph += 1) {
    place();
    const contourCount = contours.signed();
    if (contourCount === 0) continue;
    const isBoxed = ((hasBox[glyph >> 3] ?? 0) & (0x80 >> (glyph & 7))) !== 0;
    const box = isBoxed ? boxes.take(8) : undefined;
    if (box !== undefined) xMins[glyph] = new DataView(box.buffer, box.byteOffset).getInt16(0);
    if (contourCount < 0) {
      if (box === undefined) throw new Error('A glyph of the font has no bounds.');
      written.word(0xffff);
      written.put(box);
      if (copyComponents(composites, written)) instruct();
    } else {
      const ends: number[] = [];
      for (let contour = 0, end = -1; contour < contourCount; contour += 1) {
        end += points.short();
        ends.push(end);
      }
      const pointCount = (ends.at(-1) ?? -1) + 1;
      if (pointCount > mostPoints) throw new Error('A glyph of the font has too many points.');
      const own = Array.from({ length: pointCount }, () => pointOf(flags.byte(), glyphs));
      written.word(contourCount);
      const bounds = boundsOf(own);
      xMins[glyph] = box === undefined ? bounds[0] : (xMins[glyph] ?? 0);
      if (box === undefined) for (const side of bounds) written.word(side);
      else written.put(box);
      for (const end of ends) written.word(end);
      instruct();
      for (const { isOnCurve } of own) written.byte(isOnCurve ? 1 : 0);
      for (const { dx } of own) written.word(dx);
      for (const { dy } of own) written.word(dy);
    }
    written.pad();
  }
  place();
  return { glyf: written.all, loca: places.all, xMins };
}

const oneByte = 84;
const twoBytes = 120;
const threeBytes = 124;

/** How far a point is from the one before (section 5.2, the table of triplets). */
function pointOf(code: number, data: Bytes): Point {
  const flag = code & 0x7f;
  const isOnCurve = (code & 0x80) === 0;
  const signed = (bits: number, value: number) => ((bits & 1) === 1 ? value : -value);
  const first = data.byte();
  if (flag < 10) return { dx: 0, dy: signed(flag, ((flag & 14) << 7) + first), isOnCurve };
  if (flag < 20) return { dx: signed(flag, (((flag - 10) & 14) << 7) + first), dy: 0, isOnCurve };
  const across = (value: number) => signed(flag, value);
  const down = (value: number) => signed(flag >> 1, value);
  if (flag < oneByte) {
    const rest = flag - 20;
    const dx = across(1 + (rest & 0x30) + (first >> 4));
    return { dx, dy: down(1 + ((rest & 0x0c) << 2) + (first & 0x0f)), isOnCurve };
  }
  const second = data.byte();
  if (flag < twoBytes) {
    const rest = flag - oneByte;
    const dx = across(1 + (Math.floor(rest / 12) << 8) + first);
    return { dx, dy: down(1 + (((rest % 12) >> 2) << 8) + second), isOnCurve };
  }
  const third = data.byte();
  if (flag < threeBytes) {
    const dx = across((first << 4) + (second >> 4));
    return { dx, dy: down(((second & 0x0f) << 8) + third), isOnCurve };
  }
  const dx = across((first << 8) + second);
  return { dx, dy: down((third << 8) + data.byte()), isOnCurve };
}

/** Least x and y, greatest x and y. */
function boundsOf(points: readonly Point[]): readonly [number, number, number, number] {
  let [x, y] = [0, 0];
  const bounds: [number, number, number, number] = [0, 0, 0, 0];
  points.forEach(({ dx, dy }, at) => {
    x += dx;
    y += dy;
    if (at === 0) bounds.splice(0, 4, x, y, x, y);
    bounds[0] = Math.min(bounds[0], x);
    bounds[1] = Math.min(bounds[1], y);
    bounds[2] = Math.max(bounds[2], x);
    bounds[3] = Math.max(bounds[3], y);
  });
  return bounds;
}

/** Flags of a component (OpenType, `glyf`). */
const hasWords = 0x0001;
const hasScale = 0x0008;
const goesOn = 0x0020;
const hasTwoScales = 0x0040;
const hasMatrix = 0x0080;
const hasInstructions = 0x0100;

/** Copies what a glyph is put together of; whether instructions follow. */
function copyComponents(from: Bytes, to: Written): boolean {
  let isInstructed = false;
  for (let flags = goesOn; (flags & goesOn) !== 0; ) {
    flags = from.word();
    to.word(flags);
    const scale = flags & hasMatrix ? 8 : flags & hasTwoScales ? 4 : flags & hasScale ? 2 : 0;
    to.put(from.take(2 + (flags & hasWords ? 4 : 2) + scale));
    isInstructed ||= (flags & hasInstructions) !== 0;
  }
  return isInstructed;
}
