import { ownValue } from '../../core/base';
import type { Face, Glyphs, Shaping, Stretch } from '../../core/text';

/** The functions of HarfBuzz that shaping takes; what they take and give are numbers and addresses. */
const names = [
  'malloc',
  'free',
  'hb_blob_create',
  'hb_blob_destroy',
  'hb_face_create',
  'hb_face_get_upem',
  'hb_face_reference_table',
  'hb_blob_get_length',
  'hb_font_create',
  'hb_font_set_scale',
  'hb_font_set_variations',
  'hb_font_get_h_extents',
  'hb_font_get_glyph_h_advance',
  'hb_font_get_nominal_glyph',
  'hb_font_get_variation_glyph',
  'hb_language_from_string',
  'hb_buffer_create',
  'hb_buffer_reset',
  'hb_buffer_add_utf16',
  'hb_buffer_set_direction',
  'hb_buffer_set_script',
  'hb_buffer_set_language',
  'hb_buffer_get_length',
  'hb_buffer_get_glyph_infos',
  'hb_buffer_get_glyph_positions',
  'hb_shape',
  'hb_set_create',
  'hb_set_destroy',
  'hb_set_next_many',
  'hb_face_collect_unicodes',
] as const;

type Functions = Readonly<Record<(typeof names)[number], (...values: number[]) => number>>;

/** Features that are turned on for digits. */
const onForDigits: Readonly<Record<Shaping['numerals'], readonly string[]>> = {
  usual: [],
  proportional: ['pnum'],
  tabular: ['tnum'],
};
const leftToRight = 4;
const rightToLeft = 5;
const writable = 2;
/** The parts of a font unit that are told apart in kerning: whole units are wrong in 8 of 100 widths. */
const fine = 1_024;
const maxUnits = 1 << 16;
/** Units of context on either side: five characters count. */
const around = 16;
const unsafeToBreak = 1;

/** HarfBuzz, of whose memory results are read without an object for each glyph. */
export class HarfBuzz {
  private readonly languages = new Map<string, number>();
  private readonly buffer: number;
  private readonly text: number;
  private readonly features = new Map<string, { readonly at: number; readonly count: number }>();
  readonly glyphs: Glyphs = {
    count: 0,
    glyph: new Int32Array(maxUnits),
    cluster: new Int32Array(maxUnits),
    isUnsafe: new Uint8Array(maxUnits),
    advance: new Float64Array(maxUnits),
    right: new Float64Array(maxUnits),
    up: new Float64Array(maxUnits),
  };

  private constructor(
    readonly call: Functions,
    private readonly memory: WebAssembly.Memory,
  ) {
    this.buffer = call.hb_buffer_create();
    this.text = call.malloc(2 * maxUnits);
  }

  /** `module`: `harfbuzz.wasm`, compiled. */
  static async load(module: WebAssembly.Module): Promise<HarfBuzz> {
    let own: WebAssembly.Memory | undefined;
    const instance = await WebAssembly.instantiate(module, {
      env: {
        _abort_js: () => {
          throw new Error('HarfBuzz stopped.');
        },
        _emscripten_runtime_keepalive_clear: () => {},
        _setitimer_js: () => 0,
        emscripten_resize_heap: (bytes: number) => grow(own, bytes),
      },
      wasi_snapshot_preview1: { proc_exit: () => {} },
    });
    const { memory, __wasm_call_ctors: construct } = instance.exports;
    if (!(memory instanceof WebAssembly.Memory) || !isFunction(construct))
      throw new Error('This is not HarfBuzz.');
    own = memory;
    construct();
    return new HarfBuzz(functionsOf(instance.exports), memory);
  }

  /** A font file, taken into HarfBuzz's memory. */
  face(bytes: Uint8Array): LoadedFace {
    const { call } = this;
    const at = call.malloc(bytes.length);
    new Uint8Array(this.memory.buffer, at, bytes.length).set(bytes);
    const blob = call.hb_blob_create(at, bytes.length, writable, 0, 0);
    return new LoadedFace(this, call.hb_face_create(blob, 0));
  }

