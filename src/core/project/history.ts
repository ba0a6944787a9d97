import { ok, type Result } from '../base';
import type { Edit } from './edits';
import { type Project, withId } from './project';
import { idsIn, type UsedIds, withIdsOf } from './used-ids';

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
  /** The ids of every state that it ever was in, those of steps that were forgotten among them. */
  readonly used: UsedIds;
}

const maxSteps = 500;

export function startHistory(project: Project): History {
  return { project, done: [], undone: [], used: idsIn(project) };
}

/** Makes an edit. One that goes on with the typing before it joins its step; one without effect leaves none. */
export function makeEdit(history: History, edit: Edit): Result<History, string> {
  const applied = edit.apply(history.project, history.used);
  if (!applied.ok) return applied;
  const last = history.done.at(-1);
  const joined = edit.joins !== undefined && last?.joins === edit.joins ? last : undefined;
  const before = joined?.before ?? history.project;
  const after = applied.value;
  const used = withIdsOf(history.used, after);
  const done = joined === undefined ? history.done : history.done.slice(0, -1);
  if (isSame(before, after))
    return ok(joined === undefined ? history : { project: before, done, undone: [], used });
  const step = { name: edit.name, joins: edit.joins, before, after };
  return ok({ project: after, done: [...done, step].slice(-maxSteps), undone: [], used });
}

export function undo(history: History): History {
  const step = history.done.at(-1);
  if (step === undefined) return history;
  return {
    ...history,
    project: step.before,
    done: history.done.slice(0, -1),
    undone: [step, ...history.undone],
  };
}

export function redo(history: History): History {
  const [step, ...rest] = history.undone;
  if (step === undefined) return history;
  return { ...history, project: step.after, done: [...history.done, step], undone: rest };
}

/** The steps that are left once the items of a source as of one revision are no longer held. */
export function forgetRevision(history: History, source: string, revision: number): History {
  const isGone = (project: Project) => {
    const found = withId(project.sources, source);
    return found !== undefined && (found.revision ?? 0) === revision;
  };
  const lastDone = history.done.findLastIndex(({ before }) => isGone(before));
  const firstUndone = history.undone.findIndex(({ after }) => isGone(after));
  if (lastDone < 0 && firstUndone < 0) return history;
  return {
    ...history,
    done: history.done.slice(lastDone + 1),
    undone: firstUndone < 0 ? history.undone : history.undone.slice(0, firstUndone),
  };
}

/** Whether an edit left every part of the project as it was. */
function isSame(before: Project, after: Project): boolean {
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...names].every((name) => before[name as keyof Project] === after[name as keyof Project]);
}
