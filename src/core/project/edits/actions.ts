import { type Action, isActionId } from '../../actions';
import { failed, ok } from '../../base';
import { actionWithId, withActionNamed } from '../acting/uses';
import { editById, type Project } from '../project';
import type { Edit } from './edit';

export function addAction(action: Action): Edit {
  return {
    name: `Add the action ${action.id}`,
    apply: (project) =>
      whyNotNamed(project, action.id) ??
      ok({ ...project, actions: [...(project.actions ?? []), action] }),
  };
}

const whyNotNamed = (project: Project, id: string) => {
  if (!isActionId(id))
    return failed('An action is named in lower case letters, digits and hyphens.');
  return actionWithId(project, id) === undefined
    ? undefined
    : failed(`There is an action "${id}" already.`);
};

/** What is said of an action otherwise; undefined: nothing is any more. */
export type ActionChange = {
  readonly [Name in Exclude<keyof Action, 'id'>]?: Action[Name] | undefined;
};

export function changeAction(id: string, change: ActionChange): Edit {
  return {
    name: `Change the action ${id}`,
    joins: `action ${id} ${Object.keys(change).join()}`,
    apply: (project) =>
      actionWithId(project, id) === undefined
        ? failed(`There is no action "${id}".`)
        : ok({
            ...project,
            actions: editById(project.actions ?? [], id, (action) => changed(action, change)),
          }),
  };
}

function changed(action: Action, change: ActionChange): Action {
  const { words, icon, colour, when, payload, effect, ...kept } = { ...action, ...change };
  return {
    ...kept,
    ...(words !== undefined && { words }),
    ...(icon !== undefined && { icon }),
    ...(colour !== undefined && { colour }),
    ...(when !== undefined && { when }),
    ...(payload !== undefined && { payload }),
    ...(effect !== undefined && { effect }),
  };
}

/** Gestures that name it follow. */
export function renameAction(from: string, wish: string): Edit {
  const to = wish.trim();
  return {
    name: `Name the action ${from} ${to}`,
    apply(project) {
      const action = actionWithId(project, from);
      if (action === undefined) return failed(`There is no action "${from}".`);
      if (to === from) return ok(project);
      const actions = editById(project.actions ?? [], from, () => ({ ...action, id: to }));
      return whyNotNamed(project, to) ?? ok({ ...withActionNamed(project, from, to), actions });
    },
  };
}

/** No gesture names it any more. */
export function removeAction(id: string): Edit {
  return {
    name: `Remove the action ${id}`,
    apply(project) {
      if (actionWithId(project, id) === undefined) return failed(`There is no action "${id}".`);
      const { actions = [], ...others } = withActionNamed(project, id, undefined);
      const left = actions.filter((action) => action.id !== id);
      const next: Project = left.length === 0 ? others : { ...others, actions: left };
      return ok(next);
    },
  };
}
