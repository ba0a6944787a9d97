import type { PartPlan, RowPlan } from './frame';
import { RowBoxes, type RowPlace } from './row-boxes';

/** Whether rows of a template may differ in height: some label in it takes as many lines as its text. */
export const hangsOnText = ({ row }: Pick<RowPlan, 'row'>): boolean => hasLines(row);

const hasLines = ({ part, values, children }: PartPlan): boolean =>
  (part !== 'stack' && (values['lines'] ?? 1) !== 1) || children.some(hasLines);

const usual: RowPlace = { ratio: 1, textSize: 1 };
/** A width for rows whose height is the same in all. */
const anyWidthPx = 360;

/** Height of a row whose every label has one line, in CSS px. */
export function plainHeightPx(plan: Omit<RowPlan, 'heightPx'>, place: RowPlace = usual): number {
  const boxes = new RowBoxes({ ...plan, slots: [] }, place);
  for (const { node } of boxes.labels) node.text = oneLine;
  boxes.solve(anyWidthPx);
  return boxes.heightPx;
}

/** Stands in for texts where nothing hangs on them. */
const oneLine = { isEmpty: false, width: 0, lineCount: () => 1 };
