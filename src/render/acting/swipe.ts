import { actionButtons } from './action-buttons';
import type { Offered } from './acts';
import type { Side } from './recognizer';

/** So wide is each action that a swipe brings out, in px. */
export const actionPx = 84;

/** The row that is moved aside, and what comes out beside it: one at a time. */
export class Swipe {
  private row: HTMLElement | undefined;
  private panel: HTMLElement | undefined;
  private side: Side = 'end';
  private px = 0;

  /** How far a row is moved, towards the end of lines. */
  movedPx(row: Element | null): number {
    return row !== null && row === this.row ? this.px : 0;
  }

  /** Moves a row, so that its actions at one side come out. */
  move(row: HTMLElement, px: number, isRtl: boolean): void {
    if (this.row !== row) this.close();
    this.row = row;
    const side: Side = px >= 0 ? 'start' : 'end';
    if (this.panel === undefined || side !== this.side) this.begin(row, side);
    this.px = px;
    row.style.translate = `${isRtl ? -px : px}px 0`;
    this.panel?.style.setProperty('width', `${Math.abs(px)}px`);
  }

  get openSide(): Side {
    return this.side;
  }

  /** What comes out: it may be known a moment after it is seen. */
  offer(row: HTMLElement, offered: readonly Offered[], choose: (action: Offered) => void): void {
    if (row === this.row) this.panel?.replaceChildren(...actionButtons(offered, 'button', choose));
  }

  open(row: HTMLElement, px: number, isRtl: boolean): void {
    this.move(row, px, isRtl);
    row.classList.add('yc-slides');
    this.panel?.classList.add('yc-slides');
  }

  /** The row is where it was; whoever gets its element next finds nothing of it. */
  close(): void {
    this.row?.style.removeProperty('translate');
    this.row?.classList.remove('yc-slides');
    this.panel?.remove();
    this.row = undefined;
    this.panel = undefined;
    this.px = 0;
  }

  /** Whether something is in what came out. */
  has(target: Node): boolean {
    return this.panel?.contains(target) === true;
  }

  private begin(row: HTMLElement, side: Side): void {
    this.panel?.remove();
    const panel = document.createElement('div');
    panel.className = `yc-actions yc-from-${side}`;
    panel.setAttribute('role', 'group');
    panel.setAttribute('aria-label', 'Actions');
    row.before(panel);
    this.panel = panel;
    this.side = side;
    this.follow();
  }

  /** What came out stands where its row stands now. */
  follow(): void {
    const { row, panel } = this;
    const parent = row?.parentElement;
    if (row === undefined || panel === undefined || parent == null) return;
    const [own, around] = [row.getBoundingClientRect(), parent.getBoundingClientRect()];
    panel.style.top = `${own.top - around.top}px`;
    panel.style.height = `${own.height}px`;
    const isRtl = getComputedStyle(row).direction === 'rtl';
    const isAtLeft = (this.side === 'start') !== isRtl;
    if (isAtLeft) panel.style.left = `${row.offsetLeft}px`;
    else panel.style.right = `${parent.clientWidth - row.offsetLeft - own.width}px`;
  }
}
