import type { Entry, RowPlan, Sequence } from '../../core/lists';
import { cssColour } from '../parts';
import type { PooledRow } from '../pool';

/** How lines between rows are drawn, of a colour that nobody knows as all lines; and how high cells are. */
export function drawArrangement(
  { host, sizer }: { readonly host: HTMLElement; readonly sizer: HTMLElement },
  {
    sequence: { arrangement },
    plans,
  }: { readonly sequence: Sequence; readonly plans: readonly RowPlan[] },
): void {
  const { style, classList } = sizer;
  classList.toggle(
    'yc-own-heights',
    arrangement.kind === 'grid' && arrangement.ownHeights === true,
  );
  const said = arrangement.kind === 'list' ? arrangement.separators : false;
  const { inset, thickness, colour } = typeof said === 'object' ? said : {};
  style.setProperty('--yc-inset', inset === undefined ? '' : `${inset}px`);
  style.setProperty('--yc-thickness', thickness === undefined ? '' : `${thickness}px`);
  const colours = plans[0]?.tokens.colours ?? [];
  style.setProperty('--yc-line', cssColour(colours, colour));
  host.style.setProperty('--yc-ground', cssColour(colours, arrangement.ground));
}

const blockPlaces = ['first', 'middle', 'last', 'only'] as const;

/** What an entry is beside its values: whether a line comes after it, or its rows are folded away. */
export function showKind(
  { element, role }: PooledRow,
  { isDivided, isFolded, isSkeleton, block }: Entry,
): void {
  for (const place of blockPlaces) element.classList.toggle(`yc-block-${place}`, block === place);
  element.classList.toggle('yc-skeleton', isSkeleton === true);
  element.classList.toggle('yc-divided', isDivided === true);
  if (role !== 'heading') return;
  element.classList.toggle('yc-folds', isFolded !== undefined);
  if (isFolded === undefined) {
    for (const name of ['role', 'tabindex', 'aria-expanded']) element.removeAttribute(name);
    return;
  }
  element.setAttribute('role', 'button');
  element.setAttribute('tabindex', '0');
  element.setAttribute('aria-expanded', String(!isFolded));
}
