import { type Action, wordsOfAction } from '../../actions';
import { type Project, readyAction } from '../../project';
import { kindOf } from '../../values';
import { inComment, tagOf } from './list-js';

/** Declarations of a pack's element, for apps that are written in TypeScript. */
export function listTypes(project: Project): string {
  const { name, sources, lists, looks = [], locales = [], actions = [] } = project;
  const tag = tagOf(name);
  const among = (all: readonly { readonly id: string }[]) =>
    all.map(({ id }) => JSON.stringify(id)).join(' | ') || 'never';
  return `/** The ids of its sources of items. */
export type SourceId = ${among(sources)};

/** An item as it comes: what it has, items.schema.json says. */
export type Item = Readonly<Record<string, unknown>>;

/** What an app says of single items; those that are not named stay as they are. */
export interface ItemChanges {
  readonly added?: readonly Item[];
  /** In the place of those with the same keys. */
  readonly changed?: readonly Item[];
  /** Keys. */
  readonly removed?: readonly string[];
}

/** What an action of the design hands over. */
export interface ActionDetail<Payload> {
  /** Of the row. */
  readonly key: string;
  /** Undefined: the item has no such value. */
  readonly payload: Payload | undefined;
  readonly gesture: 'tap' | 'press' | 'swipeStart' | 'swipeEnd' | 'menu' | 'change';
  /** The page that it leads to, where it leads to one. */
  readonly to?: string;
}

/**
 * Events that bubble, by their names. What the design says comes of them (an item deleted, a field
 * written, a row selected or moved) is done unless the event is prevented.
 */
export interface ListEvents {
${actions.map((action) => `  /** ${inComment(wordsOfAction(action))} */\n  ${JSON.stringify(action.id)}: CustomEvent<ActionDetail<${payloadType(project, action)}>>;\n`).join('')}  /** Any row was pressed. */
  press: CustomEvent<{
    readonly key: string;
    /** Undefined: it is no row, but a heading, say. */
    readonly item: Item | undefined;
    /** What of it. */
    readonly part: string;
  }>;
  /** A control was changed that writes a field of its item. */
  change: CustomEvent<{
    readonly key: string;
    /** The field, by the names that items have as they come. */
    readonly path: readonly string[];
    readonly value: boolean | number;
  }>;
  /** A row was selected, or not any more. */
  selection: CustomEvent<{
    readonly key: string;
    readonly isSelected: boolean;
    /** All that are. */
    readonly keys: readonly string[];
  }>;
  /** A row was moved: next to another one, or into a section. */
  reorder: CustomEvent<{
    readonly key: string;
    readonly to:
      | { readonly key: string; readonly side: 'before' | 'after' }
      | { readonly section: string };
  }>;
  /** The list was pulled down: it waits for what it is given. */
  refresh: CustomEvent<{ waitFor(promise: Promise<unknown>): void }>;
}

/**
 * Attributes: \`list\` (${lists.map(({ id }) => id).join(', ')}), \`look\`${looks.length === 0 ? '' : ` (${looks.map(({ id }) => id).join(', ')})`}, \`locale\`${locales.length === 0 ? '' : ` (${locales.join(', ')})`},
 * \`state\` (loading, failed …), \`filter\`, \`label\`, \`scheme\` (light, dark), \`now\` (a time in the place of
 * the clock’s: ISO 8601 with a zone).
 */
export interface ListElement extends HTMLElement {
  /** The items of the list's first source. */
  items: readonly Item[];
  /** The items of any source. */
  give(source: SourceId, items: readonly Item[]): void;
  /** Changes single items of the list's first source. */
  apply(changes: ItemChanges): void;
  /** Brings a row into sight; false: there is none of that key. */
  scrollToKey(key: string): boolean;
  /** Draws all of it as it is now. */
  refresh(): void;
  addEventListener<Name extends keyof ListEvents>(
    type: Name,
    listener: (event: ListEvents[Name]) => void,
    options?: boolean | AddEventListenerOptions,
  ): void;
  addEventListener(
    type: string,
    listener: EventListenerOrEventListenerObject,
    options?: boolean | AddEventListenerOptions,
  ): void;
}

declare global {
  interface HTMLElementTagNameMap {
    '${tag}': ListElement;
  }
}
`;
}

/** What an action hands over, as TypeScript has it: of all types of items that may raise it. */
function payloadType(project: Project, action: Action): string {
  const { payload = 'item' } = action;
  if (payload === 'item') return 'Item';
  if (payload === 'key') return 'string';
  const types = project.types.map(({ fields }) => {
    const { payload: handed } = readyAction(project, action, fields);
    return handed?.checked === undefined ? undefined : wordsOf(kindOf(handed.checked.type));
  });
  return [...new Set(types.filter((type) => type !== undefined))].join(' | ') || 'unknown';
}

const wordsOf = (kind: string): string =>
  kind === 'number' || kind === 'boolean'
    ? kind
    : kind === 'text' || kind === 'date'
      ? 'string'
      : 'unknown';
