import { ok, type Result } from '../base';
import type { Edit } from './edits';
import type { Project } from './project';

/** What an edit made of what: the two share all that it left alone. */
interface Step {
  readonly name: string;
  readonly joins: string | undefined;
  readonly before: Project;
  readonly after: Project;
}

/** A project with the steps that led here and those that were undone. */
export interface History {
  readonly project: Project;
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
}

const mostSteps = 500;

export function startHistory(project: Project): History {
  return { project, done: [], undone: [] };
}

/** Makes an edit. One that goes on with the typing before it joins its step; one without effect leaves none. */
export function makeEdit(history: History, edit: Edit): Result<History, string> {
  const applied = edit.apply(history.project);
  if (!applied.ok) return applied;
  const last = history.done.at(-1);
  const joined = edit.joins !== undefined && last?.joins === edit.joins ? last : undefined;
  const before = joined?.before ?? history.project;
  const after = applied.value;
  const done = joined === undefined ? history.done : history.done.slice(0, -1);
  if (isSame(before, after))
    return ok(joined === undefined ? history : { project: before, done, undone: [] });
  const step = { name: edit.name, joins: edit.joins, before, after };
  return ok({ project: after, done: [...done, step].slice(-mostSteps), undone: [] });
}

export function undo(history: History): History {
  const step = history.done.at(-1);
  if (step === undefined) return history;
  return {
    project: step.before,
    done: history.done.slice(0, -1),
    undone: [step, ...history.undone],
  };
}

export function redo(history: History): History {
  const [step, ...rest] = history.undone;
  if (step === undefined) return history;
  return { project: step.after, done: [...history.done, step], undone: rest };
}

/** Whether an edit left every part of the project as it was. */
function isSame(before: Project, after: Project): boolean {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...names].every((name) => before[name as keyof Project] === after[name as keyof Project]);
}
