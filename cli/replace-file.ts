import { rename, rm, writeFile } from 'node:fs/promises';
import { WrongUse } from './output';

/** The file with other content, or as it was: never a part of either. */
export async function replaceFile(file: string, content: string | Buffer): Promise<void> {
  const beside = `${file}.${process.pid}.new`;
  try {
    await writeFile(beside, content);
    await rename(beside, file);
  } catch (error) {
    await rm(beside, { force: true });
    const code = error instanceof Error && 'code' in error ? ` (${String(error.code)})` : '';
    throw new WrongUse(`${file} could not be written${code}. It is as it was.`);
  }
}
