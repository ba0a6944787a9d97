/** What the width of a grid's cell comes from; all in px. A list is a grid of one column. */
export interface GridMeasures {
  readonly columns: number;
  readonly edge: number;
  readonly gap: number;
}

/** (width − edges − gaps) ÷ columns, never below 0. */
export function cellWidth(widthPx: number, grid: GridMeasures): number {
  const free = widthPx - 2 * grid.edge - (grid.columns - 1) * grid.gap;
  return Math.max(0, free) / grid.columns;
}

/** Never more columns than a line table can say. */
const maxColumns = 50;

/** As many columns as fit where each cell is to be so wide at least; one in any case. */
export function columnsThatFit(
  widthPx: number,
  { least, edge, gap }: { readonly least: number; readonly edge: number; readonly gap: number },
): number {
  const fitting = Math.floor((widthPx - 2 * edge + gap) / Math.max(1, least + gap));
  return Math.max(1, Math.min(maxColumns, fitting));
}

/** From which width on there are so many of them. */
export const widthForColumns = (
  columns: number,
  { least, edge, gap }: { readonly least: number; readonly edge: number; readonly gap: number },
): number => columns * least + (columns - 1) * gap + 2 * edge;

/** The sum as people write it down: `(360 − 2 × 12 − 2 × 8) ÷ 3 = 106.67 px`. */
export function cellSum(widthPx: number, grid: GridMeasures): string {
  const edges = grid.edge > 0 ? ` − 2 × ${grid.edge}` : '';
  const gaps = grid.columns > 1 && grid.gap > 0 ? ` − ${grid.columns - 1} × ${grid.gap}` : '';
  const result = Math.round(cellWidth(widthPx, grid) * 100) / 100;
  const free = edges + gaps === '' ? `${widthPx}` : `(${widthPx}${edges}${gaps})`;
  return `${free} ÷ ${grid.columns} = ${result} px`;
}

/** What the width of a strip's cell comes from, in px, or how many cells are to be seen at once. */
export interface StripMeasures {
  readonly cell: number | { readonly inSight: number };
  readonly edge: number;
  readonly gap: number;
}

/** As wide as is said, or so that so many are in sight; never wider than the box without its edges. */
export function stripCellWidth(widthPx: number, strip: StripMeasures): number {
  const { cell, edge } = strip;
  const whole = Math.max(0, widthPx - 2 * edge);
  if (typeof cell === 'number') return Math.min(cell, whole);
  const { gaps, edges } = besideCells(strip, cell.inSight);
  return Math.max(0, Math.min(whole, (widthPx - edges - gaps) / cell.inSight));
}

/** The edge before them, and where the last is whole that after it; with the gaps between them. */
function besideCells({ edge, gap }: StripMeasures, inSight: number) {
  const isWhole = Number.isInteger(inSight);
  const gaps = isWhole ? inSight - 1 : Math.floor(inSight);
  return { edges: edge * (isWhole ? 2 : 1), gaps: gaps * gap };
}

/** The sum of a strip's cells as people write it down: `(360 − 12 − 16) ÷ 2.5 = 132.8 px`. */
export function stripSum(widthPx: number, strip: StripMeasures): string {
  const { cell } = strip;
  const result = Math.round(stripCellWidth(widthPx, strip) * 100) / 100;
  if (typeof cell === 'number') return `${result} px`;
  const { edges, gaps } = besideCells(strip, cell.inSight);
  const less = [edges, gaps].map((px) => (px > 0 ? ` − ${px}` : '')).join('');
  const free = less === '' ? `${widthPx}` : `(${widthPx}${less})`;
  return `${free} ÷ ${cell.inSight} = ${result} px`;
}
