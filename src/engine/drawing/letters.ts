import type { EmbeddedFace, LaidRow, Letters } from '../../core/drawing';
import { ownFace, type Slice } from '../../core/text';
import { familiesFor, type OwnFonts, unwrapped } from '../measuring';

/** Where font files come from. */
export interface FontFiles {
  /** A file that rows are drawn with, as it is served. */
  readonly face: (file: string) => Promise<Uint8Array>;
  /** The project's own. */
  readonly own: OwnFonts;
}

interface LettersTask {
  readonly letters: Letters['kind'];
  readonly language: string;
}

/** How the letters of rows are drawn, and the faces that a file takes with it for that. */
export async function lettersAs(
  { letters: kind, language }: LettersTask,
  rows: readonly LaidRow[],
  files: FontFiles,
): Promise<{ readonly letters: Letters; readonly faces: readonly EmbeddedFace[] }> {
  const slices = slicesIn(rows);
  const contents = await Promise.all(
    slices.map(async ({ file }) => files.own.get(file) ?? (await files.face(file))),
  );
  if (kind === 'text') {
    const used = new Set(slices.map(({ family }) => family));
    const families = (own: string | undefined, of = language) =>
      [
        ...(own === undefined ? [] : [ownFace(own)]),
        ...familiesFor(of).filter((family) => used.has(family)),
      ]
        .map((family) => `'${family}'`)
        .concat('sans-serif')
        .join(', ');
    const faces = slices.map(({ family, file, ranges }, at): EmbeddedFace => {
      const content = base64Of(contents[at] ?? new Uint8Array());
      return files.own.has(file)
        ? { family: ownFace(file), ranges: undefined, content }
        : { family, ranges: Array.from(ranges), content };
    });
    return { letters: { kind, families }, faces };
  }
  // It is large, and few ask for shapes.
  const { FileShapes } = await import('./glyph-shapes');
  const tables = new Map<string, Uint8Array>();
  for (const [at, { file }] of slices.entries())
    tables.set(file, await unwrappedOnce(contents[at] ?? new Uint8Array()));
  return { letters: { kind, shapes: new FileShapes(tables) }, faces: [] };
}

const unwrappedBy = new WeakMap<Uint8Array, Promise<Uint8Array>>();

/** Rows are drawn again with each edit: their fonts are the same. */
function unwrappedOnce(file: Uint8Array): Promise<Uint8Array> {
  const before = unwrappedBy.get(file) ?? unwrapped(file);
  unwrappedBy.set(file, before);
  return before;
}

/** The slices that draw any letter, each once. */
function slicesIn(rows: readonly LaidRow[]): readonly Slice[] {
  const slices = new Map<string, Slice>();
  for (const { words } of rows)
    for (const { laid } of words.values())
      for (const { pieces } of laid.lines)
        for (const { glyphs } of pieces)
          for (const { slice } of glyphs) slices.set(slice.file, slice);
  return [...slices.values()];
}

function base64Of(bytes: Uint8Array): string {
  let binary = '';
  const atOnce = 8_192;
  for (let at = 0; at < bytes.length; at += atOnce)
    binary += String.fromCharCode(...bytes.subarray(at, at + atOnce));
  return btoa(binary);
}
