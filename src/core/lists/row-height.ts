import { solve } from '../layout';
import type { EntryValue } from '../templates';
import type { PartPlan, RowPlan } from './frame';
import { type Measuring, rowNode } from './row-node';

/** Whether rows of a template may differ in height: some label in it takes as many lines as its text. */
export const hangsOnText = ({ row }: Pick<RowPlan, 'row'>): boolean => hasLines(row);

const hasLines = ({ part, values, children }: PartPlan): boolean =>
  (part !== 'stack' && (values['lines'] ?? 1) !== 1) || children.some(hasLines);

/** Stands in for texts where nothing hangs on them. */
const oneLine: Measuring = {
  ratio: 1,
  text: () => ({ isEmpty: false, width: 0, lineCount: () => 1 }),
};
const anyWidthPx = 360;

/** Height of a row whose every label has one line, in CSS px. */
export const plainHeightPx = (plan: Omit<RowPlan, 'heightPx'>): number =>
  heightPxOf({ ...plan, slots: [] }, [], anyWidthPx, oneLine);

/** Height of a row with an entry's values in a width, in CSS px. */
export function heightPxOf(
  plan: Omit<RowPlan, 'heightPx'>,
  values: readonly EntryValue[],
  widthPx: number,
  measuring: Measuring,
): number {
  const { ratio } = measuring;
  const width = Math.floor(Math.fround(Math.fround(widthPx) * ratio) * 64);
  return solve(rowNode(plan, values, measuring), width).height / 64 / ratio;
}
