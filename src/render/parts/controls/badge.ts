import { cssColour } from '../colour';
import { drawName } from '../name';
import { box, type PartView } from '../part-view';
import { drawsOfWords } from '../words';
import { drawsOfPills, inWords, wordsOfPill } from './pill';

/** Words on a colour of their own. */
export const badge: PartView = {
  element() {
    const element = box('yc-stack yc-badge');
    element.append(wordsOfPill());
    return element;
  },
  draws: {
    ...drawsOfPills,
    colour: inWords(drawsOfWords['colour']),
    tint(element, value, { tokens }) {
      element.style.backgroundColor = cssColour(tokens.colours, value);
    },
    name: drawName('img', (element, name) => {
      element.role = name === '' ? null : 'img';
      element.ariaLabel = name === '' ? null : name;
    }),
  },
};
