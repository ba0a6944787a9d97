import { knownId } from '../../../../core/templates';

/** Boxes of parts as the bench draws them, in px of the page. */
export interface DrawnRow {
  readonly row: HTMLElement;
  /** How much larger than in the window. */
  readonly zoom: number;
  readonly isFromRight: boolean;
}

/** The row on the bench; undefined: there is none, or none yet. */
export function drawnRow(): DrawnRow | undefined {
  const row = document.querySelector<HTMLElement>('.yc-bench > .yc-row');
  if (row === null) return undefined;
  const { direction } = getComputedStyle(row);
  return {
    row,
    zoom: row.getBoundingClientRect().width / Math.max(1, row.offsetWidth),
    isFromRight: direction === 'rtl',
  };
}

export type DrawnBox = Readonly<
  Record<'left' | 'top' | 'width' | 'height' | 'right' | 'bottom', number>
>;

/** The box of a part; undefined: it is not drawn for the item at hand. */
export function drawnBox(part: string): DrawnBox | undefined {
  const drawn = drawnRow();
  const element = drawn && elementOf(drawn.row, part);
  if (element === undefined || element.getClientRects().length === 0) return undefined;
  const { left, top, width, height, right, bottom } = element.getBoundingClientRect();
  return { left, top, width, height, right, bottom };
}

function elementOf(row: HTMLElement, part: string): HTMLElement | undefined {
  if (row.dataset['part'] === part) return row;
  return row.querySelector<HTMLElement>(`[data-part="${CSS.escape(part)}"]`) ?? undefined;
}

/** How large a part is drawn, in px of the window. */
export function drawnSize(
  part: string,
): { readonly width: number; readonly height: number } | undefined {
  const box = drawnBox(part);
  const zoom = drawnRow()?.zoom ?? 1;
  return box && { width: box.width / zoom, height: box.height / zoom };
}

/** The part at a place of the page; undefined: none. */
export function partAt(target: EventTarget | null): string | undefined {
  const within = target instanceof Element ? target.closest<HTMLElement>('[data-part]') : null;
  const drawn = within?.dataset['part'];
  return drawn && knownId(drawn);
}
