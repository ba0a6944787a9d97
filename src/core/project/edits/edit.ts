import type { Result } from '../../base';
import type { Project } from '../project';

/**
 * A change to the project as a value: its name for people, and a pure function. Where it can't
 * be made the function says why, and the same words explain why a menu entry is grey.
 */
export interface Edit {
  readonly name: string;
  apply(project: Project): Result<Project, string>;
}
