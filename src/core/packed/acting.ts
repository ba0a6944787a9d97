import { type Action, actionsNamed, type Gesture } from '../actions';
import { isRecord, type Json, ownValue } from '../base';
import type { Item } from '../items';
import type { PartPlan } from '../lists';
import { knownId } from '../templates';
import type { RowContext } from '../values';
import type { PackedExpression, PackedProject } from './packed';
import type { EvaluateOf } from './templates';

/** What a gesture on a part of a row raises. */
export interface PackedRaised {
  readonly action: Action;
  /** Whether its condition holds. */
  readonly isAllowed: boolean;
  /** What is handed over; undefined: it has no value. */
  readonly payload: Json | undefined;
  /** What its effect writes; undefined: nothing, or no value. */
  readonly written: { readonly path: readonly string[]; readonly value: Json } | undefined;
}

/** An item's row that is acted on. */
export interface ActedRow {
  readonly key: string;
  /** Undefined: it is of none. */
  readonly item: Item | undefined;
  readonly context: RowContext;
  /** Position of its template. */
  readonly plan: number;
}

export interface ActedPart {
  /** Its id, as its template has it. */
  readonly part: string;
  readonly gesture: Gesture;
}

/** All actions that a gesture may raise, allowed or not, in the order of the template. */
export function raisedBy(
  project: PackedProject,
  row: ActedRow,
  { part, gesture }: ActedPart,
  evaluateOf: EvaluateOf,
): readonly PackedRaised[] {
  const template = project.templates[row.plan];
  const drawn = template && partIn(template.plan.row, part);
  const ready = new Map(template?.actions);
  return actionsNamed(drawn && ownValue(drawn.values, gesture)).flatMap((id) => {
    const action = project.actions.find((each) => each.id === id);
    if (action === undefined) return [];
    const { when, payload, written } = ready.get(id) ?? {};
    const value = (expression: PackedExpression) =>
      row.item && (evaluateOf(expression)?.(row.item, row.context) as Json | undefined);
    const handed = { item: () => row.item, key: () => row.key, expr: () => value(payload ?? null) };
    const own = written && value(written.expr);
    return [
      {
        action,
        isAllowed: when === undefined || value(when) === true,
        payload: handed[typeof action.payload === 'object' ? 'expr' : (action.payload ?? 'item')](),
        written: written && own !== undefined ? { path: written.path, value: own } : undefined,
      },
    ];
  });
}

/** The field that a control of a template writes. */
export const writtenBy = (
  { templates }: PackedProject,
  plan: number,
  part: string,
): readonly string[] | undefined =>
  templates[plan]?.writes.find(([id]) => knownId(id) === part)?.[1];

/** An item with another value at a path; records that are missing on the way are made. */
export function withValueAt(
  item: Item,
  [name = '', ...rest]: readonly string[],
  value: Json,
): Item {
  const inside = ownValue(item, name);
  const own = rest.length === 0 ? value : withValueAt(isRecord(inside) ? inside : {}, rest, value);
  // A computed name in a literal is an own key, also where it is `__proto__`.
  return { ...item, [name]: own };
}

function partIn(plan: PartPlan, id: string): PartPlan | undefined {
  if (knownId(plan.id) === id) return plan;
  for (const child of plan.children) {
    const found = partIn(child, id);
    if (found !== undefined) return found;
  }
  return undefined;
}
