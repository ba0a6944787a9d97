import type { MeasuresRows, RowBox, RowValues } from '../../../core/arranged';
import type { Finding, Turns } from '../../../core/base';
import {
  haveOwnHeights,
  type PartPlan,
  type RowPlan,
  runsOf,
  type Shrunk,
  type Space,
  shrinkingParts,
  spaceOf,
} from '../../../core/lists';
import type { EntryValue } from '../../../core/templates';
import { boxFindings, type CheckedAt } from './box-findings';
import { type LabelFacts, labelFacts } from './label-facts';
import { MeasuredHeights } from './measured-heights';
import { MeasuredRows, type RowMeasures } from './measured-rows';
import { type StackFacts, stackFacts } from './stack-facts';
import { undrawnFindings } from './undrawn';

/** What rows are measured with. */
interface Measurable {
  /** Each change of items or project gives another one. */
  readonly version: number;
  /** Undefined: nobody measures; heights that hang on texts stay rough. */
  readonly measures: RowMeasures | undefined;
}

/** How a part fares in all rows of its template. */
export type PartFacts = LabelFacts | StackFacts;

/** A part of a template. */
export interface PartPlace {
  readonly template: string;
  readonly part: string;
}

/** What of a view hangs on how wide texts are: heights of rows, and how their parts fare. */
export class RowMeasuring implements MeasuresRows {
  private heights: MeasuredHeights | undefined;
  private rows: MeasuredRows | undefined;
  /** What the rows are of. */
  private ofRows: readonly unknown[] = [];

  constructor(private readonly world: Measurable) {}

  /** Heights of entries; undefined: those of their plans. `box`: undefined while nobody has said it. */
  heightsOf(values: RowValues, box: RowBox | undefined): MeasuredHeights | undefined {
    const { measures } = this.world;
    if (box === undefined || measures === undefined || !haveOwnHeights(values.plans)) {
      this.heights = undefined;
      return undefined;
    }
    const rows = this.rowsOf(values, measures, box);
    const { widths } = box;
    if (this.heights === undefined || !this.heights.isOf(rows, widths))
      this.heights = new MeasuredHeights({ of: values, rows, widths }, measures, this.heights);
    return this.heights;
  }

  /** Measures what is about to be seen; false: nothing there hangs on texts. */
  measure(places: readonly number[]): boolean {
    if (this.heights !== undefined)
      for (const { from, to } of runsOf(places)) this.heights.measure(from, to);
    return this.heights !== undefined;
  }

  /** Measures all rows, with turns for others. */
  *measuring(): Turns<void> {
    if (this.heights !== undefined && !this.heights.isDone) yield* this.heights.measuring();
  }

  /** Whether rows are left whose height is rough, though it could be known. */
  get isRough(): boolean {
    return this.heights !== undefined && !this.heights.isDone && !this.heights.isStuck;
  }

  /** How a part fares in all rows; undefined: nothing can be measured, or not yet. */
  *facts(
    values: RowValues,
    { template, part }: PartPlace,
    box: RowBox | undefined,
  ): Turns<PartFacts | undefined> {
    const { measures } = this.world;
    const plan = values.plans.find((each) => each.template === template);
    const kind = plan && partIn(plan.row, part)?.part;
    if (measures === undefined || box === undefined || kind === undefined) return undefined;
    const rows = this.rowsOf(values, measures, box);
    const of = { values, rows, template, widths: box.widths, unitsAPx: 64 * box.ratio };
    if (kind === 'stack') return yield* stackFacts(of, part);
    return kind === 'label' ? yield* labelFacts(of, part) : undefined;
  }

  /** How labels of an entry's row have shrunk; undefined: none may, or it is not yet known. */
  shrunkIn(
    values: RowValues,
    entry: number,
    box: RowBox | undefined,
  ): readonly Shrunk[] | undefined {
    const { measures } = this.world;
    const plan = values.plans[values.arranged.plans[entry] ?? 0];
    if (measures === undefined || box === undefined || plan === undefined || !mayShrink(plan.row))
      return undefined;
    return this.rowsOf(values, measures, box).solve(entry, box.widths)?.shrunk;
  }

  /** The same of a row that stands in no list. */
  shrunkOf(plan: RowPlan, values: readonly EntryValue[], box: RowBox | undefined) {
    return mayShrink(plan.row) ? this.alone(plan, values, box)?.shrunk : undefined;
  }

  /** How high a row is that stands in no list, in CSS px; undefined: it is not yet known. */
  heightOf(plan: RowPlan, values: readonly EntryValue[], box: RowBox | undefined) {
    return this.alone(plan, values, box)?.heightPx;
  }

  /** Who takes the room of a stack in a row, whether a list shows it or not; undefined: there is none, or not yet. */
  spaceIn(
    plan: RowPlan,
    values: readonly EntryValue[],
    part: string,
    box: RowBox | undefined,
  ): Space | undefined {
    const node = this.alone(plan, values, box)?.node(part);
    return node?.kind === 'stack' && box !== undefined ? spaceOf(node, 64 * box.ratio) : undefined;
  }

  /** The boxes of a row by itself. */
  private alone(plan: RowPlan, values: readonly EntryValue[], box: RowBox | undefined) {
    const { measures } = this.world;
    if (measures === undefined || box === undefined) return undefined;
    const one = {
      arranged: { kinds: new Uint8Array(1), items: Int32Array.of(0), plans: Uint16Array.of(0) },
      plans: [plan],
      valuesAt: () => values,
    };
    return new MeasuredRows(one, measures, box).solve(0, box.widths);
  }

  /** What is wrong with boxes at all that is asked for. */
  *findings(values: RowValues, at: CheckedAt): Turns<readonly Finding[]> {
    const { measures } = this.world;
    if (measures === undefined || at.widths.length === 0) return [];
    return [
      ...(yield* boxFindings(values, measures, at)),
      ...(yield* undrawnFindings(values, measures, at.language)),
    ];
  }

  /** The rows as they can be solved in any width. */
  private rowsOf(values: RowValues, measures: RowMeasures, box: RowBox): MeasuredRows {
    const { version } = this.world;
    const of = [
      values.arranged,
      values.plans,
      version,
      box.ratio,
      box.textSize,
      box.language,
      measures.facesId,
    ];
    if (this.rows === undefined || of.some((each, at) => each !== this.ofRows[at])) {
      this.rows = new MeasuredRows(values, measures, box);
      this.ofRows = of;
    }
    return this.rows;
  }
}

const mayShrink = (row: PartPlan): boolean => shrinkingParts(row).next().done !== true;

function partIn(plan: PartPlan, id: string): PartPlan | undefined {
  if (plan.id === id) return plan;
  for (const child of plan.children) {
    const found = partIn(child, id);
    if (found !== undefined) return found;
  }
  return undefined;
}
