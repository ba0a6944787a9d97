import { Face, Font, Blob as FontBlob, Variation } from 'harfbuzzjs';
import type { GlyphPlace, GlyphShapes } from '../../core/drawing';
import type { LaidGlyph } from '../../core/text';
import { paintedGlyph } from './painted-glyph';

/** Font files, as tables that are read as they are, by the files of slices. */
export type FaceFiles = ReadonlyMap<string, Uint8Array>;

/** The shapes of glyphs as the files have them that draw them. */
export class FileShapes implements GlyphShapes {
  private readonly faces = new Map<string, Face>();
  private readonly fonts = new Map<string, Font>();

  constructor(private readonly files: FaceFiles) {}

  path({ slice, glyph }: LaidGlyph, { x, y, sizePx, weight, slant }: GlyphPlace) {
    const face = slice.face(weight);
    if (face.hasColour) return undefined;
    const scale = sizePx / face.unitsPerEm;
    const place = (right: number, up: number) =>
      `${short(x + (right + slant * up) * scale)} ${short(y - up * scale)}`;
    return this.fontOf(slice.file, weight)
      .glyphToJson(glyph)
      .map(({ type, values }) => type + points(values, place).join(' '))
      .join('');
  }

  painted({ slice, glyph }: LaidGlyph, { x, y, sizePx, weight }: GlyphPlace, id: () => string) {
    const scale = sizePx / slice.face(weight).unitsPerEm;
    const drawn = paintedGlyph(this.fontOf(slice.file, weight), glyph, id);
    const at = `translate(${short(x)} ${short(y)}) scale(${scale} ${-scale})`;
    return drawn === '' ? '' : `<g transform="${at}">${drawn}</g>`;
  }

  private fontOf(file: string, weight: number): Font {
    const key = `${file} ${weight}`;
    const known = this.fonts.get(key);
    if (known !== undefined) return known;
    const font = new Font(this.faceOf(file));
    font.setVariations([new Variation('wght', weight)]);
    this.fonts.set(key, font);
    return font;
  }

  private faceOf(file: string): Face {
    const known = this.faces.get(file);
    if (known !== undefined) return known;
    const bytes = this.files.get(file);
    if (bytes === undefined) throw new Error(`The font ${file} was not brought.`);
    const face = new Face(new FontBlob(bytes));
    this.faces.set(file, face);
    return face;
  }
}

const short = (value: number): string => String(Math.round(value * 100) / 100);

function points(
  values: readonly number[],
  place: (right: number, up: number) => string,
): readonly string[] {
  const placed: string[] = [];
  for (let i = 0; i + 1 < values.length; i += 2)
    placed.push(place(values[i] ?? 0, values[i + 1] ?? 0));
  return placed;
}
