import { conflictInWords, mergeProjects, writeProject } from '../../src/core/project';
import { endWith, flush, refuse, tellError } from '../output';
import { projectFile } from '../project';
import { replaceFile } from '../replace-file';

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
