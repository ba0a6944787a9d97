/**
 * A list as it stands: its sequence kept as items, templates and states change, the entries that are
 * asked for, finished. Who measures rows and who makes their values are ports. The studio's views and
 * the element of the pack are made of it; it reads no expression.
 */
export {
  ArrangedList,
  type ArrangingList,
  type ListFrame,
  type PartOfList,
  type RowMaker,
} from './arranged-list';
export type { Around } from './entry-context';
export type { RowHeights } from './list-sequence';
export type { EntryRange, Kept, ListBox } from './range';
export type { MeasuresRows, RowBox, RowValues } from './rows';
