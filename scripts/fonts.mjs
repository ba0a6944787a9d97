// Makes what rows are measured with from the files that they are drawn with: one pack a family, and
// the style sheet of the faces, in one step, so that the two always agree.
import { copyFileSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import * as harfbuzz from 'harfbuzzjs';
import wawoff2 from 'wawoff2';
import { boxFace, boxRanges } from './fonts/box-face.mjs';
import { families } from './fonts/families.mjs';
import { measuredPart } from './fonts/sfnt.mjs';
import { root } from './setup.mjs';

const out = join(root, 'public/measures');

/** Pairs of character and glyph, ascending. */
function glyphsOf(bytes) {
  const face = new harfbuzz.Face(new harfbuzz.Blob(bytes));
  const font = new harfbuzz.Font(face);
  return [...face.collectUnicodes()]
    .sort((one, other) => one - other)
    .map((char) => [char, font.nominalGlyph(char)])
    .filter(([, glyph]) => glyph);
}

/**
 * A pack: the length of the head as 32 bits, the head as JSON, then the files one after another.
 * Its slices stand in the order in which Chromium tries them: the last rule of a family first.
 */
async function packOf({ family, slices }) {
  const files = [];
  for (const { file, ranges } of [...slices].reverse()) {
    const bytes = new Uint8Array(await wawoff2.decompress(readFileSync(file)));
    files.push({ ranges, bytes: measuredPart(bytes, glyphsOf(bytes), ranges) });
  }
  return packed(family, files);
}

function packed(family, files) {
  const head = new TextEncoder().encode(
    JSON.stringify({
      family,
      slices: files.map(({ ranges, bytes }) => ({ ranges: ranges.flat(), length: bytes.length })),
    }),
  );
  const length = new Uint8Array(4);
  new DataView(length.buffer).setUint32(0, head.length, true);
  return gzipSync(Buffer.concat([length, head, ...files.map(({ bytes }) => bytes)]), { level: 9 });
}

const slug = (family) => family.toLowerCase().replaceAll(' ', '-');

/** A family is worth its pack if a text has characters in or near its ranges: so near are as one. */
const nearBy = 64;

function merged(ranges) {
  const joined = [];
  for (const [from, to] of [...ranges].sort(([one], [other]) => one - other)) {
    const last = joined.at(-1);
    if (last !== undefined && from <= last[1] + nearBy) last[1] = Math.max(last[1], to);
    else joined.push([from, to]);
  }
  return joined;
}

export async function makeMeasures() {
  rmSync(out, { recursive: true, force: true });
  mkdirSync(out, { recursive: true });
  const index = [];
  for (const each of families()) {
    const pack = await packOf(each);
    const file = `${slug(each.family)}.pack`;
    writeFileSync(join(out, file), pack);
    index.push({
      family: each.family,
      file,
      ranges: merged(each.slices.flatMap(({ ranges }) => ranges)).flat(),
    });
  }
  const box = boxFace();
  writeFileSync(join(out, 'box.ttf'), box);
  writeFileSync(join(out, 'box.pack'), packed('Row Box', [{ ranges: boxRanges, bytes: box }]));
  writeFileSync(join(out, 'index.json'), JSON.stringify(index));
  copyFileSync(
    join(root, 'node_modules/harfbuzzjs/dist/harfbuzz.wasm'),
    join(out, 'harfbuzz.wasm'),
  );
}
