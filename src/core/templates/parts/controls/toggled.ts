import { bindable, colour, condition, rare } from '../declare';
import { ofEveryPart } from '../kind';

/** What is said of all that is on or off, besides whether it is. */
export const ofToggles = {
  enabled: rare(bindable({ ...condition('enabled'), default: true, first: false })),
  tint: bindable(colour('tint', 'woad', 'woad')),
  ...ofEveryPart,
};
