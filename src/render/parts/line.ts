import { block, drawsOfBlocks } from './block';
import { cssColour } from './colour';
import { drawPadding, type PartView } from './part-view';

/** A line, as long as its stack but for what its padding takes. */
export const line: PartView = {
  element: () => block('line'),
  draws: {
    ...drawsOfBlocks,
    padding: drawPadding,
    colour(element, value, { tokens }) {
      element.style.backgroundColor = cssColour(tokens.colours, value);
    },
  },
};
