import { bytesOf, isSame } from './content';
import type { HandedFile } from './use-pack';

declare global {
  interface Window {
    /** File System Access; not in every browser. */
    showDirectoryPicker?: (options: {
      readonly mode: 'readwrite';
    }) => Promise<FileSystemDirectoryHandle>;
  }
  interface FileSystemHandle {
    /** File System Access, section 2.1; not in every browser. */
    requestPermission?: (options: { readonly mode: 'readwrite' }) => Promise<PermissionState>;
  }
}

export const canWriteFolders = (): boolean => window.showDirectoryPicker !== undefined;

/** A folder that the reader chooses; undefined: none was, or the page may not write there. */
export async function chosenFolder(): Promise<FileSystemDirectoryHandle | undefined> {
  try {
    return await window.showDirectoryPicker?.({ mode: 'readwrite' });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') return undefined;
    throw error;
  }
}

/** Whether the page may write into a folder that was chosen some time ago: the browser asks. */
export async function mayWrite(folder: FileSystemDirectoryHandle): Promise<boolean> {
  const answer = await folder.requestPermission?.({ mode: 'readwrite' });
  return answer === undefined || answer === 'granted';
}

/** What a folder holds of a file: nothing, what would be written, what was handed off last, or else. */
export type Found = 'nothing' | 'the same' | 'as handed off' | 'something else';

export async function foundIn(folder: FileSystemDirectoryHandle, file: HandedFile): Promise<Found> {
  const held = await bytesIn(folder, file.path);
  if (held === undefined) return 'nothing';
  if (isSame(held, bytesOf(file))) return 'the same';
  const { before, isBase64 } = file;
  const wasSo =
    before !== undefined && isSame(held, bytesOf({ text: before, ...(isBase64 && { isBase64 }) }));
  return wasSo ? 'as handed off' : 'something else';
}

async function bytesIn(folder: FileSystemDirectoryHandle, path: string) {
  try {
    const { parent, name } = await placeOf(folder, path, false);
    const file = await (await parent.getFileHandle(name)).getFile();
    return new Uint8Array(await file.arrayBuffer());
  } catch (error) {
    if (error instanceof DOMException && error.name === 'NotFoundError') return undefined;
    throw error;
  }
}

/** Writes a file whole: what was there stays until all of it is written. */
export async function writeInto(
  folder: FileSystemDirectoryHandle,
  handed: HandedFile,
): Promise<void> {
  const { parent, name } = await placeOf(folder, handed.path, true);
  const file = await parent.getFileHandle(name, { create: true });
  const writing = await file.createWritable();
  await writing.write(bytesOf(handed));
  await writing.close();
}

async function placeOf(folder: FileSystemDirectoryHandle, path: string, create: boolean) {
  const names = path.split('/');
  const name = names.pop() ?? '';
  let parent = folder;
  for (const each of names) parent = await parent.getDirectoryHandle(each, { create });
  return { parent, name };
}
