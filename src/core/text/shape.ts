import type { Glyphs, Numerals, Slice } from './face';
import { type Stretch, touches, unitsOf } from './runs/ranges';
import { type Run, runsOf } from './runs/runs';
import type { SliceChain } from './slice-chain';

/** What a stretch of a paragraph is drawn with. */
export interface Font {
  readonly chain: SliceChain;
  readonly weight: number;
  /** BCP 47 tag. */
  readonly language: string;
  /** The size of letters, in device px. */
  readonly sizePx: number;
  /** What stands after each letter, in device px. */
  readonly spacingPx: number;
  readonly numerals: Numerals;
}

/** A stretch of a paragraph in one font: from where the one before ends. */
export interface Span {
  readonly end: number;
  readonly font: Font;
}

/** Contiguous glyphs of one slice, which Chromium sums exactly and rounds once. */
export interface Segment {
  /** The item that it is of. */
  readonly item: number;
  start: number;
  end: number;
  readonly firstGlyph: number;
  glyphCount: number;
}

export interface ShapedGlyph {
  /** UTF-16 unit of the text that it is of. */
  readonly cluster: number;
  /** Which glyph of which slice it is. */
  readonly glyph: number;
  readonly slice: Slice;
  /** How far it is drawn to the right of its place, and above the baseline, in font units. */
  readonly right: number;
  readonly up: number;
  /** Advance without kerning, and kerning, in font units; both 0 for a mark. */
  readonly units: number;
  readonly kerning: number;
  readonly unitsPerEm: number;
  /** The size of its font, in device px. */
  readonly sizePx: number;
  /** What stands after the letter that it ends, in device px; 0 for others. */
  readonly spacingPx: number;
}

/** A stretch of a paragraph, shaped. Its columns have a place for each UTF-16 unit of it. */
export interface Shaped {
  /** Unit of the paragraph that it begins with. */
  readonly start: number;
  readonly glyphs: readonly ShapedGlyph[];
  readonly segments: readonly Segment[];
  /** Whether a glyph begins there. */
  readonly hasGlyph: Uint8Array;
  /** Whether the text may not be cut before the unit without shaping anew. */
  readonly isUnsafe: Uint8Array;
  /** The item of each unit: what is of one span and one bidi level, and rounded up by itself. */
  readonly items: Uint16Array;
}

/** An emoji base with the selector after it. */
interface Selected {
  readonly at: number;
  readonly char: number;
  readonly selector: number;
}

interface Trial {
  readonly run: Run;
  readonly font: Font;
  readonly selected: readonly Selected[];
}

const fine = 1_024;
const mayBeEmoji = /\p{Emoji}/u;
const selectors = /[\ufe0e\ufe0f]/;

/**
 * Shapes a stretch of a paragraph as Chromium does: run by run, what a slice lacks with the next
 * one. Neighbouring spans of one font are shaped together.
 */
export function shape(
  text: string,
  spans: readonly Span[],
  runs: readonly Run[] = runsOf(text),
  { start, end }: Stretch = { start: 0, end: text.length },
): Shaped {
  const shaping = new Shaping(text, spans, { start, end });
  const fonts = joined(spans);
  for (const run of runs) {
    let from = Math.max(start, run.start);
    for (const { end: fontEnd, font } of fonts) {
      const to = Math.min(end, run.end, fontEnd);
      if (to <= from) continue;
      const isWhole = run.start === from && run.end === to;
      shaping.shapeRun(isWhole ? run : { ...run, start: from, end: to }, font);
      from = to;
    }
  }
  return shaping.finish();
}

/** Spans with those of one font made one. */
function joined(spans: readonly Span[]): readonly Span[] {
  if (spans.length < 2) return spans;
  return spans.filter(({ font }, at) => {
    const next = spans[at + 1];
    return next === undefined || !isSameFont(font, next.font);
  });
}

const isSameFont = (one: Font, other: Font): boolean =>
  one === other ||
  (one.chain === other.chain &&
    one.weight === other.weight &&
    one.language === other.language &&
    one.sizePx === other.sizePx &&
    one.spacingPx === other.spacingPx &&
    one.numerals === other.numerals);

