import { applyPatches, enablePatches, type Patch, produceWithPatches } from 'immer';
import { ok, type Result } from '../base';
import type { Edit } from './edits';
import type { Project } from './project';

enablePatches();

interface Step {
  readonly name: string;
  readonly joins: string | undefined;
  readonly forward: readonly Patch[];
  readonly back: readonly Patch[];
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

/** Makes an edit; the difference it makes becomes its inverse. An edit without effect leaves no step. */
export function makeEdit(history: History, edit: Edit): Result<History, string> {
  const applied = edit.apply(history.project);
  if (!applied.ok) return applied;
  const last = history.done.at(-1);
  const isJoined = last !== undefined && edit.joins !== undefined && last.joins === edit.joins;
  const before = isJoined ? applyPatches(history.project, [...last.back]) : history.project;
  const done = isJoined ? history.done.slice(0, -1) : history.done;
  const step = stepBetween(edit, before, applied.value);
  if (step === undefined) return ok(isJoined ? { project: before, done, undone: [] } : history);
  return ok({ project: applied.value, done: [...done, step].slice(-mostSteps), undone: [] });
}

export function undo(history: History): History {
  const step = history.done.at(-1);
  if (step === undefined) return history;
  return {
    project: applyPatches(history.project, [...step.back]),
    done: history.done.slice(0, -1),
    undone: [step, ...history.undone],
  };
}

export function redo(history: History): History {
  const [step, ...rest] = history.undone;
  if (step === undefined) return history;
  return {
    project: applyPatches(history.project, [...step.forward]),
    done: [...history.done, step],
    undone: rest,
  };
}

/** The keys whose values differ, as patches; sharing between the two makes this cheap. */
function stepBetween(edit: Edit, before: Project, after: Project): Step | undefined {
  const [, forward, back] = produceWithPatches(before, (draft) => {
    Object.assign(draft, after);
  });
  return forward.length === 0 ? undefined : { name: edit.name, joins: edit.joins, forward, back };
}
