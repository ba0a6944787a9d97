/**
 * Layout: how high and wide rows and cells are, as numbers, without drawing. It knows no
 * templates and touches no view; lists, the renderer and the engine call it.
 */
export { naturalWidth } from './boxes/content-width';
export {
  type Alignment,
  alignmentOf,
  type BlockNode,
  type Box,
  borderUnitsAt,
  type Distribution,
  type Insets,
  isCut,
  type LabelNode,
  type LayoutNode,
  type Length,
  lineUnitsAt,
  type MeasuredText,
  newBlock,
  newLabel,
  newStack,
  type StackNode,
  shownLines,
  unitsAt,
} from './boxes/node';
export { type Placed, placed } from './boxes/placed';
export { solve } from './boxes/solve';
export { cellIn } from './cells';
export {
  cellSum,
  cellWidth,
  columnsThatFit,
  type GridMeasures,
  type StripMeasures,
  stripCellWidth,
  stripSum,
  widthForColumns,
} from './grid';
export { Lines, type LineTable, unitsOf } from './lines';
