import type { RowValues } from '../../../core/arranged';
import type { EntryWidths, RowBoxes } from '../../../core/lists';
import { entryWidth, type MeasuredRows } from './measured-rows';

/** The rows of one template, in one width. */
export interface RowsOf {
  readonly values: RowValues;
  readonly rows: MeasuredRows;
  readonly template: string;
  readonly widths: EntryWidths;
  /** Units of layout in a CSS px. */
  readonly unitsAPx: number;
}

export interface SolvedRow {
  readonly entry: number;
  readonly item: number;
  /** Undefined: what it takes to measure is still on its way. */
  readonly boxes: RowBoxes | undefined;
}

/** How wide the rows of a template are: what stands beside rows has a line for itself. */
export function widthOfRows({ values, template, widths }: RowsOf): number {
  const { arranged, plans } = values;
  const plan = plans.findIndex((each) => each.template === template);
  const first = arranged.plans.indexOf(plan);
  return entryWidth(values, first, widths);
}

/** One row after the other, solved; `turn`: others should have theirs now. */
export function* solvedRows({
  values,
  rows,
  template,
  widths,
}: RowsOf): Generator<SolvedRow | 'turn', void, unknown> {
  const { arranged, plans } = values;
  const plan = plans.findIndex((each) => each.template === template);
  for (let entry = 0; plan >= 0 && entry < arranged.items.length; entry += 1) {
    if (rows.isTurnOver()) yield 'turn';
    if (arranged.plans[entry] !== plan) continue;
    yield { entry, item: arranged.items[entry] ?? -1, boxes: rows.solve(entry, widths) };
  }
}
