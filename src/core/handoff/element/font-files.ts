import { fontFile, type ProjectFont } from '../../fonts';
import type { PictureContents } from '../../pictures';
import { ownFace } from '../../text';
import type { PackFile } from '../pack-file';
import { freeName } from './file-names';

const extensions = { sfnt: 'ttf', woff: 'woff', woff2: 'woff2' } as const;

/**
 * The fonts of a project as files, and a sheet that declares them: faces within a shadow tree are
 * those of the page (CSS Scoping 1, 3.1). `decoded`: what base64 holds, a character a byte.
 */
export function fontFiles(
  fonts: readonly ProjectFont[],
  contents: PictureContents,
  decoded: (base64: string) => string,
): readonly PackFile[] {
  const taken = new Set<string>();
  const all = fonts.flatMap(({ name, content }) => {
    const base64 = contents.get(content);
    if (base64 === undefined) return [];
    const head = Uint8Array.from(decoded(base64.slice(0, 8)), (char) => char.charCodeAt(0));
    const path = `fonts/${freeName(name, taken)}.${extensions[fontFile(head) ?? 'sfnt']}`;
    const file: PackFile = { path, about: `the font ${name}`, text: base64, isBase64: true };
    const rule = `@font-face { font-family: "${ownFace(content)}"; font-weight: 100 900; src: url("${path}"); }`;
    return [{ file, rule }];
  });
  const rules = all.map(({ rule }) => `${rule}\n`).join('');
  return [
    {
      path: 'fonts.css',
      about: 'declares the project’s own fonts, for pages',
      text: `/* The project’s own fonts. */\n${rules}`,
    },
    ...all.map(({ file }) => file),
  ];
}
