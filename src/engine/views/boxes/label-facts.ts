import type { Turns } from '../../../core/base';
import { isCut, shownLines } from '../../../core/layout';
import { type RowsOf, solvedRows, widthOfRows } from './solved-rows';

/** How a label fares in all rows of its template, in the width that the list has. */
export interface LabelFacts {
  readonly kind: 'label';
  readonly rowCount: number;
  readonly cutCount: number;
  /** Item of the first row in which it is cut; -1: none. */
  readonly firstCut: number;
  /** In how many rows its text is smaller than its style says, by how many px at most, and where. */
  readonly smallerCount: number;
  readonly smallerBy: number;
  readonly smallest: number;
  /** The width of a row, in whole CSS px, from which on it is cut in none; undefined: at no width. */
  readonly wholeFromPx: number | undefined;
  /** The lines that it takes in the row where it takes most. */
  readonly maxLines: number;
  /** The item of that row; -1 where there is none. */
  readonly longest: number;
  /** What its widest text takes on one line, in CSS px. */
  readonly widestPx: number;
  readonly widest: number;
  /** The width of the row or cell, in CSS px. */
  readonly widthPx: number;
}

/** No screen is wider. */
const widestRowPx = 4_096;

/** Undefined: what it takes to measure is still on its way. */
export function* labelFacts(of: RowsOf, part: string): Turns<LabelFacts | undefined> {
  const { rows, unitsAPx } = of;
  const widthPx = widthOfRows(of);
  const facts: { -readonly [P in keyof LabelFacts]: LabelFacts[P] } = {
    ...{ kind: 'label', rowCount: 0, cutCount: 0, firstCut: -1, wholeFromPx: Math.ceil(widthPx) },
    ...{ smallerCount: 0, smallerBy: 0, smallest: -1 },
    ...{ maxLines: 0, longest: -1, widestPx: 0, widest: -1, widthPx },
  };
  for (const row of solvedRows(of)) {
    if (row === 'turn') {
      yield 0;
      continue;
    }
    const { boxes, entry, item } = row;
    if (boxes === undefined) return undefined;
    facts.rowCount += 1;
    const label = boxes.label(part);
    if (label === undefined) continue;
    const lines = shownLines(label);
    if (lines > facts.maxLines) Object.assign(facts, { maxLines: lines, longest: item });
    if (label.steps > 0) facts.smallerCount += 1;
    if (label.steps > facts.smallerBy)
      Object.assign(facts, { smallerBy: label.steps, smallest: item });
    const ownPx = label.text.width / unitsAPx;
    if (ownPx > facts.widestPx) Object.assign(facts, { widestPx: ownPx, widest: item });
    if (!isCut(label)) continue;
    facts.cutCount += 1;
    if (facts.firstCut < 0) facts.firstCut = item;
    const isCutIn = (width: number): boolean => {
      const own = rows.solve(entry, { cell: width, line: width, strip: width })?.label(part);
      return own !== undefined && isCut(own);
    };
    facts.wholeFromPx = wholeFrom(facts.wholeFromPx, isCutIn);
  }
  return facts;
}

/** The least whole width, from one on, in which a label is whole; more room never cuts it again. */
function wholeFrom(
  from: number | undefined,
  isCutIn: (widthPx: number) => boolean,
): number | undefined {
  if (from === undefined || isCutIn(widestRowPx)) return undefined;
  let [cut, whole] = [from - 1, widestRowPx];
  if (!isCutIn(from)) return from;
  while (whole - cut > 1) {
    const middle = Math.floor((cut + whole) / 2);
    if (isCutIn(middle)) cut = middle;
    else whole = middle;
  }
  return whole;
}