  /** The characters that a face has: first and last of each stretch, one after the other. */
  charactersOf(face: number): readonly number[] {
    const { call } = this;
    const set = call.hb_set_create();
    call.hb_face_collect_unicodes(face, set);
    const many = maxUnits / 2;
    const ranges: number[] = [];
    for (let last = 0xffffffff; ; ) {
      const count = call.hb_set_next_many(set, last, this.text, many);
      for (const char of this.words(this.text, count)) {
        if (ranges.at(-1) === char - 1) ranges[ranges.length - 1] = char;
        else ranges.push(char, char);
        last = char;
      }
      if (count < many) break;
    }
    call.hb_set_destroy(set);
    return ranges;
  }

  /** A font of a face; the weight goes into its `wght` axis if it has one. */
  font(face: number, scale: number, weight: number): number {
    const { call } = this;
    const font = call.hb_font_create(face);
    call.hb_font_set_scale(font, scale, scale);
    const variation = call.malloc(8);
    this.words(variation, 1)[0] = tagOf('wght');
    new Float32Array(this.memory.buffer, variation + 4, 1)[0] = weight;
    call.hb_font_set_variations(font, variation, 1);
    call.free(variation);
    return font;
  }

  shape(font: number, text: string, stretch: Stretch, how: Shaping): Glyphs {
    const { call, buffer } = this;
    // HarfBuzz looks at few characters around what it shapes: long texts are not copied each time.
    const from = Math.max(0, stretch.start - around);
    const end = Math.min(stretch.end, from + maxUnits);
    const length = Math.min(text.length, end + around, from + maxUnits) - from;
    const units = new Uint16Array(this.memory.buffer, this.text, length);
    for (let at = 0; at < length; at += 1) units[at] = text.charCodeAt(from + at);
    call.hb_buffer_reset(buffer);
    call.hb_buffer_add_utf16(buffer, this.text, length, stretch.start - from, end - stretch.start);
    call.hb_buffer_set_direction(buffer, how.isRtl ? rightToLeft : leftToRight);
    call.hb_buffer_set_script(buffer, tagOf(how.script));
    call.hb_buffer_set_language(buffer, this.language(how.language));
    const { at, count } = this.featuresFor(how);
    call.hb_shape(font, buffer, at, count);
    return this.read(from);
  }

  /** Chromium shapes Hangul without contextual alternates, and letters that stand apart without ligatures. */
  private featuresFor({ script, isSpaced, numerals }: Shaping) {
    const isHangul = script === 'Hang';
    const key = `${isHangul} ${isSpaced} ${numerals}`;
    const known = this.features.get(key);
    if (known !== undefined) return known;
    const off = [...(isHangul ? ['calt'] : []), ...(isSpaced ? ['liga', 'clig'] : [])];
    const all = [
      ...off.flatMap((feature) => [tagOf(feature), 0, 0, 0xffffffff]),
      ...onForDigits[numerals].flatMap((feature) => [tagOf(feature), 1, 0, 0xffffffff]),
    ];
    const made = { at: this.call.malloc(4 * all.length), count: all.length / 4 };
    this.words(made.at, all.length).set(all);
    this.features.set(key, made);
    return made;
  }

  /** How far lines of a font reach above and below the baseline, in its units. */
  extentsOf(font: number): { readonly ascent: number; readonly descent: number } {
    this.call.hb_font_get_h_extents(font, this.text);
    const [ascent = 0, descent = 0] = new Int32Array(this.memory.buffer, this.text, 2);
    return { ascent, descent: -descent };
  }

  /** Room for a number, and what was written there. */
  out(write: (address: number) => number): number | undefined {
    const isWritten = write(this.text);
    return isWritten === 0 ? undefined : this.words(this.text, 1)[0];
  }

  private read(from: number): Glyphs {
    const { call, buffer, glyphs } = this;
    const count = Math.min(call.hb_buffer_get_length(buffer), maxUnits);
    const infos = call.hb_buffer_get_glyph_infos(buffer, 0);
    const positions = call.hb_buffer_get_glyph_positions(buffer, 0);
    // Five numbers of 32 bits each: glyph, flags, cluster, two of its own; advances, then offsets.
    const info = this.words(infos, 5 * count);
    const position = new Int32Array(this.memory.buffer, positions, 5 * count);
    glyphs.count = count;
    for (let i = 0; i < count; i += 1) {
      glyphs.glyph[i] = info[5 * i] ?? 0;
      glyphs.isUnsafe[i] = (info[5 * i + 1] ?? 0) & unsafeToBreak;
      glyphs.cluster[i] = (info[5 * i + 2] ?? 0) + from;
      glyphs.advance[i] = position[5 * i] ?? 0;
      glyphs.right[i] = position[5 * i + 2] ?? 0;
      glyphs.up[i] = position[5 * i + 3] ?? 0;
    }
    return glyphs;
  }

