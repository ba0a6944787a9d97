import type { Turns } from '../../core/base';
import { isCut, type LabelNode, shownLines } from '../../core/layout';
import type { MeasuredRows, RowValues } from './measured-rows';

/** How a label fares in all rows of its template, in the width that the list has. */
export interface LabelCuts {
  readonly rowCount: number;
  readonly cutCount: number;
  /** Item of the first row in which it is cut; -1: none. */
  readonly firstCut: number;
  /** The lines that it takes in the row where it takes most. */
  readonly maxLines: number;
  /** The item of that row; -1 where there is none. */
  readonly longest: number;
  /** The width of the row or cell, in CSS px. */
  readonly widthPx: number;
}

/** Undefined: what it takes to measure is still on its way. */
export function* labelCuts(
  { arranged, plans }: RowValues,
  rows: MeasuredRows,
  label: { readonly template: string; readonly part: string },
  widthPx: number,
): Turns<LabelCuts | undefined> {
  const plan = plans.findIndex(({ template }) => template === label.template);
  const cuts = { rowCount: 0, cutCount: 0, firstCut: -1, maxLines: 0, longest: -1, widthPx };
  for (let entry = 0; plan >= 0 && entry < arranged.items.length; entry += 1) {
    if (rows.isTurnOver()) yield entry / arranged.items.length;
    if (arranged.plans[entry] !== plan) continue;
    const boxes = rows.solve(entry, widthPx);
    if (boxes === undefined) return undefined;
    const own = boxes.label(label.part);
    const item = arranged.items[entry] ?? -1;
    cuts.rowCount += 1;
    if (own !== undefined) count(cuts, own, item);
  }
  return cuts;
}

function count(cuts: Counted, label: LabelNode, item: number): void {
  if (isCut(label)) {
    cuts.cutCount += 1;
    if (cuts.firstCut < 0) cuts.firstCut = item;
  }
  const lines = shownLines(label);
  if (lines <= cuts.maxLines) return;
  cuts.maxLines = lines;
  cuts.longest = item;
}

type Counted = { -readonly [P in keyof LabelCuts]: LabelCuts[P] };
