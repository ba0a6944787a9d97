import type { Project } from '../project';

/** Why a project could not be opened again after a change; undefined: it can. */
export type WhyPastLimits = (before: Project, after: Project) => string | undefined;

/** The file's own schema, for edits: it is loaded when it is first asked for. */
export async function loadLimits(): Promise<WhyPastLimits> {
  const { whyNotWritable } = await import('./validate');
  return whyNotWritable;
}
