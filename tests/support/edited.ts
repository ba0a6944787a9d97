import type { Edit, Project } from '../../src/core/project';

/** The project after edits that can all be made. */
export function edited(project: Project, ...all: readonly Edit[]): Project {
  return all.reduce((before, edit) => {
    const made = edit.apply(before);
    if (!made.ok) throw new Error(made.error);
    return made.value;
  }, project);
}
