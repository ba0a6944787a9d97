/** Drawing: rows of a project as SVG, with the fonts that they are measured with. */
export { type DrawTask, drawRows, type RowsDrawn } from './draw-rows';
