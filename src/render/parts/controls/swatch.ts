import { block, drawsOfBlocks } from '../block';
import { cssColour } from '../colour';
import { drawRadius, type PartView } from '../part-view';

/** A dot or square of a colour. */
export const swatch: PartView = {
  element: () => block('swatch'),
  draws: {
    ...drawsOfBlocks,
    radius: drawRadius,
    colour(element, value, { tokens }) {
      element.style.backgroundColor = cssColour(tokens.colours, value);
    },
  },
};
