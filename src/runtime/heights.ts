import type { MeasuresRows, RowBox, RowHeights, RowValues } from '../core/arranged';
import { unitsOf } from '../core/layout';
import { breadthAt, type EntryWidths, heightBy, type RowPlan, widthOf } from '../core/lists';
import type { EntryValue } from '../core/templates';
import { bindRow, createRow, type RowView } from '../render';

/** Heights of entries as the page lays them out; rough ones until they are about to be seen. */
interface PageHeights extends RowHeights {
  readonly units: Int32Array;
  changeCount: number;
  readonly isKnown: Uint8Array;
}

/** What they are of. */
interface MadeOf {
  readonly rows: RowValues;
  readonly box: RowBox;
  readonly hangsOn: readonly boolean[];
}

const noPictures = () => undefined;

/**
 * Measures rows in the page itself, before they are seen: the runtime has no measurer of texts. All
 * rows that are asked for at once are laid out at once, after all of them are written.
 */
export class RowsInPage implements MeasuresRows {
  private heights: PageHeights | undefined;
  private of: MadeOf | undefined;
  /** Rows to measure with, by the position of their plan. */
  private readonly spare = new Map<number, RowView[]>();
  private ofPlans: readonly RowPlan[] = [];

  /** `host`: where they stand unseen, among what gives rows their looks. `changed`: told of other heights than before. */
  constructor(
    private readonly host: HTMLElement,
    private readonly changed: () => void,
  ) {}

  heightsOf(rows: RowValues, box: RowBox | undefined): RowHeights | undefined {
    if (box === undefined) return undefined;
    const hangsOn = rows.plans.map((plan) => heightBy(plan) !== 'nothing');
    if (!hangsOn.some(Boolean)) {
      this.heights = undefined;
      return undefined;
    }
    const { of } = this;
    const isSame =
      of !== undefined &&
      of.rows.arranged === rows.arranged &&
      of.rows.plans === rows.plans &&
      isAsWide(of.box.widths, box.widths);
    if (this.heights === undefined || !isSame) {
      this.heights = roughHeights(rows, hangsOn);
      this.of = { rows, box, hangsOn };
    }
    return this.heights;
  }

  measure(places: readonly number[]): boolean {
    const { heights, of } = this;
    if (heights === undefined || of === undefined) return false;
    const wanted = places.filter((place) => heights.isKnown[place] === 0);
    let isChanged = false;
    for (const [place, px] of this.laidOut(wanted, of)) {
      heights.isKnown[place] = 1;
      const units = unitsOf(px);
      if (heights.units[place] === units) continue;
      heights.units[place] = units;
      isChanged = true;
    }
    if (isChanged) {
      heights.changeCount += 1;
      this.changed();
    }
    return true;
  }

  shrunkIn(): undefined {
    return undefined;
  }

  shrunkOf(): undefined {
    return undefined;
  }

  heightOf(plan: RowPlan, values: readonly EntryValue[], box: RowBox | undefined) {
    if (box === undefined || heightBy(plan) === 'nothing') return undefined;
    const view = createRow(plan);
    this.host.append(view.element);
    this.write(view, values, box.widths.line);
    const { height } = view.element.getBoundingClientRect();
    view.element.remove();
    return height;
  }

  /** All are written before the first is asked how high it is. */
  private laidOut(
    places: readonly number[],
    { rows, box }: MadeOf,
  ): readonly (readonly [place: number, px: number])[] {
    if (rows.plans !== this.ofPlans) {
      this.host.replaceChildren();
      this.spare.clear();
      this.ofPlans = rows.plans;
    }
    const used = new Map<number, number>();
    const views = places.flatMap((place): [number, RowView][] => {
      const at = rows.arranged.plans[place] ?? 0;
      const view = this.viewOf(at, used.get(at) ?? 0);
      if (view === undefined) return [];
      used.set(at, (used.get(at) ?? 0) + 1);
      const breadth = breadthAt(rows.arranged, rows.breadths, place);
      this.write(view, rows.valuesAt(place), widthOf(breadth, box.widths));
      return [[place, view]];
    });
    return views.map(([place, view]) => [place, view.element.getBoundingClientRect().height]);
  }

  private viewOf(at: number, number: number): RowView | undefined {
    const plan = this.ofPlans[at];
    const spare = this.spare.get(at) ?? [];
    this.spare.set(at, spare);
    if (spare[number] === undefined && plan !== undefined) {
      const view = createRow(plan);
      this.host.append(view.element);
      spare.push(view);
    }
    return spare[number];
  }

  private write(view: RowView, values: readonly EntryValue[], widthPx: number): void {
    view.element.style.width = `${widthPx}px`;
    bindRow(view, { kind: 'row', key: '', plan: 0, values }, noPictures);
  }
}

const isAsWide = (one: EntryWidths, other: EntryWidths): boolean =>
  one.cell === other.cell && one.line === other.line && one.strip === other.strip;

/** How many times as high as with one line a label a row is taken for until it is measured. */
const roughly = 1.4;

function roughHeights({ arranged, plans }: RowValues, hangsOn: readonly boolean[]): PageHeights {
  const rough = plans.map(({ heightPx }, at) => unitsOf(heightPx * (hangsOn[at] ? roughly : 1)));
  const units = Int32Array.from(arranged.plans, (plan) => rough[plan] ?? 0);
  const isKnown = Uint8Array.from(arranged.plans, (plan) => (hangsOn[plan] ? 0 : 1));
  return { units, changeCount: 0, isKnown };
}
