import { bindable, colour, condition, optional, rare, text } from '../../property';
import { ofEveryPart } from '../kind';

/** What is said of all that is on or off, besides whether it is. */
export const ofToggles = {
  enabled: rare(bindable({ ...condition('enabled'), default: true, first: false })),
  name: optional(text('read aloud as')),
  tint: bindable(colour('tint', 'woad', 'woad')),
  ...ofEveryPart,
};
