import type { Project } from '../../project';
import { tagOf } from './list-js';

/** Declarations of a pack's element, for apps that are written in TypeScript. */
export function listTypes({ name, sources, lists, looks = [], locales = [] }: Project): string {
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

/** A row was pressed. */
export interface PressDetail {
  readonly key: string;
  /** Undefined: it is no row, but a heading, say. */
  readonly item: Item | undefined;
  /** What of it. */
  readonly part: string | undefined;
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
  addEventListener(
    type: 'press',
    listener: (event: CustomEvent<PressDetail>) => void,
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
