import { ownValue } from '../../core/base';
import type { PartPlan } from '../../core/lists';
import type { Constant, Size, Tokens } from '../../core/templates';

/** Where a picture's name leads: what the page may load, or undefined: there is none. */
export type Pictures = (name: string) => DrawnPicture | undefined;

export interface DrawnPicture {
  readonly address: string;
  /** Drawn in the colour of words: it has none of its own. */
  readonly isSymbol: boolean;
}

/** What a property is where it is drawn: as the plan has it, or as an entry brings it. */
export type Drawn = Constant | undefined;

/** The direction of the stack that holds a part: what its width means hangs on it. */
export type Direction = 'across' | 'down' | 'over';

/** Shows a property in its part's element. `pictures`: not there until rows rest. */
export type Draw = (element: HTMLElement, value: Drawn, around: Around) => void;

/** What the drawing of a property hangs on besides its value. */
export interface Around {
  readonly direction: Direction;
  readonly tokens: Tokens;
  readonly pictures?: Pictures | undefined;
}

/** How a kind of part is drawn: its element, and each of its properties in it. */
export interface PartView {
  /** `fed`: the properties that entries bring values for. */
  element(part: PartPlan, fed: ReadonlySet<string>): HTMLElement;
  readonly draws: Readonly<Record<string, Draw>>;
}

export function box(className: string, name: 'div' | 'span' = 'div'): HTMLElement {
  const element = document.createElement(name);
  element.className = className;
  return element;
}

const px = (value: Drawn): string => (typeof value === 'number' ? `${value}px` : '');

/** What says where a part stands across its stack. */
interface Across {
  isWide: boolean;
  isHigh: boolean;
  own: string;
}

const acrossBy = new WeakMap<Element, Across>();

export const alignments: Readonly<Record<string, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  stretch: 'stretch',
};

/** A share of the room across a stack is all of it, whatever else is said. */
function drawAcross(element: HTMLElement, direction: Direction, said: Partial<Across>): void {
  const now = { isWide: false, isHigh: false, own: '', ...acrossBy.get(element), ...said };
  acrossBy.set(element, now);
  const { style } = element;
  // A picture of some aspect is as high as its width says.
  const isKept = now.own === 'stretch' && element.classList.contains('yc-aspect');
  const own = isKept && direction !== 'down' ? 'flex-start' : now.own;
  if (direction === 'down') style.alignSelf = now.isWide ? 'stretch' : own;
  else style.alignSelf = now.isHigh ? 'stretch' : own;
  if (direction === 'over') style.justifySelf = now.isWide ? 'stretch' : now.own;
}

/** Properties that every part has. */
export const drawsOfEvery: PartView['draws'] = {
  opacity(element, value) {
    element.style.opacity = typeof value === 'number' && value < 1 ? String(value) : '';
  },
  alignSelf(element, value, { direction }) {
    const own = (typeof value === 'string' && ownValue(alignments, value)) || '';
    drawAcross(element, direction, { own });
  },
  leaves(element, value) {
    element.classList.toggle('yc-left', value === true);
  },
  name(element, value) {
    const isNamed = typeof value === 'string' && value.trim() !== '';
    element.role = isNamed ? 'group' : null;
    element.ariaLabel = isNamed ? value.trim() : null;
  },
  unseen(element, value) {
    element.style.visibility = value === true ? 'hidden' : '';
  },
  minWidth(element, value) {
    element.style.minWidth = px(value);
  },
  maxWidth(element, value) {
    element.style.setProperty('--yc-most', px(value));
  },
  minHeight(element, value) {
    element.style.minHeight = px(value);
  },
  maxHeight(element, value) {
    element.style.maxHeight = px(value);
  },
};

/** How much of a bar is filled, from 0 to 1. */
export function drawFilled({ style }: HTMLElement, share: number): void {
  const shown = Math.round(Math.max(0, Math.min(share, 1)) * 10_000) / 10_000;
  style.setProperty('--yc-filled', `${Math.round(shown * 10_000) / 100}%`);
  style.setProperty('--yc-share', String(shown));
}

export const drawPadding: Draw = ({ style }, value) => {
  if (typeof value !== 'object' || !('top' in value)) return;
  style.paddingInline = `${value.start}px calc(${value.end}px + var(--yc-mark))`;
  style.setProperty('--yc-end', `${value.end}px`);
  style.paddingBlock = `${value.top}px ${value.bottom}px`;
};

export const drawRadius: Draw = ({ style }, value) => {
  style.borderRadius =
    value === 'circle' ? '50%' : typeof value === 'number' && value > 0 ? `${value}px` : '';
};

/** A size as it is drawn: by value, it is a number of px. */
type DrawnSize = 'fit' | { readonly share: number } | { readonly fixed: number };

function sizeOf(value: Drawn): DrawnSize | undefined {
  if (typeof value === 'number') return { fixed: value };
  return isSize(value) ? value : undefined;
}

const isSize = (value: Drawn): value is Size =>
  value === 'fit' || (typeof value === 'object' && ('share' in value || 'fixed' in value));

const fixedPx = (size: DrawnSize): string =>
  size !== 'fit' && 'fixed' in size ? `${size.fixed}px` : '';
const shareOf = (size: DrawnSize): number | undefined =>
  size !== 'fit' && 'share' in size ? size.share : undefined;

/** The width of a part by the direction of its stack. */
export const drawWidth: Draw = (element, value, { direction }) => {
  const size = sizeOf(value);
  if (size === undefined) return;
  const { style } = element;
  const share = shareOf(size);
  // As large as its content, a part is never wider than its stack, whatever it may be at most.
  style.setProperty('--yc-fit', direction !== 'across' && size === 'fit' ? '100%' : '');
  style.width = fixedPx(size);
  if (direction === 'across') style.flex = flexOf(size, share);
  else drawAcross(element, direction, { isWide: share !== undefined });
};

function flexOf(size: DrawnSize, share: number | undefined): string {
  if (share !== undefined) return `${share} ${share} 0px`;
  return size === 'fit' ? '0 1 auto' : '0 0 auto';
}

/** The height of a part by the direction of its stack; down, it does not shrink. */
export const drawHeight: Draw = (element, value, { direction }) => {
  const size = sizeOf(value);
  if (size === undefined) return;
  const { style } = element;
  const share = shareOf(size);
  style.height = fixedPx(size);
  if (direction === 'down') style.flex = share === undefined ? '0 0 auto' : `${share} ${share} 0px`;
  else drawAcross(element, direction, { isHigh: share !== undefined });
};
