/**
 * The items of the sources: stores with their sets and changes, what follows from a project for
 * each item (type, values, key), and changes by hand. Nothing here is drawn or asked about.
 */

export {
  type Beside,
  type BlockColumn,
  changeAt,
  changedItems,
  type ItemChange,
  type OneChange,
  valueTyped,
} from './changes';
export { holdsWords } from './holds-words';
export { ItemStore } from './item-store';
export type { ItemTypes } from './item-types';
export { SourceStore } from './source-store';
export { Titles } from './titles';
