import { ratingGap } from '../../../core/templates';
import { block, drawsOfBlocks } from '../block';
import { cssColour } from '../colour';
import { drawFilled, type PartView } from '../part-view';

interface Said {
  value: number;
  of: number;
  size: number;
  isHalf: boolean;
}

const saidBy = new WeakMap<Element, Said>();

function saidOf(element: Element): Said {
  const said = saidBy.get(element) ?? { value: 0, of: 5, size: 14, isHalf: false };
  saidBy.set(element, said);
  return said;
}

/** Fills whole symbols, or halves: gaps between them count for nothing. */
function draw(element: HTMLElement): void {
  const { value, of, size, isHalf } = saidOf(element);
  const steps = isHalf ? Math.round(value * 2) / 2 : Math.round(value);
  const shown = Math.max(0, Math.min(steps, of));
  const whole = of * size + (of - 1) * ratingGap;
  drawFilled(element, (shown * size + Math.floor(shown) * ratingGap) / whole);
  element.style.setProperty('--yc-step', `${size + ratingGap}px`);
}

/** So many of some symbols. */
export const rating: PartView = {
  element: () => block('rating'),
  draws: {
    ...drawsOfBlocks,
    value(element, value) {
      saidOf(element).value = typeof value === 'number' ? value : 0;
      draw(element);
    },
    of(element, value) {
      saidOf(element).of = typeof value === 'number' ? value : 5;
      draw(element);
    },
    size(element, value) {
      saidOf(element).size = typeof value === 'number' ? value : 14;
      draw(element);
    },
    steps(element, value) {
      saidOf(element).isHalf = value === 'half';
      draw(element);
    },
    symbol(element, value) {
      element.dataset['symbol'] = String(value);
    },
    tint(element, value, { tokens }) {
      element.style.setProperty('--yc-tint', cssColour(tokens.colours, value));
    },
    track(element, value, { tokens }) {
      element.style.setProperty('--yc-track', cssColour(tokens.colours, value));
    },
  },
};
