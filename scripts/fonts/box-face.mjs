// A face that draws every character as one box: put last, so that nothing falls to a font of the
// machine, of which nobody could say how wide it is. ISO/IEC 14496-22, character map of format 13.
import { sfntOf } from './sfnt.mjs';

const ofEach = (size, write) => (values) => {
  const bytes = new Uint8Array(size * values.length);
  const view = new DataView(bytes.buffer);
  for (const [at, value] of values.entries()) write(view, size * at, value);
  return bytes;
};
const words = ofEach(2, (view, at, value) => view.setUint16(at, value & 0xffff));
const longs = ofEach(4, (view, at, value) => view.setUint32(at, value >>> 0));
const text = (value) => Uint8Array.from(value, (char) => char.charCodeAt(0));
const joined = (...parts) => new Uint8Array(Buffer.concat(parts));

const ascent = 1069;
const descent = -293;
const advance = 600;
const one = 0x10000;

/** What it draws: all but the surrogates. */
export const boxRanges = [
  [0x20, 0xd7ff],
  [0xe000, 0x10ffff],
];

/** A frame from 50 to 550 and up to 700, as one contour of four points. */
const box = joined(
  words([1, 50, 0, 550, 700, 3, 0]),
  new Uint8Array([1, 1, 1, 1]),
  words([50, 500, 0, -500]),
  words([0, 0, 700, 0]),
);

const padded = (bytes) => joined(bytes, new Uint8Array((4 - (bytes.length % 4)) % 4));

function characterMap() {
  const groups = boxRanges.flatMap(([from, to]) => [from, to, 1]);
  const table = joined(
    words([13, 0]),
    longs([16 + 4 * groups.length, 0, boxRanges.length, ...groups]),
  );
  return joined(words([0, 1, 3, 10]), longs([12]), table);
}

function names() {
  const values = ['Row Box', 'Regular', 'Row Box', 'Row Box', '1', 'RowBox'].map((value) =>
    joined(...[...value].map((char) => words([char.charCodeAt(0)]))),
  );
  let at = 0;
  const records = values.flatMap((value, i) => {
    const record = [3, 1, 0x409, i + 1, value.length, at];
    at += value.length;
    return record;
  });
  return joined(words([0, values.length, 6 + 12 * values.length, ...records]), ...values);
}

export function boxFace() {
  const glyph = padded(box);
  const weights = [4, advance, 400, 5, 0, 650, 600, 0, 75, 650, 600, 0, 350, 50, 300, 0];
  return sfntOf(
    new Map([
      [
        'OS/2',
        joined(
          words(weights),
          new Uint8Array(10),
          longs([0, 0, 0, 0]),
          text('none'),
          words([0x40, 0x20, 0xffff, ascent, descent, 0, ascent, -descent]),
          longs([1, 0]),
          words([500, 700, 0, 32, 1]),
        ),
      ],
      ['cmap', characterMap()],
      ['glyf', joined(glyph, glyph)],
      [
        'head',
        joined(
          longs([one, one, 0, 0x5f0f3cf5]),
          words([3, 1000]),
          longs([0, 0, 0, 0]),
          words([50, 0, 550, 700, 0, 8, 2, 1, 0]),
        ),
      ],
      [
        'hhea',
        joined(
          longs([one]),
          words([ascent, descent, 0, advance, 0, 0, 550, 1, 0, 0, 0, 0, 0, 0, 0, 2]),
        ),
      ],
      ['hmtx', words([advance, 50, advance, 50])],
      ['loca', longs([0, glyph.length, 2 * glyph.length])],
      ['maxp', joined(longs([one]), words([2, 4, 1, 0, 0, 2, 0, 0, 0, 0, 0, 0, 0, 0]))],
      ['name', names()],
      ['post', joined(longs([0x30000, 0]), words([-100, 50]), longs([0, 0, 0, 0, 0]))],
    ]),
  );
}
