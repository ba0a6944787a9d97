import type { Action } from '../../actions';
import { type Expression, type Field, makeExpression } from '../../values';
import { environmentOf, type FindItem } from '../environment';
import type { Project } from '../project';

/** An action made ready for items with some fields. */
export interface ActionReady {
  readonly action: Action;
  /** Undefined: it is always allowed. */
  readonly when: Expression | undefined;
  /** Undefined: the item or its key is handed over. */
  readonly payload: Expression | undefined;
  /** What it writes; undefined: nothing. */
  readonly written: Expression | undefined;
}

export function readyAction(
  project: Project,
  action: Action,
  fields: readonly Field[],
  find?: FindItem,
): ActionReady {
  const environment = environmentOf(project, find);
  const { when, payload, effect } = action;
  const made = (text: string, use: 'any' | 'condition') =>
    makeExpression(text, fields, use, environment);
  return {
    action,
    when: when === undefined ? undefined : made(when, 'condition'),
    payload: typeof payload === 'object' ? made(payload.expr, 'any') : undefined,
    written: effect?.does === 'write' ? made(effect.value, 'any') : undefined,
  };
}
