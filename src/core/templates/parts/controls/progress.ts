import { isBound } from '../../bound';
import { amount, beginning, bindable, colour, px, rare, size, word } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  value: amount('value', 0),
  max: amount('of', 1),
  width: bindable(size('width', { share: 1 })),
  thickness: px('thickness', 6, 40),
  tint: bindable(colour('tint', 'woad', 'woad')),
  track: colour('track', 'soft', 'soft'),
  missing: rare(beginning(word('if missing', ['empty', 'leaves']), 'leaves')),
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
  mayLeave: ({ missing }) => missing === 'leaves',
  draft: (id, value) => ({ part: 'progress', id, ...(isBound(value) && { value }) }),
};
