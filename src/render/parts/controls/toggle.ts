import { block, drawsOfBlocks } from '../block';
import { cssColour } from '../colour';
import { drawEnabled } from '../enabled';
import { drawName } from '../name';
import type { PartView } from '../part-view';

/** A control that is on or off. One that nobody could name is none for those who hear the page. */
const toggle = (role: 'switch' | 'checkbox'): PartView => ({
  element: () => block(`${role} yc-target`),
  draws: {
    ...drawsOfBlocks,
    on(element, value) {
      element.ariaChecked = String(value === true);
    },
    enabled: drawEnabled,
    name: drawName(role),
    tint(element, value, { tokens }) {
      element.style.setProperty('--yc-tint', cssColour(tokens.colours, value));
    },
  },
});

export const switchView = toggle('switch');
export const checkbox = toggle('checkbox');
