import type { Slice } from '../../core/text';
import { unwrapped } from './font-tables';
import type { HarfBuzz } from './harfbuzz';

/** The files of fonts, as base64, by the ids of their contents. */
export type FontContents = ReadonlyMap<string, string>;

/** Fonts of a project's own, as what measures texts reads them. */
export type OwnFonts = ReadonlyMap<string, Uint8Array>;

/** Unwraps the files of fonts; one that is none is left out. */
export async function ownFonts(contents: FontContents): Promise<OwnFonts> {
  const fonts = new Map<string, Uint8Array>();
  for (const [content, base64] of contents)
    try {
      const file = Uint8Array.from(atob(base64), (char) => char.charCodeAt(0));
      fonts.set(content, await unwrapped(file));
    } catch {
      // Its texts are drawn and measured in the faces that every project has.
    }
  return fonts;
}

/** A font as the one slice of a family, which draws all characters that it has. */
export function sliceOfOwn(family: string, file: Uint8Array, harfbuzz: HarfBuzz): Slice {
  const face = harfbuzz.face(file);
  return { family, file: family, ranges: face.characters(), face: (weight) => face.at(weight) };
}
