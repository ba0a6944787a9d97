import type { PackedProject } from '../../packed';
import { isSymbol, type Picture, type PictureContents, type PictureType } from '../../pictures';
import type { PackFile } from '../pack-file';
import { freeName } from './file-names';

const extensions: Readonly<Record<PictureType, string>> = {
  'image/svg+xml': 'svg',
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'image/avif': 'avif',
  'image/gif': 'gif',
};

/** The pictures of a project as files, and where each is found. `decoded`: what base64 holds, a character a byte. */
export function pictureFiles(
  pictures: readonly Picture[],
  contents: PictureContents,
  decoded: (base64: string) => string,
): { readonly files: readonly PackFile[]; readonly addresses: PackedProject['pictures'] } {
  const taken = new Set<string>();
  const all = pictures.flatMap(({ name, content, mediaType }) => {
    const base64 = contents.get(content);
    if (base64 === undefined) return [];
    const path = `pictures/${freeName(name, taken)}.${extensions[mediaType]}`;
    const isDrawing = mediaType === 'image/svg+xml' && isSymbol(decoded(base64));
    const file: PackFile = { path, about: `the picture ${name}`, text: base64, isBase64: true };
    return [{ file, address: [name, { address: path, isSymbol: isDrawing }] as const }];
  });
  return { files: all.map(({ file }) => file), addresses: all.map(({ address }) => address) };
}
