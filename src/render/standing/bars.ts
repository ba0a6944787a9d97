import type { Bar, RowPlan, Sequence } from '../../core/lists';
import type { Pictures } from '../parts';
import { bindRow, createRow, type RowView } from '../rows';

type End = 'above' | 'below';

interface Shown {
  readonly above: Bar | undefined;
  readonly below: Bar | undefined;
  readonly plans: readonly RowPlan[];
  readonly sequence: Pick<Sequence, 'coversSafeAreas'>;
}

interface Standing {
  readonly kind: string;
  readonly element: HTMLElement;
  readonly row: RowView;
}

/** What stays in sight above and below the rows: in the scrolling box, before and after all that scrolls. */
export class Bars {
  private readonly standing = new Map<End, Standing>();

  /** What the device keeps for itself: rows pass beneath it, and the last comes to rest above. */
  private readonly safe = document.createElement('div');

  constructor(private readonly host: HTMLElement) {
    this.safe.className = 'yc-safe-below';
  }

  /** Draws both; gives how much of the box they take with what the device keeps at its bottom, in px. */
  show(shown: Shown, pictures: Pictures, safeBelowPx: number): number {
    const { above, below } = shown;
    this.host.style.setProperty('--yc-above', `${above?.heightPx ?? 0}px`);
    this.draw('above', shown, pictures);
    this.draw('below', shown, pictures);
    this.keepClear(shown, safeBelowPx);
    return (above?.heightPx ?? 0) + (below?.heightPx ?? 0) + safeBelowPx;
  }

  /** A bar at the bottom stands above what the device keeps; its ground goes on beneath, or that of the list does. */
  private keepClear({ below, sequence }: Shown, safePx: number): void {
    const bar = this.standing.get('below');
    if (bar !== undefined) {
      bar.element.style.height = `${(below?.heightPx ?? 0) + safePx}px`;
      const { backgroundColor } = bar.row.element.style;
      bar.element.style.background = sequence.coversSafeAreas ? backgroundColor : '';
    }
    this.safe.style.height = `${safePx}px`;
    if (safePx > 0 && below === undefined) this.host.append(this.safe);
    else this.safe.remove();
  }

  stop(): void {
    for (const { element } of this.standing.values()) element.remove();
    this.standing.clear();
    this.safe.remove();
  }

  private draw(end: End, shown: Shown, pictures: Pictures): void {
    const bar = shown[end];
    const plan = bar && shown.plans[bar.entry.plan];
    const kind = plan && JSON.stringify([plan.row, plan.slots, plan.tokens]);
    let own = this.standing.get(end);
    if (own !== undefined && own.kind !== kind) {
      own.element.remove();
      this.standing.delete(end);
      own = undefined;
    }
    if (bar === undefined || plan === undefined || kind === undefined) return;
    own ??= this.make(end, plan, kind);
    own.element.style.height = `${bar.heightPx}px`;
    bindRow(own.row, bar.entry, pictures);
  }

  private make(end: End, plan: RowPlan, kind: string): Standing {
    const row = createRow(plan);
    const element = document.createElement('div');
    element.className = `yc-bar yc-bar-${end}`;
    element.append(row.element);
    if (end === 'above') this.host.prepend(element);
    else this.host.append(element);
    const made = { kind, element, row };
    this.standing.set(end, made);
    return made;
  }
}
