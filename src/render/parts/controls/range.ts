import { block, drawsOfBlocks } from '../block';
import { cssColour } from '../colour';
import { drawEnabled } from '../enabled';
import { drawName } from '../name';
import { box, type Drawn, drawFilled, type PartView } from '../part-view';
import { drawsOfPills, wordsOfPill } from './pill';

/** A value within bounds, as it was drawn last. */
interface Said {
  value: number;
  min: number | undefined;
  max: number | undefined;
}

const saidBy = new WeakMap<Element, Said>();

function saidOf(element: Element): Said {
  const said = saidBy.get(element) ?? { value: 0, min: undefined, max: undefined };
  saidBy.set(element, said);
  return said;
}

const numberOf = (value: Drawn): number | undefined =>
  typeof value === 'number' ? value : undefined;
const said = (value: number | undefined): string | null =>
  value === undefined ? null : String(value);

function draw(element: HTMLElement): void {
  const { value, min = 0, max } = saidOf(element);
  element.ariaValueNow = String(value);
  element.ariaValueMin = said(saidOf(element).min);
  element.ariaValueMax = said(max);
  drawFilled(element, max !== undefined && max > min ? (value - min) / (max - min) : 0);
  element.classList.toggle('yc-at-least', saidOf(element).min !== undefined && value <= min);
  element.classList.toggle('yc-at-most', max !== undefined && value >= max);
}

const drawsOfRanges: PartView['draws'] = {
  value(element, value) {
    saidOf(element).value = numberOf(value) ?? 0;
    draw(element);
  },
  min(element, value) {
    saidOf(element).min = numberOf(value);
    draw(element);
  },
  max(element, value) {
    saidOf(element).max = numberOf(value);
    draw(element);
  },
  // By how much it is set, not how it looks.
  step: () => undefined,
  tint(element, value, { tokens }) {
    element.style.setProperty('--yc-tint', cssColour(tokens.colours, value));
  },
};

const track: PartView['draws'] = {
  track(element, value, { tokens }) {
    element.style.setProperty('--yc-track', cssColour(tokens.colours, value));
  },
};

/** How far something is. */
export const progress: PartView = {
  element: () => block('progress'),
  draws: { ...drawsOfBlocks, ...drawsOfRanges, ...track, name: drawName('progressbar') },
};

/** A value that is set by dragging. */
export const slider: PartView = {
  element: () => block('slider yc-target'),
  draws: {
    ...drawsOfBlocks,
    ...drawsOfRanges,
    ...track,
    enabled: drawEnabled,
    name: drawName('slider'),
  },
};

/** A value with less and more at its ends. */
export const stepper: PartView = {
  element(part) {
    const element = box('yc-stack yc-stepper yc-target');
    if (part.pill?.hasWords) element.append(wordsOfPill());
    return element;
  },
  draws: {
    ...drawsOfPills,
    ...drawsOfRanges,
    enabled: drawEnabled,
    name: drawName('spinbutton'),
  },
};
