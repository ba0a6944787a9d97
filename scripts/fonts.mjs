// Makes what rows are measured with from the files that they are drawn with: one pack a family, and
// the style sheet of the faces, in one step, so that the two always agree.
import { createHash } from 'node:crypto';
import {
  appendFileSync,
  copyFileSync,
  mkdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import * as harfbuzz from 'harfbuzzjs';
import wawoff2 from 'wawoff2';
import { boxFace, boxRanges } from './fonts/box-face.mjs';
import { cutEmoji } from './fonts/emoji.mjs';
import { families } from './fonts/families.mjs';
import { measuredPart } from './fonts/sfnt.mjs';
import { root } from './setup.mjs';

const out = join(root, 'public/measures');
const faces = join(root, 'public/faces');
/** Families of so many slices that their rules come once they are wanted. */
const large = 50;
/** Larger files, and those of such families, are kept in the browser only once they were wanted. */
const maxKeptBytes = 300_000;

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
    const content = readFileSync(file);
    const bytes = new Uint8Array(await wawoff2.decompress(content));
    const measured = measuredPart(bytes, glyphsOf(bytes), ranges);
    files.push({ ranges, file: faceFile(content, slices), bytes: measured });
  }
  return packed(family, files);
}

function packed(family, files) {
  const head = new TextEncoder().encode(
    JSON.stringify({
      family,
      slices: files.map(({ ranges, file, bytes }) => ({
        ranges: ranges.flat(),
        file,
        length: bytes.length,
      })),
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

/** The faces of families, with rules in the order of their packages: the last one is tried first. */
function writeFaces(name, all) {
  const rules = all.flatMap(({ family, slices }) =>
    slices.map(({ file, unicodeRange }) => {
      const content = readFileSync(file);
      const name = faceFile(content, slices);
      writeFileSync(join(faces, name), content);
      return faceRule(family, name, unicodeRange);
    }),
  );
  writeFileSync(join(faces, name), rules.join('\n'));
}

/** Where a slice of a family is served from. */
function faceFile(content, slices) {
  const isHeavy = slices.length > large || content.length > maxKeptBytes;
  const hash = createHash('sha256').update(content).digest('hex').slice(0, 12);
  return `${isHeavy ? 'more/' : ''}${hash}.woff2`;
}

const faceRule = (family, file, unicodeRange) =>
  `@font-face{font-family:"${family}";font-weight:100 900;src:url(/faces/${file});${
    unicodeRange === undefined ? '' : `unicode-range:${unicodeRange}`
  }}`;

export async function makeFaces() {
  await cutEmoji();
  for (const folder of [out, faces, join(faces, 'more')]) {
    rmSync(folder, { recursive: true, force: true });
    mkdirSync(folder, { recursive: true });
  }
  const [few, many] = [families(), families()].map((all, at) =>
    all.filter(({ slices }) => slices.length > large === (at === 1)),
  );
  writeFaces('rows.css', few);
  writeFaces('more.css', many);
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
  writeFileSync(join(faces, 'box.ttf'), box);
  appendFileSync(join(faces, 'more.css'), `\n${faceRule('Row Box', 'box.ttf', undefined)}`);
  writeFileSync(
    join(out, 'box.pack'),
    packed('Row Box', [{ ranges: boxRanges, file: 'box.ttf', bytes: box }]),
  );
  writeFileSync(join(out, 'index.json'), JSON.stringify(index));
  copyFileSync(
    join(root, 'node_modules/harfbuzzjs/dist/harfbuzz.wasm'),
    join(out, 'harfbuzz.wasm'),
  );
}
