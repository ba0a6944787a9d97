import { zipSync } from 'fflate';
import type { PackFile } from '../../../core/handoff';
import { bytesOf } from './content';

/** The time of all files in it, by the clock of whoever makes it: the same bytes in every time zone. */
const mtime = new Date(1985, 0, 1);

/** A zip file (APPNOTE 6.3) of these files within one folder: the same bytes for the same files. */
export function zipOf(folder: string, files: readonly PackFile[]): Blob {
  const entries = files.map((file) => [`${folder}/${file.path}`, bytesOf(file)] as const);
  const bytes = zipSync(Object.fromEntries(entries), { mtime });
  return new Blob([new Uint8Array(bytes)], { type: 'application/zip' });
}