class Shaping {
  private readonly glyphs: ShapedGlyph[] = [];
  private readonly segments: Segment[] = [];
  private readonly isUnsafe: Uint8Array;
  private readonly items: Uint16Array;
  private item = -1;
  private level = -1;
  private span = -1;

  constructor(
    private readonly text: string,
    private readonly spans: readonly Span[],
    private readonly whole: Stretch,
  ) {
    const count = whole.end - whole.start;
    this.isUnsafe = new Uint8Array(count + 1);
    this.items = new Uint16Array(count);
  }

  /** A run, or as much of it as is of one font. */
  shapeRun(run: Run, font: Font): void {
    this.takeItems(run);
    const selected = selectedIn(this.text, run);
    const trial = { run, font, selected };
    let queue: Stretch[] = [{ start: run.start, end: run.end }];
    // The first pass refuses a base whose font does not know it with its selector.
    const passes = selected.length > 0 ? ['exact', 'any'] : ['any'];
    for (const pass of passes) {
      for (const slice of font.chain.slicesFor(this.text, run)) {
        if (queue.length === 0) return;
        if (!queue.some((each) => touches(slice.ranges, this.text, each))) continue;
        queue = queue.flatMap((each) => this.tryOn(slice, each, trial, pass === 'exact'));
      }
    }
  }

  finish(): Shaped {
    const { glyphs, segments, isUnsafe, items } = this;
    const { start } = this.whole;
    const hasGlyph = new Uint8Array(isUnsafe.length);
    for (const { cluster } of glyphs) hasGlyph[cluster - start] = 1;
    for (let at = 1; at < items.length; at += 1) if (hasGlyph[at] === 0) isUnsafe[at] = 1;
    return { start, glyphs, segments, hasGlyph, isUnsafe, items };
  }

  private takeItems({ start, end, level }: Run): void {
    const origin = this.whole.start;
    let from = start;
    this.spans.forEach((span, at) => {
      const to = Math.min(end, span.end);
      if (to <= from) return;
      if (level !== this.level || at !== this.span) this.item += 1;
      this.level = level;
      this.span = at;
      this.items.fill(this.item, from - origin, to - origin);
      from = to;
    });
  }

  /** Takes what a slice can draw of a stretch; the rest is given back, in visual order. */
  private tryOn(
    slice: Slice,
    stretch: Stretch,
    { run, font, selected }: Trial,
    isExact: boolean,
  ): readonly Stretch[] {
    const { text } = this;
    if (!mayDraw(slice, text, stretch)) return [stretch];
    const isRtl = (run.level & 1) === 1;
    const face = slice.face(font.weight);
    const isSpaced = font.spacingPx !== 0;
    const { language, numerals } = font;
    const how = { script: run.script, isRtl, language, isSpaced, numerals };
    const shaped = face.shape(text, stretch, how);
    const refused = new Set<number>();
    for (let i = 0; i < shaped.count; i += 1)
      if (shaped.glyph[i] === 0) refused.add(shaped.cluster[i] ?? 0);
    for (const { at, char, selector } of selected) {
      if (at < stretch.start || at >= stretch.end || !face.has(char)) continue;
      const wantsText = face.hasColour && selector === 0xfe0e;
      if (!wantsText && !(isExact && !face.hasSequence(char, selector))) continue;
      const cluster = clusterAt(shaped, at);
      if (cluster >= 0) refused.add(cluster);
    }
    this.take(shaped, refused, stretch, { slice, font, script: run.script });
    return refused.size === 0 ? [] : restOf(shaped, refused, stretch, isRtl);
  }

