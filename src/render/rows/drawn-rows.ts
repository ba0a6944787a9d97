import type { Entry, RowPlan } from '../../core/lists';
import { activeAround } from '../active';
import type { Pictures } from '../parts';
import { showKind } from './entry-marks';
import { identityOf, type Place, Pool, type PooledRow, place, type RowRole, roleOf } from './pool';
import { type resizedKinds, resizeRow } from './resize';
import { bindRow } from './row';

/** What rows are drawn of, as it stands now. */
export interface Drawing {
  readonly plans: readonly RowPlan[];
  /** What tells each plan from others. */
  readonly kinds: readonly string[];
  /** Undefined: it has not come yet. */
  entry(index: number): Entry | undefined;
  readonly pictures: Pictures;
  /** It is scrolled so fast that pictures wait. */
  readonly isFast: boolean;
  readonly selectedKey: string | undefined;
  /** Keys of the rows that a reader has selected. */
  readonly chosen: ReadonlySet<string>;
  /** Each row lights up as it is bound. */
  readonly marksBound: boolean;
}

/** Rows that were in use, by what they show. */
export type Held = Map<string, PooledRow>;

/** The rows of one scrolling box: as many as it shows, and a few more. */
export class DrawnRows {
  /** In use, by the entry that each shows. */
  private readonly rows = new Map<number, PooledRow>();
  private readonly pool: Pool;
  private readonly pictureless = new Set<number>();
  private boundCount = 0;

  constructor(
    parent: HTMLElement,
    private readonly drawing: () => Drawing,
    private readonly placeOf: (index: number, role: RowRole) => Place,
  ) {
    this.pool = new Pool(parent);
  }

  /** What practitioners ask of a pool: rows made so far, in use now, and bindings since the start. */
  get counts() {
    return { made: this.pool.made, inUse: this.rows.size, bound: this.boundCount };
  }

  get elements(): readonly HTMLElement[] {
    return [...this.rows.values()].map(({ element }) => element);
  }

  /** Rows in use. */
  get inUse(): Iterable<PooledRow> {
    return this.rows.values();
  }

  get places(): Iterable<number> {
    return this.rows.keys();
  }

  /** What stands in the box for each entry. */
  *standing(): Generator<{ readonly index: number; readonly element: HTMLElement }> {
    for (const [index, { outer }] of this.rows) yield { index, element: outer };
  }

  /** The entry whose row an element is in; -1: none. */
  at(target: Element): number {
    for (const [index, row] of this.rows) if (row.element.contains(target)) return index;
    return -1;
  }

  /** The row of an entry, if it has one. */
  elementOf(index: number): HTMLElement | undefined {
    return this.rows.get(index)?.element;
  }

  /** All rows in use, by what they show: until it is known where that stands now. */
  hold(): Held {
    const held: Held = new Map();
    for (const row of this.rows.values()) {
      if (held.has(row.identity)) this.pool.give(row);
      else held.set(row.identity, row);
    }
    this.rows.clear();
    this.pictureless.clear();
    return held;
  }

  /** Rows go where their items are now: a press meant for a row finds it, and little is drawn anew. */
  follow(held: Held, places: readonly number[]): void {
    const { entry, kinds } = this.drawing();
    for (const index of places) {
      const own = entry(index);
      const row = own && held.get(identityOf(own));
      if (own === undefined || row === undefined || row.kind !== kinds[own.plan]) continue;
      held.delete(row.identity);
      this.put(row, index, own);
    }
    for (const row of held.values()) this.pool.give(row);
  }

  /** Gives these entries rows, as far as they have come, and takes them from all others. */
  draw(places: readonly number[], isScaled: boolean): void {
    const wanted = new Set(places);
    for (const [index, row] of this.rows)
      if (!wanted.has(index) && !isHeld(row)) {
        this.rows.delete(index);
        this.pool.give(row);
      }
    const { kinds } = this.drawing();
    const max = places.length + 2 * Math.max(1, kinds.length);
    for (const index of places) {
      const row = this.rows.get(index);
      if (row === undefined) this.fill(index, max);
      else if (isScaled) this.position(row, index);
    }
    this.pool.settle(new Set(kinds), max);
  }

  /** A row as if it was of another entry, until it is bound the next time. */
  preview(index: number, entry: Entry | undefined): void {
    const row = this.rows.get(index);
    if (row !== undefined && entry !== undefined) bindRow(row, entry, this.drawing().pictures);
  }

  /** All rows where they stand in a box that has changed. */
  placeAll(): void {
    for (const [index, row] of this.rows) this.position(row, index);
  }

  markAll(): void {
    for (const [index, row] of this.rows) this.mark(row, this.drawing().entry(index));
  }

  /** The pictures that waited while it was scrolled fast. */
  showPictures(): void {
    const { entry, pictures } = this.drawing();
    for (const index of this.pictureless) {
      const row = this.rows.get(index);
      const own = entry(index);
      if (row !== undefined && own !== undefined) bindRow(row, own, pictures);
    }
    this.pictureless.clear();
  }

  /** Gives an entry a row, if the entry has come already. */
  private fill(index: number, max: number): void {
    const { entry, plans, kinds } = this.drawing();
    const own = entry(index);
    const plan = own && plans[own.plan];
    const kind = own && kinds[own.plan];
    if (own === undefined || plan === undefined || kind === undefined) return;
    this.put(this.pool.take({ kind, plan, role: roleOf(own) }, max), index, own);
  }

  private put(row: PooledRow, index: number, entry: Entry): void {
    const { isFast, pictures, marksBound } = this.drawing();
    row.identity = identityOf(entry);
    this.rows.set(index, row);
    showKind(row, entry);
    bindRow(row, entry, isFast ? 'later' : pictures);
    if (isFast) this.pictureless.add(index);
    this.boundCount += row.targets.length;
    if (marksBound) lightUp(row);
    this.mark(row, entry);
    this.position(row, index);
  }

  private position(row: PooledRow, index: number): void {
    place(row, this.placeOf(index, row.role));
  }

  private mark(row: PooledRow, entry: Entry | undefined): void {
    const isAtHand = entry?.kind === 'row' && entry.key === this.drawing().selectedKey;
    row.element.classList.toggle('yc-at-hand', isAtHand);
    const isChosen = entry?.kind === 'row' && this.drawing().chosen.has(entry.key);
    row.element.classList.toggle('yc-chosen', isChosen);
    for (const control of row.selecting) control.ariaChecked = String(isChosen);
    if (isChosen) row.outer.setAttribute('aria-current', 'true');
    else row.outer.removeAttribute('aria-current');
  }
}

/** Rows of templates that have got other sizes, and nothing else, stay and take them. */
export function resizeHeld(held: Held, resized: ReturnType<typeof resizedKinds>): void {
  for (const row of resized.size === 0 ? [] : held.values()) {
    const sizes = resized.get(row.kind);
    if (sizes === undefined) continue;
    resizeRow(row, sizes.resizes);
    row.kind = sizes.kind;
  }
}

const lightMs = 700;

function lightUp({ element }: PooledRow): void {
  const light = (alpha: number) => `inset 0 0 0 3px rgb(196 92 60 / ${alpha})`;
  element.animate({ boxShadow: [light(1), light(0)] }, lightMs);
}

/**
 * Who is in a row by keyboard keeps it: given to another item, the next key would act on that. So
 * does who carries it.
 */
const isHeld = ({ outer }: PooledRow): boolean =>
  outer.contains(activeAround(outer)) || outer.classList.contains('yc-lifted');
