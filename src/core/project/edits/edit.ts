import { ok, type Result } from '../../base';
import type { Project } from '../project';
import type { UsedIds } from '../used-ids';

/**
 * A change to the project as a value: its name for people, and a pure function. Where it can't
 * be made the function says why, and the same words explain why a menu entry is grey.
 */
export interface Edit {
  readonly name: string;
  /** Edits in a row with the same value here are one step to undo: the keystrokes of one typing. */
  readonly joins?: string;
  /** `used`: ids that new things may not get, besides those that the project has now. */
  apply(project: Project, used?: UsedIds): Result<Project, string>;
}

/** Edits that are made, and taken back, as one. */
export function inOneStep(name: string, edits: readonly Edit[]): Edit {
  return {
    name,
    apply: (project, used) =>
      edits.reduce<Result<Project, string>>(
        (made, edit) => (made.ok ? edit.apply(made.value, used) : made),
        ok(project),
      ),
  };
}
