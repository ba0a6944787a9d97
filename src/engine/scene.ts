import type { Item } from '../core/items';
import type { Draft, FindItem, Project } from '../core/project';
import type { CompiledTemplate } from '../core/templates';
import type { RowContext } from '../core/values';
import type { ListBox, Tried } from './views';

/** A part of a template, and the box that its list is drawn in. */
export interface PartTask {
  readonly template: string;
  readonly part: string;
  readonly box: ListBox;
}

/** A row that items may have, drawn with some of them. */
export interface TriedDraft {
  readonly draft: Draft;
  readonly tried: Tried;
}

/** One item as the screens show it. */
export interface ItemAtHand {
  readonly item: number;
  readonly key: string;
  /** Id of its source. */
  readonly source: string;
  /** Where it stands in the list; -1: it is left out. */
  readonly entry: number;
  readonly value: Item;
  readonly type: string | undefined;
  readonly title: string;
}

/** What is shown, as those see it who look at single items: traces, trials, examples. */
export interface Scene {
  readonly project: Project | undefined;
  readonly lookUp: FindItem;
  shownItems(): readonly Item[];
  rawAt(item: number): Item | undefined;
  /** Finds the type of an item by its position. */
  typesShown(): (item: number) => string | undefined;
  itemsOfType(type: string, max: number): readonly number[];
  contextOf(item: number): RowContext;
  localeNow(): string;
  compiled(template: string): CompiledTemplate | undefined;
  /** Entries of items with a template that the project need not have. */
  tryCompiled(template: CompiledTemplate, items: readonly number[]): Tried;
}
