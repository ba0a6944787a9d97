import { ownValue } from '../../core/base';
import { cssColour } from './colour';
import { drawEnabled } from './enabled';
import {
  alignments,
  box,
  type Draw,
  drawHeight,
  drawPadding,
  drawRadius,
  drawsOfEvery,
  drawWidth,
  type PartView,
} from './part-view';
import { cssPicture } from './picture';

const distributions: Readonly<Record<string, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  between: 'space-between',
  around: 'space-around',
  evenly: 'space-evenly',
};

/** What only the row says. */
const drawsOfRows: PartView['draws'] = {
  leadsOn(element, value) {
    element.classList.toggle('yc-leads-on', value === true);
  },
  mark(element, value, { pictures }) {
    const picture = typeof value === 'string' ? pictures?.(value) : undefined;
    const mark = picture === undefined ? '' : cssPicture(picture);
    element.style.setProperty('--yc-mark-picture', mark);
  },
  enabled: drawEnabled,
  pressed: drawState('pressed'),
  selected: drawState('selected'),
};

/** The background of a row in some state; none: that of all rows. */
function drawState(state: 'pressed' | 'selected'): Draw {
  return (element, value, { tokens }) => {
    element.classList.toggle(`yc-if-${state}`, value !== undefined);
    element.style.setProperty(`--yc-${state}`, cssColour(tokens.colours, value));
  };
}

/** Parts beside, under or over each other. */
export const stack: PartView = {
  element: () => box('yc-stack'),
  draws: {
    ...drawsOfEvery,
    width: drawWidth,
    height: drawHeight,
    direction(element, value) {
      element.classList.add(
        value === 'over' ? 'yc-over' : value === 'down' ? 'yc-down' : 'yc-across',
      );
    },
    distribute(element, value) {
      element.style.justifyContent =
        (typeof value === 'string' && ownValue(distributions, value)) || 'flex-start';
    },
    gap(element, value) {
      element.style.gap = `${value}px`;
    },
    align(element, value) {
      element.classList.toggle('yc-stretched', value === 'stretch');
      const way = (typeof value === 'string' && ownValue(alignments, value)) || 'flex-start';
      element.style.alignItems = way;
      element.style.justifyItems = way;
    },
    background(element, value, { tokens }) {
      element.style.backgroundColor = cssColour(tokens.colours, value);
    },
    border(element, value) {
      const px = typeof value === 'number' && value > 0 ? `${value}px` : '';
      element.style.borderWidth = px;
      element.style.borderStyle = px === '' ? '' : 'solid';
    },
    borderColour(element, value, { tokens }) {
      element.style.borderColor = cssColour(tokens.colours, value) || 'var(--row-rule)';
    },
    radius: drawRadius,
    padding: drawPadding,
    // What is drawn for it are its elements.
    over: () => undefined,
    more: () => undefined,
    ...drawsOfRows,
  },
};
