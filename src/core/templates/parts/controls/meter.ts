import { isBound } from '../../bound';
import { amount, bindable, colour, px, rare, size } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  value: amount('value', 0),
  min: rare(amount('from', 0)),
  max: amount('to', 1),
  low: rare(amount('low below', undefined)),
  high: rare(amount('high above', undefined)),
  optimum: rare(amount('best at', undefined)),
  width: bindable(size('width', { share: 1 })),
  thickness: px('thickness', 6, 40),
  good: rare(colour('tint if good', 'moss', 'moss')),
  middling: rare(colour('tint if middling', 'weld', 'weld')),
  bad: rare(colour('tint if bad', 'madder', 'madder')),
  track: colour('track', 'soft', 'soft'),
  ...ofEveryPart,
};

export type MeterPart = PartOf<'meter', typeof properties>;

/** How much there is of something within its bounds, in the colour of how good that is. */
export const meter: DraftedKind<'meter', typeof properties> = {
  part: 'meter',
  about: 'How much there is of something, in the colour of how good that is',
  shows: 'value',
  box: 'block',
  isNamedBy: ['name'],
  properties,
  sized: ({ thickness = 6 }) => ({ height: { fixed: thickness } }),
  draft: (id, value) => ({ part: 'meter', id, ...(isBound(value) && { value }) }),
};
