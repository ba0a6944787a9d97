import { rename, rm, writeFile } from 'node:fs/promises';
import {
  conflictInWords,
  mergeProjects,
  type ProjectFile,
  readProject,
  writeProject,
} from '../../src/core/project';
import { inputFile } from '../input';
import { endWith, flush, refuse, tellError, WrongUse } from '../output';

/**
 * Puts two people's changes of a project together, in the place of OURS, as git's merge drivers do.
 * Exit status 1 where they changed the same thing each otherwise: what stays is told in words.
 */
export async function merge(base: string, ours: string, theirs: string): Promise<void> {
  const sides = {
    base: await projectFile(base),
    ours: await projectFile(ours),
    theirs: await projectFile(theirs),
  };
  const merged = await mergeProjects(sides, ours);
  if (!merged.ok) refuse(merged.error);
  const { project, items, contents, conflicts } = merged.value;
  await replaceFile(ours, [...writeProject(project, items, contents)].join(''));
  for (const conflict of conflicts) tellError(conflictInWords(conflict));
  if (conflicts.length > 0) endWith(1);
  flush();
}

/** The file with other content, or as it was: never a part of either. */
async function replaceFile(file: string, content: string): Promise<void> {
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

async function projectFile(file: string): Promise<ProjectFile> {
  const { name, bytes } = await inputFile(file);
  const read = await readProject(new TextDecoder().decode(bytes), name);
  return read.ok ? read.value : refuse(read.error);
}