  private take(
    shaped: Glyphs,
    refused: ReadonlySet<number>,
    stretch: Stretch,
    {
      slice,
      font,
      script,
    }: { readonly slice: Slice; readonly font: Font; readonly script: string },
  ): void {
    const { items, whole } = this;
    const face = slice.face(font.weight);
    let segment: Segment | undefined;
    for (let i = 0; i < shaped.count; i += 1) {
      const cluster = shaped.cluster[i] ?? 0;
      if (refused.has(cluster)) {
        segment = undefined;
        continue;
      }
      const item = items[cluster - whole.start] ?? 0;
      if (segment?.item !== item) {
        segment = {
          item,
          start: cluster,
          end: cluster + 1,
          firstGlyph: this.glyphs.length,
          glyphCount: 0,
        };
        this.segments.push(segment);
      }
      segment.start = Math.min(segment.start, cluster);
      segment.end = Math.max(segment.end, cluster + 1);
      segment.glyphCount += 1;
      const advance = shaped.advance[i] ?? 0;
      const own = advance === 0 ? undefined : face.advanceOf(shaped.glyph[i] ?? 0);
      this.glyphs.push({
        cluster,
        glyph: shaped.glyph[i] ?? 0,
        slice,
        right: (shaped.right[i] ?? 0) / fine,
        up: (shaped.up[i] ?? 0) / fine,
        units: own?.units ?? 0,
        kerning: own === undefined ? 0 : (advance - own.fine) / fine,
        unitsPerEm: face.unitsPerEm,
        sizePx: font.sizePx,
        // After all of a letter: its marks are placed from where it ends.
        spacingPx:
          i + 1 < shaped.count && shaped.cluster[i + 1] === cluster
            ? 0
            : spacingAfter(this.text[cluster] ?? '', script, font),
      });
      if (shaped.isUnsafe[i] === 1 && cluster !== stretch.start)
        this.isUnsafe[cluster - whole.start] = 1;
    }
  }
}

/** Scripts whose letters are joined: only their words stand apart (CSS Text 4, section 8.2.1). */
const joinedUp = new Set(['Arab', 'Rohg', 'Mand', 'Mong', 'Nkoo', 'Phag', 'Syrc']);
/** What has no width gets none. */
const isWidthless = /[\p{Default_Ignorable_Code_Point}\p{Cc}\u200b]/u;

/** What stands after a letter of a script, in device px. */
function spacingAfter(char: string, script: string, { spacingPx }: Font): number {
  if (spacingPx === 0 || isWidthless.test(char)) return 0;
  return joinedUp.has(script) && !/[ \u00a0]/.test(char) ? 0 : spacingPx;
}

/** Whether a slice has any character of a stretch, as it is or taken apart. */
function mayDraw({ ranges }: Slice, text: string, stretch: Stretch): boolean {
  if (touches(ranges, text, stretch)) return true;
  const own = text.slice(stretch.start, stretch.end);
  const apart = own.normalize('NFD');
  return apart !== own && touches(ranges, apart, { start: 0, end: apart.length });
}

/** The largest cluster that is not past a unit; -1: none. */
function clusterAt(shaped: Glyphs, at: number): number {
  let found = -1;
  for (let i = 0; i < shaped.count; i += 1) {
    const cluster = shaped.cluster[i] ?? 0;
    if (cluster <= at && cluster > found) found = cluster;
  }
  return found;
}

/** The stretches of the refused clusters, neighbours joined, in visual order. */
function restOf(
  shaped: Glyphs,
  refused: ReadonlySet<number>,
  stretch: Stretch,
  isRtl: boolean,
): readonly Stretch[] {
  const clusters = [...new Set(shaped.cluster.subarray(0, shaped.count))].sort((a, b) => a - b);
  const rest: { start: number; end: number }[] = [];
  clusters.forEach((cluster, i) => {
    if (!refused.has(cluster)) return;
    const end = clusters[i + 1] ?? stretch.end;
    const last = rest.at(-1);
    if (last?.end === cluster) last.end = end;
    else rest.push({ start: cluster, end });
  });
  return isRtl ? rest.reverse() : rest;
}

function selectedIn(text: string, run: Run): readonly Selected[] {
  if (!run.isEmoji && !selectors.test(text.slice(run.start, run.end))) return [];
  const selected: Selected[] = [];
  for (let at = run.start + 1; at < run.end; at += 1) {
    const selector = text.charCodeAt(at);
    if (selector !== 0xfe0e && selector !== 0xfe0f) continue;
    const isPair = at > run.start + 1 && text.charCodeAt(at - 1) >> 10 === 0x37;
    const base = isPair ? at - 2 : at - 1;
    const char = text.codePointAt(base) ?? 0;
    if (unitsOf(char) === at - base && mayBeEmoji.test(String.fromCodePoint(char)))
      selected.push({ at: base, char, selector });
  }
  return selected;
}
