import type { PartPlan } from '../../core/lists';
import type { Constant, Size } from '../../core/templates';

/** Where a picture's name leads: an address that the page may load, or undefined: there is none. */
export type Pictures = (name: string) => string | undefined;

/** What a property is where it is drawn: as the plan has it, or as an entry brings it. */
export type Drawn = Constant | undefined;

/** The direction of the stack that holds a part: what its width means hangs on it. */
export type Direction = 'across' | 'down';

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

/** Properties that every part has. */
export const drawsOfEvery: PartView['draws'] = {
  opacity(element, value) {
    element.style.opacity = typeof value === 'number' && value < 1 ? String(value) : '';
  },
  unseen(element, value) {
    element.style.visibility = value === true ? 'hidden' : '';
  },
};

const isSize = (value: Drawn): value is Size =>
  value === 'fit' || (typeof value === 'object' && ('share' in value || 'fixed' in value));

/** The size of a child by its stack's direction; in a stack that runs down every width is its own. */
export const drawWidth: Draw = (element, value, { direction }) => {
  if (!isSize(value)) return;
  if (value === 'fit') {
    element.style.flex = direction === 'across' ? '0 1 auto' : '0 0 auto';
    if (direction === 'down') element.style.maxWidth = '100%';
  } else if ('fixed' in value) {
    element.style.flex = '0 0 auto';
    element.style.width = `${value.fixed}px`;
  } else if (direction === 'across') {
    element.style.flex = `${value.share} ${value.share} 0px`;
  } else {
    element.style.flex = '0 0 auto';
    element.style.alignSelf = 'stretch';
  }
};

export const drawHeight: Draw = (element, value) => {
  if (typeof value === 'object' && 'fixed' in value) element.style.height = `${value.fixed}px`;
};
