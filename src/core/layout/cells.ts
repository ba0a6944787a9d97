import { cellWidth } from './grid';
import type { Lines } from './lines';

/** What places of cells hang on, besides the lines that they stand in; px. */
interface CellBox {
  readonly edge: number;
  readonly gap: number;
  /** Inner width of the list. */
  readonly widthPx: number;
  readonly isRtl: boolean;
}

/** Where an entry stands from the left of the list, and how wide it is, in px. */
export function cellIn(
  lines: Lines,
  entry: number,
  { edge, gap, widthPx, isRtl }: CellBox,
): { readonly x: number; readonly width: number } {
  const line = lines.of(entry);
  const width = cellWidth(widthPx, { columns: lines.columnsOf(line), edge, gap });
  const start = edge + (entry - lines.firstOf(line)) * (width + gap);
  return { x: isRtl ? widthPx - start - width : start, width };
}
