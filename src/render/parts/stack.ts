import { ownValue } from '../../core/base';
import { box, drawsOfEvery, drawWidth, type PartView } from './part-view';

const alignments: Readonly<Record<string, string>> = {
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
  stretch: 'stretch',
};

/** Parts beside or under each other. */
export const stack: PartView = {
  element: () => box('yc-stack'),
  draws: {
    ...drawsOfEvery,
    width: drawWidth,
    direction(element, value) {
      element.classList.add(value === 'down' ? 'yc-down' : 'yc-across');
    },
    gap(element, value) {
      element.style.gap = `${value}px`;
    },
    align(element, value) {
      element.style.alignItems =
        (typeof value === 'string' && ownValue(alignments, value)) || 'flex-start';
    },
    padding(element, value) {
      if (typeof value !== 'object' || !('top' in value)) return;
      element.style.paddingInline = `${value.start}px ${value.end}px`;
      element.style.paddingBlock = `${value.top}px ${value.bottom}px`;
    },
  },
};
