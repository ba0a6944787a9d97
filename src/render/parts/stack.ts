import { ownValue } from '../../core/base';
import { cssColour } from './colour';
import {
  box,
  drawHeight,
  drawPadding,
  drawRadius,
  drawsOfEvery,
  drawWidth,
  type PartView,
} from './part-view';

const alignments: Readonly<Record<string, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  stretch: 'stretch',
};

const distributions: Readonly<Record<string, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  between: 'space-between',
  around: 'space-around',
  evenly: 'space-evenly',
};

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
  },
};
