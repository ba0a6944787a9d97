import type { Entry, RowPlan } from '../../core/lists';
import { activeAround } from '../active';
import { createRow, type RowView } from './row';

/** Where a row stands, in px, and which of how many entries it shows. */
export interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** How high the track of a heading is; undefined: it has none. */
  readonly trackHeight: number | undefined;
  readonly index: number;
  readonly entryCount: number;
}

/** A row in the page: of one kind, for its life or until its template has other sizes; of one item for a while. */
export interface PooledRow extends RowView {
  kind: string;
  readonly role: RowRole;
  /** What stands in the list: the row itself, or what holds it. */
  readonly outer: HTMLElement;
  /** Tells the entry that it shows from all others. */
  identity: string;
  placed: Place | undefined;
  /** It is on its way to where it stands. */
  moving: Animation | undefined;
}

/** A heading stands in a track as high as what it heads, in which it sticks. */
export type RowRole = 'plain' | 'heading';

export const roleOf = ({ kind }: Pick<Entry, 'kind'>): RowRole =>
  kind === 'heading' ? 'heading' : 'plain';

/** Tells an entry from all others of its list, whatever stands around it. */
export const identityOf = ({ kind, key }: Pick<Entry, 'kind' | 'key'>): string => `${kind} ${key}`;

/** Puts a row in its place; only what differs is written. */
export function place(row: PooledRow, now: Place): void {
  const { outer, element, placed: before } = row;
  row.placed = now;
  if (before?.x !== now.x || before.y !== now.y) move(row, now);
  if (before?.width !== now.width) outer.style.width = `${now.width}px`;
  if (before?.height !== now.height) element.style.height = `${now.height}px`;
  if (before?.trackHeight !== now.trackHeight && now.trackHeight !== undefined)
    outer.style.height = `${now.trackHeight}px`;
  if (before?.index === now.index && before.entryCount === now.entryCount) return;
  outer.setAttribute('aria-posinset', String(now.index + 1));
  outer.setAttribute('aria-setsize', String(now.entryCount));
}

/** What sticks does so by where its ancestors are laid out: a transform of theirs would not count. */
function move({ outer, role }: PooledRow, { x, y }: Place): void {
  if (role === 'plain') outer.style.transform = `translate(${x}px, ${y}px)`;
  else {
    outer.style.top = `${y}px`;
    outer.style.left = `${x}px`;
  }
}

/** A row that is asked for. */
interface Wanted {
  readonly kind: string;
  readonly plan: RowPlan;
  readonly role: RowRole;
}

const placeOf = (kind: string, role: RowRole): string => `${role} ${kind}`;

function trackAround(row: HTMLElement): HTMLElement {
  const track = document.createElement('div');
  track.className = 'yc-track';
  const heading = document.createElement('div');
  heading.className = 'yc-heading';
  heading.setAttribute('role', 'heading');
  heading.setAttribute('aria-level', '3');
  heading.append(row);
  // What owns the rows of the section, where they are told as one.
  const section = document.createElement('div');
  section.className = 'yc-section';
  track.append(heading, section);
  return track;
}

const sparesAKind = 2;

/** Rows by kind, made when none of the kind is free and given away again when too many are. */
export class Pool {
  private readonly free = new Map<string, PooledRow[]>();
  private rowCount = 0;
  private madeCount = 0;

  constructor(private readonly parent: HTMLElement) {}

  get made(): number {
    return this.madeCount;
  }

  /** `max`: how many rows may be there in all; free rows of other kinds go before that is passed. */
  take({ kind, plan, role }: Wanted, max: number): PooledRow {
    const place = placeOf(kind, role);
    const spare = this.free.get(place)?.pop();
    if (spare !== undefined) {
      spare.outer.classList.remove('yc-spare');
      return spare;
    }
    if (this.rowCount >= max) this.dropOne(place);
    const view = createRow(plan);
    const outer = role === 'heading' ? trackAround(view.element) : view.element;
    const row: PooledRow = {
      ...view,
      kind,
      role,
      outer,
      identity: '',
      placed: undefined,
      moving: undefined,
    };
    outer.setAttribute('role', 'listitem');
    this.parent.append(outer);
    this.rowCount += 1;
    this.madeCount += 1;
    return row;
  }

  give(row: PooledRow): void {
    const focused = activeAround(row.outer);
    if (focused instanceof HTMLElement && row.outer.contains(focused)) focused.blur();
    row.moving?.cancel();
    row.moving = undefined;
    const place = placeOf(row.kind, row.role);
    const spares = this.free.get(place) ?? [];
    spares.push(row);
    this.free.set(place, spares);
  }

  /** After a pass: what is still free is hidden, and what passes the bound is let go. */
  settle(kinds: ReadonlySet<string>, max: number): void {
    for (const [place, rows] of this.free) {
      const [first] = rows;
      const kept = first !== undefined && kinds.has(first.kind) ? rows : [];
      while (
        rows.length > 0 &&
        (kept !== rows || (rows.length > sparesAKind && this.rowCount > max))
      )
        this.drop(rows);
      for (const row of kept) row.outer.classList.add('yc-spare');
      if (kept !== rows) this.free.delete(place);
    }
  }

  clear(): void {
    for (const rows of this.free.values()) while (rows.length > 0) this.drop(rows);
  }

  private dropOne(except: string): void {
    for (const [place, rows] of this.free) {
      if (place === except || rows.length === 0) continue;
      this.drop(rows);
      return;
    }
  }

  private drop(rows: PooledRow[]): void {
    rows.pop()?.outer.remove();
    this.rowCount -= 1;
  }
}
