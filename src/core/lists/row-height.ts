import type { MeasuredText } from '../layout';
import { hangsBoxOn } from './box-properties';
import type { PartPlan, RowPlan } from './frame';
import { RowBoxes, type RowPlace } from './row-boxes';

/**
 * What the height of a template's rows hangs on: nothing of the item, its values and
 * the width alone (parts that leave, sizes that follow them), or how wide its texts are.
 */
export type HeightBy = 'nothing' | 'values' | 'texts';

/** What the height of a row hangs on; within a part of fixed height, on nothing. */
export function heightBy({ row, slots }: Pick<RowPlan, 'row' | 'slots'>): HeightBy {
  const parts = new Map([...partsThatCount(row)].map((part) => [part.id, part]));
  const fed = slots.filter(({ part }) => parts.has(part));
  if ([...parts.values()].some(hasLines) || fed.some(({ property }) => property === 'lines'))
    return 'texts';
  const hangs = fed.some(
    ({ part, property, leaves }) =>
      (leaves && parts.get(part)?.part !== 'run') || hangsBoxOn(parts.get(part)?.box, property),
  );
  return hangs || [...parts.values()].some(isAsWide) ? 'values' : 'nothing';
}

/** Pictures that are as high as their width says: in another width of the list, of another height. */
const isAsWide = ({ values }: PartPlan): boolean => values['aspect'] !== undefined;

/** Whether rows of some of these templates may differ in height from each other. */
export const haveOwnHeights = (plans: readonly Pick<RowPlan, 'row' | 'slots'>[]): boolean =>
  plans.some((plan) => heightBy(plan) !== 'nothing');

function* partsThatCount(part: PartPlan): Generator<PartPlan> {
  yield part;
  if (isFixed(part)) return;
  for (const child of part.children) yield* partsThatCount(child);
}

const isFixed = ({ values }: PartPlan): boolean => {
  const { height } = values;
  return typeof height === 'object' && 'fixed' in height;
};

const hasLines = (part: PartPlan): boolean =>
  part.box === 'label' && (part.values['lines'] ?? 1) !== 1 && !isFixed(part);

const usual: RowPlace = { ratio: 1, textSize: 1 };
/** A width for rows whose height is the same in all. */
const anyWidthPx = 360;

/** Height of a row whose every label has one line, in CSS px. */
export function plainHeightPx(plan: Omit<RowPlan, 'heightPx'>, place: RowPlace = usual): number {
  const boxes = new RowBoxes({ ...plan, slots: [] }, place);
  boxes.measure(() => anyText);
  boxes.solve(anyWidthPx);
  return boxes.heightPx;
}

/** Stands in for texts where nothing hangs on them. */
export const anyText: MeasuredText = { isEmpty: false, width: 0, lineCount: () => 1 };
