import type { TextDirection } from '../../core/base';
import { isCut, placed, shownLines } from '../../core/layout';
import {
  breadthsOf,
  type Entry,
  type List,
  RowBoxes,
  type RowPlan,
  widthOf,
  widthsIn,
} from '../../core/lists';
import { cutRuns } from '../cut';
import type { RowBox } from '../views';
import type { PackMeasures } from './ports';

/** Where a list stands. */
export interface ListPlace extends Omit<RowBox, 'widths'> {
  /** Inner width, in CSS px. */
  readonly widthPx: number;
  readonly direction: TextDirection;
}

/** A part's box in CSS px, from the top and the left of its row; of a label, what it shows. */
export interface PartBox {
  readonly part: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly lines?: number;
  readonly isCut?: boolean;
  /** By how many px its text is smaller than its style says, at 100 %. */
  readonly smallerBy?: number;
}

/** Solves entries in a list that is so wide. */
export function rowSolver(
  { widthPx, ...place }: Omit<ListPlace, 'direction'>,
  { measures, more }: Pick<PackMeasures, 'measures' | 'more'>,
) {
  return async (list: List, plan: RowPlan, entry: Entry): Promise<RowBoxes> => {
    const widths = widthsIn(list.arrangement, widthPx);
    const ofRow = widthOf(breadthsOf(list.arrangement, [plan.template])?.[0] ?? 0, widths);
    const boxes = new RowBoxes(plan, place);
    boxes.fill(entry.values);
    const measured = () =>
      boxes.measure((runs, language = place.language) =>
        measures.at({ ...place, language })?.of(cutRuns(runs)),
      );
    while (!measured()) await more();
    if (entry.isInStrip === true) boxes.solve(widths.strip);
    else boxes.solve(entry.kind === 'row' ? ofRow : widths.line);
    return boxes;
  };
}

/** The boxes of a row that is solved, its own first. */
export function* partBoxes(
  { row, place }: RowBoxes,
  direction: TextDirection,
): Generator<PartBox, void> {
  const css = (units: number) => units / 64 / place.ratio;
  for (const { node, x, y } of placed(row, direction))
    yield {
      part: node.part,
      ...{ x: css(x), y: css(y), width: css(node.box.width), height: css(node.box.height) },
      ...(node.kind === 'label' && { lines: shownLines(node), isCut: isCut(node) }),
      ...(node.kind === 'label' && node.steps > 0 && { smallerBy: node.steps }),
    };
}
