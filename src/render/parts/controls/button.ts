import { cssColour } from '../colour';
import { drawEnabled } from '../enabled';
import { drawName } from '../name';
import { box, type PartView } from '../part-view';
import { drawAsMask } from '../picture';
import { drawsOfPills, inIcon, wordsOfPill } from './pill';

/** Words, an icon, or both, to be pressed. */
export const button: PartView = {
  element(part) {
    const element = box('yc-stack yc-button yc-target');
    element.role = 'button';
    if (part.pill?.hasIcon) element.append(box('yc-icon', 'span'));
    if (part.pill?.hasWords) element.append(wordsOfPill());
    return element;
  },
  draws: {
    ...drawsOfPills,
    kind(element, value) {
      element.dataset['kind'] = String(value);
    },
    tint(element, value, { tokens }) {
      element.style.setProperty('--yc-tint', cssColour(tokens.colours, value));
    },
    colour(element, value, { tokens }) {
      element.style.setProperty('--yc-words', cssColour(tokens.colours, value));
    },
    icon: inIcon((element, value, { pictures }) => {
      element.style.display = value === undefined ? 'none' : '';
      const picture = typeof value === 'string' ? pictures?.(value) : undefined;
      // Without a shape it would be a square.
      element.style.visibility = picture === undefined ? 'hidden' : '';
      drawAsMask(element, picture);
    }),
    enabled: drawEnabled,
    name: drawName('button', (element, name) => {
      element.ariaLabel = name === '' ? null : name;
    }),
  },
};
