import type { RowPlan } from '../core/lists';
import { createRow, type RowView } from './row';

/** Where a row stands, in px, and which of how many entries it shows. */
export interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly index: number;
  readonly entryCount: number;
}

/** A row in the page: of one kind, for its life or until its template has other sizes; of one item for a while. */
export interface PooledRow extends RowView {
  kind: string;
  /** The key of the item that it shows. */
  key: string;
  placed: Place | undefined;
}

/** Puts a row in its place; only what differs is written. */
export function place(row: PooledRow, now: Place): void {
  const { element, placed: before } = row;
  const { style } = element;
  row.placed = now;
  if (before?.x !== now.x || before.y !== now.y)
    style.transform = `translate(${now.x}px, ${now.y}px)`;
  if (before?.width !== now.width) style.width = `${now.width}px`;
  if (before?.height !== now.height) style.height = `${now.height}px`;
  if (before?.index === now.index && before.entryCount === now.entryCount) return;
  element.classList.toggle('yc-last', now.index === now.entryCount - 1);
  element.setAttribute('aria-posinset', String(now.index + 1));
  element.setAttribute('aria-setsize', String(now.entryCount));
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

  /** `most`: how many rows may be there in all; free rows of other kinds go before that is passed. */
  take(kind: string, plan: RowPlan, max: number): PooledRow {
    const spare = this.free.get(kind)?.pop();
    if (spare !== undefined) {
      spare.element.classList.remove('yc-spare');
      return spare;
    }
    if (this.rowCount >= max) this.dropOne(kind);
    const row: PooledRow = { ...createRow(plan), kind, key: '', placed: undefined };
    row.element.setAttribute('role', 'listitem');
    this.parent.append(row.element);
    this.rowCount += 1;
    this.madeCount += 1;
    return row;
  }

  give(row: PooledRow): void {
    const focused = document.activeElement;
    if (focused instanceof HTMLElement && row.element.contains(focused)) focused.blur();
    const spares = this.free.get(row.kind) ?? [];
    spares.push(row);
    this.free.set(row.kind, spares);
  }

  /** After a pass: what is still free is hidden, and what passes the bound is let go. */
  settle(kinds: ReadonlySet<string>, max: number): void {
    for (const [kind, rows] of this.free) {
      const kept = kinds.has(kind) ? rows : [];
      while (
        rows.length > 0 &&
        (kept !== rows || (rows.length > sparesAKind && this.rowCount > max))
      )
        this.drop(rows);
      for (const row of kept) row.element.classList.add('yc-spare');
      if (kept !== rows) this.free.delete(kind);
    }
  }

  clear(): void {
    for (const rows of this.free.values()) while (rows.length > 0) this.drop(rows);
  }

  private dropOne(exceptKind: string): void {
    for (const [kind, rows] of this.free) {
      if (kind === exceptKind || rows.length === 0) continue;
      this.drop(rows);
      return;
    }
  }

  private drop(rows: PooledRow[]): void {
    rows.pop()?.element.remove();
    this.rowCount -= 1;
  }
}
