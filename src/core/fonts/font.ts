/** A font of the project's own, named by text styles. Its file is kept beside the project. */
export interface ProjectFont {
  readonly name: string;
  /** Id of its file: fonts with the same file have the same. */
  readonly content: string;
}

/** How a font's tables are wrapped (ISO/IEC 14496-22; WOFF 1.0; WOFF 2.0). */
export type FontFile = 'sfnt' | 'woff' | 'woff2';

const marks: Readonly<Record<string, FontFile>> = {
  '\x00\x01\x00\x00': 'sfnt',
  OTTO: 'sfnt',
  true: 'sfnt',
  wOFF: 'woff',
  wOF2: 'woff2',
};

/** A font's name, from that of its file: what kind it is, the file itself tells. */
export const fontName = (file: string): string =>
  file.replace(/^.*[\\/]/, '').replace(/\.(?:ttf|otf|woff2?)$/i, '');

/** What kind of font file it is, by its first bytes; undefined: none that holds one font. */
export const fontFile = (head: Uint8Array): FontFile | undefined =>
  Object.entries(marks).find(([mark]) =>
    [...mark].every((char, at) => head[at] === char.charCodeAt(0)),
  )?.[1];
