/** Drawing: rows of a project as SVG, with the fonts that they are measured with. */
export { type DrawingMeasures, type DrawTask, drawRows, type RowsDrawn } from './draw-rows';
