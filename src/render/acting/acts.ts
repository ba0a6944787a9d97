import { actionsNamed, type Gesture } from '../../core/actions';
import { ownValue } from '../../core/base';
import type { Entry, PartPlan, RowPlan } from '../../core/lists';
import { knownId } from '../../core/templates';
import type { DrawnPicture } from '../parts';
import { type ControlValue, isControl } from './changes';
import type { DropPlace } from './gaps';

/** A gesture on a part of an entry. */
export interface GesturePlace {
  readonly entry: Entry;
  /** Id in its template. */
  readonly part: string;
  readonly gesture: Gesture;
}

/** An action as it is offered where several are. */
export interface Offered {
  readonly id: string;
  readonly words: string;
  /** As style sheets say it; undefined: that of plain ones. */
  readonly colour: string | undefined;
  readonly icon: DrawnPicture | undefined;
  /** Its condition holds for the item. */
  readonly isAllowed: boolean;
}

/** What is done with gestures. */
export interface ActingPorts {
  offered(place: GesturePlace): Promise<readonly Offered[]>;
  /** `action`: the one that was chosen; undefined: what the gesture names. */
  act(place: GesturePlace, action?: string): void;
  /** A control was changed. */
  change(place: GesturePlace, value: ControlValue): void;
  /** What a mouse stands for: itself, or a finger. */
  hands(): 'touch' | 'pointer';
  /** A row was let go somewhere else. */
  move(entry: Entry, to: DropPlace): void;
  /** Whether rows may be moved. */
  reorders(): boolean;
  /** Whether the list may be pulled down to have its items asked for once more. */
  refreshes(): boolean;
  refresh(): Promise<void>;
  /** Tells those who don't see it. */
  say(words: string): void;
  /** Where gestures act; otherwise rows are pressed to be looked at. */
  isLiving(): boolean;
}

/** The gestures that name the actions of a row's menu. */
const inMenu = ['menu', 'swipeStart', 'swipeEnd', 'press'] as const satisfies readonly Gesture[];

/** The ids of actions that a gesture on a part names. */
export const actionsOf = (part: PartPlan, gesture: Gesture): readonly string[] =>
  actionsNamed(ownValue(part.values, gesture));

/** Whether a row has a menu, of its own or of what its other gestures do. */
export const hasMenu = ({ row }: RowPlan): boolean =>
  inMenu.some((gesture) => actionsOf(row, gesture).length > 0);

/** Where the actions of an entry's menu come from, each once. */
export const menuPlaces = (entry: Entry, { row }: RowPlan): readonly GesturePlace[] =>
  inMenu
    .filter((gesture) => actionsOf(row, gesture).length > 0)
    .map((gesture) => ({ entry, part: knownId(row.id), gesture }));

/** The innermost part, from what was hit outwards, that answers a tap; the row if none does. */
export function tapped(target: Element, { row }: RowPlan): PartPlan {
  const byId = new Map<string, PartPlan>();
  const visit = (part: PartPlan) => {
    byId.set(part.id, part);
    part.children.forEach(visit);
  };
  visit(row);
  for (
    let drawn = target.closest<HTMLElement>('[data-part]');
    drawn !== null;
    drawn = drawn.parentElement?.closest<HTMLElement>('[data-part]') ?? null
  ) {
    const part = byId.get(drawn.dataset['part'] ?? '');
    if (part !== undefined && (isControl(part) || actionsOf(part, 'tap').length > 0)) return part;
    if (part === row) break;
  }
  return row;
}
