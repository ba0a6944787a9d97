/**
 * Layout: how high and wide rows and cells are, as numbers, without drawing. It knows no
 * templates and touches no view; lists, the renderer and the engine call it.
 */
export {
  type Alignment,
  type Box,
  type Distribution,
  type LayoutNode,
  type Length,
  type MeasuredText,
  unitsAt,
} from './boxes/node';
export { solve } from './boxes/solve';
export { cellSum, cellWidth, type GridMeasures } from './grid';
export { Lines, type LineTable, unitsOf } from './lines';
