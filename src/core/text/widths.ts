import type { Shaped } from './shape';

/** Advances of glyphs, and of the text's units: a cluster's stands at its first unit. */
export interface Advances {
  readonly ofGlyphs: Float64Array;
  readonly ofUnits: Float64Array;
}

const ceil64 = (px: number): number => Math.ceil(px * 64) / 64;

/** The size that Chromium draws with: it keeps fonts by hundredths of a px. */
export const drawnSize = (sizePx: number): number =>
  Math.fround(Math.floor(Math.fround(sizePx * 100)) / 100);

/** In px, as Chromium rounds each: to 1/65536, the advance from a scale of 1/64. */
export function advancesOf({ glyphs, items, start }: Shaped): Advances {
  const ofGlyphs = new Float64Array(glyphs.length);
  const ofUnits = new Float64Array(items.length);
  let unitsPerEm = 0;
  let sizePx = 0;
  let scale = 0;
  let kerningScale = 0;
  for (let i = 0; i < glyphs.length; i += 1) {
    const glyph = glyphs[i];
    if (glyph === undefined) continue;
    if (glyph.unitsPerEm !== unitsPerEm || glyph.sizePx !== sizePx) {
      unitsPerEm = glyph.unitsPerEm;
      sizePx = glyph.sizePx;
      scale = Math.round((Math.trunc(sizePx * 64) * 65_536) / unitsPerEm) / 64;
      kerningScale = (sizePx * 65_536) / unitsPerEm;
    }
    const advance =
      (Math.round(glyph.units * scale) + Math.round(glyph.kerning * kerningScale)) / 65_536 +
      glyph.spacingPx;
    ofGlyphs[i] = advance;
    const unit = glyph.cluster - start;
    ofUnits[unit] = (ofUnits[unit] ?? 0) + advance;
  }
  return { ofGlyphs, ofUnits };
}

/** So near to a whole 1/64 px, the order of rounding decides. */
const near = 0.06;

/** Width of a stretch in px, a multiple of 1/64: each item is rounded up by itself. */
export function widthOf(shaped: Shaped, advances: Advances, start: number, end: number): number {
  let width = 0;
  let sum = 0;
  let item = -1;
  let isNear = false;
  const endItem = () => {
    const part = sum * 64 - Math.floor(sum * 64);
    if (sum > 64 && (part < near || part > 1 - near)) isNear = true;
    width += ceil64(sum);
    sum = 0;
  };
  for (let at = start; at < end; at += 1) {
    const own = shaped.items[at - shaped.start] ?? 0;
    if (own !== item) {
      if (item >= 0) endItem();
      item = own;
    }
    sum += advances.ofUnits[at - shaped.start] ?? 0;
  }
  endItem();
  return isNear ? widthBySegments(shaped, advances, start, end) : width;
}

/** The same with every rounding to float32 that Chromium makes: segments one by one, in their order. */
function widthBySegments(shaped: Shaped, advances: Advances, start: number, end: number): number {
  const ofItems = new Map<number, number>();
  for (const segment of shaped.segments) {
    if (segment.end <= start || segment.start >= end) continue;
    let sum = 0;
    let hasAny = false;
    const lastGlyph = segment.firstGlyph + segment.glyphCount;
    for (let i = segment.firstGlyph; i < lastGlyph; i += 1) {
      const cluster = shaped.glyphs[i]?.cluster ?? -1;
      if (cluster < start || cluster >= end) continue;
      sum += advances.ofGlyphs[i] ?? 0;
      hasAny = true;
    }
    if (!hasAny) continue;
    const before = ofItems.get(segment.item) ?? 0;
    ofItems.set(segment.item, Math.fround(before + Math.fround(sum)));
  }
  return [...ofItems.values()].reduce((width, sum) => width + ceil64(sum), 0);
}
