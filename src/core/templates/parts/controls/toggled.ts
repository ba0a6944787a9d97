import { actions, bindable, colour, enabled } from '../declare';
import { ofEveryPart } from '../kind';

/** What is said of all that is on or off, besides whether it is. */
export const ofToggles = {
  enabled,
  tint: bindable(colour('tint', 'woad', 'woad')),
  change: actions('change'),
  ...ofEveryPart,
};
