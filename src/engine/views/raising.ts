import { type Action, actionsNamed, type Gesture } from '../../core/actions';
import type { Json } from '../../core/base';
import type { SectionTable } from '../../core/lists';
import {
  type ActionReady,
  actionWithId,
  type Project,
  readyAction,
  withId,
} from '../../core/project';
import { partWithId, propertyOf } from '../../core/templates';
import { type RowContext, typeOfResult } from '../../core/values';
import type { ItemPlace, ShownList, World } from './shown-list';

/** A gesture on a part of an item's row. */
export interface GestureTask {
  /** Of the row. */
  readonly key: string;
  readonly template: string;
  readonly part: string;
  readonly gesture: Gesture;
}

/** An action that a gesture raises for an item. */
export interface Raised {
  readonly action: Action;
  /** Whether its condition holds. */
  readonly isAllowed: boolean;
  /** What is handed over; undefined: it has no value. */
  readonly payload: Json | undefined;
  readonly payloadType: string;
  /** What its effect writes; undefined: nothing, or no value. */
  readonly written: Json | undefined;
}

/** What a gesture comes to. */
export interface GestureAnswer {
  /** Where its item is; undefined: it is of none any more. */
  readonly at: ItemPlace | undefined;
  /** All actions that it may raise, allowed or not, in the order of the template. */
  readonly raised: readonly Raised[];
}

/** What a view knows that rows are acted on in. */
export interface Acting {
  readonly world: World;
  readonly of: ShownList;
  /** Undefined: the list has no sections. */
  readonly table: SectionTable | undefined;
  contextOf(item: number): RowContext;
}

export function answerTo(
  acting: Acting,
  { key, template, part, gesture }: GestureTask,
): GestureAnswer {
  const { world, of } = acting;
  const { project } = world;
  const item = of.itemOfKey(key);
  const at = item < 0 ? undefined : of.placeOf(item);
  const own = withId(project?.templates ?? [], template);
  const drawn = own && partWithId(own.row, part);
  if (project === undefined || own === undefined || drawn === undefined) return { at, raised: [] };
  const raised = actionsNamed(propertyOf(drawn, gesture)).flatMap((id) => {
    const action = actionWithId(project, id);
    if (action === undefined) return [];
    const ready = readyIn({ world, project }, own.type, action);
    return [raisedFor(acting, ready, { item, key, type: at?.type })];
  });
  return { at, raised };
}

/** For one project at a time, each made ready once: all rows may be asked for. */
const known = new WeakMap<
  World,
  { readonly project: Project; readonly ready: Map<string, ActionReady> }
>();

export function readyIn(
  { world, project }: { readonly world: World; readonly project: Project },
  type: string,
  action: Action,
): ActionReady {
  const before = known.get(world);
  const own = before?.project === project ? before : { project, ready: new Map() };
  if (own !== before) known.set(world, own);
  const key = `${type} ${action.id}`;
  const ready =
    own.ready.get(key) ??
    readyAction(project, action, withId(project.types, type)?.fields ?? [], world.lookUp);
  own.ready.set(key, ready);
  return ready;
}

interface ActedOn {
  /** Position among all of the list; -1: none. */
  readonly item: number;
  readonly key: string;
  readonly type: string | undefined;
}

function raisedFor(acting: Acting, ready: ActionReady, { item, key, type }: ActedOn): Raised {
  const own = acting.of.items()[item];
  const context = acting.contextOf(item);
  const { action, when, payload, written } = ready;
  const isAllowed =
    when === undefined || (own !== undefined && when.evaluate?.(own, context) === true);
  const handed = {
    item: () => ({ payload: own, payloadType: type ?? 'item' }),
    key: () => ({ payload: key, payloadType: 'key' }),
    expr: () => ({
      payload: own && payload?.evaluate?.(own, context),
      payloadType: typeWords(ready),
    }),
  };
  return {
    ...{ action, isAllowed },
    ...handed[typeof action.payload === 'object' ? 'expr' : (action.payload ?? 'item')](),
    written: own && written?.evaluate?.(own, context),
  };
}

const typeWords = ({ payload }: ActionReady): string =>
  payload?.checked === undefined ? 'unknown' : typeOfResult(payload.checked.type);