  private language(tag: string): number {
    const known = this.languages.get(tag);
    if (known !== undefined) return known;
    const bytes = Uint8Array.from(tag, (char) => char.charCodeAt(0));
    const at = this.call.malloc(bytes.length + 1);
    const text = new Uint8Array(this.memory.buffer, at, bytes.length + 1);
    text.set(bytes);
    text[bytes.length] = 0;
    const language = this.call.hb_language_from_string(at, -1);
    this.call.free(at);
    this.languages.set(tag, language);
    return language;
  }

  // Made anew each time: a view goes stale when the memory grows.
  private words(address: number, count: number): Uint32Array {
    return new Uint32Array(this.memory.buffer, address, count);
  }
}

/** A font file at any weight. */
export class LoadedFace {
  private readonly weights = new Map<number, Face>();
  private readonly hasColour: boolean;

  constructor(
    private readonly hb: HarfBuzz,
    private readonly face: number,
  ) {
    const table = hb.call.hb_face_reference_table(face, tagOf('COLR'));
    this.hasColour = hb.call.hb_blob_get_length(table) > 0;
    hb.call.hb_blob_destroy(table);
  }

  characters(): readonly number[] {
    return this.hb.charactersOf(this.face);
  }

  at(weight: number): Face {
    const known = this.weights.get(weight);
    if (known !== undefined) return known;
    const face = faceAt(this.hb, this.face, weight, this.hasColour);
    this.weights.set(weight, face);
    return face;
  }
}

function faceAt(hb: HarfBuzz, face: number, weight: number, hasColour: boolean): Face {
  const { call } = hb;
  const unitsPerEm = call.hb_face_get_upem(face);
  const whole = hb.font(face, unitsPerEm, weight);
  const scaled = hb.font(face, unitsPerEm * fine, weight);
  const advances = new Map<number, { readonly units: number; readonly fine: number }>();
  return {
    unitsPerEm,
    hasColour,
    ...hb.extentsOf(whole),
    shape: (text, stretch, how) => hb.shape(scaled, text, stretch, how),
    advanceOf(glyph) {
      let advance = advances.get(glyph);
      if (advance === undefined) {
        advance = {
          units: call.hb_font_get_glyph_h_advance(whole, glyph),
          fine: call.hb_font_get_glyph_h_advance(scaled, glyph),
        };
        advances.set(glyph, advance);
      }
      return advance;
    },
    has: (char) => hb.out((at) => call.hb_font_get_nominal_glyph(whole, char, at)) !== undefined,
    hasSequence: (char, selector) =>
      hb.out((at) => call.hb_font_get_variation_glyph(whole, char, selector, at)) !== undefined,
  };
}

const tagOf = (tag: string): number =>
  ((tag.charCodeAt(0) << 24) |
    (tag.charCodeAt(1) << 16) |
    (tag.charCodeAt(2) << 8) |
    tag.charCodeAt(3)) >>>
  0;

const isFunction = (value: unknown): value is (...values: number[]) => number =>
  typeof value === 'function';

function functionsOf(exports: WebAssembly.Exports): Functions {
  if (hasAll(exports)) return exports;
  throw new Error('This is another HarfBuzz.');
}

const hasAll = (exports: WebAssembly.Exports): exports is WebAssembly.Exports & Functions =>
  names.every((name) => isFunction(ownValue(exports, name)));

const pageBytes = 65_536;

function grow(memory: WebAssembly.Memory | undefined, bytes: number): number {
  if (memory === undefined) return 0;
  const missing = bytes - memory.buffer.byteLength;
  try {
    memory.grow(Math.ceil(Math.max(missing, memory.buffer.byteLength * 0.2) / pageBytes));
    return 1;
  } catch {
    return 0;
  }
}
