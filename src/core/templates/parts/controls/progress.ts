import { isBound } from '../../bound';
import { amount, bindable, colour, px, size } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  value: amount('value', 0),
  max: amount('of', 1),
  width: bindable(size('width', { share: 1 })),
  thickness: px('thickness', 6, 40),
  tint: bindable(colour('tint', 'woad', 'woad')),
  track: colour('track', 'soft', 'soft'),
  ...ofEveryPart,
};

export type ProgressPart = PartOf<'progress', typeof properties>;

/** How far something is, as a bar. */
export const progress: DraftedKind<'progress', typeof properties> = {
  part: 'progress',
  about: 'How far something is, as a bar',
  shows: 'value',
  box: 'block',
  isNamedBy: ['name'],
  properties,
  sized: ({ thickness = 6 }) => ({ height: { fixed: thickness } }),
  draft: (id, value) => ({ part: 'progress', id, ...(isBound(value) && { value }) }),
};
