import { cellWidth, columnsThatFit, type StripMeasures, stripCellWidth } from '../../layout';
import type { Arrangement } from '../list';
import { type Breadth, breadths } from './breadths';

/** How wide entries are, in CSS px, by where they stand. */
export type EntryWidths = Readonly<Record<Breadth, number>>;

/** How many columns there are in a list that is so wide, in px. */
export function columnsIn(arrangement: Arrangement, widthPx: number): number {
  if (arrangement.kind !== 'grid') return 1;
  const { columns } = arrangement;
  return typeof columns === 'number'
    ? columns
    : columnsThatFit(widthPx, { ...arrangement, ...columns });
}

/** How wide entries are in a list that is so wide, in px. */
export function widthsIn(arrangement: Arrangement, widthPx: number): EntryWidths {
  const { edge, gap } = arrangement;
  const line = cellWidth(widthPx, { columns: 1, edge, gap });
  return {
    cell: cellWidth(widthPx, { columns: columnsIn(arrangement, widthPx), edge, gap }),
    line,
    strip: stripCellWidth(widthPx, stripMeasures(arrangement)),
  };
}

export const widthOf = (breadth: number, { cell, line, strip }: EntryWidths): number =>
  breadth === breadths.strip ? strip : breadth === breadths.line ? line : cell;

/** What stands between the cells of its strips and around them, in px, and how wide they are. */
export function stripMeasures(arrangement: Arrangement): StripMeasures {
  if (arrangement.kind === 'strip') return { ...arrangement, cell: arrangement.strips.cell };
  return arrangement.strips ?? { ...arrangement, cell: { inSight: 1 } };
}

/** How wide the rows of each template stand; undefined: all as cells. */
export function breadthsOf(
  arrangement: Arrangement,
  templates: readonly string[],
): Uint8Array | undefined {
  if (arrangement.kind === 'strip') return new Uint8Array(templates.length).fill(breadths.strip);
  const spans = arrangement.kind === 'grid' ? (arrangement.spans ?? []) : [];
  const inStrips = arrangement.strips?.templates ?? [];
  if (spans.length + inStrips.length === 0) return undefined;
  return Uint8Array.from(templates, (template) => {
    if (inStrips.includes(template)) return breadths.strip;
    return spans.includes(template) ? breadths.line : breadths.cell;
  });
}

/** What stands beneath the cells of a strip that tells where one is, in px. */
const indicatorPx = 12;

/** What a strip has above and below its cells, in px: among other rows as much as is between them. */
export function roomOfStrips(arrangement: Arrangement): { above: number; below: number } {
  const around = arrangement.kind === 'strip' ? 0 : (arrangement.strips?.gap ?? 0);
  const isMarked = arrangement.strips?.hasIndicator === true;
  return { above: around, below: isMarked ? Math.max(around, indicatorPx) : around };
}
