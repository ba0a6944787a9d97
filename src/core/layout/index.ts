/**
 * Layout: how high and wide rows and cells are, as numbers, without drawing. It knows the shapes
 * of templates and touches no view; the renderer and the engine call it.
 */
export {
  type Alignment,
  type Box,
  type Distribution,
  type LayoutNode,
  type Length,
  type MeasuredText,
  solve,
  unitsAt,
} from './boxes';
export { cellSum, cellWidth, type GridMeasures } from './grid';
export { Lines, type LineTable, unitsOf } from './lines';
