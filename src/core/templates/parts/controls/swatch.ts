import { isBound } from '../../bound';
import { bindable, colour, px, radius } from '../declare';
import { type DraftedKind, ofEveryPart, type PartOf } from '../kind';

const properties = {
  colour: bindable(colour('colour', 'woad', 'woad')),
  size: px('size', 16),
  radius: radius('corners', 'circle'),
  ...ofEveryPart,
};

export type SwatchPart = PartOf<'swatch', typeof properties>;

/** A dot or square of a colour: one of the project, or as the item has it. */
export const swatch: DraftedKind<'swatch', typeof properties> = {
  part: 'swatch',
  about: 'A dot or square of a colour: one of the project, or as the item has it',
  shows: 'colour',
  box: 'block',
  properties,
  sized: ({ size = 16 }) => ({ width: { fixed: size }, height: { fixed: size } }),
  draft: (id, value) => ({ part: 'swatch', id, ...(isBound(value) && { colour: value }) }),
};
