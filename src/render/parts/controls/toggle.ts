import { block, drawsOfBlocks } from '../block';
import { cssColour } from '../colour';
import type { PartView } from '../part-view';

/** A control that is on or off. One that nobody could name is none for those who hear the page. */
const toggle = (role: 'switch' | 'checkbox'): PartView => ({
  element() {
    const element = block(role);
    element.ariaHidden = 'true';
    return element;
  },
  draws: {
    ...drawsOfBlocks,
    on(element, value) {
      element.ariaChecked = String(value === true);
    },
    enabled(element, value) {
      element.ariaDisabled = value === false ? 'true' : null;
    },
    name(element, value) {
      const isNamed = typeof value === 'string' && value.trim() !== '';
      element.role = isNamed ? role : null;
      element.ariaLabel = isNamed ? value : null;
      element.ariaHidden = isNamed ? null : 'true';
    },
    tint(element, value, { tokens }) {
      element.style.setProperty('--yc-tint', cssColour(tokens.colours, value));
    },
  },
});

export const switchView = toggle('switch');
export const checkbox = toggle('checkbox');
