import type { Turns } from '../../core/base';
import { type Box, solve, unitsAt } from '../../core/layout';
import { type Arranged, type RowPlan, rowNode } from '../../core/lists';
import type { EntryValue, TextStyle } from '../../core/templates';
import type { RowBox, RowMeasures } from './measured-heights';

/** How a label fares in all rows of its template, in the width that the list has. */
export interface LabelCuts {
  readonly rowCount: number;
  readonly cutCount: number;
  /** Item of the first row in which it is cut; -1: none. */
  readonly firstCut: number;
  /** Of the row in which it takes most lines: how many, and its item. */
  readonly maxLines: number;
  readonly longest: number;
  /** Of the row or cell, in CSS px. */
  readonly widthPx: number;
}

interface Rows {
  readonly arranged: Arranged;
  readonly plans: readonly RowPlan[];
  readonly valuesAt: (entry: number) => readonly EntryValue[];
}

const unknown = { isEmpty: false, width: 0, lineCount: () => 1 };
const rowsATurn = 100;

/** Undefined: what it takes to measure is still on its way. */
export function* labelCuts(
  { arranged, plans, valuesAt }: Rows,
  label: { readonly template: string; readonly part: string },
  measures: RowMeasures,
  box: RowBox,
): Turns<LabelCuts | undefined> {
  const wanted = plans.findIndex(({ template }) => template === label.template);
  const plan = plans[wanted];
  const { ratio, widthPx } = box;
  const width = unitsAt(ratio)(widthPx);
  let isKnown = true;
  const text = (words: string, style: TextStyle) => {
    const measure = measures.text(words, style, box);
    if (measure === undefined) isKnown = false;
    return measure ?? unknown;
  };
  const cuts = { rowCount: 0, cutCount: 0, firstCut: -1, maxLines: 0, longest: -1, widthPx };
  for (let entry = 0; plan !== undefined && entry < arranged.items.length; entry += 1) {
    if (entry % rowsATurn === rowsATurn - 1) yield entry / arranged.items.length;
    if (arranged.plans[entry] !== wanted) continue;
    const solved = solve(rowNode(plan, valuesAt(entry), { ratio, text }), width);
    if (!isKnown) return undefined;
    const own = boxOf(solved, label.part);
    const item = arranged.items[entry] ?? -1;
    cuts.rowCount += 1;
    if (own?.isCut === true) {
      cuts.cutCount += 1;
      if (cuts.firstCut < 0) cuts.firstCut = item;
    }
    if (own !== undefined && own.lines > cuts.maxLines) {
      cuts.maxLines = own.lines;
      cuts.longest = item;
    }
  }
  return cuts;
}

function boxOf(box: Box, part: string): Box | undefined {
  if (box.node.part === part) return box;
  for (const child of box.children) {
    const found = boxOf(child, part);
    if (found !== undefined) return found;
  }
  return undefined;
}
