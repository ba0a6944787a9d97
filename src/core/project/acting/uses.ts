import { type Action, actionsNamed, type Gesture, gestures } from '../../actions';
import { mapParts, type Part, partsOf, propertyOf, withProperty } from '../../templates';
import { renameStep } from '../../values';
import { type Project, withId } from '../project';
import { shownTemplates, withRows } from '../rows/rows';

/** Where a gesture names an action. */
export interface ActionUse {
  readonly template: string;
  readonly part: string;
  readonly gesture: Gesture;
  readonly action: string;
}

const gestureNames = Object.keys(gestures) as readonly Gesture[];

/** All gestures of a template that name actions. */
export const actionUsesIn = (template: { readonly id: string; readonly row: Part }) =>
  [...partsOf(template.row)].flatMap((part) =>
    gestureNames.flatMap((gesture) =>
      actionsNamed(propertyOf(part, gesture)).map(
        (action): ActionUse => ({ template: template.id, part: part.id, gesture, action }),
      ),
    ),
  );

/** All gestures that name an action. */
export const usesOfAction = (project: Project, id: string): readonly ActionUse[] =>
  shownTemplates(project).flatMap((template) =>
    actionUsesIn(template).filter(({ action }) => action === id),
  );

/** Every gesture that names an action names another one, or nothing. */
export const withActionNamed = (project: Project, from: string, to: string | undefined): Project =>
  withRows(project, ({ row }) =>
    mapParts(row, (part) =>
      gestureNames.reduce((made, gesture) => {
        const named = actionsNamed(propertyOf(made, gesture));
        if (!named.includes(from)) return made;
        const next = named.flatMap((id) => (id !== from ? [id] : to === undefined ? [] : [to]));
        return withProperty(made, gesture, next.length === 0 ? undefined : next.join(' '));
      }, part),
    ),
  );

/** The action of a project by its id. */
export const actionWithId = ({ actions = [] }: Project, id: string) => withId(actions, id);

/** The expressions of an action, each through a function. */
function mapActionExpressions(action: Action, map: (expr: string) => string): Action {
  const { when, payload, effect } = action;
  return {
    ...action,
    ...(when !== undefined && { when: map(when) }),
    ...(typeof payload === 'object' && { payload: { expr: map(payload.expr) } }),
    ...(effect?.does === 'write' && { effect: { ...effect, value: map(effect.value) } }),
  };
}

/** The types whose rows raise an action. */
function typesRaising(project: Project, id: string): ReadonlySet<string> {
  const uses = usesOfAction(project, id);
  const types = uses.flatMap(({ template }) => withId(project.templates, template)?.type ?? []);
  return new Set(types);
}

/** Whether an action reads or writes a field of a type, or something inside it. */
export function actionReads(
  project: Project,
  { id, effect, ...action }: Action,
  { type, reads }: { readonly type: string; readonly reads: (expr: string) => boolean },
): boolean {
  if (!typesRaising(project, id).has(type)) return false;
  let isRead = effect?.does === 'write' && reads(effect.field);
  mapActionExpressions({ id, ...(effect && { effect }), ...action }, (expr) => {
    isRead ||= reads(expr);
    return expr;
  });
  return isRead;
}

/**
 * Actions that read a field, under its new name. One that rows of other types raise too stays: a
 * finding says so where it does not fit any more.
 */
export function renamedInActions(
  project: Project,
  types: readonly { readonly id: string }[],
  path: readonly string[],
  name: string,
): Project['actions'] {
  return project.actions?.map((action) => {
    const users = [...typesRaising(project, action.id)];
    const isOwn = users.length > 0 && users.every((user) => types.some(({ id }) => id === user));
    if (!isOwn) return action;
    const renamed = mapActionExpressions(action, (expr) => renameStep(expr, path, name));
    const { effect } = renamed;
    return effect?.does === 'write' && path.length === 1 && effect.field === path[0]
      ? { ...renamed, effect: { ...effect, field: name } }
      : renamed;
  });
}
