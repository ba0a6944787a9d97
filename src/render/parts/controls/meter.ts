import { meterRegion } from '../../../core/templates';
import { block, drawsOfBlocks } from '../block';
import { cssColour } from '../colour';
import { drawName } from '../name';
import { type Draw, drawFilled, type PartView } from '../part-view';

type Bound = 'value' | 'min' | 'max' | 'low' | 'high' | 'optimum';
type Said = Record<Bound, number | undefined> & Record<'good' | 'middling' | 'bad', string>;

const saidBy = new WeakMap<Element, Said>();

function saidOf(element: Element): Said {
  const known = saidBy.get(element);
  if (known !== undefined) return known;
  const said: Said = {
    ...{ value: 0, min: 0, max: 1, low: undefined, high: undefined, optimum: undefined },
    ...{ good: '', middling: '', bad: '' },
  };
  saidBy.set(element, said);
  return said;
}

function draw(element: HTMLElement): void {
  const said = saidOf(element);
  const { value = 0, min = 0, max = 1, low, high, optimum } = said;
  const { share, region } = meterRegion({ value, min, max, low, high, optimum });
  drawFilled(element, share);
  element.ariaValueNow = String(value);
  element.ariaValueMin = String(min);
  element.ariaValueMax = String(max);
  element.style.setProperty('--yc-tint', said[region]);
}

const bound =
  (name: Bound): Draw =>
  (element, value) => {
    saidOf(element)[name] = typeof value === 'number' ? value : undefined;
    draw(element);
  };

const tint =
  (name: 'good' | 'middling' | 'bad'): Draw =>
  (element, value, { tokens }) => {
    saidOf(element)[name] = cssColour(tokens.colours, value);
    draw(element);
  };

/** How much there is of something, in the colour of how good that is. */
export const meter: PartView = {
  element: () => block('meter'),
  draws: {
    ...drawsOfBlocks,
    ...{ value: bound('value'), min: bound('min'), max: bound('max') },
    ...{ low: bound('low'), high: bound('high'), optimum: bound('optimum') },
    ...{ good: tint('good'), middling: tint('middling'), bad: tint('bad') },
    name: drawName('meter'),
    track(element, value, { tokens }) {
      element.style.setProperty('--yc-track', cssColour(tokens.colours, value));
    },
  },
};
