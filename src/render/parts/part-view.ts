import type { PartPlan } from '../../core/lists';
import type { Constant, Size } from '../../core/templates';

/** Where a picture's name leads: an address that the page may load, or undefined: there is none. */
export type Pictures = (name: string) => string | undefined;

/** What a property is where it is drawn: as the plan has it, or as an entry brings it. */
export type Drawn = Constant | undefined;

/** The direction of the stack that holds a part: what its width means hangs on it. */
export type Direction = 'across' | 'down' | 'over';

/** Shows a property in its part's element. `pictures`: not there until rows rest. */
export type Draw = (
  element: HTMLElement,
  value: Drawn,
  around: { readonly direction: Direction; readonly pictures?: Pictures | undefined },
) => void;

/** How a kind of part is drawn: its element, and each of its properties in it. */
export interface PartView {
  /** `fed`: the properties that entries bring values for. */
  element(part: PartPlan, fed: ReadonlySet<string>): HTMLElement;
  readonly draws: Readonly<Record<string, Draw>>;
}

export function box(className: string, name: 'div' | 'a' = 'div'): HTMLElement {
  const element = document.createElement(name);
  element.className = className;
  return element;
}

const px = (value: Drawn): string => (typeof value === 'number' ? `${value}px` : '');

/** Properties that every part has. */
export const drawsOfEvery: PartView['draws'] = {
  opacity(element, value) {
    element.style.opacity = typeof value === 'number' && value < 1 ? String(value) : '';
  },
  unseen(element, value) {
    element.style.visibility = value === true ? 'hidden' : '';
  },
  minWidth(element, value) {
    element.style.minWidth = px(value);
  },
  maxWidth(element, value) {
    // As large as its content, a part is never wider than its stack, whatever it may be at most.
    if (typeof value === 'number')
      element.style.maxWidth = `min(var(--yc-fit, 100000px), ${value}px)`;
  },
  minHeight(element, value) {
    element.style.minHeight = px(value);
  },
  maxHeight(element, value) {
    element.style.maxHeight = px(value);
  },
};

const isSize = (value: Drawn): value is Size =>
  value === 'fit' || (typeof value === 'object' && ('share' in value || 'fixed' in value));

/** The width of a part by the direction of its stack. */
export const drawWidth: Draw = (element, value, { direction }) => {
  if (!isSize(value)) return;
  const { style } = element;
  const isWithinStack = direction !== 'across' && value === 'fit';
  // Said by every part: those inside would take over what a stack says.
  style.setProperty('--yc-fit', isWithinStack ? '100%' : '100000px');
  if (direction === 'across') {
    if (value === 'fit') style.flex = '0 1 auto';
    else if ('share' in value) style.flex = `${value.share} ${value.share} 0px`;
    else style.flex = '0 0 auto';
  } else if (value === 'fit') {
    if (style.maxWidth === '') style.maxWidth = '100%';
  } else if ('share' in value) {
    if (direction === 'over') style.justifySelf = 'stretch';
    else style.alignSelf = 'stretch';
  }
  if (value !== 'fit' && 'fixed' in value) style.width = `${value.fixed}px`;
};

/** The height of a part by the direction of its stack; down, it does not shrink. */
export const drawHeight: Draw = (element, value, { direction }) => {
  if (!isSize(value)) return;
  const { style } = element;
  if (value !== 'fit' && 'fixed' in value) style.height = `${value.fixed}px`;
  const isShare = value !== 'fit' && 'share' in value;
  if (direction === 'down') style.flex = isShare ? `${value.share} ${value.share} 0px` : '0 0 auto';
  else if (isShare) style.alignSelf = 'stretch';
};
