/** What a gesture or a control asks the app for. */
export interface Action {
  /** What the app's event is called. */
  readonly id: string;
  /** What menus and swipes call it; none: its id. */
  readonly words?: string;
  /** The name of a picture. */
  readonly icon?: string;
  /** The name of a colour; none: that of plain ones. */
  readonly colour?: string;
  /** A condition: items for which it does not hold can't be acted on so. */
  readonly when?: string;
  /** What it hands over; none: the whole item. */
  readonly payload?: Payload;
  /** What becomes of the list; none: it is the app's alone. */
  readonly effect?: Effect;
}

export type Payload = 'item' | 'key' | { readonly expr: string };

export type Effect =
  /** A destination, a page of the app, is shown what was handed over. */
  | { readonly does: 'go'; readonly to: string }
  | { readonly does: 'delete' }
  /** A field of the item gets the value of an expression. */
  | { readonly does: 'write'; readonly field: string; readonly value: string }
  /** The row is selected, or not any more. */
  | { readonly does: 'select' }
  /** The list's items are asked for once more. */
  | { readonly does: 'refresh' }
  /** The next page of them is. */
  | { readonly does: 'more' };

/** What starts an action, by the property of a part that names it. */
export const gestures = {
  tap: { words: 'tap', maxActions: 1 },
  press: { words: 'long press', maxActions: 1 },
  swipeStart: { words: 'swipe from the start', maxActions: 3 },
  swipeEnd: { words: 'swipe from the end', maxActions: 3 },
  menu: { words: 'menu', maxActions: 12 },
  change: { words: 'when changed', maxActions: 1 },
} as const;

export type Gesture = keyof typeof gestures;

export const isGesture = (property: string): property is Gesture =>
  Object.hasOwn(gestures, property);

/** The ids of actions that a property names, in the form that the file has: with a space between. */
export const actionsNamed = (said: unknown): readonly string[] =>
  typeof said === 'string' ? said.split(' ').filter(Boolean) : [];

/** What an id is like; several stand with a space between. */
const id = '[a-z][a-z0-9-]{0,59}';
export const idsPattern = `^(${id}( ${id})*)?$`;

export const isActionId = (text: string): boolean => new RegExp(`^${id}$`).test(text);

/** Whether a text names actions, and not too many; it need not be any of the project's. */
export const canNameActions = (text: string, max: number): boolean =>
  new RegExp(idsPattern).test(text) && actionsNamed(text).length <= max;

export const wordsOfAction = ({ id, words }: Pick<Action, 'id' | 'words'>): string => words ?? id;
