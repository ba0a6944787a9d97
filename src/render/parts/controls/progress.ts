import { block, drawsOfBlocks } from '../block';
import { cssColour } from '../colour';
import { type Drawn, drawFilled, type PartView } from '../part-view';

/** What a bar says of itself: its value and bounds, as they were drawn last. */
const saidBy = new WeakMap<Element, { value: number; max: number }>();

function saidOf(element: Element) {
  const said = saidBy.get(element) ?? { value: 0, max: 1 };
  saidBy.set(element, said);
  return said;
}

const numberOf = (value: Drawn, otherwise: number): number =>
  typeof value === 'number' ? value : otherwise;

function draw(element: HTMLElement): void {
  const { value, max } = saidOf(element);
  drawFilled(element, max > 0 ? value / max : 0);
}

/** How far something is. */
export const progress: PartView = {
  element: () => block('progress'),
  draws: {
    ...drawsOfBlocks,
    value(element, value) {
      saidOf(element).value = numberOf(value, 0);
      draw(element);
    },
    max(element, value) {
      saidOf(element).max = numberOf(value, 1);
      draw(element);
    },
    tint(element, value, { tokens }) {
      element.style.setProperty('--yc-tint', cssColour(tokens.colours, value));
    },
    track(element, value, { tokens }) {
      element.style.setProperty('--yc-track', cssColour(tokens.colours, value));
    },
  },
};
