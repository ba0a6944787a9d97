// Cuts the colour emoji into slices of our own. Those of the package hold only drawings that
// Chromium does not draw; the whole file has others (COLR 1) that it does.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import wawoff2 from 'wawoff2';
import { root } from '../setup.mjs';

const require = createRequire(import.meta.url);
const whole = () =>
  readFileSync(
    require.resolve('@fontsource/noto-color-emoji/files/noto-color-emoji-emoji-400-normal.woff2'),
  );
const folder = join(root, '.cache/emoji');
const index = join(folder, 'index.json');

/** Emoji in a slice of those that stand by themselves. */
const single = 96;

const joiner = 0x200d;
const asEmoji = 0xfe0f;
const keycap = 0x20e3;
const blackFlag = 0x1f3f4;
const tags = Array.from({ length: 0x60 }, (_, at) => 0xe0020 + at);

const is = (pattern) => (char) => pattern.test(String.fromCodePoint(char));
const isFlag = is(/\p{Regional_Indicator}/u);
const isKeyed = is(/[0-9#*]/);
const hasTones = is(/[\p{Emoji_Modifier_Base}\p{Emoji_Modifier}]/u);

/** All emoji by themselves (Unicode Technical Standard 51). */
const emoji = () => Array.from({ length: 0x1fb00 }, (_, char) => char).filter(is(/\p{Emoji}/u));

/**
 * Emoji that stand in sequences with a joiner: people, and what is joined to them, to animals or to
 * flags (emoji-zwj-sequences.txt, Unicode 16).
 */
const joined = new Set(
  [
    ...'❤💋♀♂⚕⚖✈🌾🍳🍼🎓🎤🎨🏫🏭💻💼🔧🔬🚀🚒🦯🦼🦽🦰🦱🦲🦳🐕🦺🐈⬛🐻❄🐦🔥🟫🍋🍄🎄🌈🏳🏴☠⚧👁🗨😮💨😵💫😶🌫➡🧒🩰🩹🙂↔↕⛓💥',
  ].map((char) => char.codePointAt(0)),
);

/** Slices: their characters, and those for which a page fetches them. U+FE0F alone would fetch all. */
function plan() {
  const all = emoji();
  const flags = all.filter(isFlag);
  const keyed = all.filter(isKeyed);
  const people = all.filter((char) => joined.has(char) || hasTones(char));
  const taken = new Set([...flags, ...keyed, ...people]);
  const rest = all.filter((char) => !taken.has(char));
  const singles = Array.from({ length: Math.ceil(rest.length / single) }, (_, at) =>
    rest.slice(at * single, (at + 1) * single),
  );
  return [
    { name: 'flags', chars: flags, fetchedFor: flags },
    {
      name: 'joined',
      chars: [...people, joiner, asEmoji, blackFlag, ...tags],
      fetchedFor: [...people, joiner, ...tags],
    },
    { name: 'keycaps', chars: [...keyed, asEmoji, keycap], fetchedFor: [...keyed, keycap] },
    ...singles.map((chars, at) => ({
      name: `single-${at}`,
      chars: [...chars, asEmoji],
      fetchedFor: chars,
    })),
  ];
}

/** The slices of emoji, as `families` has those of packages. */
export function emojiSlices() {
  const { slices } = JSON.parse(readFileSync(index, 'utf8'));
  return slices.map((slice) => ({ ...slice, file: join(folder, slice.file) }));
}

/** What they are cut from, and by what: it takes some seconds, so it is done once. */
const source = () =>
  createHash('sha256')
    .update(whole())
    .update(readFileSync(fileURLToPath(import.meta.url)))
    .digest('hex');

const isCut = () =>
  existsSync(index) && JSON.parse(readFileSync(index, 'utf8')).source === source();

export async function cutEmoji() {
  if (isCut()) return;
  mkdirSync(folder, { recursive: true });
  const subset = await subsetter(new Uint8Array(await wawoff2.decompress(whole())));
  const slices = [];
  for (const { name, chars, fetchedFor } of plan()) {
    const file = `${name}.woff2`;
    writeFileSync(join(folder, file), await wawoff2.compress(subset(chars)));
    const ranges = rangesOf(fetchedFor);
    slices.push({ file, ranges, unicodeRange: ranges.map(inCss).join(',') });
  }
  writeFileSync(index, JSON.stringify({ source: source(), slices }));
}

/** Characters as pairs of first and last, ascending. */
function rangesOf(chars) {
  const ranges = [];
  for (const char of [...new Set(chars)].sort((one, other) => one - other)) {
    const last = ranges.at(-1);
    if (last !== undefined && last[1] === char - 1) last[1] = char;
    else ranges.push([char, char]);
  }
  return ranges;
}

const hex = (char) => char.toString(16);
const inCss = ([from, to]) => (from === to ? `U+${hex(from)}` : `U+${hex(from)}-${hex(to)}`);

const readOnly = 2;
const setOfDroppedTables = 3;
/** The table `SVG `: most of the file, and never drawn. */
const svg = 0x53564720;

/** Cuts a font to some characters, with all that is made of them. Source: HarfBuzz, hb-subset.h. */
async function subsetter(font) {
  const bytes = readFileSync(require.resolve('harfbuzz-subset/hb-subset.wasm'));
  const module = await WebAssembly.compile(bytes);
  // It asks for nothing that is ever called.
  const nothing = new Proxy({}, { get: () => () => 0 });
  const needed = WebAssembly.Module.imports(module).map((each) => [each.module, nothing]);
  const { exports: hb } = await WebAssembly.instantiate(module, Object.fromEntries(needed));
  hb._initialize?.();
  const heap = () => new Uint8Array(hb.memory.buffer);
  const at = hb.malloc(font.length);
  heap().set(font, at);
  const face = hb.hb_face_create(hb.hb_blob_create(at, font.length, readOnly, 0, 0), 0);
  return (chars) => {
    const input = hb.hb_subset_input_create_or_fail();
    const wanted = hb.hb_subset_input_unicode_set(input);
    for (const char of chars) hb.hb_set_add(wanted, char);
    hb.hb_set_add(hb.hb_subset_input_set(input, setOfDroppedTables), svg);
    const cut = hb.hb_subset_or_fail(face, input);
    hb.hb_subset_input_destroy(input);
    if (cut === 0) throw new Error('The emoji could not be cut.');
    const blob = hb.hb_face_reference_blob(cut);
    const from = hb.hb_blob_get_data(blob, 0);
    const made = heap().slice(from, from + hb.hb_blob_get_length(blob));
    hb.hb_blob_destroy(blob);
    hb.hb_face_destroy(cut);
    return made;
  };
}
