import { cssColour } from '../colour';
import {
  box,
  type Draw,
  drawHeight,
  drawPadding,
  drawsOfEvery,
  drawWidth,
  type PartView,
} from '../part-view';
import { drawsOfWords } from '../words';

/** Has what its words are drawn by drawn in them. */
const inWords =
  (draw: Draw | undefined): Draw =>
  ({ firstElementChild }, value, around) => {
    if (firstElementChild instanceof HTMLElement) draw?.(firstElementChild, value, around);
  };

/** Words on a colour of their own. */
export const badge: PartView = {
  element() {
    const element = box('yc-stack yc-badge');
    const words = box('yc-label yc-one-line', 'span');
    words.dir = 'auto';
    words.append(document.createTextNode(''));
    element.append(words);
    return element;
  },
  draws: {
    ...drawsOfEvery,
    width: drawWidth,
    height: drawHeight,
    padding: drawPadding,
    text: inWords(drawsOfWords['text']),
    style: inWords(drawsOfWords['style']),
    colour: inWords(drawsOfWords['colour']),
    tint(element, value, { tokens }) {
      element.style.backgroundColor = cssColour(tokens.colours, value);
    },
  },
};
