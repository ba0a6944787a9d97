import type { RowPlan, Sequence } from '../../core/lists';
import { cssColour } from '../parts';

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
  host.style.setProperty('--yc-edge', `${arrangement.edge}px`);
  host.style.setProperty('--yc-ground', cssColour(colours, arrangement.ground));
}
